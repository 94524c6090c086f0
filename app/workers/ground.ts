import { wrap, type Remote } from "comlink";
import type { GroundQuestion, Sensitivity, StoodShoe, SweptShoe } from "~core/ground/compare";
import type { GroundWorker } from "./ground.worker";
import { running, type Running } from "./running";

const started = (): Worker => new Worker(new URL("./ground.worker.ts", import.meta.url), { type: "module" });

/** A worker that stands shoes on the ground as often as it is asked and keeps their plans between. */
export function standingWorker(): { remote: Remote<GroundWorker>; end: () => void } {
  const worker = started();
  return { remote: wrap<GroundWorker>(worker), end: () => worker.terminate() };
}

/** The same shoes over all grounds, and how far what nobody measured changes the answer. */
export const aroundInWorker = (
  question: GroundQuestion,
): Running<{ sensitivity: Sensitivity[]; sweep: SweptShoe[] }> =>
  running<GroundWorker, { sensitivity: Sensitivity[]; sweep: SweptShoe[] }>(started(), (remote) =>
    remote.around(question),
  );

/** Two shoes on several grounds, for an argument to cite. */
export const onGroundsInWorker = (
  question: GroundQuestion,
  stiffnesses: readonly number[],
): Running<StoodShoe[][]> =>
  running<GroundWorker, StoodShoe[][]>(started(), (remote) => remote.onGrounds(question, stiffnesses));
