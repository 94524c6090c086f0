import { radians } from "../math/angle";
import { fail, ok, type Result } from "../result";
import { restOnGround, type Element } from "./contact";
import type { Cell, FootPlan, Part } from "./plan";
import { endsAt, shoeCells, type ShoePlan } from "./shoePlan";

/** What is asked: a foot in a shoe, on a ground, under a load. */
export interface GroundQuestion {
  foot: FootPlan;
  shoe: ShoePlan;
  /** Frog and sole above the foot's bearing plane, mm; filled: pad and compound flush with the shoe's ground surface. */
  frog: { recess: number; filled: boolean };
  /** N/mm³. */
  stiffness: number;
  load: { newtons: number; x: number; lead: number };
  /** N mm per degree. */
  spring: number;
  gridMm: number;
}

/** Where nothing was measured. Assumptions, to be changed by who looks at the result. */
export const USUAL_GROUND = { recess: 3, soleRecess: 6, spring: 1500, gridMm: 2, newtons: 2500 };
/** What frog and sole give besides the ground, N/mm³. Assumption, because horn and cushion are softer than firm ground. */
const SOFTNESS: Partial<Record<Part, number>> = { frog: 0.25, fill: 0.25, sole: 1 };

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
  /** Highest pressure of the shoe on the wall's border at toe and heels, kPa. */
  hoof: { toePeak: number; heelPeak: number };
  /** From the centre of rotation after the tilt to toe and hindmost support, along the ground, mm. */
  lever: { front: number; support: number };
  /** Centre of force, mm. */
  centre: { x: number; y: number };
  residual: number;
  iterations: number;
  /** Cell by cell, for the map; kPa. */
  cells: readonly Cell[];
  pressures: readonly number[];
}

const KPA = 1000;
/** So small that it only makes the answer the only one. */
const NO_SPRING = 1e-6;
/** Stiffness of the wall's border under the shoe: only its evenness counts. */
const BORDER = 1;

/**
 * A foot in a shoe at rest on a ground. The shoe passes what it carries on to the wall's border, spread linearly and without
 * pull; what frog, plate and filling carry goes to the frog, what the sole carries to the sole.
 * Errors: `frog` for one that hangs below its shoe, and those of {@link restOnGround}.
 */
export function footOnGround(question: GroundQuestion): Result<GroundAnswer> {
  const { foot, shoe, frog, stiffness, load, spring, gridMm } = question;
  const hangs = shoe.kind !== "bare" && shoe.thickness + frog.recess < 0;
  if (hangs && !frog.filled)
    return fail(
      "frog",
      "frog.recess",
      "This frog hangs below the shoe’s own ground surface: it would carry the horse on any ground. Check its height and the shoe’s thickness.",
      frog.recess,
    );
  const cells = shoeCells(foot, shoe, frog.filled, gridMm);
  const thickness = shoe.kind === "bare" ? 0 : shoe.thickness;
  const clearance: Record<Part, number> = {
    shoe: 0,
    plate: 0,
    wall: 0,
    fill: 0,
    frog: thickness + frog.recess,
    sole: thickness + USUAL_GROUND.soleRecess,
  };
  const elements = cells.map(({ x, y, area, part }): Element => ({
    x,
    y,
    area,
    clearance: clearance[part],
    softness: SOFTNESS[part],
  }));
  const rest = restOnGround(
    elements,
    { newtons: load.newtons, x: load.x, y: foot.corY + load.lead },
    stiffness,
    spring,
  );
  if (!rest.ok) return rest;
  const { sink, pitch, roll, pressures, residual, iterations } = rest.value;
  const forces = cells.map(({ area }, at) => area * (pressures[at] ?? 0));
  const all = forces.reduce((sum, force) => sum + force, 0);
  const part = (take: (cell: Cell) => boolean) =>
    cells.reduce((sum, cell, at) => (take(cell) ? sum + (forces[at] ?? 0) : sum), 0) / all;
  const length = foot.toeY - foot.heelY;
  const third = (from: number, to: number) =>
    part(({ y }) => y >= foot.heelY + from * length && y < foot.heelY + to * length);
  const heel = third(Number.NEGATIVE_INFINITY, 1 / 3);
  const middle = third(1 / 3, 2 / 3);
  const lateral = part(({ x }) => x > 0);
  const height = foot.corHeight + thickness;
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
      frog: part(({ part: of }) => of === "frog" || of === "fill" || of === "plate"),
      sole: part(({ part: of }) => of === "sole"),
    },
    peak: KPA * pressures.reduce((most, one) => Math.max(most, one), 0),
    hoof: hoofSide(question, cells, pressures, forces),
    lever: {
      front: (foot.toeY - foot.corY) * cos - height * sin,
      support: (foot.corY - endsAt(foot, shoe)) * cos + height * sin,
    },
    centre: {
      x: cells.reduce((sum, { x }, at) => sum + x * (forces[at] ?? 0), 0) / all,
      y: cells.reduce((sum, { y }, at) => sum + y * (forces[at] ?? 0), 0) / all,
    },
    residual,
    iterations,
    cells,
    pressures: pressures.map((one) => KPA * one),
  });
}

/** Peaks on the wall's border: of a bare foot what the ground does there, of a shod one what the shoe passes on. */
function hoofSide(
  { foot, gridMm }: GroundQuestion,
  cells: readonly Cell[],
  pressures: readonly number[],
  forces: readonly number[],
): GroundAnswer["hoof"] {
  const length = foot.toeY - foot.heelY;
  const peaks = (places: readonly { y: number; pressure: number }[]) => {
    const most = (take: (y: number) => boolean) =>
      KPA * places.reduce((highest, { y, pressure }) => (take(y) ? Math.max(highest, pressure) : highest), 0);
    return {
      toePeak: most((y) => y >= foot.heelY + (2 / 3) * length),
      heelPeak: most((y) => y < foot.heelY + length / 3),
    };
  };
  const shod = cells.some(({ part }) => part === "shoe");
  if (!shod)
    return peaks(
      cells.flatMap(({ y, part }, at) => (part === "wall" ? [{ y, pressure: pressures[at] ?? 0 }] : [])),
    );
  let [force, x, y] = [0, 0, 0];
  for (const [at, cell] of cells.entries()) {
    if (cell.part !== "shoe") continue;
    const own = forces[at] ?? 0;
    force += own;
    x += own * cell.x;
    y += own * cell.y;
  }
  if (force <= 0) return { toePeak: 0, heelPeak: 0 };
  const border = shoeCells(
    foot,
    { kind: "bare", webMedial: 0, webLateral: 0, thickness: 0, heelExtension: 0, barBehind: 0 },
    false,
    gridMm,
  )
    .filter(({ part }) => part === "wall")
    .map((cell): Element => ({ x: cell.x, y: cell.y, area: cell.area, clearance: 0 }));
  const spread = restOnGround(border, { newtons: force, x: x / force, y: y / force }, BORDER, NO_SPRING);
  if (!spread.ok) return { toePeak: 0, heelPeak: 0 };
  return peaks(border.map((cell, at) => ({ y: cell.y, pressure: spread.value.pressures[at] ?? 0 })));
}
