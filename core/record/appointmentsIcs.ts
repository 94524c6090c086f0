import ICAL from "ical.js";
import { addDays, type IsoDate } from "../calendar/date";
import { zoneClock } from "../calendar/zone";
import { hashText } from "../math/hash";
import { fail, ok, type Issue, type Result } from "../result";
import type { Appointment } from "./appointment";
import { dayOf, newBudget, occurrences, timeKey, TooOften, type Budget } from "./icsOccurrences";

/** An instant as the wall clock where the user stands shows it. Handed in: the core knows no place. */
export type WallClock = (instant: Date) => { date: IsoDate; at: string };

/** The longest an appointment is read as, minutes; an all-day event takes that. */
const WHOLE_DAY = 960;
const DAY = 1440;
/** Longest name of an event within an id: what is longer is told by its hash. */
const LONGEST_NAME = 50;
/** No event is read over more days. */
const MOST_DAYS = 400;

/** What a calendar brings. */
export interface CalendarIn {
  appointments: Appointment[];
  /** Events that could not be read, by name, and what was taken as another than it says. */
  unread: Issue[];
  /** How the ids of everything that the file speaks of begin, what it cancels too. */
  series: string[];
}

interface Window {
  from: IsoDate;
  until: IsoDate;
  wall: WallClock;
  budget: Budget;
  note: (code: string, path: string, message: string) => void;
}

/**
 * Appointments from an iCalendar file (RFC 5545), between two days: repeated events as often as they fall there, moved and
 * cancelled ones among them as they are now, events of several days on each of these. Times are as the user's own clock
 * shows them: a zone that the file describes, else one known by its name, is honoured; a floating time stays what it says.
 * What is marked as free time takes none. An id comes from the event's UID, and the day that a repetition was first meant
 * for, so that bringing a newer file in moves an appointment and does not double it. Text is taken as text. An event that
 * cannot be read is named, and the others are taken. Errors: `not-a-calendar`, `bad-event` where none can be read, `empty`.
 */
export function readAppointments(
  text: string,
  from: IsoDate,
  until: IsoDate,
  wall: WallClock,
): Result<CalendarIn> {
  const unread: Issue[] = [];
  const note: Window["note"] = (code, path, message) => {
    if (!unread.some((one) => one.message === message)) unread.push({ code, path, message });
  };
  const calendars = calendarsOf(text);
  if (!calendars)
    return fail("not-a-calendar", "", "This is not an iCalendar file: it should begin with BEGIN:VCALENDAR.");
  // Zones belong to the file: one of the same name in the file before may have been another.
  ICAL.TimezoneService.reset();
  for (const calendar of calendars) registerZones(calendar, note);
  const window: Window = { from, until, wall, note, budget: newBudget() };
  const found: Appointment[] = [];
  const series = new Set<string>();
  let count = 0;
  for (const events of calendars.flatMap((calendar) => byUid(calendar.getAllSubcomponents("vevent")))) {
    // Repetitions that were moved or cancelled stand by themselves; the series is read without them.
    const apart = new Set<string>();
    for (const component of events) if (recurrenceOf(component)) apart.add(idTextOf(component));
    for (const component of events) {
      count += 1;
      series.add(nameOf(component));
      try {
        found.push(...timesOf(component, apart, window));
      } catch (error) {
        const name = `Event ${count}${titleOf(component) === "" ? "" : `, “${titleOf(component).slice(0, 60)}”`}`;
        note(
          "bad-event",
          `event ${count}`,
          error instanceof TooOften
            ? `${name}, repeats too often to be followed.`
            : `${name}, cannot be read: its day, its length or its repetition is none.`,
        );
      }
    }
  }
  const appointments = alone(found).sort((a, b) => `${a.date}${a.at}`.localeCompare(`${b.date}${b.at}`));
  if (appointments.length > 0) return ok({ appointments, unread, series: [...series] });
  return unread.length > 0
    ? { ok: false, issues: unread }
    : fail("empty", "", `No appointment in this file lies between ${from} and ${until}.`);
}

function calendarsOf(text: string): ICAL.Component[] | undefined {
  try {
    const parsed = ICAL.parse(text.replace(/^\uFEFF/, "")) as unknown[];
    // One calendar is a component, several are a list of them.
    const list = (typeof parsed[0] === "string" ? [parsed] : parsed) as [string, unknown[], unknown[]][];
    const all = list.map((one) => new ICAL.Component(one));
    return all.length > 0 && all.every(({ name }) => name === "vcalendar") ? all : undefined;
  } catch {
    return undefined;
  }
}

