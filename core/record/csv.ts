import { HEIGHT_MEASURES, MEASURES, REAR_MEASURES, SIDE_MEASURES, type Measured } from "../foot/measures";
import { csvOf } from "./csvText";
import type { Records } from "./tables";

/** Every measure that has a source, and where a reading keeps it. */
const SOURCED = [
  ...MEASURES.map((name) => ["values", name] as const),
  ...SIDE_MEASURES.map((name) => ["side", name] as const),
  ...REAR_MEASURES.map((name) => ["rear", name] as const),
  ...HEIGHT_MEASURES.map((name) => ["heights", name] as const),
];
/** Those that have none, mm. */
const DEPTHS = ["sulcusDepthMm", "chalkMm", "stepMm", "frogProudMm"] as const;

/**
 * Every reading as one row of a CSV: day, yard, horse, limb, moment, then each measure (mm, degrees) with its source.
 * A cell that a spreadsheet would run as a formula is escaped.
 */
export function readingsCsv(records: Pick<Records, "yards" | "horses" | "readings">): string {
  const horses = new Map(records.horses.map((horse) => [horse.id, horse]));
  const yards = new Map(records.yards.map((yard) => [yard.id, yard]));
  const rows = [...records.readings]
    .sort((a, b) => a.date.localeCompare(b.date) || a.id.localeCompare(b.id))
    .map((reading) => {
      const horse = horses.get(reading.horseId);
      const row: Record<string, string | number> = {
        date: reading.date,
        yard: yards.get(horse?.yardId ?? "")?.name ?? "",
        horse: horse?.name ?? "",
        limb: reading.limb,
        moment: reading.moment,
      };
      for (const [group, name] of SOURCED) {
        const measured = (reading[group] as Partial<Record<string, Measured>> | undefined)?.[name];
        row[name] = measured?.value ?? "";
        row[`${name}Source`] = measured?.source ?? "";
      }
      for (const depth of DEPTHS) row[depth] = reading[depth] ?? "";
      return row;
    });
  const columns = [
    "date",
    "yard",
    "horse",
    "limb",
    "moment",
    ...SOURCED.flatMap(([, name]) => [name, `${name}Source`]),
    ...DEPTHS,
  ];
  return csvOf(columns, rows);
}
