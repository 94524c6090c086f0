import { distance, minus, type Vector } from "../geometry/vector";
import { MM_PER_INCH } from "../constants/exact";
import { fail, ok, type Result } from "../result";
import { roundTheToe, type SidedLine } from "../shoe/outline";
import type { Side } from "../foot/limb";
import {
  BUMP_MM,
  STRETCH_A_BRANCH_MM,
  TOE_ALLOWANCES_MM,
  TOE_STEPS_MM,
  WIDE_SECTION_LESS_MM,
  WIDE_SECTION_MM,
} from "../constants/forge";

/** What a smith adds and takes off, mm: the trade's table, or the user's own. */
export interface Allowances {
  /** For the bend of the toe: small shoes, ordinary ones, large ones; see {@link TOE_STEPS_MM}. */
  toe: readonly [number, number, number];
  /** Less for a section of 1 1/4 in and wider. */
  wideLess: number;
  /** Length swallowed by upsetting the toe. */
  bump: number;
  /** Length gained by each creased branch. */
  stretch: number;
  /** Sums at which the toe's allowance steps up; the trade's unless given. */
  steps?: readonly [number, number] | undefined;
}
const [SMALL, ORDINARY, LARGE] = TOE_ALLOWANCES_MM;
export const TRADE_ALLOWANCES: Allowances = {
  toe: [SMALL.value, ORDINARY.value, LARGE.value],
  wideLess: WIDE_SECTION_LESS_MM.value,
  bump: BUMP_MM.value,
  stretch: STRETCH_A_BRANCH_MM.value,
};

export interface StockQuestion {
  /** Of the shoe where it is to be, mm: across its widest, and from toe to heels. */
  width: number;
  length: number;
  /** mm. */
  section: { width: number; thickness: number };
  /** Length swallowed by upsetting the toe, mm; the allowance unless given, 0 for none. */
  bump?: number | undefined;
  /** Branches creased with a fuller: each stretches. 2 unless given. */
  creased?: number | undefined;
  /** Heel checks, a widened branch, a bar: mm. */
  extras?: number | undefined;
  /** How much longer the outer branch is to be than the inner, mm. */
  lateralLonger?: number | undefined;
  /** The shoe's outer edge, each side from the middle of the toe to the heel. */
  outline?: SidedLine | undefined;
  /** What the user's own hand takes beyond what is computed, mm; see the log of forged shoes. */
  hand?: number | undefined;
}

export interface Stock {
  rule: {
    /** Width plus length, mm. */
    sum: number;
    toeAllowance: number;
    total: number;
  };
  outline?: { centreLine: number; total: number };
  /** What both ways share, mm: swallowed by the bump, gained by creasing, extras, and what the own hand takes. */
  shared: { bump: number; stretch: number; extras: number; hand: number };
  /** The longer of the totals there are and what the own hand takes, mm. */
  total: number;
  /** That total, up to the next eighth of an inch (inches) and the next 5 mm (mm). */
  cutInches: number;
  cutMm: number;
  /** That total from the centre mark, mm: the mark is moved by half of what the outer branch is longer. */
  fromMark: { medial: number; lateral: number };
}

/** Nine and a half inches typed as two measures are nine and a half inches: closer than this is the same, mm. */
const SAME_MM = 1e-6;
/** Rounding up is not to be tipped by the last bit of a number. */
const ROUNDING = 1e-9;
const upTo = (value: number, step: number): number => Math.ceil(value / step - ROUNDING) * step;

/** What the bend of the toe takes, mm, by width plus length; less for a wide section. An editable example of the trade. */
export function toeAllowance(
  sumMm: number,
  sectionWidthMm: number,
  { toe, wideLess, steps = TOE_STEPS_MM }: Allowances = TRADE_ALLOWANCES,
): number {
  const step = steps.filter((from) => sumMm >= from - SAME_MM).length;
  return (toe[step] ?? 0) - (sectionWidthMm >= WIDE_SECTION_MM.value - SAME_MM ? wideLess : 0);
}

