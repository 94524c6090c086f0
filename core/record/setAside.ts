import { z } from "zod";
import { idField, instantField, line } from "../schema/fields";

/** A value that was not taken when two devices' files were put together: it stays readable. */
const leftValueSchema = z.strictObject({
  table: line,
  id: idField,
  /** The place in the row, steps with dots between; missing for the whole row. */
  place: line.optional(),
  /** What it belongs to, in words: "Bramble, left fore, 23 Nov". */
  of: line,
  /** The value as JSON, empty where it had been taken away. */
  json: z.string().max(200_000),
  /** The device that it came from, and when it was put there, as far as that is known. */
  device: line.default(""),
  at: instantField.optional(),
});
export type LeftValue = z.infer<typeof leftValueSchema>;

/** What one merge set aside. */
export const setAsideSchema = z.strictObject({
  id: idField,
  at: instantField,
  /** The device whose file was brought in, and the one that it was brought into. */
  from: line,
  into: line,
  values: z.record(z.string().max(300), leftValueSchema),
});
export type SetAside = z.infer<typeof setAsideSchema>;
