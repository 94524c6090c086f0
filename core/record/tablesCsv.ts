import { csvOf } from "./csvText";
import { quantityAt } from "./sayValue";
import type { TableName } from "./tables";

/** What a number at a place counts, as it stands in a header; nothing for plain counts and places on the map. */
const UNIT_WORDS: Partial<Record<ReturnType<typeof quantityAt>, string>> = {
  mm: "mm",
  deg: "deg",
  weeks: "weeks",
  days: "days",
  minutes: "min",
  seconds: "s",
  kg: "kg",
  "km/h": "km/h",
  "°C": "deg C",
  px: "px",
  g: "g",
};

/** The leaves of a row by their way, steps with dots between; lists are one leaf, as JSON where they hold more than words. */
function leavesOf(
  value: unknown,
  way: readonly string[],
  into: Map<string, string | number | boolean>,
): void {
  if (value === undefined || value === null) return;
  if (Array.isArray(value)) {
    const plain = value.every((one) => typeof one === "string" || typeof one === "number");
    if (value.length > 0) into.set(way.join("."), plain ? value.join(" ") : JSON.stringify(value));
  } else if (typeof value === "object")
    for (const [key, inner] of Object.entries(value)) leavesOf(inner, [...way, key], into);
  else into.set(way.join("."), value as string | number | boolean);
}

/** A column's head: its way, and the unit of what stands in it. */
function headOf(table: TableName, way: string, numeric: boolean): string {
  if (!numeric) return way;
  const steps = way.split(".");
  // A measured value is kept beside its source: what it counts is named by the measure.
  const place = steps.at(-1) === "value" ? steps.slice(0, -1) : steps;
  const unit = UNIT_WORDS[quantityAt(table, place)];
  return unit ? `${way} (${unit})` : way;
}

/**
 * A table of the records as CSV: a row each, a column for every place that is filled anywhere, its unit in the header. The
 * bytes of pictures stay out. A cell that a spreadsheet would run as a formula is escaped, in the header too.
 */
export function rowsCsv(table: TableName, rows: readonly object[]): string {
  const flat = rows.map((row) => {
    const leaves = new Map<string, string | number | boolean>();
    leavesOf(table === "pictures" ? { ...row, data: undefined } : row, [], leaves);
    return leaves;
  });
  const ways = [...new Set(flat.flatMap((leaves) => [...leaves.keys()]))];
  const fields = ways.map((way) =>
    headOf(
      table,
      way,
      flat.some((leaves) => typeof leaves.get(way) === "number"),
    ),
  );
  const data = flat.map((leaves) => ways.map((way) => leaves.get(way) ?? ""));
  return csvOf(fields, data);
}
