import Papa from "papaparse";
import { MEASURES } from "../foot/measures";
import type { Records } from "./tables";

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
      for (const measure of MEASURES) {
        row[measure] = reading.values[measure]?.value ?? "";
        row[`${measure}Source`] = reading.values[measure]?.source ?? "";
      }
      return row;
    });
  const columns = [
    "date",
    "yard",
    "horse",
    "limb",
    "moment",
    ...MEASURES.flatMap((name) => [name, `${name}Source`]),
  ];
  return `${Papa.unparse({ fields: columns, data: rows }, { escapeFormulae: true })}\r\n`;
}
