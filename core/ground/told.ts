/** Differences under these are not told: a rasp's stroke or a hand's noise is as much. Assumptions. */
export const TOLD = {
  pitchDeg: 0.5,
  rollDeg: 0.3,
  sinkMm: 0.5,
  leverMm: 2,
  supportMm: 3,
  peak: 0.05,
  share: 0.02,
};
