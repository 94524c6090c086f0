import { lengthsAlong, offsetPolyline, polylineLength } from "../geometry/polyline";
import { turned, type SolarPoint } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { eachSide, signOf } from "../foot/parametric/parameters";
import { radians } from "../math/angle";
import { breakoverLine, tractionPlaces, type BreakoverLine } from "./breakover";
import { placeNails, type NailPlan, type SkippedSector } from "./nails";
import { asSides, halfWidthAt, roundTheToe, widestOf, type OutlineKnots, type SidedLine } from "./outline";
import { raiseAtHeel } from "./packing";
import { specMass } from "./mass";
import type { HeelSupport, Specification } from "./specification";

/** How a shoe is set under a foot by hand: nothing of it is needed, all of it is on purpose. */
export interface Setting {
  /** The whole shoe back, mm. */
  back: number;
  /** The whole shoe turned about the centre of rotation, deg, its toe towards lateral. */
  turn: number;
  /** Fuller on one side from the toe quarter back, mm. */
  fuller: Record<Side, number>;
}
export const NO_SETTING: Setting = { back: 0, turn: 0, fuller: { medial: 0, lateral: 0 } };

/** A foot to be shod, solar frame, mm: trimmed, its own shape where that is known. */
export interface ShodFoot {
  outline: SidedLine;
  knots: OutlineKnots;
  /** True where it is the undistorted outline, false where it is the trimmed foot's measured points. */
  undistorted: boolean;
  corY: number;
  /** Size: 1 for a fore foot 127 mm wide. */
  k: number;
  trueApex: number;
  /** Half widths of the frog at its widest. */
  frogHalf: number;
  wall: { toe: number; quarter: number };
}

export interface FitQuestion {
  foot: ShodFoot;
  spec: Specification;
  setting: Setting;
  /** Breakover back from the toe of the trimmed foot, mm, and its direction, deg to lateral. */
  breakover: { fromToe: number; direction: number };
  skip: readonly SkippedSector[];
}

export interface Fit {
  question: FitQuestion;
  /** Outer and inner edge of the shoe, toe to end of branch. */
  outer: SidedLine;
  inner: SidedLine;
  /** Closed: a bar across the heels, or the heart bar's plate. */
  bars: SolarPoint[][];
  /** Closed: where a pad lies, the whole shoe filled. */
  pad?: SolarPoint[];
  /** y of the shoe's toe, and where the ground edge breaks over: the roll taken off. */
  toeY: number;
  breaksAtY: number;
  /** Roll that is made in the shoe's toe, mm back from its edge. */
  roll: number;
  /** y at which each branch ought to end, and where it does. */
  supportY: Record<Side, number>;
  endY: Record<Side, number>;
  line: BreakoverLine;
  traction?: Record<Side, { at: SolarPoint; s: number }>;
  nails: NailPlan;
  /** Mm along the middle of the bar, the bars across apart. */
  centreLine: number;
  /** What lies across the back beyond the branches, mm; 0 for an open shoe. */
  across: number;
  /** Grams, an estimate. */
  mass: number;
  width: number;
  /** From the toe of the shoe to its hindmost end. */
  length: number;
  /** Front from the centre of rotation to the breakover, support from there to the hindmost end, mm. */
  front: number;
  support: number;
  /** Height of a raise at the heel, mm. */
  raiseMm: number;
  /** False where the inner edges cross: no such shoe can be made. */
  possible: boolean;
}

/** Fullness from the toe to the widest part, mm. Source: trade practice, 0 to 1. */
export const FRONT_FULLNESS_MM = 0.5;
/** More behind the widest part under a pad, mm. Source: trade practice. */
export const PAD_FULLNESS_MM = 3;
/** How far behind the back of the sulcus a long support reaches on a foot of size 1, mm. Assumption. */
const LONG_MM = 22;
/** How far an eased and a rolled toe can bring the breakover back, mm; a roll stops short of the nail holes. */
const EASE_MM = 6;
const ROLL_PART_OF_WEB = 0.85;
/** An eased or rolled toe takes at least this off its edge, mm. Assumption. */
export const LEAST_ROLL_MM: Record<Specification["toe"], number> = {
  plain: 0,
  eased: 3,
  rolled: 6,
  square: 7,
};
/** A square toe is set under by this much on a foot of size 1, mm. Assumption. */
const SQUARE_UNDER_MM = 7;
/** How far past the widest place of the shoe its heels turn in at most, per mm of length. */
const HEEL_LEAN = 0.2;

/** Where a branch ought to end by its lens, y in mm. */
export const supportYOf = (support: HeelSupport, heelY: number, k: number): number =>
  support === "heel" ? heelY : support === "frog" ? Math.min(0, heelY) : Math.min(0, heelY) - LONG_MM * k;

