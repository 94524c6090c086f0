import type { ProgressPoint } from "~core/practice/progress";

/** What the chart of a room draws: a dot a try, the mean of the last five as a line, the level as steps. */
export interface PracticeModel {
  points: { number: number; score: number; running: number; level: number }[];
}

/** Older ones would only crowd it. */
const MOST = 60;

export const practiceModel = (progress: readonly ProgressPoint[]): PracticeModel => ({
  points: progress
    .map(({ score, running, level }, index) => ({ number: index + 1, score, running, level }))
    .slice(-MOST),
});
