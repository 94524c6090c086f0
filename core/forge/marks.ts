import { directionAlong, lengthDownTo, lengthsAlong, pointAlong } from "../geometry/polyline";
import { distance, type SolarPoint } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import { ok, type Result } from "../result";
import type { Fit } from "../shoe/fit";
import { clipPlaces } from "../shoe/clips";
import { PAST_NAIL_MM } from "../shoe/crease";
import { inwardsOf, widestYOf } from "../shoe/outline";
import { outlineParts, type OutlineParts } from "./outlineParts";
import { centreLineOf, type Allowances, type CentreLine, type Stock } from "./stock";

export type MarkKind = "centre" | "clip" | "toe bend" | "nail" | "quarter" | "heel" | "end";

/** One mark on the straight bar, and where it comes to lie on the finished shoe. */
export interface BarMark {
  id: string;
  kind: MarkKind;
  /** Undefined on the middle of the toe. */
  side?: Side;
  /** Number of a nail from the toe. */
  nail?: number;
  /** On the bar, from its medial end, and from the centre mark: positive to lateral. Mm. */
  at: number;
  fromCentre: number;
  /** On the shoe, solar frame: on its centre line, a nail in its own hole. */
  place: SolarPoint;
  /** How far in from the bar's outer edge, mm: nails only. */
  inset?: number;
}

export interface Bar {
  /** Cut length, mm; its medial end is 0. */
  length: number;
  width: number;
  centre: number;
  marks: BarMark[];
  /** The crease on each side, in the bar's own length, and its middle in from the outer edge at both its ends. */
  crease?: Record<Side, { from: number; to: number; insetToe: number; insetHeel: number }>;
  /** Steel beyond the finished heel on each side, to be cut off or used; negative where it is short. */
  surplus: Record<Side, number>;
  parts: OutlineParts;
  /**
   * Straight across from the middle of the toe to the end of each branch, on the centre line: with the toe bent and the
   * branch still straight, and on the finished shoe. Turning the quarter takes the difference.
   */
  turning: Record<Side, { before: number; after: number; takes: number }>;
  /** Web gained over the upset toe, mm: what the bump swallows, spread over the toe's bend. */
  upsetGain: number;
}

/** A bar of `length` mm from its centre mark: what rounding up has added goes to both branches alike. */
export const markOf = ({ fromMark, total }: Stock, length: number): Record<Side, number> =>
  eachSide((side) => fromMark[side] + (length - total) / 2);

/**
 * The marks of a fitted shoe on its straight bar of `length` mm, put on before any heat: places on the finished centre
 * line carried back along it. The toe's bend swallows the bump evenly, the crease stretches its branch evenly.
 *
 * Errors: as {@link centreLineOf}.
 */
