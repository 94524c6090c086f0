import { wrap, type Remote } from "comlink";
import type { GroundQuestion, StoodShoe } from "~core/ground/compare";
import type { GroundWorker } from "./ground.worker";
import { running, type Running } from "./running";

const started = (): Worker => new Worker(new URL("./ground.worker.ts", import.meta.url), { type: "module" });

/** A worker that stands shoes on the ground as often as it is asked and keeps their plans between. */
export function standingWorker(): { remote: Remote<GroundWorker>; end: () => void } {
  const worker = started();
  return { remote: wrap<GroundWorker>(worker), end: () => worker.terminate() };
}

/** Two shoes on several grounds, for an argument to cite. */
export const onGroundsInWorker = (
  question: GroundQuestion,
  stiffnesses: readonly number[],
): Running<StoodShoe[][]> =>
  running<GroundWorker, StoodShoe[][]>(started(), (remote) => remote.onGrounds(question, stiffnesses));