function registerZones(calendar: ICAL.Component, note: Window["note"]): void {
  for (const zone of calendar.getAllSubcomponents("vtimezone")) {
    const id = zone.getFirstPropertyValue("tzid");
    if (typeof id !== "string") continue;
    try {
      const made = new ICAL.Timezone(zone);
      made.utcOffset(
        new ICAL.Time(
          { year: 2026, month: 1, day: 1, hour: 0, minute: 0, second: 0, isDate: false },
          ICAL.Timezone.utcTimezone,
        ),
      );
      ICAL.TimezoneService.register(made, id);
    } catch {
      note("bad-zone", id, `The time zone “${id}” of this calendar cannot be read.`);
    }
  }
}

/** Events of one UID together, each the newest of its kind. */
function byUid(events: readonly ICAL.Component[]): ICAL.Component[][] {
  const groups = new Map<string, Map<string, ICAL.Component>>();
  for (const [at, event] of events.entries()) {
    const uid = uidOf(event) || `no uid ${at}`;
    const group = groups.get(uid) ?? new Map<string, ICAL.Component>();
    const key = recurrenceOf(event) ? idTextOf(event) : "";
    const sequence = (one: ICAL.Component | undefined) =>
      one ? Number(one.getFirstPropertyValue("sequence") ?? 0) : -1;
    if (sequence(event) >= sequence(group.get(key))) group.set(key, event);
    groups.set(uid, group);
  }
  return [...groups.values()].map((group) => [...group.values()]);
}

const textAt = (component: ICAL.Component, name: string): string => {
  const value = component.getFirstPropertyValue(name);
  return typeof value === "string" ? value.trim() : "";
};
const uidOf = (component: ICAL.Component): string => textAt(component, "uid");
const titleOf = (component: ICAL.Component): string => textAt(component, "summary");
/** How the ids of an event begin. */
const nameOf = (component: ICAL.Component): string => {
  const uid = uidOf(component) || titleOf(component);
  return `ics-${uid.length > LONGEST_NAME ? `${uid.slice(0, LONGEST_NAME - 9)}~${hashText(uid)}` : uid}`;
};
const recurrenceOf = (component: ICAL.Component) =>
  component.getFirstPropertyValue("recurrence-id") as ICAL.Time | null;
const idTextOf = (component: ICAL.Component): string => {
  try {
    const time = recurrenceOf(component);
    return time ? timeKey(time) : "";
  } catch {
    return "";
  }
};

/** When one event takes place between two days. Throws where what stands in it is none. */
function timesOf(component: ICAL.Component, apart: ReadonlySet<string>, window: Window): Appointment[] {
  const start = component.getFirstPropertyValue("dtstart") as ICAL.Time | null;
  if (!start) throw new Error("it has no start");
  if (textAt(component, "status") === "CANCELLED" || textAt(component, "transp") === "TRANSPARENT") return [];
  const minutes = lengthOf(component, start);
  const recurrence = recurrenceOf(component);
  const repeats = component.hasProperty("rrule") || component.hasProperty("rdate");
  const starts =
    recurrence || !repeats
      ? [start]
      : occurrences(component, [window.from, window.until], Math.ceil(minutes / DAY), window.budget);
  const title = titleOf(component).slice(0, 200) || "Taken";
  const clock = clockOf(component, start, window);
  const onDay = new Map<string, number>();
  return starts.flatMap((time) => {
    if (!recurrence && apart.has(timeKey(time))) return [];
    // A repetition goes by the day that it was first meant for, and by its number on that day.
    const day = dayOf(recurrence ?? time);
    const number = (onDay.get(day) ?? 0) + 1;
    onDay.set(day, number);
    const id = [
      nameOf(component),
      ...(repeats || recurrence ? [day] : []),
      ...(number > 1 ? [number] : []),
    ].join("-");
    return daysOf(time, minutes, clock).flatMap(({ date, ...when }, index) =>
      date < window.from || date > window.until
        ? []
        : [{ id: index === 0 ? id : `${id}+${index}`, date, ...when, title }],
    );
  });
}

/** How long an event takes, minutes: to its end, by its duration, or one day or no time at all. */
function lengthOf(component: ICAL.Component, start: ICAL.Time): number {
  const duration = component.getFirstPropertyValue("duration") as ICAL.Duration | null;
  const end = component.getFirstPropertyValue("dtend") as ICAL.Time | null;
  const seconds = duration
    ? duration.toSeconds()
    : end
      ? end.subtractDateTz(start).toSeconds()
      : start.isDate
        ? DAY * 60
        : 0;
  if (!Number.isFinite(seconds)) throw new Error("it has no length");
  return Math.max(1, Math.round(seconds / 60));
}

