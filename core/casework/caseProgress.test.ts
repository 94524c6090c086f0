import { describe, expect, test } from "@jest/globals";
import { caseOf } from "../case/case.fixture";
import { PROGRESS, PROGRESS_NAMES, type ProgressName } from "../case/progress";
import type { Reading } from "../foot/records/reading";
import { caseProgress, USUAL_PROGRESS } from "./caseProgress";
import { DAYS, filmOn, gauge, none, readingOn, records, visitOn } from "./casework.fixture";

const context = { hemisphere: "north" as const, perDay: 0.25, wallMm: 100, today: "2026-11-10" };
const values = (name: ProgressName, from = records, one = caseOf({ opened: DAYS[0] })) =>
  caseProgress(one, { name, limb: "LF" }, from, context).points.map(({ date, value }) => [date, value]);

describe("a measure of a case, visit by visit", () => {
  test("angles are read as the visit left them: wall, axis, heel", () => {
    expect(values("dorsal angle")).toEqual(DAYS.map((date) => [date, 50]));
    expect(values("axis")).toEqual(DAYS.map((date) => [date, 0]));
    expect(values("heel angle")).toEqual(DAYS.map((date, at) => [date, [38, 42, 44.5, 46][at]]));
  });

  test("what the trim left counts over what came, and what was only measured as it came counts where nothing else is", () => {
    const before: Reading = {
      ...readingOn(DAYS[0], "LF", 46, undefined),
      id: "b",
      moment: "before",
      values: { dorsalAngle: gauge(46), pasternAngle: gauge(50), toeLength: gauge(93) },
    };
    const both = { ...records, readings: [before, ...records.readings] };
    expect(values("dorsal angle", both)[0]).toEqual([DAYS[0], 50]);
    expect(values("toe length", both)).toEqual([[DAYS[0], 93]]);
  });

  test("a heel height is the mean of both heels, and none where one of them was not measured", () => {
    const heels = (medial?: number, lateral?: number): Reading => ({
      ...readingOn(DAYS[3], "LF", 50, undefined),
      values: {
        ...(medial !== undefined && { heelHeightMedial: gauge(medial) }),
        ...(lateral !== undefined && { heelHeightLateral: gauge(lateral) }),
      },
    });
    const of = (reading: Reading) =>
      values("heel height", { ...none, visits: records.visits, readings: [reading] });
    expect(of(heels(30, 36))).toEqual([[DAYS[3], 33]]);
    expect(of(heels(30))).toEqual([]);
  });

  test("a white line is as wide as where it is widest", () => {
    const walls: Reading = {
      ...readingOn(DAYS[3], "LF", 50, undefined),
      walls: { toe: { whiteLine: 4 }, quarterLateral: { whiteLine: 9 }, heelMedial: {} },
    };
    expect(values("white line", { ...none, visits: records.visits, readings: [walls] })).toEqual([
      [DAYS[3], 9],
    ]);
  });

  test("a visit that is only planned has no value; the other foot’s are its own", () => {
    const planned = {
      ...records,
      visits: [...records.visits.slice(0, 3), visitOn(DAYS[3], { status: "planned" })],
    };
    expect(values("heel angle", planned)).toHaveLength(3);
    const right = caseProgress(
      caseOf({ opened: DAYS[0] }),
      { name: "heel angle", limb: "RF" },
      records,
      context,
    );
    expect(right.points.map(({ value }) => value)).toEqual([42, 42, 42]);
  });
});

describe("from when it is shown", () => {
  test("from the case’s first day on, with the last value before it", () => {
    expect(values("heel angle", records, caseOf({ opened: DAYS[2] })).map(([date]) => date)).toEqual([
      DAYS[1],
      DAYS[2],
      DAYS[3],
    ]);
  });

  test("a case opened since the last visit begins with that visit’s", () => {
    expect(values("heel angle", records, caseOf({ opened: "2026-11-08" }))).toEqual([[DAYS[3], 46]]);
  });

  test("a target is told with it", () => {
    const progress = caseProgress(
      caseOf({ opened: DAYS[0] }),
      { name: "heel angle", limb: "LF", target: 45 },
      records,
      context,
    );
    expect([progress.target, progress.kind, progress.byGrowth]).toEqual([45, "angle", []]);
  });
});

