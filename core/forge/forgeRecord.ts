import { z } from "zod";
import type { Limb } from "../foot/limb";
import { MADE_PLACES } from "./madeShoe";
import { MATERIALS, ordinaryShoe } from "../shoe/specification";
import { dateField, idField, instantField, line } from "../schema/fields";
import { specificationSchema } from "../shoe/shoeRecord";

const size = (from: number, to: number, what: string) =>
  z
    .number()
    .min(from, { error: `${what}: at least ${from} mm.` })
    .max(to, { error: `${what}: no more than ${to} mm.` });

/** A shoe asked for by two measures, with no horse in the records. */
export const twoMeasuresSchema = z.strictObject({
  end: z.enum(["fore", "hind"]),
  width: size(40, 260, "Width of the shoe"),
  length: size(40, 320, "Length of the shoe"),
  spec: specificationSchema,
  /** Heel checks, a widened branch: steel on top, mm. */
  extras: z.number().min(0).max(200, { error: "Extras: no more than 200 mm." }).default(0),
});
export type TwoMeasuresRecord = z.infer<typeof twoMeasuresSchema>;

const madeField = z.partialRecord(
  z.enum(MADE_PLACES),
  z
    .number()
    .min(10, { error: "From the centre to the edge: at least 10 mm." })
    .max(320, { error: "From the centre to the edge: no more than 320 mm." }),
);

const heatStep = z.strictObject({ kind: z.enum(["heat", "cold"]), ops: z.array(idField).max(40) });

/** What lies on the anvil: a shoe of a foot, or one by two measures; how its heats were moved, and how far it is. */
export const forgingSchema = z.strictObject({
  id: idField,
  measures: twoMeasuresSchema.optional(),
  from: z.enum(["bar", "ready-made"]).default("bar"),
  /** The made shoe as it was measured from its centre, mm. */
  made: madeField.optional(),
  /** Heats in the order of one's own; the computed plan while there is none. */
  plan: z.array(heatStep).max(60).optional(),
  run: z
    .strictObject({
      /** Number of the step that is worked on, from 0. */
      at: z.int().min(0).max(60),
      /** When its heat began; the time runs by the clock. */
      since: instantField.optional(),
      /** Times in the fire by step, the first included: more than 1 where a heat had to be taken again. */
      taken: z.record(z.string().regex(/^\d{1,2}$/), z.int().min(0).max(20)),
      /** Seconds worked by step. */
      seconds: z.record(z.string().regex(/^\d{1,2}$/), z.number().min(0).max(86_400)),
    })
    .optional(),
});
export type Forging = z.infer<typeof forgingSchema>;

/** The one forging that belongs to no foot. */
export const ON_THE_ANVIL = "two-measures";
export const forgingId = (visitId: string, limb: Limb): string => `${visitId}.${limb}.forging`;

/** What the anvil holds before anything was typed: an ordinary front shoe. */
export const firstForging = (): Forging & { measures: TwoMeasuresRecord } => ({
  id: ON_THE_ANVIL,
  measures: { end: "fore", width: 130, length: 135, spec: ordinaryShoe("LF", 520), extras: 0 },
  from: "bar",
});

/** A shoe that was forged: what it was to be, what it took, and what it came out as. Lengths mm. */
export const forgedSchema = z.strictObject({
  id: idField,
  date: dateField,
  /** Horse and foot, or empty. */
  name: line.default(""),
  end: z.enum(["fore", "hind"]),
  type: z.string().max(40),
  width: size(8, 80, "Web"),
  thickness: size(3, 30, "Thickness"),
  material: z.enum(MATERIALS),
  stock: size(60, 900, "Steel used"),
  shoeWidth: size(40, 260, "Width it came out"),
  shoeLength: size(40, 320, "Length it came out"),
  /** What rule and outline say for the shoe that came out, the longer of them, without the hand's correction. */
  computed: z.number().min(0).max(2000),
  /** What the hand missed by place, mm: made less wanted. */
  made: z.partialRecord(z.enum(MADE_PLACES), z.number().min(-80).max(80)).optional(),
  /** Heats that were planned and taken, where they were counted. */
  heats: z
    .strictObject({ planned: z.int().min(0), taken: z.int().min(0), seconds: z.number().min(0) })
    .optional(),
});
export type Forged = z.infer<typeof forgedSchema>;

/** Steel that is wanted for a job, or left over from one. */
export const steelSchema = z.strictObject({
  id: idField,
  role: z.enum(["wanted", "offcut"]),
  width: size(8, 80, "Web"),
  thickness: size(3, 30, "Thickness"),
  material: z.enum(MATERIALS),
  lengthMm: size(20, 12_000, "Length"),
  count: z
    .int({ error: "A whole number." })
    .min(1, { error: "At least 1." })
    .max(200, { error: "No more than 200." }),
  label: line.default(""),
});
export type Steel = z.infer<typeof steelSchema>;
