import { visitFoot, type VisitFoot } from "../visit/visitFoot";
import { isFore, LIMBS, type Limb } from "../foot/limb";
import { jobStock } from "../forge/anvil/job";
import { jobOfFoot } from "../visit/footJob";
import type { PlannedHorse } from "../visit/comingShoes";
import { isShod } from "../record/horse";
import type { Forged } from "../forge/forgeRecord";
import type { Settings } from "../record/settings";
import type { NailSize } from "../shoe/nails";
import { nailTable } from "../shoe/nailTable";
import { type HeadPattern, type Specification } from "../shoe/specification";
import { specInWords } from "../shoe/specWords";
import type { Wording } from "../foot/wording";

/** What goes into the van for a day. Lengths mm. */
export interface LoadList {
  /** Shoes alike in everything, with the length of steel that each takes. */
  shoes: { words: string; end: "fore" | "hind"; horses: string[]; lengths: number[] }[];
  /** By head, and by size of the table; without a size where none of it has this head or is long enough. */
  nails: { pattern: HeadPattern; size: NailSize | undefined; count: number; withSpares: number }[];
  pads: { pad: Specification["pad"]; count: number }[];
  packings: { packing: Specification["packing"]; count: number }[];
  studs: { words: string; count: number }[];
  /** Horses that are shod and whose shoes are not known yet. */
  unknown: string[];
}

/** One nail in so many is bent, dropped or drawn again. Source: assumption, because a spare is cheaper than a way back. */
const SPARE_NAIL_IN = 8;

/**
 * What to load for some horses, from the shoes they wear and the feet as they were left: an estimate until they are
 * measured. Nails with their spares, rounded up.
 */
export function loadList(
  horses: readonly PlannedHorse[],
  settings: Settings,
  log: readonly Forged[],
  ownNails: readonly NailSize[],
  wording: Wording,
): LoadList {
  const shoes = new Map<string, LoadList["shoes"][number]>();
  const nails = new Map<string, { pattern: HeadPattern; size: NailSize | undefined; count: number }>();
  const pads = new Map<Specification["pad"], number>();
  const packings = new Map<Specification["packing"], number>();
  const studs = new Map<string, number>();
  const unknown: string[] = [];
  for (const { horse, last, records } of horses) {
    const feet = Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(last, limb, records)])) as Record<
      Limb,
      VisitFoot
    >;
    const shod = LIMBS.filter((limb) => isShod(horse, limb));
    if (
      shod.length > 0 &&
      !shod.some((limb) => records.shoes.some((shoe) => shoe.limb === limb && shoe.spec))
    )
      unknown.push(horse.name);
    for (const limb of shod) {
      const job = jobOfFoot({ visit: last, horse, feet, limb }, settings, wording);
      const { spec } = job;
      if (spec.type === "bare") continue;
      const end = isFore(limb) ? "fore" : "hind";
      const words = specInWords(spec, wording);
      const key = `${end} ${words}`;
      const row = shoes.get(key) ?? { words, end, horses: [], lengths: [] };
      if (!row.horses.includes(horse.name)) row.horses.push(horse.name);
      row.lengths.push(jobStock(job, settings, log, wording).cut);
      shoes.set(key, row);
      const size = job.drawn && nailTable(job.fit, job.drawn, ownNails).size;
      const box = nails.get(`${spec.pattern} ${size?.name}`) ?? { pattern: spec.pattern, size, count: 0 };
      box.count += spec.nailsMedial + spec.nailsLateral;
      if (box.count > 0) nails.set(`${spec.pattern} ${size?.name}`, box);
      if (spec.pad !== "none") add(pads, spec.pad, 1);
      if (spec.packing !== "none") add(packings, spec.packing, 1);
      if (spec.traction === "road pins") add(studs, "road pins", 2);
      if (spec.traction === "stud holes")
        for (const stud of new Set([spec.studsGood, spec.studsWet]))
          if (stud !== "none") add(studs, `${stud} studs`, 2);
    }
  }
  return {
    shoes: [...shoes.values()].sort(
      (a, b) => a.end.localeCompare(b.end) || b.lengths.length - a.lengths.length,
    ),
    nails: [...nails.values()]
      .map((box) => ({ ...box, withSpares: box.count + Math.ceil(box.count / SPARE_NAIL_IN) }))
      .sort(
        (a, b) => a.pattern.localeCompare(b.pattern) || (a.size?.lengthMm ?? 0) - (b.size?.lengthMm ?? 0),
      ),
    pads: [...pads].map(([pad, count]) => ({ pad, count })),
    packings: [...packings].map(([packing, count]) => ({ packing, count })),
    studs: [...studs].map(([words, count]) => ({ words, count })),
    unknown,
  };
}

function add<Key>(counts: Map<Key, number>, key: Key, count: number): void {
  if (count > 0) counts.set(key, (counts.get(key) ?? 0) + count);
}
