import { describe, expect, test } from "@jest/globals";
import { addDays } from "../calendar/date";
import { applyEdit } from "../record/edit";
import { placedEdits, vetEdits } from "./edits";
import { clockText, minutesOf } from "./drive";
import { layOut, placedNow } from "./layout";
import { moveCosts } from "./moveCosts";
import { drawnMap } from "./map";
import { fortnightFrom, planning } from "./planning";
import { horseAt, ROUNDS, rowsOf, TODAY, YARDS } from "./round.fixture";
import { hoursInWords, placeInWords, readHours, readPlace } from "./typed";
import { moveInWords, planInWords, vetInWords } from "./words";

const day = (count: number) => addDays(TODAY, count);
const planOf = (
  horses: ReturnType<typeof horseAt>[],
  count = 4,
  taken: Parameters<typeof planning>[2] = [],
) => planning(rowsOf(horses), ROUNDS, taken, TODAY, count);

describe("planning", () => {
  test("horses whose window meets the days, the overdue and those planned for one of them", () => {
    const { jobs } = planOf([
      horseAt("north", "Open", { due: 3 }),
      horseAt("north", "Over", { due: -20 }),
      horseAt("north", "Later", { due: 30 }),
      horseAt("north", "Planned", { due: 30, on: 2 }),
      horseAt("north", "Underway", { due: 0, on: 0 }),
      horseAt("north", "Booked", { due: 3, on: 9 }),
    ]);
    expect(jobs.map(({ horse, on }) => [horse.name, on])).toEqual([
      ["Open", undefined],
      ["Over", undefined],
      ["Planned", day(2)],
    ]);
  });

  test("a horse that died or moved is not wanted any more, and neither is it in anybody's way", () => {
    const gone = horseAt("north", "Gone", { due: 2, left: { on: TODAY, why: "died" } });
    expect(rowsOf([gone, horseAt("north", "Here")]).map(({ horse }) => horse.name)).toEqual(["Here"]);
    expect(planOf([gone]).jobs).toEqual([]);
    expect(planOf([gone]).question.yards).toEqual([]);
  });

  test("today is left as it is, weekends are off, an appointment takes its minutes, never below none", () => {
    const booked = (minutes: number, date: string) => ({
      id: date,
      date,
      at: "09:00",
      minutes,
      title: "Steel",
    });
    const { days } = planOf([], 6, [booked(120, day(1)), booked(900, day(2))]);
    expect(days.map(({ date, minutes }) => [date, minutes])).toEqual([
      [day(1), 420],
      [day(2), 0],
      [day(3), 540],
      [day(4), 540],
      [day(5), 0],
      [day(6), 0],
    ]);
  });

  test("a vet’s plan weighs twice, a show within the fortnight half as much again, a pinned horse has one day", () => {
    const { jobs } = planOf([
      horseAt("north", "Plan", { vetPlan: true }),
      horseAt("north", "Show", { showOn: day(10) }),
      horseAt("north", "Shown", { showOn: day(-1), on: 3, pinned: true }),
    ]);
    expect(jobs.map(({ weight, only }) => [weight, only])).toEqual([
      [2, undefined],
      [1.5, undefined],
      [1, day(3)],
    ]);
  });

  test("a yard without a place is an island half an hour from home, and is named", () => {
    const [north, far] = YARDS;
    const { at: _, ...nowhere } = north!;
    const plan = planning(rowsOf([horseAt("north", "Alone")], [nowhere, far!]), ROUNDS, [], TODAY, 4);
    expect(plan.islands.map(({ name }) => name)).toEqual(["Tarn Farm"]);
    expect(layOut(plan, { alone: day(1) }).days[0]?.drive).toBe(60);
  });

  test.each([
    ["2026-11-23", 13],
    ["2026-11-25", 11],
    ["2026-11-27", 16],
    ["2026-11-29", 14],
  ])("from %s this week and the next are %d days", (from, count) => {
    expect(fortnightFrom(from)).toBe(count);
  });
});

