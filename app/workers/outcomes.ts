import type { Remote } from "comlink";
import type { Outcome } from "~core/outcome/outcomes";
import type { Noise } from "~core/repeatability/repeatability";
import type { ShoeFacts } from "~core/shoe/facts";
import type { OutcomeAsked, OutcomesWorker } from "./outcomes.worker";
import { running, type Running } from "./running";

/** The user's own outcomes for some reasons, counted off the main thread. */
export const outcomesInWorker = (
  store: string,
  asked: OutcomeAsked[],
  facts: ShoeFacts,
  noise: Noise,
): Running<(Outcome | undefined)[]> =>
  running(
    new Worker(new URL("./outcomes.worker.ts", import.meta.url), { type: "module" }),
    (remote: Remote<OutcomesWorker>) => remote.outcomes(store, asked, facts, noise),
  );