export function barMarks(fit: Fit, stock: Stock, allowances: Allowances, length: number): Result<Bar> {
  const { spec, foot } = fit.question;
  const found = centreLineOf(fit.outer, spec.width);
  if (!found.ok) return found;
  const line = found.value;
  const parts = outlineParts(
    fit.outer,
    eachSide((side) => foot.knots.toeQuarter[side][1] - fit.question.setting.back),
    eachSide((side) => widestYOf(fit.outer[side])),
  );
  const creased = spec.crease === "creased";
  const stretch = creased ? allowances.stretch : 0;
  const along = eachSide((side) => onCentreLine(fit, line, side));
  const toeBend = eachSide((side) => along[side].fromEdge(parts.branches[side].s.toeBend));
  const nails = eachSide((side) =>
    fit.nails[side].map((nail) => ({ ...nail, s: along[side].fromEdge(nail.s) })),
  );
  const creaseS = eachSide((side) => {
    const [first, last] = [nails[side][0]?.s, nails[side].at(-1)?.s];
    return first === undefined || last === undefined
      ? undefined
      : {
          from: Math.max(0, first - PAST_NAIL_MM),
          to: Math.min(line.length[side], last + PAST_NAIL_MM),
        };
  });
  /** From the finished centre line back onto the bar, mm from the centre mark. */
  const onBar = (side: Side, s: number): number => {
    const bent = Math.max(1, toeBend[side]);
    const groove = creaseS[side];
    const stretched = groove ? Math.max(0, Math.min(1, (s - groove.from) / (groove.to - groove.from))) : 1;
    return s + (allowances.bump / 2) * Math.min(1, s / bent) - stretch * stretched;
  };
  const barsAcross = (fit.across + fit.grown) / 2;
  const centre = markOf(stock, length).medial;
  const sign = (side: Side) => (side === "lateral" ? 1 : -1);
  const mark = (side: Side | undefined, kind: MarkKind, s: number, more: Partial<BarMark> = {}): BarMark => {
    const way = side ?? "lateral";
    const fromCentre = sign(way) * onBar(way, s);
    return {
      id: `${kind.replace(" ", "-")}${side ? `-${side}` : ""}${more.nail ?? ""}`,
      kind,
      ...(side && { side }),
      at: centre + fromCentre,
      fromCentre,
      place: along[way].at(s),
      ...more,
    };
  };
  const marks: BarMark[] = [mark(undefined, "centre", 0)];
  for (const { name, side, s } of clipPlaces(fit))
    marks.push(
      mark(side, "clip", side ? along[side].fromEdge(s) : 0, {
        id: name === "toe" ? "clip" : `clip-${name.replace(" ", "-")}`,
      }),
    );
  for (const side of SIDES) {
    marks.push(
      mark(side, "toe bend", toeBend[side]),
      mark(side, "quarter", along[side].fromEdge(lengthDownTo(fit.outer[side], widestYOf(fit.outer[side])))),
      mark(side, "heel", line.length[side]),
    );
    fit.nails[side].forEach((nail, index) =>
      marks.push(
        mark(side, "nail", nails[side][index]?.s ?? 0, {
          nail: index + 1,
          inset: nail.inset,
          place: [nail.x, nail.y],
        }),
      ),
    );
  }
  const ends = eachSide((side) => (side === "medial" ? centre : length - centre));
  return ok({
    length,
    width: spec.width,
    centre,
    marks: marks.sort((a, b) => a.at - b.at),
    ...(creased &&
      creaseS.medial &&
      creaseS.lateral && {
        crease: eachSide((side) => {
          const groove = creaseS[side] ?? { from: 0, to: 0 };
          const ways = [groove.from, groove.to].map((s) => centre + sign(side) * onBar(side, s)) as [
            number,
            number,
          ];
          return {
            from: Math.min(...ways),
            to: Math.max(...ways),
            insetToe: fit.nails[side][0]?.inset ?? 0,
            insetHeel: fit.nails[side].at(-1)?.inset ?? 0,
          };
        }),
      }),
    surplus: eachSide((side) => ends[side] - onBar(side, line.length[side]) - barsAcross),
    parts,
    turning: eachSide((side) => turningOf(along[side], toeBend[side], line.length[side])),
    upsetGain:
      allowances.bump === 0 ? 0 : (allowances.bump * spec.width) / (toeBend.medial + toeBend.lateral),
  });
}

/** The finished centre line of one side: its points by length, and lengths along the outer edge carried onto it. */
function onCentreLine(fit: Fit, line: CentreLine, side: Side) {
  const edge = fit.outer[side];
  const edgeLengths = lengthsAlong(edge);
  const centre = line.at[side];
  const between = (from: readonly number[], to: readonly number[], value: number): number => {
    const after = from.findIndex((one) => one >= value);
    if (after <= 0) return after === 0 ? (to[0] ?? 0) : (to.at(-1) ?? 0);
    const [a, b] = [from[after - 1] ?? 0, from[after] ?? 0];
    const part = b === a ? 0 : (value - a) / (b - a);
    return (to[after - 1] ?? 0) + ((to[after] ?? 0) - (to[after - 1] ?? 0)) * part;
  };
  const half = fit.question.spec.width / 2;
  const at = (s: number): SolarPoint => {
    const onEdge = between(centre, edgeLengths, s);
    const { at: place } = pointAlong(edge, onEdge);
    // At the middle of the toe the edge runs straight across, whatever its first step does.
    const [dx, dy] =
      onEdge < 2 ? ([side === "lateral" ? 1 : -1, 0] as const) : directionAlong(edge, onEdge, 2);
    const inwards = inwardsOf([dx, dy], side);
    return [place[0] + inwards[0] * half, place[1] + inwards[1] * half];
  };
  return { at, fromEdge: (s: number) => between(edgeLengths, centre, s) };
}

/** How far apart toe and heel are before and after the quarter is turned, straight across on the centre line. */
function turningOf(along: { at: (s: number) => SolarPoint }, bend: number, whole: number) {
  const [toe, from, ahead] = [along.at(0), along.at(bend), along.at(Math.max(0, bend - 6))];
  const step = distance(ahead, from) || 1;
  const branch = whole - bend;
  const straight: SolarPoint = [
    from[0] + ((from[0] - ahead[0]) / step) * branch,
    from[1] + ((from[1] - ahead[1]) / step) * branch,
  ];
  const before = distance(toe, straight);
  const after = distance(toe, along.at(whole));
  return { before, after, takes: before - after };
}
