import { z } from "zod";
import { FIND_KIND_NAMES, WEAR_SECTORS, WEAR_STATES } from "../wear";
import { dateField, finite, idField, line } from "../../schema/fields";
import { limbField } from "../limbField";

/** What was found when one foot was pulled and cleaned, and how its old shoe was worn. */
export const lookSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  date: dateField,
  wear: z.partialRecord(z.enum(WEAR_SECTORS), z.enum(WEAR_STATES)).default({}),
  /** Each with its place on the sole, mm on a foot of size 1, solar frame. */
  finds: z
    .record(
      idField,
      z.strictObject({
        kind: z.enum(FIND_KIND_NAMES),
        at: z.tuple([finite, finite]),
        note: line.default(""),
      }),
    )
    .default({}),
});
export type Look = z.infer<typeof lookSchema>;
