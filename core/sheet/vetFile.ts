import { z } from "zod";
import { caseSchema, prescriptionSchema } from "../case/caseRecord";
import { limbField } from "../foot/limbField";
import { dateField, idField, line, prose } from "../schema/fields";

export const VET_FILE = "plumbline-case";
export const VET_REPLY = "plumbline-answer";
/** Of both; a reader refuses a later one. */
export const VET_FILE_VERSION = 1;

const numbers = z.record(z.string().max(60), z.number());

/** The case as data inside of the vet's HTML. Lengths mm, angles deg. */
export const vetFileSchema = z.strictObject({
  format: z.literal(VET_FILE),
  version: z.literal(VET_FILE_VERSION),
  made: dateField,
  horse: z.strictObject({ id: idField, name: line, kind: line, massKg: z.number() }),
  case: caseSchema,
  visits: z.array(
    z.strictObject({
      date: dateField,
      limb: limbField,
      moment: z.enum(["before", "after"]),
      values: numbers,
    }),
  ),
  films: z.array(
    z.strictObject({ date: dateField, limb: limbField, view: line, standIn: z.boolean(), values: numbers }),
  ),
});
export type VetFile = z.infer<typeof vetFileSchema>;

/** A vet's answer: a prescription as it is to be from now on, what may be left, and a few words. */
export const vetReplySchema = z.strictObject({
  format: z.literal(VET_REPLY, { error: "This is not an answer to a Plumbline sheet." }),
  version: z.int(),
  caseId: idField,
  horseId: idField,
  horse: line,
  /** The prescription that the sheet held; null where it held none. */
  answers: prescriptionSchema.nullable(),
  by: line.min(1, { error: "Nobody’s name stands under it." }),
  on: dateField,
  prescription: prescriptionSchema.optional(),
  /** Stages that the vet agrees may be left, "stage limb". */
  agreed: z.array(z.string().max(100)).max(40),
  says: prose,
});
export type VetReply = z.infer<typeof vetReplySchema>;
