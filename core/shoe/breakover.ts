import { crossingsOf, lengthDownTo, pointAlong, polylineLength } from "../geometry/polyline";
import type { SolarPoint, Vector } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { WEAR_STATES, type Wear } from "../foot/wear";
import { degrees, radians } from "../math/angle";
import { eachSide } from "../foot/parametric/parameters";
import type { Wording } from "../foot/wording";
import { roundTheToe, type SidedLine } from "./outline";

export const BREAKOVER_LENSES = ["pasternLine", "coffinTip", "evenHalves", "toe"] as const;
export type BreakoverLens = (typeof BREAKOVER_LENSES)[number];

export const BREAKOVER_NAMES: Record<BreakoverLens, string> = {
  pasternLine: "Pastern line",
  coffinTip: "Coffin tip",
  evenHalves: "Even halves",
  toe: "At the toe",
};
export const BREAKOVER_AIMS: Record<BreakoverLens, string> = {
  pasternLine: "Where the loaded pastern’s front line meets the ground",
  coffinTip: "A little ahead of the coffin bone’s tip",
  evenHalves: "As far ahead of the centre of rotation as the support behind it",
  toe: "The outline of the trimmed foot",
};

/** Breakover ahead of the coffin bone's tip on a foot of size 1, mm. Source: trade practice. */
export const AHEAD_OF_TIP_MM = 6;

export interface BreakoverQuestion {
  /** y of the toe after the trim, of the centre of rotation, and of where the shoe or the bare heel ends, mm. */
  toeY: number;
  corY: number;
  supportY: number;
  /** As the side view gives it: mm from the toe, negative = behind it. */
  pasternLineFromToe?: number | undefined;
  coffinTipY?: number | undefined;
  /** Ahead of the coffin tip, mm. */
  ahead?: number | undefined;
}

export interface Breakover {
  /** Mm back from the toe, never under 0; a lens whose mark is not known is missing. */
  fromToe: Partial<Record<BreakoverLens, number>> & { evenHalves: number; toe: number };
  chosen: { lens: BreakoverLens; fromToe: number };
}

/**
 * Where each lens would have the breakover, and the one that is chosen unless somebody says otherwise: of pastern line
 * and coffin tip the one further forward, which errs towards taking less; else the one there is; else even halves.
 * A place ahead of the toe is the toe. Source: trade practice.
 */
export function breakoverLenses(question: BreakoverQuestion): Breakover {
  const { toeY, corY, supportY, pasternLineFromToe, coffinTipY, ahead = AHEAD_OF_TIP_MM } = question;
  const back = (mm: number) => Math.max(0, mm) + 0;
  const fromToe: Breakover["fromToe"] = {
    ...(pasternLineFromToe !== undefined && { pasternLine: back(-pasternLineFromToe) }),
    ...(coffinTipY !== undefined && { coffinTip: back(toeY - coffinTipY - ahead) }),
    evenHalves: back(toeY - (2 * corY - supportY)),
    toe: 0,
  };
  const { pasternLine, coffinTip, evenHalves } = fromToe;
  const lens: BreakoverLens =
    pasternLine !== undefined && (coffinTip === undefined || pasternLine <= coffinTip)
      ? "pasternLine"
      : coffinTip !== undefined
        ? "coffinTip"
        : "evenHalves";
  return { fromToe, chosen: { lens, fromToe: fromToe[lens] ?? evenHalves } };
}

/** What the chosen place costs and gains, in words. */
export function breakoverTradeOff(breakover: Breakover, fromToeMm: number, wording: Wording): string {
  const { pasternLine } = breakover.fromToe;
  const shorter =
    fromToeMm < 0.5
      ? "Breakover at the toe: nothing is eased."
      : `Breakover ${wording.cut(fromToeMm)} back: that much less lever ahead of the joint, less work for the deep flexor tendon.`;
  if (pasternLine === undefined)
    return `${shorter} Without the pastern line it is not known when it goes too far back: measure the pastern with the other foot lifted.`;
  const behind = fromToeMm - pasternLine;
  if (behind <= 1)
    return `${shorter} It stays ahead of the pastern line${behind < -1 ? ` by ${wording.cut(-behind)}` : ""}.`;
  return `${shorter} It lies ${wording.cut(behind)} behind the pastern line: that puts work on the suspensory ligament and the superficial flexor.`;
}

/** A worn toe quarter turns the breakover this far to its side, deg for each step of wear. Assumption. */
const DEG_A_STEP = 12;

/** Direction in which the old shoe says the foot left the ground, deg to lateral; undefined with nothing painted. */
export function wearDirection(wear: Wear | undefined): number | undefined {
  if (!wear || (!wear.toe && !wear.toeQuarterMedial && !wear.toeQuarterLateral)) return undefined;
  const amount = (sector: keyof Wear) => WEAR_STATES.indexOf(wear[sector] ?? "untouched");
  return DEG_A_STEP * (amount("toeQuarterLateral") - amount("toeQuarterMedial")) + 0;
}

