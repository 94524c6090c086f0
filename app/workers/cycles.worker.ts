import { expose } from "comlink";
import { compareCycles, type CycleQuestion } from "~core/trim/cycles";

/** A thin adapter: the same function runs on the main thread in the tests. */
const cyclesWorker = {
  compare: (question: CycleQuestion) => {
    const from = performance.now();
    const runs = compareCycles(question);
    return { runs, ms: performance.now() - from };
  },
};
export type CyclesWorker = typeof cyclesWorker;

expose(cyclesWorker);