describe("layout", () => {
  const rounded = (minutes: number | undefined) => Math.round(minutes ?? Number.NaN);

  test("a day is driven from home by the shortest way: 10 minutes out, stops of 15, times to the next five", () => {
    const plan = planOf([horseAt("north", "Ash"), horseAt("far", "Birch")]);
    const { days, left, drive } = layOut(plan, { ash: day(1), birch: day(1) });
    const [first] = days;
    expect(first?.stops.map(({ yard, at }) => [yard.id, at])).toEqual([
      ["north", "07:55"],
      ["far", "09:35"],
    ]);
    expect([rounded(first?.stops[0]?.drive), rounded(first?.stops[1]?.drive), first?.work]).toEqual([
      10, 10, 150,
    ]);
    expect(rounded(drive)).toBe(34);
    expect([left, first?.over]).toEqual([[], 0]);
  });

  test("a horse with habits that can hurt comes first at its yard, and its yard earlier where the way allows", () => {
    const plan = planOf([
      horseAt("north", "Ash"),
      horseAt("north", "Zeal", { habits: "Kicks." }),
      horseAt("far", "Birch", { habits: "Leans." }),
      horseAt("far", "Cedar", { habits: "Pulls back." }),
    ]);
    const all = Object.fromEntries(plan.jobs.map(({ horse }) => [horse.id, day(1)]));
    const { stops } = layOut(plan, all).days[0]!;
    expect(stops.map(({ yard }) => yard.id)).toEqual(["far", "north"]);
    expect(stops[1]?.jobs.map(({ job }) => job.horse.name)).toEqual(["Zeal", "Ash"]);
  });

  test("an appointment lies between jobs, a day that is too long says by how much", () => {
    const taken = [{ id: "a", date: day(1), at: "08:00", minutes: 60, title: "Vet" }];
    const short = planning(
      rowsOf([horseAt("north", "Ash"), horseAt("north", "Birch")]),
      { ...ROUNDS, week: [0, 220, 0, 0, 0, 0, 0] },
      taken,
      TODAY,
      2,
    );
    const [first] = layOut(short, { ash: day(1), birch: day(1) }).days;
    expect(first?.stops[0]?.jobs.map(({ at }) => at)).toEqual(["09:00", "10:15"]);
    expect(rounded(first?.spent)).toBe(185);
    expect(rounded(first?.over)).toBe(25);
  });

  test("midnight is not passed: a day beyond it stands at 23:59", () => {
    expect([clockText(481), clockText(24 * 60 + 30)]).toEqual(["08:05", "23:59"]);
  });
});

