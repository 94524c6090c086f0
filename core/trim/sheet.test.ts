import { describe, expect, test } from "@jest/globals";
import { cutSheet, type SheetContext } from "./sheet";
import { proudToeQuarter } from "./secondLook";
import { SHEET_STEPS } from "./trimRecord";
import { BROKEN_BACK, planned, plainWording as wording } from "./trim.fixture";

const CONTEXT: SheetContext = { order: "heels first", raspMm: 1.5, flares: {}, nextWeeks: 5, walls: {} };

const sheet = (change: Parameters<typeof planned>[0] = {}, context: Partial<SheetContext> = {}) => {
  const plan = planned(change);
  return cutSheet(plan, plan.handCuts, { ...CONTEXT, ...context }, wording);
};
const ids = (steps: ReturnType<typeof sheet>) => steps.map(({ id }) => id);
const how = (id: string, ...rest: Parameters<typeof sheet>) =>
  sheet(...rest).find((step) => step.id === id)?.how ?? "";

const PREPARE = ["explore", "frog", "bars", "safety-line"];

describe("the cut sheet", () => {
  test("preparation first, then the cuts in the user's own order, finish and second look last", () => {
    const end = ["finish", "second-look"];
    expect(ids(sheet())).toEqual([
      ...PREPARE,
      ...["heelLateral", "heelMedial", "toe", "level", "dress"],
      ...end,
    ]);
    expect(ids(sheet({}, { order: "toe first" }))).toEqual([
      ...PREPARE,
      ...["toe", "heelLateral", "heelMedial", "level", "dress"],
      ...end,
    ]);
    const flares = { quarterLateral: 3 };
    expect(ids(sheet({}, { order: "quarters first", flares }))).toEqual([
      ...PREPARE,
      ...["flares", "heelLateral", "heelMedial", "toe", "level", "dress"],
      ...end,
    ]);
  });

  test("every step that a record can tick can stand on a sheet, once", () => {
    const all = ids(
      sheet(
        {},
        {
          flares: { quarterMedial: 2 },
          floats: { heelMedial: 2 },
          rockers: { lateral: { lengthMm: 15, depthMm: 2 } },
        },
      ),
    );
    expect([...all].sort()).toEqual([...SHEET_STEPS].sort());
  });

  test("nippers stay short of the mark by what the rasp takes; heels of a broken-back foot by rasp alone", () => {
    expect(how("toe")).toMatch(/^Nippers 6 mm, the last 1\.5 mm by rasp\./);
    expect(how("heelLateral")).toMatch(/^By rasp alone: the axis is broken back\./);
    const straight = { foot: { ...BROKEN_BACK.foot, pasternAngle: 47.5 } };
    expect(how("heelLateral", straight)).not.toContain("broken back");
  });

  test("the safety line says how much may go where; the bars go lower before a long stretch, and stay on a bare foot that does not touch", () => {
    expect(how("safety-line")).toContain("toe 9 mm, inside heel 3 mm, outside heel 5 mm");
    expect(how("bars", {}, { nextWeeks: 8 })).toContain("a little lower: the next visit is 8 weeks off");
    expect(how("bars", {}, { nextWeeks: 5 })).toBe("Down to the sole, no lower.");
    expect(how("bars", { finish: "barefoot" })).toContain("left where they do not");
  });

  test("a place at which nothing is taken stands in it as left, with the reason", () => {
    const toe = sheet({ above: { toe: 0, heelMedial: 3, heelLateral: 5 } }).find(({ id }) => id === "toe");
    expect(toe).toMatchObject({
      leave: true,
      title: "Leave the toe",
      how: "Nothing to take at the toe: 0 mm above live sole.",
    });
    expect(toe?.caution).toBeUndefined();
  });

  test("bare feet are bevelled by place and their frog stands clear; shod ones seat the shoe, or leave a thin sole", () => {
    const bare = how(
      "finish",
      { finish: "barefoot" },
      {
        walls: { toe: { thickness: 13, whiteLine: 3 }, heelMedial: { thickness: 7, whiteLine: 3 } },
        frogProudMm: -6,
      },
    );
    expect(bare).toContain("toe 5 mm; heel, inside 1 mm");
    expect(bare).toMatch(/The frog stays \d(\.5)? mm clear/);
    const title = (change: Parameters<typeof planned>[0]) =>
      sheet(change).find(({ id }) => id === "finish")?.title;
    expect(title({})).toBe("Seat the shoe");
    expect(title({ sulcusDepth: 7 })).toBe("Leave the sole");
  });
});

describe("the second look, computed", () => {
  const { foot } = BROKEN_BACK;
  const level = { ...foot, heelMedial: [-42, 10] as const, heelLateral: [42, 10] as const };

  test("cuts alike leave nothing proud", () => {
    expect(proudToeQuarter(level, { toe: 5, heelMedial: 5, heelLateral: 5, dress: 0 })).toBeUndefined();
  });

  test("the toe quarter of the lowered side is proud: 4 mm more off the outside heel, by the plane through all three", () => {
    const proud = proudToeQuarter(level, { toe: 4, heelMedial: 2, heelLateral: 6, dress: 0 });
    // At x = 51.24 of a plane that falls 4 mm over 84: 0.78 of the way from 6 to 4 a blend takes 4.44.
    const plane = 4 + (4 / 84) * 51.24;
    expect(proud?.side).toBe("lateral");
    expect(proud?.mm).toBeCloseTo(plane - 4.44, 9);
  });

  test("mirrored cuts mirror it", () => {
    const one = proudToeQuarter(level, { toe: 4, heelMedial: 2, heelLateral: 6, dress: 0 });
    const other = proudToeQuarter(level, { toe: 4, heelMedial: 6, heelLateral: 2, dress: 0 });
    expect(other).toEqual({ side: "medial", mm: one?.mm });
  });

  test("the sheet says it with its millimetres", () => {
    expect(how("second-look")).toMatch(/the outside toe quarter 0\.5 mm proud of the plane/);
  });
});
