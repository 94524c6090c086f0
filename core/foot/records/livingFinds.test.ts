import { describe, expect, test } from "@jest/globals";
import { addDays } from "../../calendar/date";
import { seasonDays } from "../../calendar/season";
import { normalDraw, seededRandom } from "../../math/random";
import {
  daysUntilGrownOut,
  findForecast,
  findVerdict,
  livingFinds,
  wallLengthAt,
  type FindThen,
  type LivingFind,
} from "./livingFinds";

const crack = (more: Partial<FindThen> = {}): FindThen => ({
  kind: "crack",
  at: [50, 70],
  note: "",
  wall: "quarterLateral",
  belowMm: 12,
  lengthMm: 20,
  ...more,
});
const look = (date: string, finds: Record<string, FindThen>, limb: "LF" | "RF" = "LF") => ({
  limb,
  date,
  finds,
});
const GROWING = { perDay: 0.22, sd: 0.02, hemisphere: "north" as const };
const known = (more: Partial<FindThen> = {}): LivingFind => ({
  id: "a",
  kind: "crack",
  since: "2026-10-01",
  last: "2026-10-01",
  latest: crack(more),
});

describe("livingFinds", () => {
  test("one find over many visits is one, since the first, as the last look has it; each foot has its own", () => {
    const found = livingFinds(
      [
        look("2026-10-01", { a: crack({ belowMm: 20 }) }),
        look("2026-08-20", { a: crack(), b: crack({ kind: "bruise" }) }),
        look("2026-08-20", { c: crack() }, "RF"),
      ],
      "LF",
    );
    expect(found.map(({ id, since, last, latest }) => [id, since, last, latest.belowMm])).toEqual([
      ["a", "2026-08-20", "2026-10-01", 20],
      ["b", "2026-08-20", "2026-08-20", 12],
    ]);
  });

  test("what was called gone is no longer looked for", () => {
    const gone = look("2026-10-01", { a: crack({ gone: true }) });
    expect(livingFinds([look("2026-08-20", { a: crack() }), gone], "LF")).toEqual([]);
  });
});

describe("where it ought to be", () => {
  test("it grows down with the wall: 12 mm and 40 weighted days at 0.22", () => {
    const day = "2026-11-12";
    const days = seasonDays("2026-10-01", day, "north");
    const forecast = findForecast(known(), day, GROWING, 88, 1.1);
    expect(forecast?.below.mean).toBeCloseTo(12 + 0.22 * days, 9);
    expect(forecast?.below.sd).toBeCloseTo(Math.hypot(0.02 * days, Math.SQRT2 * 1.1), 9);
    expect(forecast?.grownOut).toBe(false);
  });

  test("at the ground it has grown out; before that the days are what is left over the rate", () => {
    const late = findForecast(known({ belowMm: 58 }), "2026-11-12", GROWING, 88, 1.1);
    expect(late?.grownOut).toBe(true);
    const early = findForecast(known(), "2026-10-01", GROWING, 88, 1.1);
    const days = early && daysUntilGrownOut(early, "quarterLateral", GROWING, 88);
    expect(days).toBeCloseTo((wallLengthAt("quarterLateral", 88) - 12) / 0.22, 9);
  });

  test("nothing is said of a find whose place on the wall was never noted", () => {
    expect(findForecast(known({ wall: undefined }), "2026-11-12", GROWING, 88, 1.1)).toBeUndefined();
    expect(findForecast(known({ belowMm: undefined }), "2026-11-12", GROWING, 88, 1.1)).toBeUndefined();
  });

  test("against simulated growth with known truth the 80 % band covers 75 to 85 of 100", () => {
    const random = seededRandom(11);
    let covered = 0;
    const feet = 2000;
    for (let foot = 0; foot < feet; foot++) {
      const rate = normalDraw(random, GROWING.perDay, GROWING.sd);
      const truth = 8 + 20 * random();
      const day = addDays("2026-10-01", Math.round(20 + 50 * random()));
      const then = normalDraw(random, truth, 1.1);
      const now = normalDraw(random, truth + rate * seasonDays("2026-10-01", day, "north"), 1.1);
      const [least, most] = findForecast(known({ belowMm: then }), day, GROWING, 110, 1.1)?.between ?? [0, 0];
      if (now >= least && now <= most) covered++;
    }
    expect(covered / feet).toBeGreaterThan(0.75);
    expect(covered / feet).toBeLessThan(0.85);
  });
});

describe("what became of it", () => {
  const forecast = findForecast(known(), "2026-11-12", GROWING, 88, 1.1);
  const at = forecast?.below.mean ?? 0;
  test.each([
    ["as expected", { belowMm: at + 1, lengthMm: 21 }],
    ["better", { belowMm: at, lengthMm: 12 }],
    ["worse", { belowMm: at, lengthMm: 28 }],
    ["does not fit the growth", { belowMm: at - 9, lengthMm: 20 }],
    ["does not fit the growth", { belowMm: at + 9 }],
    [undefined, {}],
  ] as const)("%s", (verdict, now) => {
    expect(findVerdict(now, known(), forecast, 3)).toBe(verdict);
  });
});
