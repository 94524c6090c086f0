/** A speed or accuracy that is promised: what was measured against its bound, both in `unit`. */
export type Promised = [promise: string, measured: number, bound: number, unit: string];

/** Prints each promise as the ratio of the two; one that must be nothing, as it was measured. Whether all are kept. */
export function printPromises(rows: readonly Promised[]): boolean {
  for (const [promise, measured, bound, unit] of rows)
    console.log(
      `${promise.padEnd(56)} ${`${measured.toPrecision(3)} ${unit}`.padEnd(14)} ${String(bound).padEnd(8)} ${(bound === 0 ? measured : measured / bound).toFixed(2)}`,
    );
  return rows.every(([, measured, bound]) => measured <= bound);
}

/** The value below which 95 of 100 lie. */
export const percentile95 = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? Number.NaN;
