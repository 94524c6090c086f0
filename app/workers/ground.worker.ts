import { expose } from "comlink";
import {
  compareOnGround,
  sensitivityOf,
  sweepGrounds,
  type GroundQuestion,
  type PlanStore,
} from "~core/ground/compare";

/** Plans of the shoes that were asked for, by foot and grid: a load that is dragged only settles them anew. */
const plans: PlanStore = new Map();
/** As many plans as a few changes of four shoes leave; then it begins anew. */
const MOST_PLANS = 60;
/** Cells in which grounds are swept and what nobody measured is tried out, mm. */
const SWEEP_GRID_MM = 4;

const tidy = (): void => {
  if (plans.size > MOST_PLANS) plans.clear();
};

/** A thin adapter: the same functions run in the tests. */
const groundWorker = {
  stand: (question: GroundQuestion, gridMm: number) => {
    tidy();
    return compareOnGround(question, gridMm, plans);
  },
  /** The same on several grounds, coarsely: numbers to cite, no map to draw. */
  onGrounds: (question: GroundQuestion, stiffnesses: readonly number[]) => {
    tidy();
    return stiffnesses.map((stiffness) =>
      compareOnGround({ ...question, standing: { ...question.standing, stiffness } }, SWEEP_GRID_MM, plans),
    );
  },
  around: (question: GroundQuestion) => {
    tidy();
    return {
      sensitivity: sensitivityOf(question, SWEEP_GRID_MM, plans),
      sweep: sweepGrounds(question, SWEEP_GRID_MM, plans),
    };
  },
};
export type GroundWorker = typeof groundWorker;

expose(groundWorker);
