import { radians } from "../math/angle";
import { ok, type Result } from "../result";
import { restOnGround, type Element } from "./contact";
import type { Cell, Part } from "./plan";

/** A foot in a shoe as the ground meets it: its cells with their heights, and the border of the wall that the shoe bears on. */
export interface GroundPlan {
  cells: readonly Cell[];
  /** Corner of the grid that the cells lie in, mm, and its step. */
  grid: { left: number; back: number; stepMm: number };
  /** What the shoe bears on: the wall's border, and the frog where a pad reaches it; empty for a bare foot. */
  border: readonly Cell[];
  /** Hindmost heel and toe of the foot, and its centre of rotation with its height above the ground, mm. */
  heelY: number;
  toeY: number;
  corX: number;
  corY: number;
  corHeight: number;
  /** Where the foot breaks over, and where its support ends behind. */
  breaksAtY: number;
  endsAtY: number;
}

/** On what it stands, and how it is loaded. */
export interface Standing {
  /** N/mm³. */
  stiffness: number;
  /** `x` to lateral of the midline, `lead` ahead of the centre of rotation, mm. */
  load: { newtons: number; x: number; lead: number };
  /** The limb's own resistance to pitch and roll, N mm per degree. */
  spring: number;
}

/** Where nothing was measured. Assumptions, to be changed by whoever looks at the result. */
export const USUAL_GROUND = { recess: 3, soleRecess: 6, spring: 1500, gridMm: 2, newtons: 2500 };
/** What frog and sole give besides the ground, N/mm³. Assumption, because horn and cushion are softer than firm ground. */
const SOFTNESS: Partial<Record<Part, number>> = { frog: 0.25, fill: 0.25, packing: 0.25, sole: 1 };

/** What a foot does on a ground by the model: for comparing shoes, never for foretelling a patient. */
export interface GroundAnswer {
  /** Under the load, mm. */
  sink: number;
  /** Deg, + = steeper, the toe lower; + = lateral lower. */
  pitch: number;
  roll: number;
  /** Parts of the load; toe, middle and heel sum to 1, medial and lateral too. */
  share: {
    toe: number;
    middle: number;
    heel: number;
    medial: number;
    lateral: number;
    frog: number;
    sole: number;
  };
  /** Highest pressure on the ground, kPa. */
  peak: number;
  /** Highest pressure of the shoe on the wall's border at toe and heels, kPa, and the part of the load that reaches the frog. */
  hoof: { toePeak: number; heelPeak: number; frog: number };
  /** From the centre of rotation after the tilt to breakover and hindmost support, along the ground, mm. */
  lever: { front: number; support: number };
  /** Centre of force, mm. */
  centre: { x: number; y: number };
  residual: number;
  iterations: number;
  /** Cell by cell, for the map; kPa. */
  pressures: readonly number[];
}

const KPA = 1000;
/** What these parts carry goes to the frog. */
const FOR_FROG: readonly Part[] = ["frog", "fill", "plate"];
/** So small that it only makes the answer the only one. */
const NO_SPRING = 1e-6;
/**
 * Stiffness of the wall's border under the shoe, N/mm³; only against a frog under a pad does it count. Assumption, because a
 * wall under load gives a few tenths of a millimetre.
 */
const BORDER = 3;

/**
 * A foot in a shoe at rest on a ground. The shoe passes what it carries on to the wall's border, spread linearly and without
 * pull; what frog, plate and filling carry goes to the frog, what the sole carries to the sole. Toe, middle and heel are
 * thirds of the foot's length; what lies behind the heels counts as heel.
 * Errors: those of {@link restOnGround}.
 */
