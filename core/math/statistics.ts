/** Normal quantiles used in forecasts: one-sided 80 %, and the half width of the central 80 %. */
export const Z_ONE_SIDED_80 = 0.84;
export const Z_CENTRAL_80 = 1.28;

/** A belief about a quantity: its mean and how sure (standard deviation, > 0). */
export interface Estimate {
  mean: number;
  sd: number;
}

/**
 * Combines independent normal estimates by their precision (1 / sd squared). The sharper one counts more, and the
 * answer is at least as sharp as the sharpest. At least one estimate is wanted; an empty list throws.
 */
export function combineByPrecision(estimates: readonly Estimate[]): Estimate {
  const [only] = estimates;
  if (!only) throw new Error("combineByPrecision wants at least one estimate");
  if (estimates.length === 1) return only;
  let precision = 0;
  let weighted = 0;
  for (const { mean, sd } of estimates) {
    precision += 1 / (sd * sd);
    weighted += mean / (sd * sd);
  }
  return { mean: weighted / precision, sd: Math.sqrt(1 / precision) };
}
