import { describe, expect, test } from "@jest/globals";
import ical, { type VEvent } from "node-ical";
import { planOfDay } from "../rounds/daySheet";
import { horseAt, rowsOf, TODAY } from "../rounds/round.fixture";
import { appointmentsChange, readAppointments } from "../record/appointmentsIcs";
import { planCalendar, planCsv } from "./planCalendar";

const rows = rowsOf([
  horseAt("north", "Ash", { on: 0, at: "08:00", habits: "Kicks; second person, please." }),
  horseAt("north", "=Birch", { on: 0, at: "09:15" }),
  horseAt("far", "Cedar", { on: 0 }),
]);
const days = [{ date: TODAY, plan: planOfDay(rows, TODAY) }];

describe("a plan as a calendar", () => {
  const text = planCalendar(days, "2026-11-22T18:00:00Z");
  const events = Object.values(ical.sync.parseICS(text)).filter((one) => one?.type === "VEVENT") as VEvent[];

  test("an independent reader finds a yard’s visit at its time, with its length, alarm and text", () => {
    const north = events.find(({ uid }) => uid === `round-${TODAY}-north@plumbline.invalid`)!;
    expect(north.summary).toBe("Tarn Farm: Ash, =Birch");
    expect([north.start.getHours(), north.start.getMinutes(), north.start.getDate()]).toEqual([8, 0, 23]);
    expect((north.end!.getTime() - north.start.getTime()) / 60_000).toBe(173);
    expect(north.description).toContain("Kicks; second person, please.");
    expect(JSON.stringify(north.alarms)).toContain("-PT1H");
  });

  test("without a time it is an event of the day", () => {
    const far = events.find(({ uid }) => uid.includes("-far@"))!;
    expect(far.datetype).toBe("date");
  });

  test("the same plan has the same UIDs the next time, whatever the hour", () => {
    const later = planCalendar(days, "2026-11-23T05:00:00Z");
    const uids = (of: string) => [...of.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid);
    expect(uids(later)).toEqual(uids(text));
    expect(new Set(uids(text)).size).toBe(2);
  });

  test("as CSV: one row a horse, a cell that a spreadsheet would run is escaped", () => {
    const lines = planCsv(days).trim().split("\r\n");
    expect(lines).toHaveLength(4);
    expect(lines[2]).toContain("'=Birch");
  });
});

const file = (...events: string[]) =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//made up//EN", ...events, "END:VCALENDAR"].join("\r\n");
const event = (...lines: string[]) =>
  ["BEGIN:VEVENT", "DTSTAMP:20261101T000000Z", ...lines, "END:VEVENT"].join("\r\n");
