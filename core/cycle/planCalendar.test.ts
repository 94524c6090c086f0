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
  return found.value;
};

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
    const now = read(
      file(
        event("UID:a", "DTSTART:20261124T093000", "DURATION:PT1H", "SUMMARY:One"),
        event("UID:b", "DTSTART:20261125T090000", "DURATION:PT1H", "SUMMARY:Two"),
        event("UID:c", "DTSTART:20261127T090000", "DURATION:PT1H", "SUMMARY:<img src=x onerror=alert(1)>"),
      ),
    );
    const change = appointmentsChange(kept, now);
    expect([
      change.fresh.map(({ title }) => title),
      change.moved.map(({ now: { at } }) => at),
      change.same,
    ]).toEqual([["<img src=x onerror=alert(1)>"], ["09:30"], 1]);
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
