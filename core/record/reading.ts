import { z } from "zod";
import type { Limb } from "../foot/limb";
import { MEASURES, SOURCES } from "../foot/measures";
import { dateField, finite, idField, limbField } from "./fields";

export const MOMENTS = ["before", "after"] as const;
export type Moment = (typeof MOMENTS)[number];

const measuredSchema = z.strictObject({ value: finite, source: z.enum(SOURCES) });

/** What was measured on one foot, before or after the trim; each value with its source. */
export const readingSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  moment: z.enum(MOMENTS),
  date: dateField,
  values: z.partialRecord(z.enum(MEASURES), measuredSchema).default({}),
  /** Oddities that were asked about and kept. */
  confirmed: z.array(z.string().max(80)).default([]),
});
export type Reading = z.infer<typeof readingSchema>;

export const readingId = (visitId: string, limb: Limb, moment: Moment): string =>
  `${visitId}.${limb}.${moment}`;
