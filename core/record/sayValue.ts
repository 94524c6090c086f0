import { LEVEL_BOUNDS, type BoundName } from "../constants/bounds";
import { MEASURE_FACTS, type Measure } from "../foot/measures";
import type { Wording } from "../foot/wording";
import type { TableName } from "./tables";
import { counted } from "../units/counted";

/** What a number in a record counts. */
export type Quantity =
  | "mm"
  | "deg"
  | "ratio"
  | "weeks"
  | "days"
  | "minutes"
  | "seconds"
  | "kg"
  | "km/h"
  | "°C"
  | "px"
  | "g"
  | "place"
  | "count";

/** Names of fields and what they count, the longest path that fits first; `*` is any name or number. */
const PLACES: readonly (readonly [path: string, quantity: Quantity])[] = [
  ["yards.at.*", "place"],
  ["settings.rounds.home.*", "place"],
  ["horses.massKg", "kg"],
  ["horses.capWeeks", "weeks"],
  ["settings.capWeeks.*", "weeks"],
  ["cases.prescription.weeks", "weeks"],
  ["cases.stages.shoeings", "count"],
  ["cases.stages.exit.visits", "count"],
  // Degrees, mm or times, by the kind of test or measure beside it.
  ["cases.stages.exit.*", "ratio"],
  ["cases.progress.target", "ratio"],
  ["films.scale.mm", "mm"],
  ["films.scale.mmPerPx", "ratio"],
  ["films.scale.magnification", "ratio"],
  ["films.shown.*", "ratio"],
  ["films.*", "px"],
  ["visits.next.day", "days"],
  ["trims.plan.leaves.dorsalAngle", "deg"],
  ["trims.plan.leaves.axis", "deg"],
  ["trims.plan.leaves.roll", "deg"],
  ["trims.plan.leaves.*", "mm"],
  ["trims.plan.shoe.elevate", "deg"],
  ["trims.plan.shoe.*", "mm"],
  ["trims.*", "mm"],
  ["*.raise.degrees", "deg"],
  ["*.raise.cycles", "count"],
  ["*.raiseDeg", "deg"],
  ["*.sideWedge.degrees", "deg"],
  ["*.spec.turn", "deg"],
  ["sizes.grams", "g"],
  ["*.nailsMedial", "count"],
  ["*.nailsLateral", "count"],
  ["shoes.setting.turn", "deg"],
  ["shoes.found.wedgeDeg", "deg"],
  ["shoes.breakover.direction", "deg"],
  ["shoes.breakover.levelLine", "deg"],
  ["shoes.compound.minutesAt20", "minutes"],
  ["shoes.compound.bearsAt20", "minutes"],
  ["shoes.compound.celsius", "°C"],
  ["shoes.skip.*", "ratio"],
  ["watchings.leaves", "deg"],
  ["readings.rear.*", "deg"],
  ["readings.side.heelLength", "mm"],
  ["readings.side.*", "deg"],
  ["photos.scale.widthMm", "mm"],
  ["photos.scale.heightMm", "mm"],
  ["photos.scale.mm", "mm"],
  ["photos.*", "px"],
  ["forgings.run.seconds.*", "seconds"],
  ["forgings.run.*", "count"],
  ["forged.heats.seconds", "seconds"],
  ["forged.heats.*", "count"],
  ["steel.count", "count"],
  ["appointments.minutes", "minutes"],
  ["protocols.minutes", "minutes"],
  ["tries.seconds", "seconds"],
  ["tries.level", "count"],
  ["tries.next", "count"],
  ["tries.score", "count"],
  ["settings.fraction", "count"],
  // Degrees or mm, by the measure beside it.
  ["settings.pairs.*", "ratio"],
  ["settings.axisLimitDeg", "deg"],
  ["settings.rounds.speedKmh", "km/h"],
  ["settings.rounds.*", "minutes"],
];

const fits = (pattern: string, path: string): boolean => {
  const source = pattern
    .split(".")
    .map((step, at, all) => (step !== "*" ? step : at === 0 || at === all.length - 1 ? ".+" : "[^.]+"))
    .join("\\.");
  return new RegExp(`^${source}$`).test(path);
};

/**
 * What the number at a place of a record counts. Lengths are the rule in this trade: whatever is not named otherwise is
 * mm, and a test walks every number of every table to see that this is so.
 */
export function quantityAt(table: TableName, path: readonly string[]): Quantity {
  const [first, second] = path;
  if (table === "readings" && first === "values" && second !== undefined)
    return MEASURE_FACTS[second as Measure].kind === "angle" ? "deg" : "mm";
  if (table === "readings" && first === "side" && second === "pasternLineFromToe") return "mm";
  if (table === "settings" && first === "bounds" && second !== undefined)
    return ((LEVEL_BOUNDS as Partial<typeof LEVEL_BOUNDS>)[second as BoundName]?.unit ?? "ratio") as Quantity;
  const whole = [table, ...path].join(".");
  return PLACES.find(([pattern]) => fits(pattern, whole))?.[1] ?? "mm";
}

function sayNumber(quantity: Quantity, value: number, wording: Wording): string {
  switch (quantity) {
    case "mm":
      return wording.cut(value);
    case "deg":
      return wording.angle(value);
    case "weeks":
    case "days":
    case "minutes":
    case "seconds":
      return counted(value, quantity.slice(0, -1));
    case "ratio":
    case "place":
    case "count":
      return String(value);
    default:
      return `${value} ${quantity}`;
  }
}

/**
 * A value at a place of a record in the user's own words and units, short enough for a button: "8 weeks", "52.5°",
 * "“kicks”". What has no short form is named by how many parts it has.
 */
export function sayValue(
  table: TableName,
  path: readonly string[],
  value: unknown,
  wording: Wording,
): string {
  if (value === undefined || value === null || value === "") return "nothing";
  if (typeof value === "number") return sayNumber(quantityAt(table, path), value, wording);
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return `“${value.length > 60 ? `${value.slice(0, 59)}…` : value}”`;
  if (typeof value === "object" && "value" in value && typeof value.value === "number")
    return sayNumber(quantityAt(table, path), value.value, wording);
  if (path.length === 0 && typeof value === "object" && "name" in value && typeof value.name === "string")
    return `“${value.name}”`;
  const parts = Array.isArray(value) ? value : Object.values(value);
  const numbers = parts.every((part) => typeof part === "number");
  if (numbers && parts.length <= 3)
    return parts
      .map((part) => sayNumber(quantityAt(table, [...path, "0"]), part as number, wording))
      .join(" and ");
  if (parts.length > 0 && parts.length <= 4 && parts.every((part) => typeof part === "string"))
    return parts.join(", ");
  return parts.length === 0 ? "nothing" : counted(parts.length, "entry").replace("entrys", "entries");
}
