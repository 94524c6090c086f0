import { directionAlong, lengthDownTo, pointAlong } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import type { Side } from "../foot/limb";
import type { WearSector } from "../foot/wear";
import type { Fit } from "./fit";
import { inwardsOf } from "./outline";
import { sectorFor } from "./sectors";
import type { ClipPlaceName } from "./specification";

/** A clip on the outer edge: its side (none at the toe), mm along the edge from the middle of the toe, place and run. */
export interface ClipPlace {
  name: ClipPlaceName;
  side?: Side;
  s: number;
  at: SolarPoint;
  along: readonly [number, number];
}

/** Side clips stand this far ahead of the toe quarters, quarter clips this far behind them, mm on a foot of size 1. Assumptions. */
const AHEAD_OF_QUARTER_MM = 4;
const BEHIND_QUARTER_MM = 22;

/** Width of a clip at its base, and how far it stands out of the edge as it is seen from below, mm. Assumptions. */
export const CLIP_MM = { wide: 22, thick: 3.5, high: 12 };

/** Side of a clip, none at the toe, and the wall that it lies against. */
export const clipSide = (name: ClipPlaceName): Side | undefined =>
  name === "toe" ? undefined : name.endsWith("medial") ? "medial" : "lateral";
export function clipWall(name: ClipPlaceName): WearSector {
  const side = clipSide(name);
  return side ? sectorFor(name.startsWith("side") ? "toeQuarter" : "quarter", side) : "toe";
}

/** A clip as it is seen from below: a low tab on the outer edge. Closed, mm. */
export function clipTab({ at, along, side }: ClipPlace): SolarPoint[] {
  const [ix, iy] = inwardsOf(along, side ?? "lateral");
  const half = CLIP_MM.wide / 2;
  const point = (s: number, out: number): SolarPoint => [
    at[0] + along[0] * s - ix * out,
    at[1] + along[1] * s - iy * out,
  ];
  return [
    point(-half, -1),
    point(-half, 0),
    point(-half * 0.6, CLIP_MM.thick),
    point(half * 0.6, CLIP_MM.thick),
    point(half, 0),
    point(half, -1),
  ];
}

/** Where the clips of a fitted shoe stand: in the middle of the toe, ahead of a toe quarter, or behind it. */
export function clipPlaces({ outer, question, toeY }: Pick<Fit, "outer" | "question" | "toeY">): ClipPlace[] {
  const { spec, foot, setting } = question;
  return spec.clips.map((name): ClipPlace => {
    const side = clipSide(name);
    if (!side) return { name, s: 0, at: outer.lateral[0] ?? [0, toeY], along: [1, 0] };
    const by = name.startsWith("side") ? AHEAD_OF_QUARTER_MM : -BEHIND_QUARTER_MM * foot.k;
    const s = lengthDownTo(outer[side], foot.knots.toeQuarter[side][1] - setting.back + by);
    return { name, side, s, at: pointAlong(outer[side], s).at, along: directionAlong(outer[side], s, 5) };
  });
}