describe("moving by hand", () => {
  const plan = planOf([horseAt("north", "Ash", { on: 1, due: 1 }), horseAt("far", "Birch", { on: 1 })]);
  const placed = placedNow(plan);

  test("each day’s cost: more road, more days late, what is too long; and taking it off", () => {
    const costs = moveCosts(plan, placed, ["ash"]);
    const on = (date: string | undefined) => costs.find((one) => one.date === date);
    expect(on(day(1))).toMatchObject({ drive: 0, late: 0, cost: 0 });
    // Tarn Farm lies on the way to Ferryfield: a day of its own costs its whole way, and two days late.
    expect(on(day(3))?.late).toBe(2);
    expect(on(day(3))?.cost).toBeCloseTo((on(day(3))?.drive ?? 0) + 40, 9);
    expect(on(day(3))?.drive).toBeGreaterThan(14);
    expect(on(undefined)?.cost).toBeGreaterThan(500);
  });

  test("the cost said is what the plan then costs more on the road", () => {
    const before = layOut(plan, placed).drive;
    const after = layOut(plan, { ...placed, birch: day(2) }).drive;
    const cost = moveCosts(plan, placed, ["birch"]).find(({ date }) => date === day(2));
    expect(cost?.drive).toBeCloseTo(after - before, 9);
  });

  test("in words", () => {
    const zero = { date: day(1), drive: 0, late: 0, over: 0, cost: 0 };
    expect(moveInWords({ ...zero, drive: 12.4, late: 1, over: 20 })).toBe(
      "+12 min road, 1 day later, 20 min too long",
    );
    expect(moveInWords({ ...zero, drive: -70, late: -2 })).toBe("−1 h 10 road, 2 days less late");
    expect(moveInWords(zero)).toBe("same road");
  });

  test("a vet who is met, and one who is not", () => {
    expect(vetInWords("10:00", "10:15")).toEqual({
      met: true,
      words: "The vet comes at 10:00, you begin at 10:15",
    });
    expect(vetInWords("10:00", "11:35")).toEqual({
      met: false,
      words: "The vet comes at 10:00, you begin at 11:35: 1 h 35 later",
    });
    expect(vetInWords("10:00", "08:30").words).toMatch(/1 h 30 earlier$/);
  });

  test("how good a plan is, in words", () => {
    const days = [{ date: day(1), stops: [], drive: 100, work: 0 }];
    expect(planInWords({ gap: 0, bound: 90, left: [], days })).toBe("No plan is better: 1 h 40 on the road.");
    expect(planInWords({ gap: 0.0132, bound: 90, left: ["a"], days })).toBe(
      "Within 2 % of the best possible: 1 h 40 on the road; 1 horse found no day.",
    );
    expect(planInWords({ gap: 1, bound: 0, left: [], days })).toBe(
      "How good it is was not proven: 1 h 40 on the road.",
    );
  });
});

describe("a vet present", () => {
  const planned = (vetAt?: string) => {
    const horses = [
      horseAt("north", "Ash", { on: 1, at: "08:00" }),
      horseAt("north", "Birch", { on: 1, at: "09:15" }),
      horseAt("north", "Cedar", { on: 1, at: "10:30" }),
      horseAt("far", "Dogwood", { on: 1, at: "12:00" }),
    ];
    for (const { visits, horse } of horses)
      if (horse.name === "Ash" && vetAt !== undefined) Object.assign(visits[1] ?? {}, { vetAt });
    return planOf(horses);
  };
  const order = (plan: ReturnType<typeof planning>) =>
    layOut(plan, placedNow(plan), [day(1)]).days[0]?.stops.flatMap(({ jobs }) =>
      jobs.map(({ job, at }) => `${job.horse.name} ${at}`),
    );

  test("the horse takes the place in its yard's order that is nearest to the vet's time", () => {
    const [first] = order(planned()) ?? [];
    expect(first).toMatch(/^Ash/);
    for (const vet of ["09:00", "10:45", "12:00"]) {
      const [, begins = ""] =
        (order(planned(vet)) ?? []).find((one) => one.startsWith("Ash"))?.split(" ") ?? [];
      // Half a job of 75 minutes is as near as an order can come.
      expect(Math.abs(minutesOf(begins) - minutesOf(vet))).toBeLessThanOrEqual(40);
    }
  });

  test("the day is driven in the direction that meets the vet", () => {
    expect(order(planned("07:30"))?.[0]).toMatch(/^Ash/);
    expect(order(planned("13:30"))?.at(-1)).toMatch(/^Ash/);
  });

  test("said for a day, it pins the horse and gives the day its times anew; taken back, the pin stays", () => {
    const plan = planned();
    const edits = vetEdits(plan, placedNow(plan), "ash", "13:30");
    expect(edits.slice(0, 2).map(({ id, path, was, now }) => [id, ...path, was, now])).toEqual([
      ["ash-next", "vetAt", undefined, "13:30"],
      ["ash-next", "pinned", undefined, true],
    ]);
    expect(edits.slice(2).every(({ path }) => path[0] === "at")).toBe(true);
    expect(edits.length).toBeGreaterThan(2);
    expect(vetEdits(plan, placedNow(plan), "nobody", "13:30")).toEqual([]);
    const again = planned("13:30");
    expect(vetEdits(again, placedNow(again), "ash", undefined)[0]).toMatchObject({
      path: ["vetAt"],
      was: "13:30",
      now: undefined,
    });
  });
});

