import { interpolate, offsetPolyline, polygonCentroid } from "../../geometry/polyline";
import { minus, type SolarPoint } from "../../geometry/vector";
import { SIDES, type Side } from "../limb";
import { soleLandmarks } from "./landmarks";
import { groundOutline } from "./outline";
import type { FootParameters } from "./parameters";
import type { SolarMarks } from "../survey/frame";
import type { SurveyMark } from "../survey/marks";
import { evenWall, WALL_TAPER, type WallPlace, type Walls } from "../survey/walls";

const KNOTS: Record<Side, readonly SurveyMark[]> = {
  medial: ["heelMedial", "wideMedial", "toeQuarterMedial"],
  lateral: ["heelLateral", "wideLateral", "toeQuarterLateral"],
};

/** Where the survey's marks stand, the parametric foot's own where they were not taken. */
export function filledMarks(foot: FootParameters, marks: SolarMarks): Record<SurveyMark, SolarPoint> {
  const guess = soleLandmarks(foot);
  return Object.fromEntries(
    Object.entries(guess).map(([mark, [x, y]]) => {
      const measured = marks[mark as SurveyMark];
      return [mark, [measured?.x ?? x, measured?.y ?? y]];
    }),
  ) as unknown as Record<SurveyMark, SolarPoint>;
}

/**
 * The present outline, open, from the medial heel round the toe to the lateral heel, solar frame, mm: the parametric
 * foot's shape drawn through the marks that were measured. Where nothing was measured it is the guess itself.
 */
export function presentOutline(foot: FootParameters, marks: SolarMarks): SolarPoint[] {
  const guess = soleLandmarks(foot);
  const filled = filledMarks(foot, marks);
  const toeShift = filled.toe[0] - guess.toe[0];
  const wideY = (filled.wideMedial[1] + filled.wideLateral[1]) / 2;
  const shiftAt = (y: number) => {
    const part = Math.max(0, Math.min(1, (y - wideY) / (filled.toe[1] - wideY || 1)));
    return toeShift * part * part;
  };
  const warp = Object.fromEntries(
    SIDES.map((side) => {
      const knots = [...KNOTS[side], "toe" as const];
      const yKnots = knots.map((mark) => [guess[mark][1], filled[mark][1]] as const);
      const widths = KNOTS[side].map(
        (mark) =>
          [
            guess[mark][1],
            Math.abs(filled[mark][0] - shiftAt(filled[mark][1])) / Math.abs(guess[mark][0]),
          ] as const,
      );
      return [side, { yKnots, widths }];
    }),
  ) as Record<Side, { yKnots: (readonly [number, number])[]; widths: (readonly [number, number])[] }>;
  return groundOutline(foot).map(([x, y]) => {
    const { yKnots, widths } = warp[x < 0 ? "medial" : "lateral"];
    const newY = interpolate(yKnots, y);
    return [x * interpolate(widths, y) + shiftAt(newY), newY];
  });
}

export interface UndistortedOutline {
  /** Edge of the live sole, as traced or worked out from the wall. */
  soleEdge: SolarPoint[];
  soleEdgeFrom: "trace" | "wall thickness";
  /** The foot's own shape: the live sole moved out by an even wall. */
  outline: SolarPoint[];
  /** The even wall at the toe; it tapers to the heels. */
  evenWallMm: number;
  /** Horn standing outside the undistorted outline, mm; negative = missing there. */
  hornOutside: Partial<Record<WallPlace, number>>;
  /** Centre of the present outline minus centre of the undistorted one: which way the foot is drifting. */
  drift: { lateral: number; toe: number };
}

/** Where the places of the wall lie along a side, 0 heel to 1 toe. */
const ALONG = { heel: 0, quarter: 0.42, toeQuarter: 0.8, toe: 1 };
const TAPER_ALONG: [number, number][] = [
  [ALONG.heel, WALL_TAPER.heelMedial],
  [ALONG.quarter, WALL_TAPER.quarterMedial],
  [ALONG.toeQuarter, WALL_TAPER.toeQuarterMedial],
  [ALONG.toe, WALL_TAPER.toe],
];

