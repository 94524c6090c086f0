import { LIMBS, type Limb } from "./limb";

export interface FootOrder {
  order: readonly Limb[];
  why: string;
}

/**
 * Which foot first. Fronts first: more weight, the safer end, the horse settles. If one foot hurts, that foot first, so
 * that the horse can stand on comfortable feet for the rest; the others follow in the usual order. Source: trade practice.
 */
export function footOrder(sore: Limb | undefined): FootOrder {
  if (!sore) return { order: LIMBS, why: "Fronts first: more weight, the safer end, and the horse settles." };
  return {
    order: [sore, ...LIMBS.filter((limb) => limb !== sore)],
    why: "The sore foot first: the horse then stands on comfortable feet for the rest, fronts before hinds.",
  };
}
