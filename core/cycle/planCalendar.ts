import ICAL from "ical.js";
import { csvOf } from "../record/csvText";
import type { DayPlan, PlannedJob } from "./dayPlan";

/** One day of a plan as it goes out. */
export interface PlanOut {
  date: string;
  plan: DayPlan;
}

/** Minutes before a yard's visit at which a calendar rings. */
const RING_BEFORE = 60;

/**
 * Planned days as an iCalendar file (RFC 5545): one event for each yard and day, with an alarm, at the time of the clock
 * where it is driven (a floating time: eight o'clock stays eight o'clock whatever zone or clock change lies between).
 * The UID is the day's and the yard's, so that bringing it in again updates and does not double.
 */
export function planCalendar(days: readonly PlanOut[], stampedAt: string): string {
  const calendar = new ICAL.Component(["vcalendar", [], []]);
  calendar.updatePropertyWithValue("version", "2.0");
  calendar.updatePropertyWithValue("prodid", "-//Plumbline//Rounds//EN");
  for (const { date, plan } of days)
    for (const { yard, at, minutes, jobs } of plan.stops) {
      const entry = new ICAL.Component("vevent");
      entry.updatePropertyWithValue("uid", `round-${date}-${yard.id}@plumbline.invalid`);
      entry.updatePropertyWithValue("dtstamp", ICAL.Time.fromJSDate(new Date(stampedAt), true));
      if (at === undefined) entry.updatePropertyWithValue("dtstart", ICAL.Time.fromDateString(date));
      else {
        const start = ICAL.Time.fromDateTimeString(`${date}T${at}:00`);
        entry.updatePropertyWithValue("dtstart", start);
        entry.updatePropertyWithValue("duration", ICAL.Duration.fromSeconds(minutes * 60));
        const alarm = new ICAL.Component("valarm");
        alarm.updatePropertyWithValue("action", "DISPLAY");
        alarm.updatePropertyWithValue("description", yard.name);
        alarm.updatePropertyWithValue("trigger", ICAL.Duration.fromSeconds(-RING_BEFORE * 60));
        entry.addSubcomponent(alarm);
      }
      entry.updatePropertyWithValue(
        "summary",
        `${yard.name}: ${jobs.map(({ horse }) => horse.name).join(", ")}`,
      );
      if (yard.access !== "") entry.updatePropertyWithValue("location", yard.access);
      entry.updatePropertyWithValue("description", jobs.map(jobLine).join("\n"));
      if (yard.at) entry.updatePropertyWithValue("geo", [yard.at[0], yard.at[1]] as unknown as string);
      calendar.addSubcomponent(entry);
    }
  return `${calendar.toString()}\r\n`;
}

const jobLine = ({ horse, visit, minutes, last }: PlannedJob): string =>
  [
    `${horse.name}, ${horse.finish}, ${minutes} min`,
    visit.vetAt === undefined ? "" : `Vet at ${visit.vetAt}`,
    horse.habits,
    last?.watch ?? "",
  ]
    .filter((part) => part !== "")
    .join(". ");

/** Planned days as CSV: one row a horse. A cell that a spreadsheet would run as a formula is escaped. */
export function planCsv(days: readonly PlanOut[]): string {
  const fields = [
    "date",
    "time",
    "yard",
    "horse",
    "work",
    "minutes",
    "due",
    "habits",
    "watch",
    "person",
    "phone",
  ];
  const data = days.flatMap(({ date, plan }) =>
    plan.stops.flatMap(({ yard, jobs }) =>
      jobs.map(({ horse, visit, minutes, last }) => [
        date,
        visit.at ?? "",
        yard.name,
        horse.name,
        horse.finish,
        minutes,
        last?.next?.due ?? "",
        horse.habits,
        last?.watch ?? "",
        yard.person,
        yard.phone,
      ]),
    ),
  );
  return csvOf(fields, data);
}