export function planOnGround(plan: GroundPlan, { stiffness, load, spring }: Standing): Result<GroundAnswer> {
  const { cells, heelY, toeY, corY } = plan;
  const elements = cells.map(({ x, y, area, part, clearance }): Element => ({
    x,
    y,
    area,
    clearance,
    softness: SOFTNESS[part],
  }));
  const rest = restOnGround(
    elements,
    { newtons: load.newtons, x: plan.corX + load.x, y: corY + load.lead },
    stiffness,
    spring,
  );
  if (!rest.ok) return rest;
  const { sink, pitch, roll, pressures, residual, iterations } = rest.value;
  const forces = cells.map(({ area }, at) => area * (pressures[at] ?? 0));
  const all = forces.reduce((sum, force) => sum + force, 0);
  const part = (take: (cell: Cell) => boolean) =>
    cells.reduce((sum, cell, at) => (take(cell) ? sum + (forces[at] ?? 0) : sum), 0) / all;
  const [low, high] = [heelY + (toeY - heelY) / 3, heelY + (2 * (toeY - heelY)) / 3];
  const heel = part(({ y }) => y < low);
  const middle = part(({ y }) => y >= low && y < high);
  const lateral = part(({ x }) => x > 0);
  const [cos, sin] = [Math.cos(radians(pitch)), Math.sin(radians(pitch))];
  return ok({
    sink,
    pitch,
    roll,
    share: {
      toe: 1 - heel - middle,
      middle,
      heel,
      medial: 1 - lateral,
      lateral,
      frog: part(({ part: of }) => FOR_FROG.includes(of)),
      sole: part(({ part: of }) => of === "sole" || of === "packing"),
    },
    peak: KPA * pressures.reduce((most, one) => Math.max(most, one), 0),
    hoof: hoofSide(plan, pressures, forces, load.newtons),
    lever: {
      front: (plan.breaksAtY - corY) * cos - plan.corHeight * sin,
      support: (corY - plan.endsAtY) * cos + plan.corHeight * sin,
    },
    centre: {
      x: cells.reduce((sum, { x }, at) => sum + x * (forces[at] ?? 0), 0) / all,
      y: cells.reduce((sum, { y }, at) => sum + y * (forces[at] ?? 0), 0) / all,
    },
    residual,
    iterations,
    pressures: pressures.map((one) => KPA * one),
  });
}

/** Peaks on the wall's border: of a bare foot what the ground does there, of a shod one what the shoe passes on. */
function hoofSide(
  { cells, border, heelY, toeY }: GroundPlan,
  pressures: readonly number[],
  forces: readonly number[],
  newtons: number,
): GroundAnswer["hoof"] {
  const length = toeY - heelY;
  const peaks = (places: readonly Cell[], pressure: readonly number[]) => {
    const most = (take: (y: number) => boolean) =>
      KPA *
      places.reduce(
        (highest, { y, part }, at) =>
          part === "wall" && take(y) ? Math.max(highest, pressure[at] ?? 0) : highest,
        0,
      );
    return {
      toePeak: most((y) => y >= heelY + (2 / 3) * length),
      heelPeak: most((y) => y < heelY + length / 3),
    };
  };
  const direct = cells.reduce(
    (sum, { part }, at) => (FOR_FROG.includes(part) ? sum + (forces[at] ?? 0) : sum),
    0,
  );
  if (border.length === 0) return { ...peaks(cells, pressures), frog: direct / newtons };
  let [force, x, y] = [0, 0, 0];
  for (const [at, cell] of cells.entries()) {
    if (cell.part !== "shoe") continue;
    const own = forces[at] ?? 0;
    force += own;
    x += own * cell.x;
    y += own * cell.y;
  }
  const nothing = { toePeak: 0, heelPeak: 0, frog: direct / newtons };
  if (force <= 0) return nothing;
  const bears = border.map((cell): Element => ({
    x: cell.x,
    y: cell.y,
    area: cell.area,
    clearance: 0,
    softness: SOFTNESS[cell.part],
  }));
  const spread = restOnGround(bears, { newtons: force, x: x / force, y: y / force }, BORDER, NO_SPRING);
  if (!spread.ok) return nothing;
  const passed = border.reduce(
    (sum, { part, area }, at) => (part === "fill" ? sum + area * (spread.value.pressures[at] ?? 0) : sum),
    0,
  );
  return { ...peaks(border, spread.value.pressures), frog: (direct + passed) / newtons };
}
