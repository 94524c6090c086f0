import ICAL from "ical.js";
import { daysBetween, type IsoDate } from "../calendar/date";
import { fail, ok, type Result } from "../result";
import type { Appointment } from "./appointment";

/** An instant as the wall clock where the user stands shows it. Handed in: the core knows no place. */
export type WallClock = (instant: Date) => { date: IsoDate; at: string };

/** The longest an appointment is read as, minutes; an all-day event takes that. */
const WHOLE_DAY = 960;
/** Repetitions that are read of one event. */
const MOST_REPEATS = 400;
const LONGEST_ID = 80;

/**
 * Appointments from an iCalendar file, between two days: repeated events as often as they fall there, times as the
 * user's own clock shows them (the zone of the file is honoured; a floating time stays what it says). An id comes from
 * the event's UID and day, so that bringing a newer file in moves an appointment and does not double it. Text is taken
 * as text. Errors: `not-a-calendar`, `bad-zone`, `bad-event` with its number, `empty`.
 */
export function readAppointments(
  text: string,
  from: IsoDate,
  until: IsoDate,
  wall: WallClock,
): Result<Appointment[]> {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown as [string, unknown[], unknown[]]);
  } catch {
    return fail("not-a-calendar", "", "This is not an iCalendar file: it should begin with BEGIN:VCALENDAR.");
  }
  const found: Appointment[] = [];
  // What a value says is made out only when it is asked for, so that any of these may find that it is none.
  try {
    for (const zone of calendar.getAllSubcomponents("vtimezone")) {
      const id = zone.getFirstPropertyValue("tzid");
      if (typeof id === "string" && !ICAL.TimezoneService.has(id))
        ICAL.TimezoneService.register(new ICAL.Timezone(zone), id);
    }
  } catch {
    return fail("bad-zone", "VTIMEZONE", "A time zone in this calendar cannot be read. Nothing was taken.");
  }
  for (const [index, component] of calendar.getAllSubcomponents("vevent").entries()) {
    try {
      found.push(...timesOf(component, { from, until, wall }));
    } catch {
      return fail(
        "bad-event",
        `event ${index + 1}`,
        `Event ${index + 1} of this calendar cannot be read: its day, its length or its repetition is none. Nothing was taken.`,
      );
    }
  }
  if (found.length === 0)
    return fail("empty", "", `No appointment in this file lies between ${from} and ${until}.`);
  return ok(found.sort((a, b) => `${a.date}${a.at}`.localeCompare(`${b.date}${b.at}`)));
}

/** When one event takes place between two days. Throws where what stands in it is none. */
function timesOf(
  component: ICAL.Component,
  { from, until, wall }: { from: IsoDate; until: IsoDate; wall: WallClock },
): Appointment[] {
  const event = new ICAL.Event(component);
  if (component.getFirstPropertyValue("status") === "CANCELLED" || event.isRecurrenceException()) return [];
  return startsOf(event, until).flatMap((start) => {
    const { date, at } = whenOf(start, wall);
    if (date < from || date > until) return [];
    const minutes = start.isDate
      ? WHOLE_DAY
      : Math.max(1, Math.min(WHOLE_DAY, Math.round(event.duration.toSeconds() / 60)));
    const id = `ics-${event.uid || (event.summary ?? "")}`.slice(0, LONGEST_ID - 11);
    return [
      {
        id: `${id}-${date}`,
        date,
        at: start.isDate ? "00:00" : at,
        minutes,
        title: (event.summary ?? "").trim().slice(0, 200) || "Taken",
      },
    ];
  });
}

function startsOf(event: ICAL.Event, until: IsoDate): ICAL.Time[] {
  if (!event.isRecurring()) return [event.startDate];
  const starts: ICAL.Time[] = [];
  const each = event.iterator();
  for (let count = 0; count < MOST_REPEATS; count++) {
    const next = each.next() as ICAL.Time | null;
    if (!next || daysBetween(until, dateText(next)) > 1) break;
    starts.push(next);
  }
  return starts;
}

const dateText = ({ year, month, day }: ICAL.Time): IsoDate =>
  `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;

function whenOf(start: ICAL.Time, wall: WallClock): { date: IsoDate; at: string } {
  const floating = start.isDate || start.zone === ICAL.Timezone.localTimezone;
  if (!floating) return wall(start.toJSDate());
  return {
    date: dateText(start),
    at: `${String(start.hour).padStart(2, "0")}:${String(start.minute).padStart(2, "0")}`,
  };
}

/** What bringing appointments in would do to those that are kept. */
export interface AppointmentsChange {
  fresh: Appointment[];
  moved: { was: Appointment; now: Appointment }[];
  same: number;
}

export function appointmentsChange(
  kept: readonly Appointment[],
  read: readonly Appointment[],
): AppointmentsChange {
  const byId = new Map(kept.map((one) => [one.id, one]));
  const change: AppointmentsChange = { fresh: [], moved: [], same: 0 };
  for (const now of read) {
    const was = byId.get(now.id);
    if (!was) change.fresh.push(now);
    else if (was.at === now.at && was.minutes === now.minutes && was.title === now.title) change.same += 1;
    else change.moved.push({ was, now });
  }
  return change;
}
