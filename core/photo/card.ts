/** The printed card: a square frame whose outer corners are marked in a picture, with a plumb mark that says its top
 * and a spot that says its right. */
export const CARD = {
  /** Outer side of the printed frame, mm. */
  sideMm: 80,
  frameMm: 3,
  /** White paper left outside the frame, mm. */
  marginMm: 8,
  /** A round spot right of the plumb line: where it lies on the left, the picture is mirrored. Older prints have none. */
  spot: { xMm: 56, yMm: 24, radiusMm: 5 },
  /** The check ruler below it, mm. */
  rulerMm: 100,
} as const;