export interface DirectionWays {
  /** Degrees from the midline towards lateral. */
  watched?: number | undefined;
  wear?: number | undefined;
  levelLine?: number | undefined;
}
const WAY_NAMES: Record<keyof DirectionWays, string> = {
  watched: "watched",
  wear: "the old shoe’s wear",
  levelLine: "the level line",
};
/** Ways further apart than this are asked about, deg. Source: trade practice. */
export const DIRECTION_APART_DEG = 10;

/**
 * The direction of breakover by what there is: the mean of the ways, straight ahead without any. `apart` names the two
 * that lie furthest apart where they disagree by more than 10 degrees: then it is to be asked, not averaged away.
 */
export function breakoverDirection(ways: DirectionWays): {
  deg: number;
  known: boolean;
  apart?: { from: string; to: string; deg: number };
} {
  const known = (Object.keys(WAY_NAMES) as (keyof DirectionWays)[]).flatMap((way) => {
    const deg = ways[way];
    return deg === undefined ? [] : [{ way, deg }];
  });
  if (known.length === 0) return { deg: 0, known: false };
  const sorted = [...known].sort((a, b) => a.deg - b.deg);
  const [least, most] = [sorted[0], sorted.at(-1)] as [(typeof known)[number], (typeof known)[number]];
  const deg = known.reduce((sum, one) => sum + one.deg, 0) / known.length;
  return {
    deg,
    known: true,
    ...(most.deg - least.deg > DIRECTION_APART_DEG && {
      apart: { from: WAY_NAMES[least.way], to: WAY_NAMES[most.way], deg: most.deg - least.deg },
    }),
  };
}

export interface BreakoverLine {
  /** Point on the midline through which it runs. */
  at: SolarPoint;
  /** Unit vector along the line, from medial to lateral. */
  along: Vector;
  /** Where it crosses the outline, mm along that side from the toe. */
  crosses: Partial<Record<Side, { at: SolarPoint; s: number }>>;
  /** Length of the edge ahead of the line: what is rolled, mm. */
  rollMm: number;
}

/** The line across a sole: square to the direction of breakover, through the midline `fromToeMm` behind the toe. */
export function breakoverLine(
  outline: SidedLine,
  toeY: number,
  fromToeMm: number,
  directionDeg: number,
): BreakoverLine {
  const turn = radians(directionDeg);
  const at: SolarPoint = [0, toeY - fromToeMm];
  const along: Vector = [Math.cos(turn), -Math.sin(turn)];
  const line = roundTheToe(outline);
  const middle = polylineLength(outline.medial);
  const found = crossingsOf(line, at, along);
  const lateral = found.find(({ s }) => s > middle);
  const medial = found.findLast(({ s }) => s <= middle);
  const crosses: BreakoverLine["crosses"] = {
    ...(medial && { medial: { at: medial.at, s: middle - medial.s } }),
    ...(lateral && { lateral: { at: lateral.at, s: lateral.s - middle } }),
  };
  return { at, along, crosses, rollMm: (crosses.medial?.s ?? 0) + (crosses.lateral?.s ?? 0) };
}

/** A piece of traction stands this far ahead of the end of its branch, mm. Assumption. */
const AHEAD_OF_END_MM = 14;

/**
 * Where two pieces of traction stand on the branches, parallel to the breakover line and as far back as the branches
 * allow: with a turned line one stands further back than the other. `inset` mm in from the edge, mm along from the toe.
 */
export function tractionPlaces(
  outer: SidedLine,
  inset: number,
  directionDeg: number,
): Record<Side, { at: SolarPoint; s: number }> {
  const slope = -Math.tan(radians(directionDeg));
  const ends = eachSide((side): SolarPoint => outer[side].at(-1) ?? [0, 0]);
  const inwards = ([x, y]: SolarPoint): SolarPoint => [x - Math.sign(x) * inset, y];
  // y of the line on the midline, from each branch's hindmost place: the further forward of the two fits both.
  const through = Math.max(
    ...SIDES.map((side) => {
      const least = ends[side][1] + AHEAD_OF_END_MM;
      const [x] = inwards([xAt(outer[side], lengthDownTo(outer[side], least)), least]);
      return least - slope * x;
    }),
  );
  return eachSide((side) => {
    let y = ends[side][1] + AHEAD_OF_END_MM;
    // The branch leans: two rounds settle the place on it.
    for (let round = 0; round < 4; round++) {
      const s = lengthDownTo(outer[side], y);
      y = through + slope * inwards([xAt(outer[side], s), y])[0];
    }
    const s = lengthDownTo(outer[side], y);
    return { at: inwards([xAt(outer[side], s), y]), s };
  });
}

const xAt = (line: readonly SolarPoint[], s: number): number => pointAlong(line, s).at[0];

/** Degrees of a drawn line from straight across, from two points of it: what a dragged breakover line says. */
export const directionOf = (medial: Vector, lateral: Vector): number =>
  degrees(Math.atan2(medial[1] - lateral[1], lateral[0] - medial[0])) + 0;
