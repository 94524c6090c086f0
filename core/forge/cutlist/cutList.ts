import type { Solver } from "../../math/programme";
import { fail, ok, type Issue, type Result } from "../../result";
import {
  firstFit,
  fuller,
  improve,
  newBars,
  PROOF_SECONDS,
  total,
  wholeBars,
  type Column,
  type Stock,
  type Task,
} from "./columns";
import { offcutOf } from "./pattern";

export interface CutListQuestion {
  /** New bars, mm, as many as it takes. */
  barLength: number;
  /** Width of the blade, mm; 0 for a shear. */
  kerf: number;
  pieces: readonly { length: number; count: number; label?: string | undefined }[];
  /** Left from other times, mm: used before new bars, and not counted. */
  offcuts?: readonly number[] | undefined;
}

/** One bar and what is cut from it, longest first. */
export interface CutBar {
  /** Its length, mm. */
  stock: number;
  pieces: number[];
  /** What is left, mm: 0 where it is used up. */
  offcut: number;
}

export interface CutList {
  /** Offcuts first, then new bars. */
  bars: CutBar[];
  /** New bars. */
  count: number;
  /** Fewer new bars than this cannot do. */
  lowerBound: number;
  optimal: boolean;
}

/** A bound this little above a whole number is that number. */
const WHOLE_WITHIN = 1e-6;
/**
 * Pieces cut from the fewest new bars, proven. The bound comes from the best mix of ways to cut a bar (column
 * generation, Gilmore and Gomory 1961); whole bars from those ways, and where they need more than the bound, from a
 * programme over every single bar. `optimal` is false only where the time for that ran out. Among lists with the fewest
 * new bars as much as the found ways allow is cut from offcuts.
 *
 * Errors: `not-positive` for a length or count, `too-long` for a piece that no bar holds.
 */
export function cutList(question: CutListQuestion, solve: Solver): Result<CutList> {
  const issues = issuesOf(question);
  if (issues.length > 0) return { ok: false, issues };
  const { barLength, kerf } = question;
  const wanted = merged(question.pieces);
  const lengths = wanted.map(({ length }) => length);
  const counts = wanted.map(({ count }) => count);
  const stocks = stocksOf(question);
  if (lengths.length === 0) return ok({ bars: [], count: 0, lowerBound: 0, optimal: true });

  const columns = firstFit(lengths, counts, stocks, kerf);
  const bound = improve(columns, { lengths, counts, stocks, kerf }, solve);
  const lowerBound = Math.max(0, Math.ceil(bound - WHOLE_WITHIN));
  const found = wholeBars(columns, { counts, stocks }, solve);
  const best = found && newBars(found, columns, stocks);
  if (found && best === lowerBound)
    return ok(
      listOf(
        fuller(found, columns, { counts, stocks, best }, solve),
        columns,
        { lengths, counts, stocks, kerf },
        best,
        true,
      ),
    );
  const proof = everyBar({ lengths, counts, stocks, kerf }, lowerBound, best ?? total(counts), solve);
  if (proof.kind === "found")
    return ok(
      listOf(proof.uses, proof.columns, { lengths, counts, stocks, kerf }, proof.lowerBound, proof.optimal),
    );
  if (!found || best === undefined)
    return fail("impossible", "pieces", `No way was found to cut these from bars of ${barLength} mm.`);
  const list = listOf(
    found,
    columns,
    { lengths, counts, stocks, kerf },
    lowerBound,
    proof.kind === "none-fewer",
  );
  return ok(proof.kind === "none-fewer" ? { ...list, lowerBound: best } : list);
}

function issuesOf({ barLength, kerf, pieces, offcuts = [] }: CutListQuestion): Issue[] {
  const issues: Issue[] = [];
  const say = (code: string, path: string, message: string, value: number) =>
    issues.push({ code, path, message, value });
  if (!(barLength > 0)) say("not-positive", "barLength", "A bar has a length.", barLength);
  if (!(kerf >= 0)) say("not-positive", "kerf", "A blade takes 0 mm or more.", kerf);
  const longest = Math.max(barLength, ...offcuts);
  pieces.forEach(({ length, count }, index) => {
    if (!(length > 0)) say("not-positive", `pieces.${index}.length`, "A piece has a length.", length);
    else if (length > longest)
      say(
        "too-long",
        `pieces.${index}.length`,
        `A piece of ${Math.round(length)} mm is longer than the bar of ${Math.round(longest)} mm: buy longer bars, or check the piece.`,
        length,
      );
    if (!Number.isInteger(count) || count < 0)
      say("not-positive", `pieces.${index}.count`, "How many: a whole number.", count);
  });
  offcuts.forEach((length, index) => {
    if (!(length > 0)) say("not-positive", `offcuts.${index}`, "An offcut has a length.", length);
  });
  return issues;
}