/** The centre line of a shoe, mm: how far along it, from the middle of the toe, each point of the outer edge lies. */
export interface CentreLine {
  at: Record<Side, number[]>;
  /** Of each side, toe to heel. */
  length: Record<Side, number>;
  total: number;
}

/**
 * The centre line of a shoe: its outer edge, joined as given, moved in by half the web with sharp corners. Exact for the
 * joined line; for a curve it tends to the curve's own as its points come closer.
 *
 * Errors: `crosses-itself` where a side of the line is turned inside out by the move: the web is too wide for it.
 */
export function centreLineOf(outline: SidedLine, webMm: number): Result<CentreLine> {
  const line = roundTheToe(outline);
  const half = webMm / 2;
  // What a corner takes off each of its two sides: half the web times the tangent of half the turn, inwards positive.
  const corner = line.map((at, index): number => {
    const before = line.slice(0, index).findLast((point) => distance(point, at) > 0);
    const after = line.slice(index + 1).find((point) => distance(point, at) > 0);
    if (!before || !after) return 0;
    return half * Math.tan(turnAt(before, at, after) / 2);
  });
  const along = [0];
  for (let index = 1; index < line.length; index++) {
    const whole = distance(line[index - 1] as Vector, line[index] as Vector);
    // Two points in one place are one corner.
    const side = whole === 0 ? 0 : whole - (corner[index - 1] ?? 0) - (corner[index] ?? 0);
    if (side < 0)
      return fail(
        "crosses-itself",
        "section.width",
        `A web of ${webMm.toFixed(1)} mm turns the inside of this outline over itself. Take a narrower section.`,
        webMm,
      );
    along.push((along[index - 1] ?? 0) + side);
  }
  const toe = outline.medial.length - 1;
  const middle = along[toe] ?? 0;
  const total = along.at(-1) ?? 0;
  return ok({
    at: {
      medial: along
        .slice(0, toe + 1)
        .reverse()
        .map((s) => middle - s),
      lateral: along.slice(toe).map((s) => s - middle),
    },
    length: { medial: middle, lateral: total - middle },
    total,
  });
}

/** Turn of a line at a point, rad, positive towards the inside of a line that runs clockwise where y points up. */
function turnAt(before: Vector, at: Vector, after: Vector): number {
  const [a, b] = [minus(at, before), minus(after, at)];
  return -Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]);
}

/**
 * Length of stock for a shoe by the trade's rule and, where there is an outline, by its centre line: bending edgewise
 * keeps that. Until a hand has its own log the longer of the two is cut.
 *
 * Errors: `impossible` for measures that make no shoe, `crosses-itself` for a web too wide for its outline.
 * Source: trade practice.
 */
export function stockLength(
  question: StockQuestion,
  allowances: Allowances = TRADE_ALLOWANCES,
): Result<Stock> {
  const {
    width,
    length,
    section,
    bump = allowances.bump,
    creased = 2,
    extras = 0,
    lateralLonger = 0,
    hand = 0,
    outline,
  } = question;
  if (section.width * 2 >= width)
    return fail(
      "impossible",
      "section.width",
      "Two branches of this section are wider than the shoe. Check the width and the section.",
      section.width,
    );
  const sum = width + length;
  const stretch = creased * allowances.stretch;
  const more = bump + extras - stretch;
  const allowance = toeAllowance(sum, section.width, allowances);
  const rule = { sum, toeAllowance: allowance, total: sum + allowance + more };
  const line = outline && centreLineOf(outline, section.width);
  if (line && !line.ok) return line;
  const byOutline = line && { centreLine: line.value.total, total: line.value.total + more };
  const total = Math.max(rule.total, byOutline?.total ?? 0) + hand;
  if (!(total > Math.abs(lateralLonger)))
    return fail(
      "impossible",
      "lateralLonger",
      "One branch would be longer than all the steel.",
      lateralLonger,
    );
  return ok({
    rule,
    ...(byOutline && { outline: byOutline }),
    shared: { bump, stretch, extras, hand },
    total,
    cutInches: upTo(total / MM_PER_INCH, 1 / 8),
    cutMm: upTo(total, 5),
    fromMark: { medial: (total - lateralLonger) / 2, lateral: (total + lateralLonger) / 2 },
  });
}