describe("by radiograph", () => {
  test("sole under the tip, oldest first; a film of another foot or view is left out", () => {
    const films = [filmOn(DAYS[3], 14), filmOn(DAYS[1], 9)];
    const others = [
      { ...filmOn(DAYS[2], 20), limb: "RF" as const },
      { ...filmOn(DAYS[2], 20), view: "front" as const },
    ];
    const found = values("sole depth", { ...none, films: [...films, ...others] });
    expect(found.map(([date]) => date)).toEqual([DAYS[1], DAYS[3]]);
    expect(found[0]?.[1]).toBeCloseTo(9, 0);
    expect(found[1]?.[1]).toBeCloseTo(14, 0);
  });

  test("what a film does not show is no value", () => {
    const bare = filmOn(DAYS[1], 9, (truth) =>
      Object.fromEntries(Object.entries(truth).filter(([mark]) => mark.startsWith("marker"))),
    );
    expect(values("palmar angle", { ...none, films: [bare] })).toEqual([]);
  });
});

describe("a defect goes down with the horn", () => {
  const found = (date: string, more: object) => ({
    id: `look ${date}`,
    visitId: date,
    horseId: "h",
    limb: "LF" as const,
    date,
    wear: {},
    finds: { one: { kind: "crack" as const, at: [50, 70] as [number, number], note: "", ...more } },
  });
  const crack = caseOf({ kind: "crack", opened: DAYS[0] });
  const looks = [
    found(DAYS[0], { wall: "toe", lengthMm: 40, belowMm: 20 }),
    found(DAYS[2], { wall: "toe", lengthMm: 35, belowMm: 38 }),
    found(DAYS[3], { gone: true, wall: "toe", lengthMm: 30 }),
  ];
  const progress = (name: ProgressName, more: Partial<typeof context> = {}) =>
    caseProgress(crack, { name, limb: "LF" }, { ...none, looks }, { ...context, ...more });

  test("its length and its distance from the hairline are what was found; gone is nothing left", () => {
    expect(progress("defect length").points.map(({ value }) => value)).toEqual([40, 35, 0]);
    expect(progress("defect below hairline").points.map(({ value }) => value)).toEqual([20, 38]);
  });

  test("by growth alone its upper end goes down until it comes to the ground and stays there", () => {
    const { byGrowth } = progress("defect below hairline", { today: "2028-07-01" });
    const line = byGrowth.map(({ value }) => value);
    expect(line[0]).toBe(20);
    for (let at = 1; at < line.length; at++) expect(line[at]).toBeGreaterThanOrEqual(line[at - 1] ?? 0);
    expect(line.at(-1)).toBe(100);
  });

  test("its length stays while its lower end is above the ground, then it is cut away from below", () => {
    const { byGrowth } = progress("defect length", { today: "2028-07-01" });
    expect(byGrowth.slice(0, 5).every(({ value }) => Math.abs(value - 40) < 1e-9)).toBe(true);
    expect(byGrowth.at(-1)?.value).toBe(0);
    expect(byGrowth.at(-1)?.date).toBe("2028-07-01");
  });

  test("without a rate of growth, or a length of wall, nothing is foretold", () => {
    const unknown = { perDay: undefined } as unknown as Partial<typeof context>;
    expect(progress("defect length", unknown).byGrowth).toEqual([]);
    const noWall = { wallMm: undefined } as unknown as Partial<typeof context>;
    expect(progress("defect length", noWall).byGrowth).toEqual([]);
  });
});

test("what a case is usually followed by is there to be followed, each once", () => {
  for (const names of Object.values(USUAL_PROGRESS)) {
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(PROGRESS_NAMES).toContain(name);
  }
  expect(Object.keys(PROGRESS)).toEqual([...PROGRESS_NAMES]);
});
