import { z } from "zod";
import { idField, line, prose } from "../schema/fields";

/** A place where horses stand and the person who answers there. */
export const yardSchema = z.strictObject({
  id: idField,
  name: line.min(1, { error: "A yard needs a name." }),
  person: line.default(""),
  phone: line.default(""),
  /** How to get in: gates, dogs, where to park. */
  access: prose.default(""),
  /** Latitude and longitude, degrees. */
  at: z.tuple([z.number().min(-90).max(90), z.number().min(-180).max(180)]).optional(),
});
export type Yard = z.infer<typeof yardSchema>;
