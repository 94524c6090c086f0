import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { highsSolver } from "~core/math/programme";
import { planRounds } from "~core/rounds/plan";
import type { RoundsPlan, RoundsQuestion } from "~core/rounds/question";

/** The best plan until now, and seconds since the start. */
export interface RoundsProgress {
  plan: RoundsPlan;
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
      report: (best) => report({ plan: best, seconds: elapsed() }),
    });
    return { plan, ms: performance.now() - from };
  },
};
export type RoundsWorker = typeof roundsWorker;

expose(roundsWorker);
