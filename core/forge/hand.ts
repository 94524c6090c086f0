import type { Material } from "../shoe/specification";

/** A forged shoe as far as its steel goes. Lengths mm. */
export interface ForgedSteel {
  date: string;
  type: string;
  width: number;
  thickness: number;
  material: Material;
  /** Steel used. */
  stock: number;
  /** What rule and outline say for the shoe that came out, the longer of them, without any correction of the hand. */
  computed: number;
}

/** How strongly the general answer is held against a few shoes of one's own. Source: assumption, because three shoes are about what a smith remembers. */
const HELD_BY = 3;

/** What a shoe took beyond what is computed for what it came out as, mm: positive = this hand needs more steel. */
export const missOf = ({ stock, computed }: ForgedSteel): number => stock - computed;

/** Shoes that are learned from together: the same section, metal and type. */
export const likeKey = ({
  type,
  width,
  thickness,
  material,
}: Pick<ForgedSteel, "type" | "width" | "thickness" | "material">): string =>
  `${type} ${width}x${thickness} ${material}`;

/** The correction for the next shoe, mm: the mean miss drawn towards zero, n/(n + 3) of it; 0 without any. */
export function handCorrection(misses: readonly number[]): number {
  if (misses.length === 0) return 0;
  return misses.reduce((sum, miss) => sum + miss, 0) / (misses.length + HELD_BY);
}

/** One shoe on the way: what it missed, what was corrected beforehand, and what was left of the miss then. */
export interface HandStep {
  date: string;
  miss: number;
  corrected: number;
  left: number;
}

/** The log of like shoes, oldest first: each against what could be known from those before it. */
export function handSteps(shoes: readonly ForgedSteel[]): HandStep[] {
  const inOrder = [...shoes].sort((a, b) => a.date.localeCompare(b.date));
  const misses = inOrder.map(missOf);
  return inOrder.map(({ date }, index) => {
    const corrected = handCorrection(misses.slice(0, index));
    const miss = misses[index] ?? 0;
    return { date, miss, corrected, left: miss - corrected };
  });
}