/** Wall thickness along one side, interpolated between the places where it was measured; undefined without any. */
function thicknessAlong(walls: Walls, side: Side): ((part: number) => number) | undefined {
  const name = side === "medial" ? "Medial" : "Lateral";
  const places: [number, WallPlace][] = [
    [ALONG.heel, `heel${name}`],
    [ALONG.quarter, `quarter${name}`],
    [ALONG.toeQuarter, `toeQuarter${name}`],
    [ALONG.toe, "toe"],
  ];
  const knots = places.flatMap(([at, place]): [number, number][] => {
    const mm = walls[place]?.thickness;
    return mm === undefined ? [] : [[at, mm]];
  });
  return knots.length === 0 ? undefined : (part) => interpolate(knots, part);
}

/**
 * The foot's own shape. The edge of the live sole is the trace where one was made (at least five points), else the
 * present outline moved in by the measured wall; the undistorted outline is that edge moved out by the even wall
 * (see {@link evenWall}). Nothing with fewer than three measured thicknesses: it would be invention.
 */
export function undistortedOutline(
  present: readonly SolarPoint[],
  walls: Walls,
  trace: readonly SolarPoint[] = [],
): UndistortedOutline | undefined {
  const even = evenWall(walls);
  const [medial, lateral] = [thicknessAlong(walls, "medial"), thicknessAlong(walls, "lateral")];
  if (even === undefined || !medial || !lateral) return undefined;
  const partOf = (part: number) => 1 - Math.abs(2 * part - 1);
  const wallAt = (part: number) => (part <= 0.5 ? medial : lateral)(partOf(part));
  const traced = trace.length >= 5;
  // The outline runs clockwise where y points up: its inside lies to the right.
  const soleEdge = (traced ? [...trace] : offsetPolyline(present, (part) => -wallAt(part))) as SolarPoint[];
  const heelPart = ALONG.quarter / 2;
  const evenAt = (part: number) => {
    const along = partOf(part);
    const sound = even * interpolate(TAPER_ALONG, along);
    if (along >= heelPart) return sound;
    // At the heels the wall is taken as it stands: buttress and bar run together there.
    const stands = Math.min(sound, wallAt(part));
    return stands + ((sound - stands) * along) / heelPart;
  };
  const outline = offsetPolyline(soleEdge, evenAt) as SolarPoint[];
  const hornOutside: UndistortedOutline["hornOutside"] = {};
  const put = (place: WallPlace, thickness: number | undefined) => {
    if (thickness !== undefined) hornOutside[place] = thickness - even * WALL_TAPER[place];
  };
  for (const [place, measured] of Object.entries(walls) as [WallPlace, Walls[WallPlace]][])
    if (!place.startsWith("heel")) put(place, measured?.thickness);
  const [x, y] = minus(polygonCentroid(present), polygonCentroid(outline));
  return {
    soleEdge,
    soleEdgeFrom: traced ? "trace" : "wall thickness",
    outline,
    evenWallMm: even,
    hornOutside,
    drift: { lateral: x, toe: y },
  };
}

/** Coffin bone on a foot of size 1, mm: half width at its wings, how far it is rounded. Assumption, from drawn feet. */
const BONE = { halfWidth: 40, behindCor: 6 };

/**
 * The coffin bone's outline as far as the sole can tell: an estimate about the midline, its tip at `coffinTip`, its
 * wings at the centre of rotation. Open, medial to lateral.
 */
export function boneOutline(survey: { coffinTip: number; cor: number; k: number }): SolarPoint[] {
  const { coffinTip, cor, k } = survey;
  const from = cor - BONE.behindCor * k;
  return Array.from({ length: 25 }, (_, index): SolarPoint => {
    const angle = Math.PI * (1 - index / 24);
    return [Math.cos(angle) * BONE.halfWidth * k, from + Math.sin(angle) * (coffinTip - from)];
  });
}
