import { strToU8, zipSync, type Zippable } from "fflate";
import { rowsCsv } from "~core/record/tablesCsv";
import { TABLE_NAMES, type Records } from "~core/record/tables";

/** Every table that has rows as a file of CSV, in one ZIP. */
export function tablesZip(records: Records): Blob {
  const files: Zippable = {};
  for (const name of TABLE_NAMES)
    if (records[name].length > 0) files[`${name}.csv`] = strToU8(`\uFEFF${rowsCsv(name, records[name])}`);
  return new Blob([zipSync(files, { level: 6 })], { type: "application/zip" });
}
