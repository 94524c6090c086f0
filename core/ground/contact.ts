import { degrees } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** One piece of what bears: place in the sole's plane (x to lateral, y to the toe, mm), area, and its height. */
export interface Element {
  x: number;
  y: number;
  /** mm². */
  area: number;
  /** Above the shoe's ground surface, mm; under 0 it hangs below it. */
  clearance: number;
  /** Of what lies between ground and bone there besides the ground, N/mm³; rigid where missing. */
  softness?: number | undefined;
}

/** A vertical load at a point, and how the limb holds the foot against turning. */
export interface Load {
  newtons: number;
  x: number;
  y: number;
}

/** A rigid foot at rest on the ground. */
export interface Rest {
  /** Under the load, mm. */
  sink: number;
  /** Deg, + = toe lower. */
  pitch: number;
  /** Deg, + = lateral lower. */
  roll: number;
  /** N/mm², element by element. */
  pressures: number[];
  /** Largest of what force and moments are off by, as a part of the load and of the load on a lever of 100 mm. */
  residual: number;
  iterations: number;
}

/** Nothing is stiffer than this, N/mm³: steel on rock. */
export const STIFFEST = 1000;
/** Newton steps at the most: the active set settles in a few. */
const MOST_STEPS = 200;
/** Force and moments balance to this part of the load. */
const BALANCED = 1e-9;
/** A moment is held against the load on a lever of so many mm. */
const LEVER_MM = 100;
/** A step is halved at the most so often, until the energy falls by this part of what its slope promises. */
const MOST_HALVINGS = 40;
const SUFFICIENT = 1e-4;
/** Energies closer than this part of one another are not told apart. */
const ROUNDING = 1e-11;

/**
 * Sinks a rigid foot into ground that pushes and does not pull (an elastic foundation after Winkler): pressure = stiffness
 * x penetration where it penetrates. Newton on the energy, which is convex, with the elements in contact as the active set
 * and a step that is halved until the energy falls. `springPerDegree` is the limb's own resistance to pitch and roll, N mm
 * per degree: without it a few millimetres of lead would matter more than any shoe; it makes the answer the only one.
 *
 * Errors: `load` without a load, `stiffness` and `spring` out of range, `no-contact` where nothing bears, `not-balanced`
 * where it does not settle. Source: Winkler 1867; Nocedal and Wright 2006, Numerical Optimization, ch. 3.
 */
