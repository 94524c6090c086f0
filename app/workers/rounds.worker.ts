import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { highsSolver } from "~core/math/programme";
import { planRounds } from "~core/rounds/plan";
import type { RoundsQuestion } from "~core/rounds/question";

/** The best plan until now and what no plan can be better than, minutes; seconds since the start. */
export interface RoundsProgress {
  objective: number;
  bound: number;
  seconds: number;
}

/** A thin adapter: the same function runs in the tests and in the headless command. */
const roundsWorker = {
  plan: async (question: RoundsQuestion, seconds: number, report: (progress: RoundsProgress) => void) => {
    const solve = highsSolver(await loadHighs({ locateFile: () => wasm }));
    const from = performance.now();
    const elapsed = () => (performance.now() - from) / 1000;
    const plan = planRounds(question, solve, {
      seconds,
      elapsed,
      report: (progress) => report({ ...progress, seconds: elapsed() }),
    });
    return { plan, ms: performance.now() - from };
  },
};
export type RoundsWorker = typeof roundsWorker;

expose(roundsWorker);
