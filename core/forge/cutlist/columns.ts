import type { Solver } from "../../math/programme";
import { bestPattern, fitsOn, type CutPattern } from "./pattern";

/** A bar of one length of which there are so many: offcuts, and new bars without end. */
export interface Stock {
  length: number;
  most: number;
  isNew: boolean;
}
export interface Column {
  stock: number;
  pattern: CutPattern;
}

const MOST_ROUNDS = 400;
/** Time for the last, hard proof, s. */
export const PROOF_SECONDS = 20;

export interface Task {
  lengths: readonly number[];
  counts: readonly number[];
  stocks: readonly Stock[];
  kerf: number;
}

export const total = (counts: readonly number[]): number => counts.reduce((sum, count) => sum + count, 0);

/** A first way for everything: one pattern after another, each the longest pieces first, offcuts before new bars. */
export function firstFit(
  lengths: Task["lengths"],
  counts: Task["counts"],
  stocks: Task["stocks"],
  kerf: number,
): Column[] {
  const left = [...counts];
  const columns: Column[] = [];
  const take = (stock: number): boolean => {
    const bar = stocks[stock]?.length ?? 0;
    let [sum, count] = [0, 0];
    const pattern = lengths.map((length, index) => {
      let here = 0;
      while (here < (left[index] ?? 0) && fitsOn(bar, kerf, sum + length, count + 1)) {
        sum += length;
        count += 1;
        here += 1;
      }
      return here;
    });
    if (count === 0) return false;
    pattern.forEach((here, index) => {
      left[index] = (left[index] ?? 0) - here;
    });
    columns.push({ stock, pattern });
    return true;
  };
  stocks.forEach(({ most, isNew }, stock) => {
    for (let bar = 0; bar < (isNew ? total(counts) : most) && total(left) > 0; bar++) if (!take(stock)) break;
  });
  return columns;
}

const keyOf = ({ stock, pattern }: Column): string => `${stock}|${pattern.join()}`;

/** Adds ways to cut as long as one of them would save; gives the bound that no list comes under. */
export function improve(columns: Column[], task: Task, solve: Solver): number {
  const { lengths, counts, stocks, kerf } = task;
  const known = new Set(columns.map(keyOf));
  let bound = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const master = solve({ ...masterOf(columns, task), whole: false });
    if (master.kind !== "optimal") return bound;
    const worth = lengths.map((_, index) => Math.max(0, master.duals[index] ?? 0));
    let better = false;
    // How much any way of cutting could still undercut its cost: the bound that holds meanwhile (Farley 1990).
    let deepest = 1;
    stocks.forEach((stock, index) => {
      const price =
        (stock.isNew ? 1 : 0) - (stock.isNew ? 0 : Math.min(0, master.duals[lengths.length + index] ?? 0));
      const found = bestPattern(stock.length, kerf, lengths, worth, counts);
      if (stock.isNew) deepest = Math.max(deepest, found.worth);
      const column = { stock: index, pattern: found.pattern };
      if (found.worth > price + 1e-7 && !known.has(keyOf(column))) {
        known.add(keyOf(column));
        columns.push(column);
        better = true;
      }
    });
    if (!better) return master.objective;
    if (stocks.length === 1) bound = Math.max(bound, master.objective / deepest);
  }
  return bound;
}

/** Rows: each length cut often enough, each offcut used no more often than it is there. */
function masterOf(columns: readonly Column[], { counts, stocks }: Pick<Task, "counts" | "stocks">) {
  return {
    cost: columns.map(({ stock }) => (stocks[stock]?.isNew ? 1 : 0)),
    rows: [
      ...counts.map((count, piece) => ({
        terms: columns.flatMap(({ pattern }, index): [number, number][] =>
          pattern[piece] ? [[index, pattern[piece] ?? 0]] : [],
        ),
        sense: ">=" as const,
        bound: count,
      })),
      ...stocks.flatMap(({ most, isNew }, stock) =>
        isNew
          ? []
          : [
              {
                terms: columns.flatMap((column, index): [number, number][] =>
                  column.stock === stock ? [[index, 1]] : [],
                ),
                sense: "<=" as const,
                bound: most,
              },
            ],
      ),
    ],
  };
}

/** How often each way is used, whole bars only; undefined where the time ran out. */
export function wholeBars(columns: readonly Column[], task: Pick<Task, "counts" | "stocks">, solve: Solver) {
  const found = solve({ ...masterOf(columns, task), whole: true }, { seconds: PROOF_SECONDS / 4 });
  return found.kind === "optimal" ? found.values.map(Math.round) : undefined;
}

export const newBars = (
  uses: readonly number[],
  columns: readonly Column[],
  stocks: readonly Stock[],
): number =>
  uses.reduce((sum, count, index) => sum + (stocks[columns[index]?.stock ?? -1]?.isNew ? count : 0), 0);

/** With the same number of new bars, as much of the cutting as the known ways allow moved onto offcuts. */
export function fuller(
  uses: readonly number[],
  columns: readonly Column[],
  { counts, stocks, best }: Pick<Task, "counts" | "stocks"> & { best: number },
  solve: Solver,
): readonly number[] {
  if (stocks.length === 1) return uses;
  const master = masterOf(columns, { counts, stocks });
  const found = solve(
    {
      cost: columns.map(({ stock, pattern }) => (stocks[stock]?.isNew ? 0 : -total(pattern))),
      rows: [
        ...master.rows,
        {
          terms: columns.flatMap(({ stock }, index): [number, number][] =>
            stocks[stock]?.isNew ? [[index, 1]] : [],
          ),
          sense: "<=",
          bound: best,
        },
      ],
      whole: true,
    },
    { seconds: PROOF_SECONDS / 4 },
  );
  return found.kind === "optimal" ? found.values.map(Math.round) : uses;
}