type Clock = (time: ICAL.Time) => { date: IsoDate; at: string };

/** How the times of an event are read: as they stand, or as the user's clock shows them. */
function clockOf(component: ICAL.Component, start: ICAL.Time, { wall, note }: Window): Clock {
  const asItStands: Clock = (time) => ({
    date: dayOf(time),
    at: `${String(time.hour).padStart(2, "0")}:${String(time.minute).padStart(2, "0")}`,
  });
  if (start.isDate) return asItStands;
  if (start.zone !== ICAL.Timezone.localTimezone) return (time) => wall(time.toJSDate());
  const name = component.getFirstProperty("dtstart")?.getParameter("tzid");
  if (typeof name !== "string") return asItStands;
  const clock = zoneClock(name);
  if (clock) return ({ year, month, day, hour, minute }) => wall(clock([year, month, day, hour, minute]));
  note("unknown-zone", name, `The time zone “${name}” is not known: its times are taken as your own.`);
  return asItStands;
}

/** The days that an event takes time of, each with its beginning and its minutes there. */
function daysOf(start: ICAL.Time, minutes: number, clock: Clock): Omit<Appointment, "id" | "title">[] {
  const { date, at } = clock(start);
  if (start.isDate)
    return Array.from(
      { length: Math.min(MOST_DAYS, Math.max(1, Math.round(minutes / DAY))) },
      (_, index) => ({
        date: addDays(date, index),
        at: "00:00",
        minutes: WHOLE_DAY,
      }),
    );
  const begins = Number(at.slice(0, 2)) * 60 + Number(at.slice(3, 5));
  const days = Math.min(MOST_DAYS, Math.max(1, Math.ceil((begins + minutes) / DAY)));
  return Array.from({ length: days }, (_, index) => {
    const [from, to] = [index === 0 ? begins : 0, Math.min(DAY, begins + minutes - index * DAY)];
    return {
      date: addDays(date, index),
      at: index === 0 ? at : "00:00",
      minutes: Math.min(WHOLE_DAY, Math.max(1, to - from)),
    };
  });
}

/** Each appointment once: what has the same id and says the same is one, what says something else gets a number. */
function alone(found: readonly Appointment[]): Appointment[] {
  const byId = new Map<string, Appointment>();
  for (const one of found)
    for (let number = 1; ; number++) {
      const id = number === 1 ? one.id : `${one.id}-${number}`;
      const before = byId.get(id);
      if (!before) byId.set(id, { ...one, id });
      if (!before || (before.date === one.date && before.at === one.at && before.minutes === one.minutes))
        break;
    }
  return [...byId.values()];
}

/** What bringing appointments in would do to those that are kept. */
export interface AppointmentsChange {
  fresh: Appointment[];
  moved: { was: Appointment; now: Appointment }[];
  same: number;
  /** Kept, of an event that the file speaks of, and no longer in it: cancelled, or of a series that has changed. */
  gone: Appointment[];
}

export function appointmentsChange(
  kept: readonly Appointment[],
  { appointments: read, series }: Pick<CalendarIn, "appointments" | "series">,
  from: IsoDate,
): AppointmentsChange {
  const byId = new Map(kept.map((one) => [one.id, one]));
  // Until lately the id of an event that does not repeat ended with its day.
  for (const one of kept) if (one.id.endsWith(`-${one.date}`)) byId.set(one.id.slice(0, -11), one);
  const change: AppointmentsChange = { fresh: [], moved: [], same: 0, gone: [] };
  const met = new Set<string>();
  for (const one of read) {
    const was = byId.get(one.id);
    if (was) met.add(was.id);
    const now = was ? { ...one, id: was.id } : one;
    if (!was) change.fresh.push(now);
    else if (
      was.date === now.date &&
      was.at === now.at &&
      was.minutes === now.minutes &&
      was.title === now.title
    )
      change.same += 1;
    else change.moved.push({ was, now });
  }
  const isOf = (id: string, name: string) =>
    id === name || (id.startsWith(name) && /^[-+]/.test(id.slice(name.length)));
  change.gone = kept.filter(
    ({ id, date }) => date >= from && !met.has(id) && series.some((name) => isOf(id, name)),
  );
  return change;
}
