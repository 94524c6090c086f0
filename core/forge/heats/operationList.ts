import { ALUMINIUM_WORKS, COOLS_C } from "../../constants/colours";
import { SIDES, type Side } from "../../foot/limb";
import type { Specification } from "../../shoe/specification";
import type { HeatPlace, Operation } from "./operation";

/** What a shoe is forged from: a straight bar, or a shoe that was bought and is altered. */
export type ForgedFrom = "bar" | "ready-made";

/** Thickness at which the constants of cooling hold, mm; a thinner section cools faster, within these bounds. */
const ORDINARY_THICKNESS_MM = 10;
const FASTER_AT_MOST = 1.3;
const SLOWER_AT_MOST = 0.7;

/** Heats of the trade's operations, degrees C. Source: trade practice; see the colours. */
export const FORGING = { fromC: 1000, toC: 1200 };
export const SHAPING = { fromC: 850, toC: 1100 };
export const DRESSING = { fromC: 700, toC: 950 };
export const STAMPING = { fromC: 850, toC: 1050 };
export const PIERCING = { fromC: 400, toC: 700 };
export const CLIPPING = { fromC: 950, toC: 1150 };
export const WELDING = { fromC: 1250, toC: 1350 };
export const WELD_COOLS_C = 60;

export const FUMES = "Never in the fire: anything galvanised or plated. Keep the draught going.";
export const SPARKS = "Glasses on, nobody in line: flux and scale fly at the first blow.";
export const LIGHT = "No colour shows before it collapses: test with a pine stick or a marker, in shade.";

/** The same operation on both branches, by id; and something for each branch. */
export const both = (name: string): string[] => SIDES.map((side) => `${name}-${side}`);
export const pair = (make: (side: Side) => void) => SIDES.forEach(make);

/** Operations as they are added, one after another; light metal is warmed whole, with its own heat and caution. */
export function operationList(spec: Specification) {
  const light = spec.material === "aluminium";
  const quick = Math.max(
    SLOWER_AT_MOST,
    Math.min(FASTER_AT_MOST, ORDINARY_THICKNESS_MM / Math.max(1, spec.thickness)),
  );
  const cools = (kind: "heavy" | "light") => Math.round(COOLS_C.value[kind] * quick);
  const alloy = { fromC: ALUMINIUM_WORKS.value.fromC, toC: ALUMINIUM_WORKS.value.toC };
  const ops: Operation[] = [];
  const hot = (
    id: string,
    words: string,
    place: HeatPlace,
    heat: { fromC: number; toC: number },
    needs: readonly string[],
    more: { cools?: number; check?: string; caution?: string } = {},
  ) => {
    ops.push({
      id,
      words,
      // Light metal carries its heat all through: it is warmed whole.
      place: light ? "whole" : place,
      heat: light ? alloy : heat,
      cools: light ? 30 : (more.cools ?? cools("heavy")),
      needs,
      ...(more.check && { check: more.check }),
      ...((more.caution ?? (light ? LIGHT : "")) && { caution: more.caution ?? LIGHT }),
    });
  };
  const cold = (id: string, words: string, needs: readonly string[], check?: string, caution?: string) =>
    ops.push({
      id,
      words,
      place: "whole",
      cools: 0,
      needs,
      ...(check && { check }),
      ...(caution && { caution }),
    });
  return { ops, light, cools, hot, cold };
}
export type OperationList = ReturnType<typeof operationList>;
