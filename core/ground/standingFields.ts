import { fail, ok, type Result } from "../result";
import { STIFFEST } from "./contact";

/** What is asked about how a foot stands, each with its unit and range. */
export const STANDING_FIELDS = {
  stiffness: {
    label: "Ground’s stiffness",
    unit: "N/mm³",
    from: 0.001,
    to: STIFFEST,
    says: "deep sand 0.008, turf 0.1, concrete 50",
  },
  newtons: {
    label: "Load on this foot",
    unit: "N",
    from: 100,
    to: 15_000,
    says: "a horse stands with 1500 on a fore foot",
  },
  x: { label: "Load to the outside", unit: "mm", from: -30, to: 30, says: "+ towards lateral" },
  lead: { label: "Load ahead of its centre", unit: "mm", from: -20, to: 30, says: "0 to 10 is usual" },
  spring: {
    label: "The limb holds it with",
    unit: "N mm/°",
    from: 50,
    to: 50_000,
    says: "1500 is assumed",
  },
} as const;
export type StandingField = keyof typeof STANDING_FIELDS;

/** A number as it was typed for one of the fields. Errors: `number` for what is none, `range` outside its range. */
export function readStanding(field: StandingField, text: string): Result<number> {
  const { from, to, says, label, unit } = STANDING_FIELDS[field];
  const plain = text.trim().replace(",", ".").replace("−", "-");
  const value = Number(plain);
  if (plain === "" || !Number.isFinite(value))
    return fail("number", field, `${label}: a number in ${unit}.`, text);
  if (field === "newtons" && value <= 0)
    return fail("range", field, `Without a load nothing sinks: from ${from} to ${to} N; ${says}.`, value);
  if (value < from || value > to)
    return fail("range", field, `${label} lies between ${from} and ${to} ${unit}; ${says}.`, value);
  return ok(value);
}
