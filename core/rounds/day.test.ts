import { describe, expect, test } from "@jest/globals";
import { addDays } from "../calendar/date";
import { bookedByStop, planOfDay, rowsOfDay } from "./daySheet";
import { fitIn } from "./fitIn";
import { lateEdits, lateNotes } from "./late";
import { horseAt, ROUNDS, rowsOf, TODAY, YARDS } from "./round.fixture";

const [NORTH, FAR] = YARDS;

describe("the plan of a day", () => {
  test("only visits of that day are in it, also of a day to come", () => {
    const rows = rowsOf([
      horseAt("north", "Ash", { on: 0 }),
      horseAt("far", "Birch", { on: 2, at: "09:00" }),
    ]);
    const names = (date: string) =>
      planOfDay(rows, date).stops.flatMap(({ jobs }) => jobs.map(({ horse }) => horse.name));
    expect([names(TODAY), names(addDays(TODAY, 1)), names(addDays(TODAY, 2))]).toEqual([
      ["Ash"],
      [],
      ["Birch"],
    ]);
  });

  test("of all rows only those whose horses are done on it: what is loaded is read for no others", () => {
    const rows = rowsOf([
      horseAt("north", "Ash", { on: 0 }),
      horseAt("far", "Birch", { on: 2 }),
      horseAt("far", "Cedar", { on: 0 }),
    ]);
    const names = (date: string) =>
      rowsOfDay(rows, date)
        .map(({ horse }) => horse.name)
        .sort();
    expect([names(TODAY), names(addDays(TODAY, 2)), names(addDays(TODAY, 9))]).toEqual([
      ["Ash", "Cedar"],
      ["Birch"],
      [],
    ]);
  });
});

test("booked times stand with the stop that one is at then; one before the first by itself", () => {
  const booked = (at: string) => ({ id: at, date: TODAY, at, minutes: 30, title: "Steel comes" });
  const rows = rowsOf([
    horseAt("north", "Ash", { on: 0, at: "08:00" }),
    horseAt("far", "Birch", { on: 0, at: "11:00" }),
  ]);
  const { before, at } = bookedByStop(
    planOfDay(rows, TODAY).stops,
    ["16:00", "07:00", "10:59", "11:00", "09:00"].map(booked),
  );
  const times = (list: typeof before) => list.map((one) => one.at);
  expect([times(before), ...at.map(times)]).toEqual([["07:00"], ["09:00", "10:59"], ["11:00", "16:00"]]);
});

describe("running late", () => {
  const rows = rowsOf([
    horseAt("north", "Ash", { on: 0, at: "08:00" }),
    horseAt("north", "Birch", { on: 0, at: "09:15" }),
    horseAt("far", "Cedar", { on: 0, at: "11:00" }),
    horseAt("far", "Dawn", { on: 0 }),
  ]);
  const plan = planOfDay(rows, TODAY);

  test("every visit that waits and has a time goes later by so much; undo takes it back", () => {
    expect(lateEdits(plan, 30).map(({ id, was, now }) => [id, was, now])).toEqual([
      ["ash-next", "08:00", "08:30"],
      ["birch-next", "09:15", "09:45"],
      ["cedar-next", "11:00", "11:30"],
    ]);
  });

  test("who is to be told, with a message by name and without", () => {
    const [first, second] = lateNotes(plan, 30);
    expect(first?.message).toBe(
      "Hello Wenna, I am running about 30 minutes late. I should be with you about 08:30 for Ash and Birch.",
    );
    expect([second?.was, second?.now, second?.message.startsWith("Hello, I am")]).toEqual([
      "11:00",
      "11:30",
      true,
    ]);
  });

  test("a yard where work has begun is not told of the horse that was begun", () => {
    const begun = structuredClone(rows);
    for (const row of begun) if (row.horse.name === "Ash" && row.coming) row.coming.status = "open";
    const [first] = lateNotes(planOfDay(begun, TODAY), 15);
    expect(first?.horses).toEqual(["Birch"]);
  });
});

describe("fitting a call in", () => {
  test("a yard that is on the way anyway costs nothing, at the end of its work", () => {
    const rows = rowsOf([
      horseAt("north", "Ash", { on: 0, at: "08:00" }),
      horseAt("north", "Birch", { due: 30 }),
    ]);
    expect(fitIn(rows, NORTH!, ROUNDS, TODAY)[0]).toMatchObject({
      date: TODAY,
      there: true,
      drive: 0,
      at: "09:15",
    });
  });

  test("between two stops, before the first or after the last: least extra road first, never before work that has begun", () => {
    const horses = [horseAt("far", "Cedar", { on: 0, at: "08:00" }), horseAt("north", "Ash", { due: 30 })];
    const ways = fitIn(rowsOf(horses), NORTH!, ROUNDS, TODAY).filter(({ date }) => date === TODAY);
    expect(ways.map(({ after }) => after?.name).sort()).toEqual(["Ferryfield", undefined]);
    expect(ways[0]!.drive).toBeCloseTo(ways[1]!.drive, 9);
    // Home to Tarn Farm 10, on to Ferryfield 9, instead of straight there.
    expect(ways[0]!.drive).toBeLessThan(10);
    const rows = rowsOf(horses);
    for (const row of rows) if (row.coming) row.coming.status = "open";
    expect(
      fitIn(rows, NORTH!, ROUNDS, TODAY)
        .filter(({ date }) => date === TODAY)
        .map(({ after }) => after?.name),
    ).toEqual(["Ferryfield"]);
  });

  test("an empty day is driven for it alone, there and back", () => {
    const [alone] = fitIn(rowsOf([horseAt("far", "Cedar", { due: 30 })]), FAR!, ROUNDS, TODAY);
    expect(alone?.drive).toBeCloseTo(28.3, 1);
  });
});
