/** The printed card: a square frame whose outer corners are marked in a picture, with a plumb mark that says its top. */
export const CARD = {
  /** Outer side of the printed frame, mm. */
  sideMm: 80,
  frameMm: 3,
  /** White paper left outside the frame, mm. */
  marginMm: 8,
  /** The check ruler below it, mm. */
  rulerMm: 100,
} as const;
