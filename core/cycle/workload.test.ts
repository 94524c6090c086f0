import { describe, expect, test } from "@jest/globals";
import { addDays, daysBetween } from "../calendar/date";
import { DEFAULT_SETTINGS } from "../record/settings";
import { nothingRead, type Reading } from "../foot/records/reading";
import { horseAt, rowsOf, TODAY, YARDS } from "../rounds/round.fixture";
import { ordinaryShoe, type Specification } from "../shoe/specification";
import { boardGroups, boardRows } from "./board";
import { learnedMinutes } from "./learnedMinutes";
import { roster } from "./roster";
import { forecastHorse, roundForecast, workload, type ForecastHorse } from "./workload";
import { weeksInWords } from "./workloadWords";

const { horse } = horseAt("north", "Ash", { use: "barefoot", finish: "trim", capWeeks: 16 });
const left = (toe: number, date: string): Reading => ({
  id: "v.LF.after",
  visitId: "v",
  horseId: "ash",
  limb: "LF",
  moment: "after",
  date,
  ...nothingRead(),
  values: {
    toeLength: { value: toe, source: "calliper" },
    dorsalAngle: { value: 50, source: "gauge" },
    pasternAngle: { value: 50, source: "gauge" },
  },
});
const forecast = (last: string, due: string, until: string, readings: Reading[] = []) =>
  forecastHorse(
    { horse, last, next: { due }, minutes: 25, readings } satisfies ForecastHorse,
    DEFAULT_SETTINGS,
    TODAY,
    until,
  );

describe("forecast of a horse", () => {
  test("by the cap alone it comes due every sixteen weeks; one that is over is taken as done today", () => {
    const { dues } = forecast("2026-07-01", "2026-10-21", addDays(TODAY, 300));
    expect(dues).toEqual([TODAY, addDays(TODAY, 112), addDays(TODAY, 224)]);
  });

  test("by its toe, cycles are shorter in the months in which horn grows faster", () => {
    const { dues } = forecast(TODAY, addDays(TODAY, 50), addDays(TODAY, 500), [left(76, TODAY)]);
    const gaps = dues
      .slice(1)
      .map((due, index) => ({ mid: due.slice(5, 7), days: daysBetween(dues[index] ?? due, due) }));
    const winter = gaps.filter(({ mid }) => ["12", "01", "02"].includes(mid)).map(({ days }) => days);
    const summer = gaps.filter(({ mid }) => ["06", "07"].includes(mid)).map(({ days }) => days);
    expect(Math.min(...winter)).toBeGreaterThan(Math.max(...summer));
  });

  test("over a leap day and a clock change, days are days", () => {
    const { dues } = forecast("2027-12-01", "2027-12-20", "2028-06-01");
    expect(dues.map((due) => due.slice(0, 10))).toEqual(["2027-12-20", "2028-04-10"]);
    expect(daysBetween("2027-12-20", "2028-04-10")).toBe(112);
  });
});

describe("workload", () => {
  const week = [480, 480, 480, 480, 480, 0, 0];

  test("what falls due by week, against four fifths of the hours; what is too much is carried on", () => {
    const dues = Array.from({ length: 40 }, (_, index) => ({
      horseId: String(index),
      minutes: 75,
      dues: [addDays(TODAY, 8)],
    }));
    const weeks = workload(dues, week, "north", TODAY, 4);
    expect(weeks.map(({ minutes, have, behind }) => [minutes, have, behind])).toEqual([
      [0, 1920, 0],
      [3000, 1920, 1080],
      [0, 1920, 0],
      [0, 1920, 0],
    ]);
    expect(weeksInWords(weeks, (date) => date)).toBe(
      "39 % of your hours are spoken for. The week of 2026-11-30 is 18 h too full.",
    );
  });

  test("this week has only the days that are left of it; no hours at all are said", () => {
    const [first] = workload([], week, "north", "2026-11-27", 1);
    expect(first?.have).toBe(480 * 0.8);
    expect(weeksInWords(workload([], [0, 0, 0, 0, 0, 0, 0], "north", TODAY, 2), String)).toContain(
      "No hours are set",
    );
  });

  test("horn grows faster from February to August in the north, the other half of the year in the south", () => {
    const seasons = (hemisphere: "north" | "south") =>
      workload([], week, hemisphere, TODAY, 52).map(({ monday, season }) => [monday.slice(5, 7), season > 1]);
    expect(
      seasons("north")
        .filter(([month]) => month === "05")
        .every(([, faster]) => faster),
    ).toBe(true);
    expect(
      seasons("south")
        .filter(([month]) => month === "05")
        .some(([, faster]) => faster),
    ).toBe(false);
  });

  test("falling behind is foretold week by week", () => {
    const horses = Array.from({ length: 80 }, (_, index): ForecastHorse => ({
      horse: { ...horse, id: String(index), capWeeks: 4 },
      last: TODAY,
      next: { due: addDays(TODAY, index % 28) },
      minutes: 75,
      readings: [],
    }));
    const weeks = roundForecast(horses, DEFAULT_SETTINGS, [300, 300, 300, 0, 0, 0, 0], TODAY, 8);
    expect(weeks.at(-1)!.behind).toBeGreaterThan(weeks[2]!.behind);
    expect(weeksInWords(weeks, (date) => date)).toContain("you fall behind");
  });
});

