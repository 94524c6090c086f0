import { alterationInWords, isCold, type Alteration, type AlterationKind } from "../../shoe/alterations";
import { clipSide } from "../../shoe/clips";
import type { Specification } from "../../shoe/specification";
import type { Wording } from "../../foot/wording";
import type { HeatPlace, Operation } from "./operation";
import { CLIPPING, DRESSING, FORGING, operationList, SHAPING, WELD_COOLS_C, WELDING } from "./operationList";
import { heatsIn, planHeats } from "./plan";

const HEAT_OF: Partial<Record<AlterationKind, { fromC: number; toC: number }>> = {
  widen: FORGING,
  "set down": FORGING,
  bar: WELDING,
  clip: CLIPPING,
  open: DRESSING,
  close: DRESSING,
};

const placeOf = ({ kind, side, clip }: Alteration): HeatPlace => {
  if (kind === "open" || kind === "close") return "whole";
  if (kind === "bar") return "heels";
  if (side) return side;
  return (clip && clipSide(clip)) ?? "toe";
};

/** The alterations of a bought shoe as operations, each after the one before it: the order of the anvil. */
export function alterationOperations(
  alterations: readonly Alteration[],
  spec: Pick<Specification, "material" | "thickness">,
  wording: Pick<Wording, "cut">,
): Operation[] {
  const list = operationList(spec as Specification);
  const hot = alterations.filter((one) => !isCold(one));
  let before: string[] = [];
  hot.forEach((one, index) => {
    const id = `${one.kind}-${index}`.replaceAll(" ", "-");
    list.hot(id, alterationInWords(one, wording), placeOf(one), HEAT_OF[one.kind] ?? SHAPING, before, {
      ...(one.kind === "bar" && { cools: WELD_COOLS_C }),
    });
    before = [id];
  });
  return list.ops;
}

/** How many heats the alterations of a bought shoe take at least; 0 where all of it is cold work. */
export function heatsForAlterations(
  alterations: readonly Alteration[],
  spec: Pick<Specification, "material" | "thickness">,
  wording: Pick<Wording, "cut">,
): number {
  const plan = planHeats(alterationOperations(alterations, spec, wording));
  return plan.ok ? heatsIn(plan.value) : 0;
}
