import { z } from "zod";
import { dateField, idField, line, timeField } from "../schema/fields";

/** Time that is taken already: a day's hours less this. */
export const appointmentSchema = z.strictObject({
  id: idField,
  date: dateField,
  at: timeField,
  minutes: z.number().min(1, { error: "At least a minute." }).max(960, { error: "No more than 16 hours." }),
  title: line.min(1, { error: "Say what it is." }),
});
export type Appointment = z.infer<typeof appointmentSchema>;
