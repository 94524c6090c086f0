import { isFore, isLeft, LIMBS, pairOf, type Limb } from "./limb";

export interface FootOrder {
  order: readonly Limb[];
  why: string;
}

/**
 * Which foot first. Fronts first: more weight, the safer end, the horse settles. If one foot hurts, that foot first, so
 * that the horse can stand on comfortable feet for the rest; then its pair, then the others, hind limbs last.
 */
export function footOrder(sore: Limb | undefined): FootOrder {
  if (!sore) return { order: LIMBS, why: "Fronts first: more weight, the safer end, and the horse settles." };
  const rest = [pairOf(sore), ...LIMBS.filter((limb) => isFore(limb) !== isFore(sore))];
  return {
    order: [
      sore,
      ...rest.sort((a, b) => Number(isFore(b)) - Number(isFore(a)) || Number(isLeft(b)) - Number(isLeft(a))),
    ],
    why: "The sore foot first: the horse then stands on comfortable feet for the rest.",
  };
}
