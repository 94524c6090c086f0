import { describe, expect, test } from "@jest/globals";
import { nothingRead, readingId, type Moment, type Reading } from "../foot/records/reading";
import { LIMBS, type Limb } from "../foot/limb";
import { wordingFor } from "../foot/wording";
import { footPlace } from "../record/footRecords";
import type { ShoeRecord } from "../shoe/shoeRecord";
import type { Horse } from "../record/horse";
import { DEFAULT_SETTINGS } from "../record/settings";
import { blankVisit, type Visit } from "../record/visit";
import { signEdits, signOff } from "./signOff";
import { visitFoot, type VisitFoot } from "./visitFoot";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: "Wren",
  kind: "horse",
  massKg: 500,
  use: "riding",
  finish: "trim",
  habits: "",
  notes: "",
};
const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() };

const reading = (limb: Limb, moment: Moment, values: Record<string, number>): Reading => ({
  id: readingId("v", limb, moment),
  visitId: "v",
  horseId: "h",
  limb,
  moment,
  date: visit.date,
  ...nothingRead(),
  values: Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, { value, source: "gauge" as const }]),
  ),
});

function signed(
  readings: Reading[],
  of: Visit = visit,
  shoes: ShoeRecord[] = [],
  due?: string,
  standing?: Visit["next"],
) {
  const records = { readings, trims: [], watchings: [], looks: [], photos: [], shoes };
  const feet = Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(of, limb, records)])) as Record<
    Limb,
    VisitFoot
  >;
  return signOff({ visit: of, horse, feet, due, standing }, readings, DEFAULT_SETTINGS, wording);
}

const LF = [
  reading("LF", "before", { dorsalAngle: 44, pasternAngle: 50, toeLength: 92 }),
  reading("LF", "after", { dorsalAngle: 49, pasternAngle: 50, toeLength: 84 }),
];

describe("signOff", () => {
  test("a foot measured before and after says both, what axis is left, and when it comes due by itself", () => {
    const [foot] = signed(LF).feet;
    expect(foot).toMatchObject({
      limb: "LF",
      untouched: false,
      dorsalAngle: "44.0° → 49.0°",
      toeLength: "92 mm → 84 mm",
      axis: "straight",
      taken: undefined,
    });
    expect(foot?.due?.due).toMatch(/^202[67]-\d\d-\d\d$/);
  });

  test("an axis that is left broken is said with its size", () => {
    const left = [LF[0]!, reading("LF", "after", { dorsalAngle: 44, pasternAngle: 50, toeLength: 84 })];
    expect(signed(left).feet[0]?.axis).toBe("broken back 6.0°");
  });

  test("what was not measured is a dash and not a nought, an untouched foot says so", () => {
    const found = signed([reading("LF", "before", { toeLength: 92 })]);
    expect(found.feet[0]).toMatchObject({ dorsalAngle: "– → –", toeLength: "92 mm → –", axis: "–" });
    expect(found.feet.map(({ untouched }) => untouched)).toEqual([false, true, true, true]);
    expect(found.unmeasured).toEqual(["LF", "RF", "LH", "RH"]);
  });

  test("a shoe that came loose before its day makes the next stretch a week shorter, once for all feet", () => {
    const loose = (limb: Limb): ShoeRecord => ({
      ...(footPlace("shoes", visit, limb, "before") as ShoeRecord),
      found: { state: "loose" },
    });
    const usual = signed([]).capWeeks;
    const early = signed([], visit, [loose("LF"), loose("RF")], "2026-12-07");
    expect([early.capWeeks, early.window]).toEqual([
      usual - 1,
      ["It did not last until its day: the next stretch is a week shorter."],
    ]);
    expect(signed([], visit, [loose("LF")], "2026-11-20")).toMatchObject({ capWeeks: usual, window: [] });
  });

  test("nothing measured: the cap alone says when", () => {
    expect(signed([]).next).toMatchObject({ reason: "cap" });
  });

  test("a known metabolic illness told on arrival takes a week off, and says so", () => {
    const told = signed([], { ...visit, arrival: { metabolic: "known illness" } });
    expect(told.capWeeks).toBe(signed([]).capWeeks - 1);
    expect(told.next.day).toBe(signed([]).next.day - 7);
    expect(told.window).toEqual(["Known metabolic illness: the interval is a week shorter."]);
    expect(signed([]).window).toEqual([]);
  });

  test("a signed visit keeps the day it was signed with", () => {
    const next = { due: "2027-01-04", windowStart: "2026-12-28", reason: "toe" as const, day: 42 };
    expect(signed(LF, { ...visit, status: "signed", next }).next).toEqual(next);
  });

  test("a visit for the toes alone leaves the due day as it stood, counted from itself", () => {
    const standing = { due: "2026-12-28", windowStart: "2026-12-21", reason: "cap" as const, day: 42 };
    const short: Visit = { ...visit, job: "toe only" };
    expect(signed([], short, [], standing.due, standing).next).toEqual({ ...standing, day: 35 });
    const past = { ...standing, due: "2026-11-20" };
    expect(signed([], short, [], past.due, past).next.due > short.date).toBe(true);
  });

  test("readings of a later visit do not count", () => {
    const later = { ...LF[1]!, id: "later", visitId: "w", date: "2027-01-10" };
    expect(signed([...LF, later]).next).toEqual(signed(LF).next);
  });
});

describe("signEdits", () => {
  test("sign the visit, with the instant and the day it is due again, from what stood there", () => {
    const { next } = signed(LF);
    expect(
      signEdits(visit, next, "2026-11-23T15:00:00Z").map(({ path, was, now }) => [path[0], was, now]),
    ).toEqual([
      ["status", "open", "signed"],
      ["signedAt", undefined, "2026-11-23T15:00:00Z"],
      ["next", undefined, next],
    ]);
  });
});
