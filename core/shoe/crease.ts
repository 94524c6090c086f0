import { directionAlong, interpolate, pointAlong } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import type { Side } from "../foot/limb";
import type { Fit } from "./fit";
import { inwardsOf } from "./outline";

/** A crease runs this far past its first and last nail, mm. Assumption. */
export const PAST_NAIL_MM = 8;
/** How close its points lie, mm. */
const STEP_MM = 4;

/** The middle of the crease: along the outer edge, as far in as the nails stand. */
export function creaseOf(fit: Pick<Fit, "nails" | "outer">, side: Side): SolarPoint[] {
  const nails = fit.nails[side];
  const [first, last] = [nails[0], nails.at(-1)];
  if (!first || !last || nails.length < 2) return [];
  const [from, to] = [Math.max(0, first.s - PAST_NAIL_MM), last.s + PAST_NAIL_MM];
  const steps = Math.max(2, Math.ceil((to - from) / STEP_MM));
  return Array.from({ length: steps + 1 }, (_, index): SolarPoint => {
    const s = from + ((to - from) * index) / steps;
    const { at } = pointAlong(fit.outer[side], s);
    const [dx, dy] = directionAlong(fit.outer[side], s, 5);
    const inwards = inwardsOf([dx, dy], side);
    const inset = interpolate(
      nails.map((nail) => [nail.s, nail.inset] as const),
      s,
    );
    return [at[0] + inwards[0] * inset, at[1] + inwards[1] * inset];
  });
}
