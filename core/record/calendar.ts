import ICAL from "ical.js";
import { addDays, type IsoDate } from "../calendar/date";

/** One due date for the calendar file. */
export interface DueEvent {
  horseId: string;
  horse: string;
  yard: string;
  due: IsoDate;
  windowStart: IsoDate;
  why: string;
}

/**
 * Due dates as an iCalendar file (RFC 5545): one whole-day event a horse, with a UID that stays the same from one
 * export to the next, so that importing again updates and does not double. `stampedAt` is the moment of the export.
 */
export function dueCalendar(events: readonly DueEvent[], stampedAt: string): string {
  const calendar = new ICAL.Component(["vcalendar", [], []]);
  calendar.updatePropertyWithValue("version", "2.0");
  calendar.updatePropertyWithValue("prodid", "-//Plumbline//Due dates//EN");
  for (const event of events) {
    const entry = new ICAL.Component("vevent");
    entry.updatePropertyWithValue("uid", `due-${event.horseId}@plumbline.invalid`);
    entry.updatePropertyWithValue("dtstamp", ICAL.Time.fromJSDate(new Date(stampedAt), true));
    entry.updatePropertyWithValue("dtstart", ICAL.Time.fromDateString(event.due));
    entry.updatePropertyWithValue("dtend", ICAL.Time.fromDateString(addDays(event.due, 1)));
    entry.updatePropertyWithValue("summary", `${event.horse} due`);
    entry.updatePropertyWithValue("location", event.yard);
    entry.updatePropertyWithValue("description", `Window opens ${event.windowStart}. ${event.why}`);
    calendar.addSubcomponent(entry);
  }
  return `${calendar.toString()}\r\n`;
}
