import { z } from "zod";
import { isIsoDate } from "../calendar/date";
import "./plainIssues";

/** Building blocks of every record. Unknown keys are refused everywhere, so that nothing foreign creeps in. */
export const idField = z.string().min(1).max(80);
export const dateField = z
  .string()
  .refine(isIsoDate, { error: "must be a day of the calendar, YYYY-MM-DD" })
  .meta({ format: "date" });
export const instantField = z.iso.datetime({ offset: true });
export const timeField = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: "must be a time such as 08:30" });
export const finite = z.number();
export const line = z.string().max(200);
export const prose = z.string().max(10_000);
