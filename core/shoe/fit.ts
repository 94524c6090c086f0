import { offsetPolyline, polylineLength } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { eachSide, signOf } from "../foot/parametric/parameters";
import { barsOf, eggBackY, frogPlate } from "./bars";
import type { FitQuestion } from "./fitQuestion";
import { breakoverLine, tractionPlaces, type BreakoverLine } from "./breakover";
import { placeNails, type NailPlan, type SkippedSector } from "./nails";
import { innerEdge, outerEdge, webAlong } from "./edge";
import { halfWidthAt, roundTheToe, widestOf, type SidedLine } from "./outline";
import { raiseAtHeel } from "./packing";
import { specMass } from "./mass";
import { STRETCHES, sectorOf } from "./sectors";
import { shoeSolid, type Solid } from "./solid";
import { changeAt, standsOutAt, stationsOf } from "./standsOut";
import { bySide, isBar, type HeelSupport, type Specification } from "./specification";

export interface Fit {
  question: FitQuestion;
  /** Outer and inner edge of the shoe, toe to end of branch. */
  outer: SidedLine;
  inner: SidedLine;
  /** The whole shoe as one piece of metal: branches, bar and plate joined. */
  solid: Solid;
  /** Closed: where a pad lies, the whole shoe filled. */
  pad?: SolarPoint[];
  /** Closed: where a pad meets the frog on purpose. */
  frogPad?: SolarPoint[];
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
  /** Steel that wider branches want beyond the bar's own section, mm of that bar. */
  grown: number;
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
  /** False where the inner edges cross or the metal falls apart: no such shoe can be made. */
  possible: boolean;
}

/** How far behind the back of the sulcus a long support reaches on a foot of size 1, mm. Assumption. */
const LONG_MM = 22;
/** How far an edge can bring the breakover back, mm; a roll stops short of the nail holes, a rocker bends the toe up. */
const EASE_MM = 6;
const ROLL_PART_OF_WEB = 0.85;
const mostRoll = ({ toeEdge, width }: Specification): number =>
  ({ plain: 0, eased: EASE_MM, rolled: width * ROLL_PART_OF_WEB, rockered: width })[toeEdge];
/** A toe whose edge or shape is changed at all takes at least this off, mm. Assumption. */
const LEAST_EDGE_MM: Record<Specification["toeEdge"], number> = {
  plain: 0,
  eased: 3,
  rolled: 6,
  rockered: 8,
};
const LEAST_SQUARE_MM: Record<Specification["toe"], number> = { round: 0, square: 2, "square set under": 7 };
export const leastRoll = ({ toe, toeEdge }: Pick<Specification, "toe" | "toeEdge">): number =>
  Math.max(LEAST_EDGE_MM[toeEdge], LEAST_SQUARE_MM[toe]);

/** Where a branch ought to end by its lens, y in mm. */
export const supportYOf = (support: HeelSupport, heelY: number, k: number): number =>
  support === "heel" ? heelY : support === "frog" ? Math.min(0, heelY) : Math.min(0, heelY) - LONG_MM * k;

/**
 * The shoe of a specification fitted to a foot: both edges, bars, breakover, traction, nails, mass and what they do to
 * front and support. The foot's own outline outside the widest part is followed with next to no fullness, behind it
 * with more and more; branches end where the heel-support lens says. `possible` is false where the inner edges cross.
 */
export function fitShoe(question: FitQuestion): Fit {
  const { foot, spec, breakover, setting } = question;
  const bare = spec.type === "bare";
  // An egg bar closes behind the heels, wherever an open branch would end.
  const support = spec.type === "egg bar" ? "heel" : spec.support;
  const supportY = eachSide((side) => supportYOf(support, foot.knots.heel[side][1], foot.k));
  const outer = outerEdge(question, supportY);
  const inner = innerEdge(question, outer);
  const middle = offsetPolyline(roundTheToe(outer), () => -spec.width / 2);
  const { loose, ...solid } = shoeSolid(outer, inner, barsOf(outer, inner, question));
  const toeY = Math.max(...roundTheToe(outer).map(([, y]) => y));
  const markY = foot.knots.toe[1] - breakover.fromToe;
  const roll = bare ? 0 : Math.max(0, Math.min(mostRoll(spec), toeY - markY));
  const breaksAtY = bare ? Math.min(foot.knots.toe[1], markY) : toeY - roll;
  const endY = eachSide((side) => outer[side].at(-1)?.[1] ?? 0);
  const hindmost = bare
    ? mean(foot.knots.heel.medial[1], foot.knots.heel.lateral[1])
    : Math.min(
        endY.medial,
        endY.lateral,
        spec.type === "egg bar" ? eggBackY(foot) : Number.POSITIVE_INFINITY,
      );
  const wide = widestOf(outer);
  const centreLine = polylineLength(middle);
  const acrossMm = isBar(spec)
    ? Math.abs((inner.lateral.at(-1)?.[0] ?? 0) - (inner.medial.at(-1)?.[0] ?? 0))
    : 0;
  const length = toeY - hindmost;
  const whole = eachSide((side) => stationsOf(foot.outline[side], foot.knots, side));
  return {
    question,
    outer,
    inner,
    solid,
    ...(spec.pad !== "none" && { pad: roundTheToe(outer) }),
    ...((spec.pad === "frog support" || spec.pad === "heart-bar") && { frogPad: frogPlate(foot, 0) }),
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
      wall: foot.horn,
      fullnessAt: (side, s) => standsOutAt(spec, setting.fuller[side], side, whole[side], s).total,
      web: spec.width,
      webAt: (side, s) => spec.width + bySide(spec, "wider", side) * changeAt(spec, whole[side], s),
      move: true,
      skip: [...question.skip, ...unloadedStretches(spec)],
    }),
    centreLine,
    grown: bare ? 0 : grownSteel(question, outer, centreLine),
    across: acrossMm,
    mass: specMass(spec, solid.area, centreLine),
    width: wide.lateral[0] - wide.medial[0],
    length,
    front: breaksAtY - foot.corY,
    support: foot.corY - hindmost,
    raiseMm: spec.raise ? raiseAtHeel(spec.raise.degrees, length) : 0,
    possible:
      !loose &&
      SIDES.every((side) => inner[side].every(([x], index) => index < 3 || x * signOf(side) > -0.5)),
  };
}

/** Places where the shoe leaves the wall alone take no nail. */
const unloadedStretches = ({ unloaded }: Specification): SkippedSector[] =>
  unloaded.flatMap((sector) => {
    const { sides, stretch } = sectorOf(sector);
    return sides.map((side) => ({ side, ...STRETCHES[stretch] }));
  });

/** What branches wider than the bar ask for, mm of the bar: the area gained over the bar's width. */
function grownSteel(question: FitQuestion, outer: SidedLine, centreLine: number): number {
  const { width } = question.spec;
  const more = SIDES.map((side) => {
    const wider = bySide(question.spec, "wider", side);
    if (wider <= 0) return 0;
    const webs = webAlong(question, outer, side);
    const mean = webs.reduce((sum, web) => sum + Math.max(0, web - width), 0) / webs.length;
    return (mean * centreLine) / 2;
  });
  return more.reduce((sum, area) => sum + area, 0) / width;
}

const mean = (a: number, b: number): number => (a + b) / 2;

/** How far a line stands outside another at a height, mm: positive = covered. */
export const coverAt = (outer: readonly SolarPoint[], at: SolarPoint): number =>
  halfWidthAt(outer, at[1]) - Math.abs(at[0]);
