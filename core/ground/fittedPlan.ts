import { USUAL_WHITE_LINE_MM } from "../foot/horn";
import { SIDES } from "../foot/limb";
import { signOf } from "../foot/parametric/parameters";
import { turned, type SolarPoint, type Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import { fail, ok, type Result } from "../result";
import { frogHalfAt } from "../shoe/bars";
import type { Fit } from "../shoe/fit";
import { roundTheToe } from "../shoe/outline";
import { meanVault } from "../shoe/packing";
import { sectorRun } from "../shoe/sectors";
import { PAD_MM, type Specification } from "../shoe/specification";
import { USUAL_GROUND, type GroundPlan } from "./groundModel";
import { cellGrid, cellsOf, lookStep, type Part } from "./plan";
import { distancesTo, gridOver, placesWithin, type Grid } from "./raster";

/** What of a foot decides how it stands, besides the fit of its shoe, mm. */
export interface StandingFoot {
  /** Centre of rotation above the foot's own bearing plane. */
  corHeight: number;
  /** The frog past the heels' plane after the trim, + = proud, and the depth beside it; an ordinary foot's where missing. */
  frogProud?: number | undefined;
  sulcusDepth?: number | undefined;
}

/** How steeply a toe rises ahead of its breakover line, mm per mm. Assumption, from forged toes. */
const RISES: Record<Specification["toeEdge"], number> = { plain: 0, eased: 0.5, rolled: 0.5, rockered: 0.35 };
/** A concave bar bears on the outer part of its web; from there its ground side slopes to this part of its thickness. Assumption. */
const CONCAVE_BEARS = 0.6;
const CONCAVE_RISES = 0.5;
/** Steps in which a bare toe's bevel rises, as a rolled one. */
const BEVEL_RISES = 0.5;

const ringOf = (line: Fit["outer"]): SolarPoint[] => roundTheToe(line) as SolarPoint[];

/** How far a place lies ahead of the line on which the foot breaks over, mm; under 0 behind it. */
function aheadOf({ line, breaksAtY }: Fit): (x: number, y: number) => number {
  const [ax, ay] = line.along;
  const size = Math.hypot(ax, ay) || 1;
  const [nx, ny] = ax >= 0 ? [-ay / size, ax / size] : [ay / size, -ax / size];
  return (x, y) => x * nx + (y - breaksAtY) * ny;
}

/** The closed places between a shoe's edges where it does not touch the wall. */
const unloadedRings = ({ outer, inner, question: { spec } }: Fit): SolarPoint[][] =>
  spec.unloaded.map((sector) => [...sectorRun(outer, sector), ...sectorRun(inner, sector).reverse()]);

/** Lies in any of some rings: each filled by itself, so that two that overlap make no hole. */
function inAnyOf(grid: Grid, rings: readonly (readonly SolarPoint[])[]): Uint8Array {
  const all = new Uint8Array(grid.columns * grid.rows);
  for (const ring of rings)
    for (const [place, within] of placesWithin(grid, [ring]).entries()) if (within) all[place] = 1;
  return all;
}

/**
 * The plan of a foot in the shoe that was fitted to it, as the ground meets it: metal as it is forged (web of each side, bar,
 * plate, rolled toe, concave section), what pad and compound bring down to the ground, frog and sole at their own heights.
 * A raise or a wedge tilts the foot over its shoe: its centre of rotation moves, frog and sole lift with it. The shoe bears on
 * the wall where there is metal under it and it is not unloaded, and on the frog where a pad or compound reaches it.
 *
 * Left out, because it is small against the web or sinks in at once: grip, nail heads, edges by place, relief; soft packing,
 * because it carries next to nothing. A pliable pad without compound bends until frog and sole carry, so it lies between
 * without lifting them off. Errors: `frog` for one that hangs below its shoe's ground surface.
 */
export function fittedPlan(fit: Fit, standing: StandingFoot, gridMm: number): Result<GroundPlan> {
  const { foot, spec } = fit.question;
  const bare = spec.type === "bare";
  const thickness = bare ? 0 : spec.thickness;
  const proud = standing.frogProud ?? -USUAL_GROUND.recess;
  const padded = !bare && spec.pad !== "none";
  const compound = !bare && spec.packing === "setting compound";
  // Compound comes down to the pad's underside, or without a pad to the shoe's own ground surface.
  const fillAt = padded ? thickness : 0;
  if (!bare && !compound && thickness - proud < 0)
    return fail(
      "frog",
      "frog",
      `This frog hangs ${Math.round(10 * (proud - thickness)) / 10} mm below its shoe’s ground surface: it would carry the horse on any ground. Check its height, or the shoe’s thickness.`,
      proud,
    );
  const heelY = Math.min(foot.knots.heel.medial[1], foot.knots.heel.lateral[1]);
  const toeY = foot.knots.toe[1];
  const outline = ringOf(foot.outline);
  const metal = bare ? [] : [fit.solid.outside, ...fit.solid.holes];
  const all = [...outline, ...(metal[0] ?? [])];
  const box = {
    half: Math.max(...all.map(([x]) => Math.abs(x))),
    back: Math.min(...all.map(([, y]) => y), 0),
    front: Math.max(...all.map(([, y]) => y)),
  };
  const grid = gridOver(box, lookStep(gridMm));
  const inFoot = placesWithin(grid, [outline]);
  const inMetal = placesWithin(grid, metal);
  const padOn = !bare && fit.frogPad ? placesWithin(grid, [fit.frogPad]) : undefined;
  const wall = (foot.horn.toe + foot.horn.quarter) / 2 + USUAL_WHITE_LINE_MM;
  const toWall = distancesTo(grid, outline, wall);
  const plateFrom = (fit.endY.medial + fit.endY.lateral) / 2 + spec.width;
  const onFrog = (x: number, y: number) => y >= 0 && y <= foot.trueApex && Math.abs(x) <= frogHalfAt(foot, y);
  const concave = !bare && spec.profile === "concave";
  const toEdge = concave ? distancesTo(grid, ringOf(fit.outer), spec.width) : undefined;
  const ahead = aheadOf(fit);
  const rises = bare ? BEVEL_RISES : RISES[spec.toeEdge];

  const partAt = (place: number, x: number, y: number): Part | undefined => {
    if (inMetal[place])
      return spec.type === "heart bar" && y > plateFrom && onFrog(x, y) && (toWall[place] ?? 0) > spec.width
        ? "plate"
        : "shoe";
    if (bare && inFoot[place] && (toWall[place] ?? 0) <= wall) return "wall";
    if (onFrog(x, y)) return compound || padOn?.[place] ? "fill" : "frog";
    if (!inFoot[place]) return undefined;
    return compound ? "packing" : "sole";
  };

  const tilt = radians(bare ? 0 : (spec.raise?.degrees ?? 0));
  const wedge = bare ? undefined : spec.sideWedge;
  const side = wedge ? signOf(wedge.side) : 0;
  const lean = radians(wedge?.degrees ?? 0);
  const half = Math.max(...outline.map(([x]) => Math.abs(x)));
  const lifted = (x: number, y: number) =>
    Math.max(0, toeY - y) * Math.tan(tilt) + Math.max(0, side * x + half) * Math.tan(lean);
  const vault = meanVault({ k: foot.k, sulcusDepthMm: standing.sulcusDepth });
  const clearanceAt = (part: Part, place: number, x: number, y: number): number => {
    if (part === "frog") return thickness - proud + lifted(x, y);
    if (part === "sole") return thickness + vault + lifted(x, y);
    if (part === "fill" || part === "packing") return fillAt;
    const over = Math.max(0, ahead(x, y)) * rises;
    if (part !== "shoe" || !toEdge) return over;
    const inward = Math.min(1, (toEdge[place] ?? 0) / spec.width);
    const sloped = Math.max(0, inward - CONCAVE_BEARS) / (1 - CONCAVE_BEARS);
    return over + sloped * CONCAVE_RISES * thickness;
  };

  const unloaded = bare ? undefined : inAnyOf(grid, unloadedRings(fit));
  const borderAt = (place: number, x: number, y: number): Part | undefined => {
    if (inFoot[place] && (toWall[place] ?? 0) <= wall)
      return inMetal[place] && !unloaded?.[place] ? "wall" : undefined;
    return padded && onFrog(x, y) && (compound || padOn?.[place]) ? "fill" : undefined;
  };
  const up = thickness + (padded ? PAD_MM : 0);
  const [back, height] = turned([foot.corY - toeY, standing.corHeight], -tilt) as Vector;
  return ok({
    cells: cellsOf(grid, partAt, clearanceAt),
    grid: cellGrid(grid),
    border: bare ? [] : cellsOf(grid, borderAt, () => 0),
    heelY,
    toeY,
    corX: -side * standing.corHeight * Math.sin(lean),
    corY: toeY + back,
    corHeight: up + height,
    breaksAtY: fit.breaksAtY,
    endsAtY: bare
      ? heelY
      : Math.min(...SIDES.map((one) => fit.endY[one]), ...fit.solid.outside.map(([, y]) => y)),
  });
}
