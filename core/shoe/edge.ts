import { offsetPolyline } from "../geometry/polyline";
import { turned, type SolarPoint } from "../geometry/vector";
import type { Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import { radians } from "../math/angle";
import type { FitQuestion } from "./fitQuestion";
import { asSides, roundTheToe, type SidedLine } from "./outline";
import { changeAt, standsOutAt, stationsOf } from "./standsOut";
import { bySide, endOf, isBar, type Specification } from "./specification";

/** How far behind the toe a square toe lies on a foot of size 1, mm; set under, it lies further back. Assumption. */
const SQUARE_BACK_MM: Record<Specification["toe"], number> = {
  round: Number.NEGATIVE_INFINITY,
  square: 2,
  "square set under": 7,
};
/** How far past the widest place of the shoe its heels turn in at most, per mm of length. */
const HEEL_LEAN = 0.2;
/** The stretch of a branch in which its end is shaped, mm on a foot of size 1. Assumption. */
const END_MM = 30;
/** A tucked heel comes in by this much at its end, mm, and leaves so much of what stands out. Assumptions. */
const TUCK_MM = 4;
const TUCK_LEAVES_MM = 1.5;
/** What an end leaves of the web: tapered along it, open cut back from inside. Assumptions, from forged shoes. */
const END_WEB = { plain: 1, tapered: 0.65, tucked: 0.9, open: 0.72 } as const;

const frame = (line: SidedLine) => ({ points: roundTheToe(line), medialPoints: line.medial.length });

/** What a shoe stands out at each point of a side, mm; a tucked heel gives back what it can. */
function standingOut(question: FitQuestion, side: Side): number[] {
  const { foot, spec, setting } = question;
  const stations = stationsOf(foot.outline[side], foot.knots, side);
  const tuck = endOf(spec, side) === "tucked" ? END_MM * foot.k : 0;
  return stations.at.map((s) => {
    const { total } = standsOutAt(spec, setting.fuller[side], side, stations, s);
    const atEnd = tuck > 0 ? Math.max(0, 1 - (stations.whole - s) / tuck) : 0;
    return total - Math.min(TUCK_MM, Math.max(0, total - TUCK_LEAVES_MM)) * atEnd;
  });
}

/** The shoe turned on its foot, deg: as it is specified and as the hand has it. */
export const turnOf = ({ spec, setting }: Pick<FitQuestion, "spec" | "setting">): number =>
  spec.turn + setting.turn;

/** The shoe's outer edge: the foot's outline and what stands out, squared, turned and set back, ended at its support. */
export function outerEdge(question: FitQuestion, supportY: Record<Side, number>): SidedLine {
  const { foot, spec, setting } = question;
  const { points, medialPoints } = frame(foot.outline);
  const out = [...standingOut(question, "medial").reverse(), ...standingOut(question, "lateral").slice(1)];
  const fitted = offsetPolyline(points, (_, index) => out[index] ?? 0) as SolarPoint[];
  const flat = Math.max(...fitted.map(([, y]) => y)) - SQUARE_BACK_MM[spec.toe] * foot.k;
  const turn = radians(-turnOf(question));
  const placed = fitted.map(([x, y]): SolarPoint => {
    const [dx, dy] = turned([x, Math.min(y, flat) - foot.corY], turn);
    return [dx, dy + foot.corY - setting.back];
  });
  const sides = asSides(placed, medialPoints);
  return eachSide((side) => endedAt(sides[side], supportY[side] - bySide(spec, "longer", side)));
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

/** The web at each point of a side of the shoe, mm: the bar's, what this side has more, and its end as it is forged. */
export function webAlong(question: FitQuestion, outer: SidedLine, side: Side): number[] {
  const { foot, spec, setting } = question;
  const knots = {
    toeQuarter: eachSide((one): SolarPoint => [0, foot.knots.toeQuarter[one][1] - setting.back]),
    wide: eachSide((one): SolarPoint => [0, foot.knots.wide[one][1] - setting.back]),
  };
  const stations = stationsOf(outer[side], knots, side);
  const [end, reach] = [isBar(spec) ? 1 : END_WEB[endOf(spec, side)], END_MM * foot.k];
  return stations.at.map((s) => {
    const wider = bySide(spec, "wider", side) * changeAt(spec, stations, s);
    const atEnd = Math.max(0, 1 - (stations.whole - s) / reach);
    return (spec.width + wider) * (1 - (1 - end) * atEnd);
  });
}

/** Inner edge: a web's width inside the outer one. */
export function innerEdge(question: FitQuestion, outer: SidedLine): SidedLine {
  const { points, medialPoints } = frame(outer);
  const web = [
    ...webAlong(question, outer, "medial").reverse(),
    ...webAlong(question, outer, "lateral").slice(1),
  ];
  return asSides(offsetPolyline(points, (_, index) => -(web[index] ?? 0)) as SolarPoint[], medialPoints);
}
