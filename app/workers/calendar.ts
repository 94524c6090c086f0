import type { CalendarIn } from "~core/record/appointmentsIcs";
import type { Result } from "~core/result";
import type { CalendarWorker } from "./calendar.worker";
import { running, type Running } from "./running";

/** The appointments of a calendar file between two days, read off the main thread: it may hold thousands. */
export const readCalendar = (text: string, from: string, until: string): Running<Result<CalendarIn>> =>
  running<CalendarWorker, Result<CalendarIn>>(
    new Worker(new URL("./calendar.worker.ts", import.meta.url), { type: "module" }),
    (remote) => remote.read(text, from, until) as Promise<Result<CalendarIn>>,
  );
