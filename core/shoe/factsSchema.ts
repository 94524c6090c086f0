import { z } from "zod";
import { WEAR_SECTORS } from "../foot/wear";
import { limbField } from "../foot/limbField";
import { ANIMAL_KINDS } from "../foot/toeYardstick";
import { dateField, finite, line, prose } from "../schema/fields";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS } from "./facts";
import { shoeAsksSchema } from "./shoeRecord";

const side = z.enum(["medial", "lateral"]);
const list = <Name extends string>(names: readonly [Name, ...Name[]]) => z.array(z.enum(names)).default([]);
const notNegative = z.number().min(0);

/** The facts that the adviser argues from. What is missing was not measured or watched: it is not taken as sound. */
export const shoeFactsSchema = z.strictObject({
  limb: limbField,
  kind: z.enum(ANIMAL_KINDS).default("horse"),
  massKg: z.number().min(40).max(1400).default(520),
  work: list(WORKS),
  footing: list(FOOTINGS),
  effort: z.enum(EFFORTS).optional(),
  turnout: z.enum(TURNOUTS).optional(),
  goes: list(GOES),
  conditions: list(CONDITIONS),
  growsMoreThanItWears: z.boolean().optional(),
  longPasterns: z.boolean().optional(),
  keptBare: z.boolean().default(false),
  landsOn: side.optional(),
  wornOn: side.optional(),
  crushed: z.array(side).default([]),
  lowHeels: z.boolean().default(false),
  heelsRunForward: z.boolean().default(false),
  frogProudMm: finite.optional().describe("frog past the heels' plane, mm, + = proud"),
  brokenBackDeg: notNegative.optional().describe("axis broken back after the trim, deg"),
  slopingPastern: z.boolean().default(false),
  crackAt: side.optional().describe("side of a crack at a quarter"),
  thinSole: z.boolean().optional().describe("missing = not measured"),
  poorWall: z.boolean().default(false),
  whiteLineSeparated: z.boolean().default(false),
  hornMm: notNegative.optional().describe("wall less its white line where it is thickest, mm"),
  unsoundWall: z.array(z.enum(WEAR_SECTORS)).default([]).describe("wall that takes neither nail nor clip"),
  limbDeviationDeg: notNegative.optional(),
  halfWidthMm: finite.optional().describe("half width of the side that is landed on less the other's, mm"),
  toeDirection: z.enum(["toe-in", "straight", "toe-out"]).optional(),
  base: z.enum(["narrow", "under the limb", "wide"]).optional(),
  breakoverBack: notNegative.default(0).describe("breakover wanted behind the toe, mm"),
  breakoverTurnDeg: z.number().min(-90).max(90).optional().describe("turned towards lateral, deg"),
  lastOneSide: z
    .strictObject({
      side,
      mm: notNegative,
      landedThen: z.enum(["medial", "lateral", "level"]).optional(),
      landsNow: z.enum(["medial", "lateral", "level"]).optional(),
    })
    .optional()
    .describe("what stood out on one side last time, and the landing then and now"),
  prescription: shoeAsksSchema
    .extend({ by: line.min(1), until: dateField, says: prose.default("") })
    .optional(),
});
