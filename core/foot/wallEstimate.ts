/**
 * Estimate of the wall above the live sole at the toe, mm: what was pared at the point of the frog until the sole was even
 * and waxy, and the step from the wall down to the sole as it is. Undefined without both. Source: trade practice.
 */
export const estimatedAbove = (
  chalkMm: number | undefined,
  stepMm: number | undefined,
): number | undefined => (chalkMm === undefined || stepMm === undefined ? undefined : chalkMm + stepMm);

/** The same for a plan that cuts by it: less the noise of the two measures, never under 0. `lengthSd` of one, mm. */
export const cautiousAbove = (estimateMm: number, lengthSd: number): number =>
  Math.max(0, estimateMm - Math.SQRT2 * lengthSd);
