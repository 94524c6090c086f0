import { cellGrid, cellsOf, lookStep, type FootPlan, type Part } from "./plan";
import { fail, ok, type Result } from "../result";
import { USUAL_GROUND, type GroundPlan } from "./groundModel";
import { distancesTo, gridOver, placesWithin } from "./raster";

/** The shoes of two measures. */
export const GROUND_SHOES = ["bare", "plain", "straight-bar", "egg-bar", "heart-bar"] as const;
export type GroundShoe = (typeof GROUND_SHOES)[number];

/** A shoe as far as the ground asks, mm. */
export interface ShoePlan {
  kind: GroundShoe;
  webMedial: number;
  webLateral: number;
  thickness: number;
  /** How far its branches end behind the heels, + = behind. */
  heelExtension: number;
  /** How far an egg bar reaches behind the heels. */
  barBehind: number;
}

/** Where nothing was measured, mm. Source: trade practice. */
export const USUAL_SHOE: Omit<ShoePlan, "kind"> = {
  webMedial: 22,
  webLateral: 22,
  thickness: 10,
  heelExtension: 0,
  barBehind: 30,
};
/** Of a bare foot: the wall that bears, mm. Assumption, from drawn feet. */
export const WALL_RING_MM = 10;
/** A heart bar's plate covers so much of the frog, from behind. Source: trade practice. */
const PLATE_PART = 0.8;

/** What lies under each place of a foot in a shoe; undefined outside of both. */
function partOf(
  foot: FootPlan,
  shoe: ShoePlan,
  filled: boolean,
  { within, toBorder }: { within: Uint8Array; toBorder: Float32Array },
): (place: number, x: number, y: number) => Part | undefined {
  const { heelY, outline, frogHalf } = foot;
  const bare = shoe.kind === "bare";
  const plateEnd = heelY + PLATE_PART * (lastFrog(foot) - heelY);
  const halfAtHeels = Math.max(...outline.filter(([, y]) => y <= heelY + 1).map(([x]) => Math.abs(x)));
  const barred = shoe.kind === "straight-bar" || shoe.kind === "heart-bar";
  const web = (x: number) => (bare ? WALL_RING_MM : x > 0 ? shoe.webLateral : shoe.webMedial);
  const behindHeels = (x: number, behind: number): boolean => {
    if (bare) return false;
    if (shoe.kind !== "egg-bar") {
      const inBranch = Math.abs(x) <= halfAtHeels && Math.abs(x) >= halfAtHeels - web(x);
      return behind <= shoe.heelExtension && inBranch;
    }
    // Half an ellipse behind the heels, as wide as the web.
    const [a, b] = [halfAtHeels, shoe.barBehind];
    const outer = (x / a) ** 2 + (behind / b) ** 2 <= 1;
    const inner = (x / Math.max(1, a - web(x))) ** 2 + (behind / Math.max(1, b - web(x))) ** 2 < 1;
    return outer && !inner;
  };
  return (place, x, y) => {
    if (y < heelY) return behindHeels(x, heelY - y) ? "shoe" : undefined;
    if (!within[place]) return undefined;
    if ((toBorder[place] ?? 0) <= web(x)) return bare ? "wall" : "shoe";
    if (barred && y <= heelY + web(x)) return "shoe";
    const half = frogHalf(y);
    if (half === 0 || Math.abs(x) > half) return "sole";
    if (shoe.kind === "heart-bar" && y <= plateEnd) return "plate";
    return filled ? "fill" : "frog";
  };
}

const lastFrog = ({ frogHalf, heelY, toeY }: FootPlan): number => {
  let y = heelY;
  while (y < toeY && frogHalf(y + 1) > 0) y += 1;
  return y;
};

/** The cells of a foot in a shoe, each part at its own height. */
function shoeCells(
  foot: FootPlan,
  shoe: ShoePlan,
  filled: boolean,
  gridMm: number,
  clearance: Record<Part, number>,
): Pick<GroundPlan, "cells" | "grid"> {
  const half = Math.max(...foot.outline.map(([x]) => Math.abs(x)));
  const grid = gridOver({ half, back: endsAt(foot, shoe), front: foot.toeY }, lookStep(gridMm));
  const reach = shoe.kind === "bare" ? WALL_RING_MM : Math.max(shoe.webMedial, shoe.webLateral);
  const places = {
    within: placesWithin(grid, [foot.outline]),
    // Open from the last point to the first: no border runs across the heels.
    toBorder: distancesTo(grid, foot.outline, reach),
  };
  return {
    cells: cellsOf(grid, partOf(foot, shoe, filled, places), (part) => clearance[part]),
    grid: cellGrid(grid),
  };
}

/** Where the shoe, or the bare heel, ends behind. */
const endsAt = ({ heelY }: FootPlan, shoe: ShoePlan): number =>
  shoe.kind === "bare" ? heelY : heelY - (shoe.kind === "egg-bar" ? shoe.barBehind : shoe.heelExtension);

/** The wall of a bare foot, on which a shoe bears. */
const BARE: ShoePlan = {
  kind: "bare",
  webMedial: 0,
  webLateral: 0,
  thickness: 0,
  heelExtension: 0,
  barBehind: 0,
};

/**
 * A foot of two measures in one of five shoes. `recess` is the frog above the foot's bearing plane, mm; `filled` is pad and
 * compound flush with the shoe's ground surface. Errors: `frog` for one that hangs below its shoe.
 */
export function plainPlan(
  foot: FootPlan,
  shoe: ShoePlan,
  { recess, filled }: { recess: number; filled: boolean },
  gridMm: number,
): Result<GroundPlan> {
  const shod = shoe.kind !== "bare";
  const thickness = shod ? shoe.thickness : 0;
  if (shod && !filled && thickness + recess < 0)
    return fail(
      "frog",
      "frog.recess",
      "This frog hangs below the shoe’s own ground surface: it would carry the horse on any ground. Check its height and the shoe’s thickness.",
      recess,
    );
  const clearance: Record<Part, number> = {
    ...FLUSH,
    frog: thickness + recess,
    sole: thickness + USUAL_GROUND.soleRecess,
  };
  return ok({
    ...shoeCells(foot, shoe, filled, gridMm, clearance),
    border: shod
      ? shoeCells(foot, BARE, false, gridMm, FLUSH).cells.filter(({ part }) => part === "wall")
      : [],
    heelY: foot.heelY,
    toeY: foot.toeY,
    corX: 0,
    corY: foot.corY,
    corHeight: foot.corHeight + thickness,
    breaksAtY: foot.toeY,
    endsAtY: endsAt(foot, shoe),
  });
}

/** Nothing lies higher than what bears. */
const FLUSH: Record<Part, number> = { shoe: 0, plate: 0, wall: 0, fill: 0, packing: 0, frog: 0, sole: 0 };
