import type { FootFacts } from "../foot/findings/facts";
import { hornOf } from "../foot/horn";
import { SIDES, type Side } from "../foot/limb";
import { sizeFactor } from "../foot/parametric/parameters";
import { presentFinds, type Find, type Look } from "../foot/records/look";
import type { WallPlace } from "../foot/survey/walls";
import { FIND_KINDS, type FindKind, type WearSector } from "../foot/wear";
import { sectorFor, STRETCHES } from "../shoe/sectors";
import type { Trim } from "../trim/trimRecord";

/** Stretches of wall that are nailed or just behind it, by name, parts of the outline from the toe. */
export const NAIL_SECTORS = [
  { name: "toe quarter", stretch: "toeQuarter", ...STRETCHES.toeQuarter },
  { name: "quarter", stretch: "quarter", ...STRETCHES.quarter },
  { name: "behind the quarter", stretch: "heel", ...STRETCHES.heel },
] as const;

/** A stretch of wall without nails, and why. */
export interface NailFree {
  side: Side;
  from: number;
  to: number;
  name: string;
  sector: WearSector;
  /** "crack", "thin wall". */
  why: string;
  /** True where the wall is to bear nothing either. */
  relieve: boolean;
}

/** What was found in a wall and takes no nail until it has grown out. A bruise or an old ring takes one. */
const NO_NAIL: readonly FindKind[] = ["crack", "cavity", "white line", "old tract", "puncture", "discharge"];
/** And bears nothing. */
const RELIEVED: readonly FindKind[] = ["crack", "cavity", "white line"];
/** Horn thinner than this holds no nail that does not press, mm on a foot of size 1. Assumption, because of a nail's shank. */
const NAIL_HORN_MM = 3;

type NailSector = (typeof NAIL_SECTORS)[number];
const SECTOR_OF: Partial<Record<WallPlace, readonly [Side, NailSector]>> = Object.fromEntries(
  SIDES.flatMap((side) =>
    NAIL_SECTORS.map((sector) => [sectorFor(sector.stretch, side), [side, sector] as const]),
  ),
);

/** A find nearer the middle of the sole than this is not in the wall's reach, mm. Assumption. */
const WALL_REACH_MM = 38;
/** What lies in the wall by its nature, wherever near it was tapped: the nearest wall is meant. */
const OF_THE_WALL: readonly FindKind[] = ["crack", "white line"];
/** Half the toe on a foot of size 1, mm: between them the wall is the toe's. Assumption, from the ordinary outline. */
const TOE_HALF_MM = 22;
/** Limits of the stretches on a foot of size 1, mm ahead of the back of the sulcus. Assumption, from the ordinary outline. */
const QUARTER_Y = { front: 92, back: 48 };

/** The place of a find on the wall: as it was chosen, else the nearest to where it was tapped on the sole. */
function wallOf({ kind, wall, at: [x, y] }: Find): WallPlace | undefined {
  if (wall) return wall;
  if (!OF_THE_WALL.includes(kind) && Math.abs(x) < WALL_REACH_MM) return undefined;
  if (Math.abs(x) < TOE_HALF_MM && y > QUARTER_Y.front) return "toe";
  const side = x > 0 ? "Lateral" : "Medial";
  return y > QUARTER_Y.front ? `toeQuarter${side}` : y > QUARTER_Y.back ? `quarter${side}` : `heel${side}`;
}

/** Where the wall was found cracked, hollow or separated: it is not dressed there. */
export const brokenPlaces = (look: Look | undefined): WallPlace[] =>
  presentFinds(look).flatMap(([, find]) => {
    const place = RELIEVED.includes(find.kind) ? wallOf(find) : undefined;
    return place ? [place] : [];
  });

/** Wall that takes no nail by itself: cracked, hollow or separated where it was found so, too thin where it was measured, or floated in the trim. */
export function nailFreeSectors(
  look: Look | undefined,
  { walls, drawn }: Pick<FootFacts, "walls" | "drawn">,
  floats: Trim["floats"] = {},
): NailFree[] {
  const least = NAIL_HORN_MM * sizeFactor(drawn);
  const free = new Map<string, NailFree>();
  const put = (place: WallPlace | undefined, why: string, relieve: boolean) => {
    const found = place && SECTOR_OF[place];
    if (!found) return;
    const [side, sector] = found;
    const key = `${side} ${sector.name}`;
    const before = free.get(key);
    free.set(key, {
      side,
      name: sector.name,
      from: sector.from,
      to: sector.to,
      sector: sectorFor(sector.stretch, side),
      why: before && before.why !== why ? `${before.why}, ${why}` : why,
      relieve: relieve || (before?.relieve ?? false),
    });
  };
  for (const [, find] of presentFinds(look))
    if (NO_NAIL.includes(find.kind))
      put(wallOf(find), FIND_KINDS[find.kind].toLowerCase(), RELIEVED.includes(find.kind));
  for (const place of Object.keys(floats) as WallPlace[]) put(place, "floated in the trim", true);
  for (const place of Object.keys(SECTOR_OF) as WallPlace[]) {
    const horn = hornOf(walls[place]);
    // The heels are never nailed and always thin.
    if (horn !== undefined && horn < least && !place.startsWith("heel")) put(place, "thin wall", false);
  }
  return [...free.values()];
}
