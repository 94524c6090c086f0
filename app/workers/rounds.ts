import { proxy } from "comlink";
import type { RoundsPlan, RoundsQuestion } from "~core/rounds/question";
import type { Result } from "~core/result";
import type { RoundsProgress, RoundsWorker } from "./rounds.worker";
import { running, type Running } from "./running";

/** Plans rounds off the main thread; how far it is comes by the way, and the time it took with the answer, ms. */
export const planInWorker = (
  question: RoundsQuestion,
  seconds: number,
  report: (progress: RoundsProgress) => void = () => undefined,
): Running<{ plan: Result<RoundsPlan>; ms: number }> =>
  running<RoundsWorker, { plan: Result<RoundsPlan>; ms: number }>(
    new Worker(new URL("./rounds.worker.ts", import.meta.url), { type: "module" }),
    (remote) => remote.plan(question, seconds, proxy(report)),
  );
