import type { FootFacts } from "../foot/findings/facts";
import { hornOf } from "../foot/horn";
import { SIDES, type Side } from "../foot/limb";
import { sectorFor } from "../shoe/sectors";
import { NAIL_SECTORS, type NailFree } from "./nailFree";

/** The wall at one place of the edge: its horn, what was found in it, and whether it takes a nail. */
export interface WallPlaceRow {
  side: Side;
  name: string;
  /** Mm, where it was measured. */
  hornMm?: number;
  takes: "a nail" | "no nail" | "never a nail";
  why?: string;
  bears: boolean;
}

/** The map of the edge: horn by place, what was found, and where a nail may stand. Heels are never nailed. */
export function wallMap(facts: Pick<FootFacts, "walls">, free: readonly NailFree[]): WallPlaceRow[] {
  return SIDES.flatMap((side) =>
    NAIL_SECTORS.map(({ name, stretch }): WallPlaceRow => {
      const horn = hornOf(facts.walls[sectorFor(stretch, side)]);
      const found = free.find((one) => one.side === side && one.name === name);
      return {
        side,
        name,
        ...(horn !== undefined && { hornMm: horn }),
        takes: found ? "no nail" : stretch === "heel" ? "never a nail" : "a nail",
        ...(found && { why: found.why }),
        bears: !found?.relieve,
      };
    }),
  );
}