/** A wall clock an hour ahead of Greenwich. */
const wall = (instant: Date) => {
  const there = new Date(instant.getTime() + 3_600_000).toISOString();
  return { date: there.slice(0, 10), at: there.slice(11, 16) };
};
const read = (text: string) => {
  const found = readAppointments(text, "2026-11-23", "2027-05-01", wall);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value.appointments;
};
const readWhole = (text: string) => {
  const found = readAppointments(text, "2026-11-23", "2027-05-01", wall);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
/** Day and hour of each. */
const when = (text: string) => read(text).map(({ date, at }) => `${date} ${at}`);

describe("appointments from a calendar", () => {
  test("universal time is read by the user’s clock, a floating time stays what it says, a whole day takes it all", () => {
    expect(
      read(
        file(
          event("UID:a", "DTSTART:20261124T090000Z", "DTEND:20261124T103000Z", "SUMMARY:Dentist"),
          event("UID:b", "DTSTART:20261125T090000", "DURATION:PT45M", "SUMMARY:Bank"),
          event("UID:c", "DTSTART;VALUE=DATE:20261126", "SUMMARY:Away"),
        ),
      ).map(({ date, at, minutes, title }) => [date, at, minutes, title]),
    ).toEqual([
      ["2026-11-24", "10:00", 90, "Dentist"],
      ["2026-11-25", "09:00", 45, "Bank"],
      ["2026-11-26", "00:00", 960, "Away"],
    ]);
  });

  test("a zone that the file brings is honoured on both sides of its clock change", () => {
    const zone = [
      "BEGIN:VTIMEZONE",
      "TZID:Made/Up",
      "BEGIN:STANDARD",
      "DTSTART:20201025T030000",
      "RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU",
      "TZOFFSETFROM:+0200",
      "TZOFFSETTO:+0100",
      "END:STANDARD",
      "BEGIN:DAYLIGHT",
      "DTSTART:20200329T020000",
      "RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU",
      "TZOFFSETFROM:+0100",
      "TZOFFSETTO:+0200",
      "END:DAYLIGHT",
      "END:VTIMEZONE",
    ].join("\r\n");
    const weekly = event(
      "UID:w",
      "DTSTART;TZID=Made/Up:20270322T100000",
      "DURATION:PT1H",
      "RRULE:FREQ=WEEKLY;COUNT=2",
      "SUMMARY:School",
    );
    // Ten o'clock there is nine in Greenwich in winter, eight in summer; the user's clock stands an hour ahead.
    expect(read(file(zone, weekly)).map(({ date, at }) => [date, at])).toEqual([
      ["2027-03-22", "10:00"],
      ["2027-03-29", "09:00"],
    ]);
  });

  test("a repeated event comes as often as it falls between the days, each with an id of its own that stays", () => {
    const text = file(
      event("UID:r", "DTSTART:20260105T080000", "DURATION:PT1H", "RRULE:FREQ=MONTHLY", "SUMMARY:Rent"),
    );
    const found = read(text);
    expect(found.map(({ date }) => date)).toEqual([
      "2026-12-05",
      "2027-01-05",
      "2027-02-05",
      "2027-03-05",
      "2027-04-05",
    ]);
    expect(read(text).map(({ id }) => id)).toEqual(found.map(({ id }) => id));
  });

  test("brought in again: what is new, what moved, what is as it was", () => {
    const kept = read(
      file(
        event("UID:a", "DTSTART:20261124T090000", "DURATION:PT1H", "SUMMARY:One"),
        event("UID:b", "DTSTART:20261125T090000", "DURATION:PT1H", "SUMMARY:Two"),
      ),
    );
    const now = readWhole(
      file(
        event("UID:a", "DTSTART:20261124T093000", "DURATION:PT1H", "SUMMARY:One"),
        event("UID:b", "DTSTART:20261125T090000", "DURATION:PT1H", "SUMMARY:Two"),
        event("UID:c", "DTSTART:20261127T090000", "DURATION:PT1H", "SUMMARY:<img src=x onerror=alert(1)>"),
      ),
    );
    const change = appointmentsChange(kept, now, "2026-11-23");
    expect([
      change.fresh.map(({ title }) => title),
      change.moved.map(({ now: { at } }) => at),
      change.same,
    ]).toEqual([["<img src=x onerror=alert(1)>"], ["09:30"], 1]);
  });

  test("a series that began long ago is followed to its end: daily, weekly, every second week", () => {
    expect(
      when(
        file(
          event(
            "UID:d",
            "DTSTART:20100101T080000",
            "DURATION:PT1H",
            "RRULE:FREQ=DAILY;UNTIL=20261125T080000",
          ),
        ),
      ),
    ).toEqual(["2026-11-23 08:00", "2026-11-24 08:00", "2026-11-25 08:00"]);
    const second = when(
      file(
        event(
          "UID:w",
          "DTSTART:20001106T080000",
          "DURATION:PT1H",
          "RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE",
        ),
      ),
    );
    // 6 November 2000 and 23 November 2026 are 1,359 weeks apart: it falls in the weeks between.
    expect(second.slice(0, 3)).toEqual(["2026-11-30 08:00", "2026-12-02 08:00", "2026-12-14 08:00"]);
    expect(
      when(file(event("UID:c", "DTSTART:20200101T080000", "DURATION:PT1H", "RRULE:FREQ=DAILY;COUNT=2520"))),
    ).toEqual(["2026-11-23 08:00", "2026-11-24 08:00"]);
  });

  test("a repetition that was moved stands where it was moved to, also into and out of the window; a cancelled one is off", () => {
    const series = event(
      "UID:s",
      "DTSTART:20261109T090000",
      "DURATION:PT1H",
      "RRULE:FREQ=WEEKLY;COUNT=6",
      "SUMMARY:School",
    );
    const moved = (from: string, to: string) =>
      event("UID:s", `RECURRENCE-ID:${from}`, `DTSTART:${to}`, "DURATION:PT2H", "SUMMARY:School");
    const text = file(
      series,
      moved("20261130T090000", "20261202T140000"),
      moved("20261109T090000", "20261124T070000"),
      event("UID:s", "RECURRENCE-ID:20261207T090000", "DTSTART:20261207T090000", "STATUS:CANCELLED"),
    );
    expect(when(text)).toEqual([
      "2026-11-23 09:00",
      "2026-11-24 07:00",
      "2026-12-02 14:00",
      "2026-12-14 09:00",
    ]);
    // Brought in after the series alone: moved, not doubled; what was cancelled goes.
    const kept = read(file(series));
    const change = appointmentsChange(kept, readWhole(text), "2026-11-23");
    expect(change.moved.map(({ was, now }) => [was.date, now.date])).toEqual([["2026-11-30", "2026-12-02"]]);
    expect([change.fresh.map(({ date }) => date), change.gone.map(({ date }) => date), change.same]).toEqual([
      ["2026-11-24"],
      ["2026-12-07"],
      2,
    ]);
  });

  test("days that are taken out, and extra ones, are heeded", () => {
    expect(
      when(
        file(
          event(
            "UID:x",
            "DTSTART:20261123T090000",
            "DURATION:PT1H",
            "RRULE:FREQ=DAILY;COUNT=3",
            "EXDATE:20261124T090000",
            "RDATE:20261127T110000,20261128T110000",
          ),
        ),
      ),
    ).toEqual(["2026-11-23 09:00", "2026-11-25 09:00", "2026-11-27 11:00", "2026-11-28 11:00"]);
  });

  test("a holiday of three days takes each of them, a night away takes its part of both days", () => {
    expect(
      read(
        file(
          event("UID:h", "DTSTART;VALUE=DATE:20261124", "DTEND;VALUE=DATE:20261127", "SUMMARY:Away"),
          event("UID:n", "DTSTART:20261130T180000", "DTEND:20261201T090000", "SUMMARY:Show"),
        ),
      ).map(({ date, at, minutes }) => [date, at, minutes]),
    ).toEqual([
      ["2026-11-24", "00:00", 960],
      ["2026-11-25", "00:00", 960],
      ["2026-11-26", "00:00", 960],
      ["2026-11-30", "18:00", 360],
      ["2026-12-01", "00:00", 540],
    ]);
  });

  test("what is marked as free takes no time", () => {
    const found = readAppointments(
      file(
        event("UID:t", "DTSTART:20261124T090000", "DURATION:PT1H", "TRANSP:TRANSPARENT", "SUMMARY:Birthday"),
      ),
      "2026-11-23",
      "2027-05-01",
      wall,
    );
    expect(found.ok ? undefined : found.issues[0]?.code).toBe("empty");
  });

  test("two events of one series on one day have ids of their own; an event moved to another day keeps its id", () => {
    const twice = read(
      file(
        event("UID:z", "DTSTART:20261124T090000", "DURATION:PT1H", "RRULE:FREQ=DAILY;BYHOUR=9,15;COUNT=4"),
      ),
    );
    expect([twice.length, new Set(twice.map(({ id }) => id)).size]).toEqual([4, 4]);
    const on = (day: string) =>
      file(event("UID:m", `DTSTART:${day}T090000`, "DURATION:PT1H", "SUMMARY:Bank"));
    const change = appointmentsChange(read(on("20261124")), readWhole(on("20261126")), "2026-11-23");
    expect([change.fresh, change.gone, change.moved.map(({ now: { date } }) => date)]).toEqual([
      [],
      [],
      ["2026-11-26"],
    ]);
    // Kept by a version whose ids ended with the day.
    const older = read(on("20261124")).map((one) => ({ ...one, id: `${one.id}-${one.date}` }));
    expect(appointmentsChange(older, readWhole(on("20261124")), "2026-11-23")).toMatchObject({
      same: 1,
      fresh: [],
      gone: [],
    });
    const long = "u".repeat(300);
    const ids = read(
      file(
        event(`UID:${long}1`, "DTSTART:20261124T090000", "DURATION:PT1H"),
        event(`UID:${long}2`, "DTSTART:20261124T110000", "DURATION:PT1H"),
      ),
    ).map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);
    expect(Math.max(...ids.map(({ length }) => length))).toBeLessThanOrEqual(80);
  });

  test("a zone that is only named is known by its name; one that nobody knows is said", () => {
    expect(
      when(file(event("UID:a", "DTSTART;TZID=America/New_York:20261124T090000", "DURATION:PT1H"))),
    ).toEqual(["2026-11-24 15:00"]);
    const { appointments, unread } = readWhole(
      file(event("UID:a", "DTSTART;TZID=Far/Away:20261124T090000", "DURATION:PT1H")),
    );
    expect([appointments[0]?.at, unread.map(({ code, path }) => [code, path])]).toEqual([
      "09:00",
      [["unknown-zone", "Far/Away"]],
    ]);
  });

  test("two calendars in one file are both read, and an event that cannot be read is named beside the others", () => {
    const good = event("UID:g", "DTSTART:20261124T090000", "DURATION:PT1H", "SUMMARY:Good");
    const bad = event("UID:b", "DTSTART:when it rains", "SUMMARY:Rain");
    const often = event("UID:o", "DTSTART:20261123T090000", "RRULE:FREQ=SECONDLY", "SUMMARY:Tick");
    const found = readWhole(
      `${file(good)}\r\n${file(bad, often, event("UID:h", "DTSTART:20261125T090000", "DURATION:PT1H"))}`,
    );
    expect(found.appointments.map(({ date }) => date)).toEqual(["2026-11-24", "2026-11-25"]);
    expect(found.unread.map(({ message }) => message)).toEqual([
      "Event 2, “Rain”, cannot be read: its day, its length or its repetition is none.",
      "Event 3, “Tick”, repeats too often to be followed.",
    ]);
  });

  test.each([
    ["not a calendar at all", "not-a-calendar"],
    [file(event("UID:a", "DTSTART:20200101T090000", "DURATION:PT1H", "SUMMARY:Old")), "empty"],
    [
      file(event("UID:a", "DTSTART:20261201T090000", "DURATION:PT1H", "STATUS:CANCELLED", "SUMMARY:Off")),
      "empty",
    ],
  ])("what is no calendar, or has nothing to come, is said", (text, code) => {
    const found = readAppointments(text, "2026-11-23", "2027-05-01", wall);
    expect(found.ok ? undefined : found.issues[0]?.code).toBe(code);
  });
});