const frame = (line: SidedLine) => ({ points: roundTheToe(line), medialPoints: line.medial.length });

/** Fullness at each point of a side, mm: next to nothing ahead of the widest part, then growing to the heel. */
function fullnessAlong(question: FitQuestion, side: Side): number[] {
  const { foot, spec, setting } = question;
  const line = foot.outline[side];
  const at = lengthsAlong(line);
  const whole = at.at(-1) || 1;
  const widest = Math.abs(foot.knots.wide[side][1]);
  const wideIndex = line.findIndex(([, y]) => y <= widest);
  const sWide = at[Math.max(0, wideIndex)] ?? whole;
  const quarterIndex = line.findIndex(([, y]) => y <= foot.knots.toeQuarter[side][1]);
  const sQuarter = at[Math.max(0, quarterIndex)] ?? 0;
  const atHeel = (side === "medial" ? spec.fullMedial : spec.fullLateral) - FRONT_FULLNESS_MM;
  const pad = spec.pad === "none" ? 0 : PAD_FULLNESS_MM;
  const extra = spec.extraSide === side ? spec.extraWeb : 0;
  return at.map((s) => {
    const behind = whole > sWide ? Math.max(0, Math.min(1, (s - sWide) / (whole - sWide))) : 0;
    const outside = sWide > sQuarter ? Math.max(0, Math.min(1, (s - sQuarter) / (sWide - sQuarter))) : 1;
    return (
      FRONT_FULLNESS_MM +
      atHeel * behind +
      pad * Math.min(1, 3 * behind) +
      (extra + setting.fuller[side]) * outside
    );
  });
}

/** The shoe's outer edge: the foot's outline with its fullness, squared, turned and set back, ended at its support. */
function outerEdge(question: FitQuestion, supportY: Record<Side, number>): SidedLine {
  const { foot, spec, setting } = question;
  const { points, medialPoints } = frame(foot.outline);
  const full = [
    ...fullnessAlong(question, "medial").reverse(),
    ...fullnessAlong(question, "lateral").slice(1),
  ];
  const fitted = offsetPolyline(points, (_, index) => full[index] ?? 0) as SolarPoint[];
  const flat =
    spec.toe === "square"
      ? Math.max(...fitted.map(([, y]) => y)) - SQUARE_UNDER_MM * foot.k
      : Number.POSITIVE_INFINITY;
  const turn = radians(-setting.turn);
  const placed = fitted.map(([x, y]): SolarPoint => {
    const [dx, dy] = turned([x, Math.min(y, flat) - foot.corY], turn);
    return [dx, dy + foot.corY - setting.back];
  });
  const sides = asSides(placed, medialPoints);
  return eachSide((side) =>
    endedAt(sides[side], supportY[side] - (side === "medial" ? spec.longerMedial : spec.longerLateral)),
  );
}

/** A branch carried on along its own way, or cut off, so that it ends at exactly `y`. */
function endedAt(branch: readonly SolarPoint[], y: number): SolarPoint[] {
  const kept = branch.filter((point) => point[1] > y);
  const [a, b] = [kept.at(-2), kept.at(-1)];
  if (!a || !b) return [...branch];
  const next = branch[kept.length];
  const lean = next && b[1] !== next[1] ? (next[0] - b[0]) / (b[1] - next[1]) : (b[0] - a[0]) / (a[1] - b[1]);
  // Cut off, a branch keeps its own way; carried on, it turns in no further than this.
  const held = next ? lean : Math.max(-HEEL_LEAN, Math.min(HEEL_LEAN, lean));
  return [...kept, [b[0] + held * (b[1] - y), y]];
}

/** Inner edge: a web's width inside the outer one, wider where more web is wanted. */
function innerEdge(outer: SidedLine, spec: Specification): SidedLine {
  const { points, medialPoints } = frame(outer);
  const web = (index: number) => {
    const side: Side = index < medialPoints ? "medial" : "lateral";
    return spec.width + (spec.extraSide === side ? spec.extraWeb * 0.5 : 0);
  };
  return asSides(offsetPolyline(points, (_, index) => -web(index)) as SolarPoint[], medialPoints);
}

const BAR_PART = 0.95;