describe("board of cycles", () => {
  const rows = rowsOf([
    horseAt("north", "Early", { due: 20 }),
    horseAt("far", "Open", { due: 2 }),
    horseAt("far", "Late", { due: -6, on: 1 }),
    horseAt("north", "Plan", { due: -4, vetPlan: true }),
    horseAt("north", "Show", { due: -5, showOn: addDays(TODAY, 5) }),
  ]);
  const board = boardRows(rows, TODAY);

  test("late by risk: a vet’s plan counts twice, a show half as much again", () => {
    const [late, open, early] = boardGroups(board, "late first");
    expect(late?.rows.map(({ horse: { name }, over, risk }) => [name, over, risk])).toEqual([
      ["Plan", 4, 8],
      ["Show", 5, 7.5],
      ["Late", 6, 6],
    ]);
    expect([open?.name, early?.name]).toEqual(["Window open", "Not yet"]);
    expect(late?.rows[2]?.planned).toBe(1);
  });

  test("by yard, use or case they stand together by name", () => {
    expect(boardGroups(board, "yard").map(({ name, rows: own }) => [name, own.length])).toEqual([
      ["Ferryfield", 2],
      ["Tarn Farm", 3],
    ]);
    expect(boardGroups(board, "case").map(({ name }) => name)).toContain("Under a vet’s plan");
    expect(boardGroups(board, "use").map(({ name }) => name)).toEqual(["riding"]);
  });
});

describe("learned minutes", () => {
  const timed = (name: string, minutes: number[]) => {
    const { horse: own, visits } = horseAt("north", name);
    const done = minutes.map((taken, index) => ({
      ...visits[0]!,
      id: `${name}${index}`,
      startedAt: "2026-10-01T08:00:00Z",
      signedAt: new Date(Date.parse("2026-10-01T08:00:00Z") + taken * 60_000).toISOString(),
    }));
    return { own, done };
  };

  test("without a clock the trade’s minutes stand: 75 for a full set, 1.3 times for a difficult horse", () => {
    const plain = horseAt("north", "Plain").horse;
    const hard = horseAt("north", "Hard", { habits: "Kicks." }).horse;
    expect([...learnedMinutes([plain, hard], []).values()]).toEqual([75, 98]);
  });

  test("a bar or a pad takes twenty minutes more, as the shoes of the last visit have it", () => {
    const { horse: barred, visits } = horseAt("north", "Barred");
    const hard = horseAt("north", "Hard", { habits: "Kicks." }).horse;
    expect([...learnedMinutes([barred, hard], [], new Set(["barred", "hard"])).values()]).toEqual([95, 124]);
    const spec = (more: Partial<Specification>) => ({ ...ordinaryShoe("LF", 500), ...more });
    const minutesWith = (visitId: string, more: Partial<Specification>) =>
      roster([barred], YARDS, visits, [{ visitId, spec: spec(more) }])[0]?.minutes;
    expect([
      minutesWith("barred-last", { type: "egg bar" }),
      minutesWith("barred-last", { pad: "flat" }),
      minutesWith("barred-last", {}),
      minutesWith("earlier", { type: "egg bar" }),
    ]).toEqual([95, 95, 75, 75]);
  });

  test("its own visits draw it away from its kind, and its kind away from the trade", () => {
    const slow = timed("Slow", [105, 105, 105]);
    const other = horseAt("north", "Other").horse;
    const minutes = learnedMinutes([slow.own, other], slow.done);
    // Kind: (3 x 105 + 3 x 75) / 6 = 90; own: (3 x 105 + 3 x 90) / 6.
    expect([minutes.get("slow"), minutes.get("other")]).toEqual([98, 90]);
  });

  test("a visit signed at once or the day after says nothing of the work", () => {
    const odd = timed("Odd", [1, 1500]);
    expect(learnedMinutes([odd.own], odd.done).get("odd")).toBe(75);
  });

  test("a visit for the toes alone takes ten minutes, 13 with a difficult horse, and teaches nothing of the rest", () => {
    const short = timed("Short", [12, 11, 10, 12]);
    const done = short.done.map((visit) => ({ ...visit, job: "toe only" as const }));
    expect(learnedMinutes([short.own], done).get("short")).toBe(75);
    const coming = { ...done[0]!, id: "next", status: "planned" as const };
    expect(roster([short.own], YARDS, [...done, coming])[0]?.minutes).toBe(10);
    expect(roster([{ ...short.own, habits: "Kicks." }], YARDS, [coming])[0]?.minutes).toBe(13);
  });
});
