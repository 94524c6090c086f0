import { describe, expect, test } from "@jest/globals";
import { addDays } from "../calendar/date";
import { seededRandom } from "../math/random";
import type { Appointment } from "../record/appointment";
import type { Yard } from "../record/yard";
import { minutesOf } from "./drive";
import { placedEdits } from "./edits";
import { layOut, placedNow, type Layout } from "./layout";
import { moveCosts } from "./moveCosts";
import { planning } from "./planning";
import { horseAt, ROUNDS, rowsOf, TODAY } from "./round.fixture";

const day = (count: number) => addDays(TODAY, count);
const timesOf = ({ days }: Layout) =>
  days.flatMap(({ date, stops }) =>
    stops.flatMap(({ jobs }) =>
      jobs.map(({ job, at, late }) => ({ name: job.horse.name, date, at, late, minutes: job.minutes })),
    ),
  );

/** So many yards about home, a horse at each, spread over the days, timed as they were planned. */
function manyYards(count: number) {
  const random = seededRandom(count);
  const yards = Array.from({ length: count }, (_, at): Yard => ({
    id: `y${at}`,
    name: `Yard ${at}`,
    person: "",
    phone: "",
    access: "",
    at: [54 + random() - 0.5, -2 + random() - 0.5],
  }));
  const plan = (horses: ReturnType<typeof horseAt>[]) =>
    planning(rowsOf(horses, yards), ROUNDS, [], TODAY, 12);
  const start = yards.map(({ id }, at) => horseAt(id, `Horse ${at}`, { on: 1 + (at % 10) }));
  const made = timesOf(layOut(plan(start), placedNow(plan(start))));
  const atOf = new Map(made.map(({ name, at }) => [name, at]));
  return plan(
    yards.map(({ id }, at) =>
      horseAt(id, `Horse ${at}`, { on: 1 + (at % 10), at: atOf.get(`Horse ${at}`)! }),
    ),
  );
}

describe.each([31, 32, 40, 200])("a board of %i yards", (count) => {
  const plan = manyYards(count);
  const placed = placedNow(plan);

  test("shows every horse once, with a time", () => {
    const laid = layOut(plan, placed);
    expect(new Set(timesOf(laid).map(({ name }) => name)).size).toBe(count);
    expect([timesOf(laid).length, laid.left]).toEqual([count, []]);
    expect(
      timesOf(
        layOut(
          plan,
          placed,
          plan.days.map(({ date }) => date),
        ),
      ).length,
    ).toBe(count);
  });

  test("one horse is moved: the two days that it touches are timed anew, no other visit is touched", () => {
    const [one] = plan.jobs;
    const edits = placedEdits(plan, { ...placed, [one!.horse.id]: day(4) }, () => "new", "moved");
    const touched = new Set([day(1), day(4)]);
    const dayOf = new Map(plan.jobs.map(({ coming, on }) => [coming!.id, on]));
    expect(edits.filter(({ id }) => !touched.has(dayOf.get(id)!))).toEqual([]);
    expect(edits.filter(({ now }) => now === undefined)).toEqual([]);
    expect(moveCosts(plan, placed, [one!.horse.id]).every(({ drive }) => Number.isFinite(drive))).toBe(true);
  });
});

describe("a day that is touched", () => {
  const horses = (pinned: boolean) => [
    horseAt("north", "Ash", { on: 1, at: "13:00", pinned }),
    horseAt("north", "Birch", { on: 1, at: "08:00" }),
    horseAt("far", "Cedar", { on: 2, at: "08:30" }),
    horseAt("far", "Dogwood", { on: 3, at: "14:45" }),
  ];
  const moved = (pinned: boolean) => {
    const plan = planning(rowsOf(horses(pinned)), ROUNDS, [], TODAY, 10);
    return { plan, placed: { ...placedNow(plan), cedar: day(1) } };
  };

  test("a pinned visit keeps its hour, and the others are timed about it; an untouched day keeps its times", () => {
    const { plan, placed } = moved(true);
    const times = timesOf(layOut(plan, placed));
    expect(times.find(({ name }) => name === "Ash")).toMatchObject({
      date: day(1),
      at: "13:00",
      late: undefined,
    });
    expect(times.find(({ name }) => name === "Dogwood")).toMatchObject({ at: "14:45" });
    const edits = placedEdits(plan, placed, () => "new", "moved");
    expect(edits.map(({ id, path }) => `${id} ${path.join()}`).sort()).toEqual([
      "birch-next at",
      "cedar-next at",
      "cedar-next date",
    ]);
  });

  test("one that is not pinned is timed anew with it", () => {
    const { plan, placed } = moved(false);
    expect(placedEdits(plan, placed, () => "new", "moved").map(({ id }) => id)).toContain("ash-next");
  });

  test("an hour that cannot be kept stays, and says by how much it is missed", () => {
    const rows = rowsOf([
      horseAt("far", "Ash", { on: 1, at: "07:40", pinned: true }),
      horseAt("north", "Birch", { on: 2, at: "08:00" }),
    ]);
    const plan = planning(rows, ROUNDS, [], TODAY, 10);
    const ash = timesOf(layOut(plan, { ash: day(1), birch: day(1) })).find(({ name }) => name === "Ash");
    expect(ash?.at).toBe("07:40");
    expect(ash?.late).toBeGreaterThan(10);
  });
});

describe("booked times", () => {
  const booked = (at: string, minutes: number): Appointment => ({
    id: at,
    date: day(1),
    at,
    minutes,
    title: "Steel comes",
  });

  test("a delivery at 09:00 within four trims from 08:00 lies between two of them", () => {
    const rows = rowsOf(
      ["Ash", "Birch", "Cedar", "Dogwood"].map((name) => horseAt("north", name, { finish: "trim", on: 1 })),
    );
    const plan = planning(rows, ROUNDS, [booked("09:00", 30)], TODAY, 2);
    for (const { at, minutes } of timesOf(layOut(plan, placedNow(plan), [day(1)])))
      expect(minutesOf(at) + minutes <= 540 || minutesOf(at) >= 570).toBe(true);
  });

  test("none lies in a job, wherever it falls, and the work is done in no less time", () => {
    const random = seededRandom(7);
    const names = ["Ash", "Birch", "Cedar", "Dogwood"];
    for (let seed = 0; seed < 200; seed++) {
      const taken = Array.from({ length: 1 + Math.floor(random() * 3) }, () =>
        booked(
          `${String(7 + Math.floor(random() * 8)).padStart(2, "0")}:${random() < 0.5 ? "00" : "35"}`,
          10 + Math.floor(random() * 80),
        ),
      );
      const rows = rowsOf(names.map((name, at) => horseAt(at < 2 ? "north" : "far", name, { on: 1 })));
      const plan = planning(rows, ROUNDS, taken, TODAY, 2);
      const times = timesOf(layOut(plan, placedNow(plan), [day(1)])).sort((a, b) => a.at.localeCompare(b.at));
      for (const { at, minutes } of times)
        for (const one of taken) {
          const [from, to] = [minutesOf(one.at), minutesOf(one.at) + one.minutes];
          // Times are told to the next five minutes.
          expect([seed, minutesOf(at) + minutes <= from + 5 || minutesOf(at) >= to]).toEqual([seed, true]);
        }
      for (const [index, one] of times.entries())
        if (index > 0)
          expect(minutesOf(one.at)).toBeGreaterThanOrEqual(
            minutesOf(times[index - 1]!.at) + times[index - 1]!.minutes - 5,
          );
    }
  });
});
