import type { RoundsNumbers } from "./numbers";
import type { LoadTable } from "./table";
import type { Limit, RelaxedPlan } from "./relaxed";

/** Cuts added at once, and how often one row may be among them. */
const MOST_CUTS = 40;
const MOST_A_ROW = 6;
/** A cut that is passed by less than this is not worth a row. */
const LEAST_PASSED = 0.02;

/**
 * Limits that every whole plan keeps and this relaxed one does not. Of any three rows (kinds of jobs, days) each load
 * counts half of how often it meets them, rounded down; a plan meets them no more often than they hold, so the sum is no
 * more than half of that, rounded down (subset-row cuts, Jepsen and others 2008). The most passed first.
 */
export function cutsPassed(numbers: RoundsNumbers, table: LoadTable, { parts }: RelaxedPlan): Limit[] {
  const { kinds, have } = numbers;
  const holds = [...kinds.map(({ jobs }) => jobs.length), ...have.map(() => 1)];
  const count = holds.length;
  // How often each row is met by each load in use, and in parts of loads how often two rows are met by one.
  const met = holds.map(() => new Uint8Array(parts.length));
  const both = new Float64Array(count * count);
  parts.forEach(({ load, part }, number) => {
    const rows = [kinds.length + (table.day[load] as number)];
    (met[rows[0] as number] as Uint8Array)[number] = 1;
    for (let at = table.from[load] as number; at < (table.from[load + 1] as number); at++) {
      rows.push(table.kind[at] as number);
      (met[table.kind[at] as number] as Uint8Array)[number] = table.times[at] as number;
    }
    for (const a of rows)
      for (const b of rows) if (a !== b) both[a * count + b] = (both[a * count + b] as number) + part;
  });
  const found: { rows: [number, number, number]; passed: number }[] = [];
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++)
      for (let c = b + 1; c < count; c++) {
        const held = (holds[a] as number) + (holds[b] as number) + (holds[c] as number);
        if (held % 2 === 0) continue;
        const pairs =
          (both[a * count + b] as number) + (both[a * count + c] as number) + (both[b * count + c] as number);
        if (held === 3 && pairs <= 1 + LEAST_PASSED) continue;
        const [one, two, three] = [met[a] as Uint8Array, met[b] as Uint8Array, met[c] as Uint8Array];
        let sum = 0;
        for (let number = 0; number < parts.length; number++)
          sum +=
            (((one[number] as number) + (two[number] as number) + (three[number] as number)) >> 1) *
            (parts[number] as { part: number }).part;
        const passed = sum - (held - 1) / 2;
        if (passed > LEAST_PASSED) found.push({ rows: [a, b, c], passed });
      }
  found.sort((a, b) => b.passed - a.passed);
  const often = new Uint16Array(count);
  const chosen: number[][] = [];
  for (const { rows } of found) {
    if (chosen.length >= MOST_CUTS) break;
    if (rows.some((row) => (often[row] as number) >= MOST_A_ROW)) continue;
    for (const row of rows) often[row] = (often[row] as number) + 1;
    chosen.push(rows);
  }
  return limitsOver(numbers, table, chosen);
}

/** The limits over some sets of rows, with the loads that count in each. */
export function limitsOver(
  { kinds, have }: RoundsNumbers,
  table: LoadTable,
  sets: readonly (readonly number[])[],
): Limit[] {
  const holds = [...kinds.map(({ jobs }) => jobs.length), ...have.map(() => 1)];
  const over = holds.map((): number[] => []);
  sets.forEach((rows, set) => rows.forEach((row) => over[row]?.push(set)));
  const loads = sets.map((): number[] => []);
  const times = sets.map((): number[] => []);
  const met = new Uint8Array(sets.length);
  const meet = (row: number, often: number) => {
    for (const set of over[row] as number[]) met[set] = (met[set] as number) + often;
  };
  const note = (row: number, load: number) => {
    for (const set of over[row] as number[]) {
      if ((met[set] as number) > 1) {
        (loads[set] as number[]).push(load);
        (times[set] as number[]).push((met[set] as number) >> 1);
      }
      met[set] = 0;
    }
  };
  for (let load = 0; load < table.count; load++) {
    const day = kinds.length + (table.day[load] as number);
    const [from, end] = [table.from[load] as number, table.from[load + 1] as number];
    meet(day, 1);
    for (let at = from; at < end; at++) meet(table.kind[at] as number, table.times[at] as number);
    note(day, load);
    for (let at = from; at < end; at++) note(table.kind[at] as number, load);
  }
  return sets.map((rows, set) => ({
    rows,
    loads: Int32Array.from(loads[set] ?? []),
    times: Int8Array.from(times[set] ?? []),
    most: rows.reduce((sum, row) => sum + (holds[row] ?? 0), 0) >> 1,
  }));
}
