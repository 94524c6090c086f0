import { z } from "zod";
import type { Limb } from "../foot/limb";
import { dateField, idField, limbField } from "./fields";

/** No hand takes more than this at once, mm. Assumption, wide enough for long neglect. */
export const MOST_CUT_MM = 60;

const cut = z.number().min(0).max(MOST_CUT_MM).optional();

/** What was taken off one foot, mm; a cut that was not noted is missing, not zero. */
export const trimSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  date: dateField,
  cuts: z.strictObject({ toe: cut, heelMedial: cut, heelLateral: cut, dress: cut }).default({}),
});
export type Trim = z.infer<typeof trimSchema>;

export const CUT_NAMES = {
  toe: "Toe",
  heelMedial: "Heel, medial",
  heelLateral: "Heel, lateral",
  dress: "Dress the wall",
} as const;
export type CutName = keyof typeof CUT_NAMES;
export const CUTS = Object.keys(CUT_NAMES) as CutName[];

export const trimId = (visitId: string, limb: Limb): string => `${visitId}.${limb}`;