/** What lies across the back: a straight bar, an egg bar's round, a heart bar's plate inside the frog. */
function barsOf(outer: SidedLine, inner: SidedLine, { foot, spec }: FitQuestion): SolarPoint[][] {
  if (spec.type !== "straight bar" && spec.type !== "egg bar" && spec.type !== "heart bar") return [];
  const [m, l] = [outer.medial.at(-1), outer.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const [im, il] = [inner.medial.at(-1), inner.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const deep = spec.width * BAR_PART;
  if (spec.type === "egg bar") {
    const rounded = (from: SolarPoint, to: SolarPoint, drop: number) =>
      Array.from({ length: 13 }, (_, index): SolarPoint => {
        const t = Math.PI * (index / 12);
        return [
          (from[0] + to[0]) / 2 + ((from[0] - to[0]) / 2) * Math.cos(t),
          from[1] + (to[1] - from[1]) * (index / 12) - drop * Math.sin(t),
        ];
      });
    return [[...rounded(m, l, deep * 1.1), ...rounded(il, im, deep * 0.35)]];
  }
  const across: SolarPoint[] = [m, l, [il[0], l[1] + deep], [im[0], m[1] + deep]];
  if (spec.type === "straight bar") return [across];
  const back = (m[1] + l[1]) / 2;
  const half = Math.max(8, foot.frogHalf - 3);
  const tip = foot.trueApex - 4;
  return [
    across,
    [
      [-half, back + deep * 0.5],
      [half, back + deep * 0.5],
      [half * 0.62, (back + deep + tip) / 2],
      [4, tip],
      [-4, tip],
      [-half * 0.62, (back + deep + tip) / 2],
    ],
  ];
}

/**
 * The shoe of a specification fitted to a foot: both edges, bars, breakover, traction, nails, mass and what they do to
 * front and support. The foot's own outline outside the widest part is followed with next to no fullness, behind it
 * with more and more; branches end where the heel-support lens says. `possible` is false where the inner edges cross.
 */
export function fitShoe(question: FitQuestion): Fit {
  const { foot, spec, breakover, setting } = question;
  const supportY = eachSide((side) => supportYOf(spec.support, foot.knots.heel[side][1], foot.k));
  const outer = outerEdge(question, supportY);
  const inner = innerEdge(outer, spec);
  const middle = offsetPolyline(roundTheToe(outer), () => -spec.width / 2);
  const bars = barsOf(outer, inner, question);
  const toeY = Math.max(...roundTheToe(outer).map(([, y]) => y));
  const markY = foot.knots.toe[1] - breakover.fromToe;
  const most = spec.toe === "rolled" ? spec.width * ROLL_PART_OF_WEB : spec.toe === "eased" ? EASE_MM : 0;
  const roll = spec.type === "bare" ? 0 : Math.max(0, Math.min(most, toeY - markY));
  const breaksAtY = spec.type === "bare" ? Math.min(foot.knots.toe[1], markY) : toeY - roll;
  const endY = eachSide((side) => outer[side].at(-1)?.[1] ?? 0);
  const barBack = Math.min(...bars.flat().map(([, y]) => y), endY.medial, endY.lateral);
  const hindmost =
    spec.type === "bare" ? mean(foot.knots.heel.medial[1], foot.knots.heel.lateral[1]) : barBack;
  const wide = widestOf(outer);
  const centreLine = polylineLength(middle);
  const acrossMm =
    bars.length > 0 ? Math.abs((inner.lateral.at(-1)?.[0] ?? 0) - (inner.medial.at(-1)?.[0] ?? 0)) : 0;
  const length = toeY - hindmost;
  return {
    question,
    outer,
    inner,
    bars,
    ...(spec.pad !== "none" && { pad: roundTheToe(outer) }),
    toeY,
    breaksAtY,
    roll,
    supportY,
    endY,
    line: breakoverLine(foot.outline, foot.knots.toe[1], breakover.fromToe, breakover.direction),
    ...(spec.traction !== "none" && {
      traction: tractionPlaces(outer, spec.width / 2, breakover.direction),
    }),
    nails: placeNails({
      outline: outer,
      // The further forward of the two widest places: no nail behind either.
      widestY: Math.max(foot.knots.wide.medial[1], foot.knots.wide.lateral[1]) - setting.back,
      toeQuarterY: mean(foot.knots.toeQuarter.medial[1], foot.knots.toeQuarter.lateral[1]) - setting.back,
      perSide: { medial: spec.nailsMedial, lateral: spec.nailsLateral },
      wall: foot.wall,
      fullness: FRONT_FULLNESS_MM,
      web: spec.width,
      skip: question.skip,
    }),
    centreLine,
    across: acrossMm,
    mass: specMass(spec, centreLine + acrossMm),
    width: wide.lateral[0] - wide.medial[0],
    length,
    front: breaksAtY - foot.corY,
    support: foot.corY - hindmost,
    raiseMm: spec.raise ? raiseAtHeel(spec.raise.degrees, length) : 0,
    possible: SIDES.every((side) => inner[side].every(([x], index) => index < 3 || x * signOf(side) > -0.5)),
  };
}

const mean = (a: number, b: number): number => (a + b) / 2;

/** How far a line stands outside another at a height, mm: positive = covered. */
export const coverAt = (outer: readonly SolarPoint[], at: SolarPoint): number =>
  halfWidthAt(outer, at[1]) - Math.abs(at[0]);