/** Pieces of one length together, longest first. */
function merged(pieces: CutListQuestion["pieces"]): { length: number; count: number }[] {
  const by = new Map<number, number>();
  for (const { length, count } of pieces) if (count > 0) by.set(length, (by.get(length) ?? 0) + count);
  return [...by].map(([length, count]) => ({ length, count })).sort((a, b) => b.length - a.length);
}

function stocksOf({ barLength, offcuts = [] }: CutListQuestion): Stock[] {
  const by = new Map<number, number>();
  for (const length of offcuts) by.set(length, (by.get(length) ?? 0) + 1);
  return [
    ...[...by]
      .map(([length, most]): Stock => ({ length, most, isNew: false }))
      .sort((a, b) => a.length - b.length),
    { length: barLength, most: Number.POSITIVE_INFINITY, isNew: true },
  ];
}

/** Every bar by itself: how many of each length on it. Tries one number of new bars after another, up to `under`. */
function everyBar(
  { lengths, counts, stocks, kerf }: Task,
  from: number,
  under: number,
  solve: Solver,
):
  | { kind: "found"; uses: number[]; columns: Column[]; lowerBound: number; optimal: boolean }
  | { kind: "none-fewer" }
  | { kind: "unknown" } {
  const offcuts = stocks.flatMap(({ most, isNew }, stock) =>
    isNew ? [] : Array.from({ length: most }, () => stock),
  );
  for (let bars = from; bars < under; bars++) {
    const used = [...offcuts, ...Array.from({ length: bars }, () => stocks.length - 1)];
    const at = (bar: number, piece: number) => bar * lengths.length + piece;
    const found = solve(
      {
        cost: used.flatMap(() => lengths.map(() => 0)),
        rows: [
          ...counts.map((count, piece) => ({
            terms: used.map((_, bar): [number, number] => [at(bar, piece), 1]),
            sense: ">=" as const,
            bound: count,
          })),
          ...used.map((stock, bar) => ({
            terms: lengths.map((length, piece): [number, number] => [at(bar, piece), length + kerf]),
            sense: "<=" as const,
            bound: (stocks[stock]?.length ?? 0) + kerf + 1e-7,
          })),
        ],
        whole: true,
      },
      { seconds: PROOF_SECONDS },
    );
    if (found.kind === "stopped") return { kind: "unknown" };
    if (found.kind === "infeasible") continue;
    const columns = used.map((stock, bar): Column => ({
      stock,
      pattern: lengths.map((_, piece) => Math.round(found.values[at(bar, piece)] ?? 0)),
    }));
    return { kind: "found", uses: columns.map(() => 1), columns, lowerBound: bars, optimal: true };
  }
  return { kind: "none-fewer" };
}

/** The list as it is cut: pieces that a way gives too many of are left on the bar; empty bars are none. */
function listOf(
  uses: readonly number[],
  columns: readonly Column[],
  { lengths, counts, stocks, kerf }: Task,
  lowerBound: number,
  optimal: boolean,
): CutList {
  const left = [...counts];
  const order = uses
    .flatMap((count, index) => Array.from({ length: count }, () => columns[index] as Column))
    .sort((a, b) => a.stock - b.stock);
  let count = 0;
  const bars = order.flatMap(({ stock, pattern }): CutBar[] => {
    const pieces = pattern.flatMap((often, index) => {
      const here = Math.min(often, left[index] ?? 0);
      left[index] = (left[index] ?? 0) - here;
      return Array.from({ length: here }, () => lengths[index] ?? 0);
    });
    if (pieces.length === 0) return [];
    if (stocks[stock]?.isNew) count += 1;
    const bar = stocks[stock]?.length ?? 0;
    const sum = pieces.reduce((all, piece) => all + piece, 0);
    return [{ stock: bar, pieces, offcut: offcutOf(bar, kerf, sum, pieces.length) }];
  });
  return { bars, count, lowerBound: Math.min(lowerBound, count), optimal };
}