describe("edits of a plan", () => {
  const horses = [
    horseAt("north", "Ash", { on: 1, at: "09:00" }),
    horseAt("far", "Birch"),
    horseAt("far", "Cedar", { on: 2 }),
  ];
  const plan = planOf(horses);
  const edits = placedEdits(plan, { ash: day(3), birch: day(3) }, () => "new", "plan taken");

  test("a visit is moved to its day and time, one is made, one is taken off; nothing else is touched", () => {
    const byId = new Map(edits.map((edit) => [`${edit.id}.${edit.path.join()}`, edit.now]));
    expect(byId.get("ash-next.date")).toBe(day(3));
    expect(byId.get("ash-next.at")).toBe("07:55");
    expect(byId.get("new.")).toMatchObject({
      horseId: "birch",
      date: day(3),
      status: "planned",
      at: "09:35",
    });
    expect(byId.has("cedar-next.")).toBe(true);
    expect(byId.get("cedar-next.")).toBeUndefined();
  });

  test("each starts from what is stored, so that undo brings all of it back", () => {
    const stored = new Map(horses.flatMap(({ visits }) => visits.map((visit) => [visit.id, visit])));
    for (const edit of edits) expect(applyEdit(stored.get(edit.id), edit).kind).toBe("applied");
  });

  test("a plan that is as it stands changes nothing", () => {
    expect(placedEdits(plan, placedNow(plan), () => "x", "again")).toEqual([]);
  });
});

describe("the map", () => {
  const plan = planOf([horseAt("north", "Ash"), horseAt("far", "Birch")]);
  const sheet = { width: 200, height: 100, margin: 20, type: 9 };

  test("north is up, east is right, both ways to one scale, all within the margin", () => {
    const { home, yards, ways } = drawnMap(plan, layOut(plan, { ash: day(1), birch: day(1) }), sheet);
    const at = (id: string) => yards.find((yard) => yard.id === id)!;
    expect(at("north").x).toBeCloseTo(home.x, 6);
    expect(home.y - at("north").y).toBeCloseTo(60, 6);
    expect((at("far").x - at("north").x) / (home.y - at("north").y)).toBeCloseTo(
      (0.1177 * Math.cos((54 * Math.PI) / 180)) / 0.0691,
      6,
    );
    expect(ways).toHaveLength(1);
    expect(ways[0]?.points).toEqual([
      home,
      expect.objectContaining({ x: at("north").x }),
      expect.objectContaining({ x: at("far").x }),
      home,
    ]);
  });
});

describe("what is typed", () => {
  test.each([
    ["54.33, -1.80", [54.33, -1.8]],
    ["54.33° -1.8°", [54.33, -1.8]],
    ["", undefined],
  ])("%s is a place", (text, place) => {
    const read = readPlace(text);
    expect(read.ok && read.value).toEqual(place);
  });

  test.each(["moor", "54.3", "91, 0", "0, 181"])("%s is refused", (text) => {
    expect(readPlace(text).ok).toBe(false);
  });

  test("hours as a number, with half hours, and by the clock", () => {
    expect(["9", "7.5", "7,5", "8:30", "0"].map((text) => readHours(text))).toEqual(
      [540, 450, 450, 510, 0].map((value) => ({ ok: true, value })),
    );
    expect(["", "nine", "17", "-1"].map((text) => readHours(text).ok)).toEqual([false, false, false, false]);
    expect([
      hoursInWords(540),
      hoursInWords(510),
      placeInWords([54.33, -1.8]),
      placeInWords(undefined),
    ]).toEqual(["9", "8:30", "54.33, -1.8", ""]);
  });
});
