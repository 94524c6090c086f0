import { describe, expect, test } from "@jest/globals";
import type { Find, Look } from "../foot/records/look";
import { wordingFor } from "../foot/wording";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { awaitedFinds, awaitedInWords } from "./livingFindWords";

const wording = wordingFor({
  unit: "mm",
  fraction: 16,
  side: "inside-outside",
  leftRight: "left-right",
});
const crack = (more: Partial<Find> = {}): Find => ({
  kind: "crack",
  at: [50, 70],
  note: "",
  wall: "quarterLateral",
  belowMm: 12,
  ...more,
});
const look = (date: string, finds: Look["finds"], more: Partial<Look> = {}): Look => ({
  id: `look ${date}`,
  visitId: date,
  horseId: "h",
  limb: "LF",
  date,
  wear: {},
  finds,
  ...more,
});
const context = {
  day: "2026-11-12",
  outlook: { growth: { perDay: 0.25, sd: 0.02, observations: 4 } },
  hemisphere: "north" as const,
  toeLengthMm: 85,
  noise: GENERAL_NOISE.value,
};

describe("finds that a visit has to look for", () => {
  const looks = [
    look("2026-10-01", { one: crack() }),
    look("2026-10-01", { theirs: crack() }, { limb: "RF" }),
    look("2026-11-12", { new: crack({ belowMm: 2 }) }, { visitId: "today" }),
    look("2026-12-24", { later: crack() }),
  ];

  test("are those of the looks before it, on this foot; what it has found itself, and what comes later, is none", () => {
    const found = awaitedFinds(looks, "LF", { ...context, visitId: "today" });
    expect(found.map(({ id, since }) => [id, since])).toEqual([["one", "2026-10-01"]]);
  });

  test("a find that was called gone is looked for no more", () => {
    const healed = [...looks, look("2026-11-01", { one: crack({ gone: true }) })];
    expect(awaitedFinds(healed, "LF", { ...context, visitId: "today" })).toEqual([]);
  });

  test("growth has taken it down, by this foot’s own rate; how long it still takes goes by the wall at its place", () => {
    const [find] = awaitedFinds(looks, "LF", { ...context, visitId: "today" });
    // Six weeks at a quarter of a millimetre a day, less in the dark months.
    expect(find?.forecast?.below.mean).toBeGreaterThan(12 + 0.6 * 10.5);
    expect(find?.forecast?.below.mean).toBeLessThan(12 + 10.5);
    const left = 0.68 * 85 - (find?.forecast?.below.mean ?? 0);
    expect(find?.daysLeft).toBeCloseTo(left / 0.25, 6);
  });

  test("without a rate, or a place on the wall, nothing is foretold", () => {
    const [unknown] = awaitedFinds(looks, "LF", { ...context, visitId: "today", outlook: undefined });
    expect([unknown?.forecast, unknown?.daysLeft]).toEqual([undefined, undefined]);
    const inTheSole = [look("2026-10-01", { one: crack({ wall: undefined }) })];
    expect(awaitedFinds(inTheSole, "LF", context)[0]?.forecast).toBeUndefined();
  });

  test("one that has reached the ground has no days left", () => {
    const old = [look("2025-10-01", { one: crack() })];
    const [find] = awaitedFinds(old, "LF", context);
    expect([find?.forecast?.grownOut, find?.daysLeft]).toEqual([true, undefined]);
  });
});

describe("in words", () => {
  const said = (finds: readonly Look[], day = context.day) =>
    awaitedFinds(finds, "LF", { ...context, day }).map((find) => awaitedInWords(find, day, wording))[0];

  test("what, where, since when, where it was and where it ought to be, and how long still", () => {
    expect(said([look("2026-10-01", { one: crack() })])).toMatch(
      /^Crack, quarter, outside, for 6 weeks\. Was 12 mm below the hairline, about 2\d mm today \(1\d mm to 2\d mm\)\. Grown out in about \d+ weeks\.$/,
    );
  });

  test("a week is a week, and less than one is not told", () => {
    const weekOld = [look("2026-11-05", { one: crack() })];
    expect(said(weekOld)).toContain("outside, for 1 week. Was");
    expect(said([look("2026-11-10", { one: crack() })])).toContain("Crack, quarter, outside. Was");
  });

  test("the last days are told as one week", () => {
    const nearly = [look("2026-11-05", { one: crack({ belowMm: 0.68 * 85 - 2.5 }) })];
    expect(said(nearly)).toMatch(/Grown out in about 1 week\.$/);
  });

  test("at the ground it is said, and no longer where", () => {
    expect(said([look("2025-10-01", { one: crack() })])).toMatch(
      /Was 12 mm below the hairline: by growth it has reached the ground\.$/,
    );
  });

  test("where nothing is foretold the note stands", () => {
    const bruise: Find = { kind: "bruise", at: [0, 30], note: "size of a coin" };
    expect(said([look("2026-10-01", { one: bruise })])).toBe("Bruise, for 6 weeks. size of a coin.");
    expect(said([look("2026-11-12", { one: { ...bruise, note: "" } }, { visitId: "other" })])).toBe(
      "Bruise.",
    );
  });
});