export function restOnGround(
  elements: readonly Element[],
  load: Load,
  stiffness: number,
  springPerDegree: number,
): Result<Rest> {
  if (!(load.newtons > 0) || !Number.isFinite(load.newtons))
    return fail(
      "load",
      "load.newtons",
      "Without a load nothing sinks: give the force on this foot in newtons.",
    );
  if (!(stiffness > 0) || stiffness > STIFFEST)
    return fail(
      "stiffness",
      "ground.stiffness",
      `A ground’s stiffness lies between 0 and ${STIFFEST} N/mm³: deep sand 0.008, turf 0.1, concrete 50.`,
      stiffness,
    );
  if (!(springPerDegree > 0) || !Number.isFinite(springPerDegree))
    return fail("spring", "spring", "The limb’s own resistance is more than 0 N mm per degree.");
  const bearing = elements.filter(({ area }) => area > 0);
  if (bearing.length === 0) return fail("no-contact", "foot", "Nothing of this foot bears on the ground.");
  const count = bearing.length;
  // Plain numbers side by side: this is gone through hundreds of times.
  const [dx, dy, up, stiff] = [0, 1, 2, 3].map(() => new Float64Array(count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  let [total, mean] = [0, 0];
  for (const [at, { x, y, area, clearance, softness }] of bearing.entries()) {
    const k = area * (softness === undefined ? stiffness : 1 / (1 / stiffness + 1 / softness));
    dx[at] = x - load.x;
    dy[at] = y - load.y;
    up[at] = clearance;
    stiff[at] = k;
    total += k;
    mean += k * clearance;
  }
  const springRad = degrees(springPerDegree);
  // The three freedoms: sink at the load, and what a tilt adds a mm away from it. Radians inside.
  let [z, pitch, roll] = [mean / total + load.newtons / total, 0, 0];
  const energy = (sink: number, ahead: number, aside: number): number => {
    let sum = -load.newtons * sink + (springRad / 2) * (ahead * ahead + aside * aside);
    for (let at = 0; at < count; at++) {
      const deep = sink + ahead * (dy[at] ?? 0) + aside * (dx[at] ?? 0) - (up[at] ?? 0);
      if (deep > 0) sum += ((stiff[at] ?? 0) / 2) * deep * deep;
    }
    return sum;
  };
  let residual = Number.POSITIVE_INFINITY;
  let iterations = 0;
  for (; iterations < MOST_STEPS; iterations++) {
    let [gz, gp, gr] = [-load.newtons, springRad * pitch, springRad * roll];
    let [zz, zp, zr, pp, pr, rr] = [0, 0, 0, springRad, 0, springRad];
    for (let at = 0; at < count; at++) {
      const y = dy[at] ?? 0;
      const x = dx[at] ?? 0;
      const deep = z + pitch * y + roll * x - (up[at] ?? 0);
      if (deep <= 0) continue;
      const k = stiff[at] ?? 0;
      const force = k * deep;
      gz += force;
      gp += force * y;
      gr += force * x;
      zz += k;
      zp += k * y;
      zr += k * x;
      pp += k * y * y;
      pr += k * y * x;
      rr += k * x * x;
    }
    residual = Math.max(
      Math.abs(gz) / load.newtons,
      Math.abs(gp) / (load.newtons * LEVER_MM),
      Math.abs(gr) / (load.newtons * LEVER_MM),
    );
    if (residual <= BALANCED) break;
    if (zz === 0) {
      // Out of the ground altogether: down until something touches.
      z += 1;
      continue;
    }
    const step = solve3([zz, zp, zr, pp, pr, rr], [gz, gp, gr]);
    if (!step) return fail("not-balanced", "foot", "This foot finds no rest: what bears lies in one line.");
    const before = energy(z, pitch, roll);
    const slope = gz * step[0] + gp * step[1] + gr * step[2];
    // Near rest the energy falls by less than it can be told apart: the whole step is the right one there.
    const tellable = slope > ROUNDING * Math.abs(before);
    let part = 1;
    for (let halved = 0; tellable && halved < MOST_HALVINGS; halved++) {
      const after = energy(z - part * step[0], pitch - part * step[1], roll - part * step[2]);
      if (after <= before - SUFFICIENT * part * slope) break;
      part /= 2;
    }
    z -= part * step[0];
    pitch -= part * step[1];
    roll -= part * step[2];
  }
  if (!(residual <= BALANCED))
    return fail(
      "not-balanced",
      "foot",
      "Force and moments do not come to balance on this foot. Check its outline and load.",
    );
  return ok({
    sink: z,
    pitch: degrees(pitch),
    roll: degrees(roll),
    pressures: elements.map(({ x, y, area, clearance, softness }) => {
      const deep = z + pitch * (y - load.y) + roll * (x - load.x) - clearance;
      const k = softness === undefined ? stiffness : 1 / (1 / stiffness + 1 / softness);
      return area > 0 && deep > 0 ? k * deep : 0;
    }),
    residual,
    iterations,
  });
}

/** Solves a symmetric system of three by elimination; `[aa, ab, ac, bb, bc, cc]`. Undefined where it is singular. */
function solve3(
  [aa, ab, ac, bb, bc, cc]: readonly [number, number, number, number, number, number],
  [p, q, r]: readonly [number, number, number],
): [number, number, number] | undefined {
  const b = bb - (ab * ab) / aa;
  const c = bc - (ab * ac) / aa;
  const d = cc - (ac * ac) / aa;
  const q1 = q - (ab * p) / aa;
  const r1 = r - (ac * p) / aa;
  if (!(Math.abs(b) > 0)) return undefined;
  const e = d - (c * c) / b;
  const r2 = r1 - (c * q1) / b;
  if (!(Math.abs(e) > 0)) return undefined;
  const z = r2 / e;
  const y = (q1 - c * z) / b;
  return [(p - ab * y - ac * z) / aa, y, z];
}
