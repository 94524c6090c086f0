import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { ordinaryFoot } from "../foot/parametric/fit";
import { cutFoot } from "../foot/parametric/cut";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { recordOfMarks } from "../foot/records/keptSurvey";
import { nothingRead, readingId, type Moment, type Reading } from "../foot/records/reading";
import type { Horse } from "../record/horse";
import { footPlace } from "../record/footRecords";
import { blankVisit, type Visit } from "../record/visit";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import type { Trim } from "../trim/trimRecord";
import { asLeft } from "./asLeft";
import { footFacts } from "./footFacts";
import { visitFoot } from "./visitFoot";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const horse = { id: "h", kind: "horse", massKg: 500, use: "riding", finish: "full set" } as Horse;
const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "signed", ...blankVisit() };
const gauge = (value: number) => ({ value, source: "gauge" as const });
const FOOT = ordinaryFoot("LF", horse);
const CUTS = { toe: 7, heelMedial: 2, heelLateral: 4, dress: 0 };
const DONE = cutFoot(FOOT, CUTS);
if (!DONE.ok) throw new Error("the foot broke");
const AFTER = DONE.value.foot;

const reading = (moment: Moment, foot: typeof FOOT, more: object): Reading => ({
  id: readingId("v", "LF", moment),
  visitId: "v",
  horseId: "h",
  limb: "LF",
  moment,
  date: visit.date,
  ...nothingRead(),
  values: {
    dorsalAngle: gauge(foot.dorsalAngleDeg),
    pasternAngle: gauge(foot.pasternAngleDeg),
    toeLength: gauge(foot.toeLengthMm),
    heelHeightMedial: gauge(foot.heelHeightMm.medial),
    heelHeightLateral: gauge(foot.heelHeightMm.lateral),
    bearingLength: gauge(118),
    width: gauge(foot.widthMm),
  },
  ...more,
});
const BEFORE = reading("before", FOOT, {
  sole: recordOfMarks(
    Object.fromEntries(Object.entries(soleLandmarks(FOOT)).map(([mark, [x, y]]) => [mark, { x, y }])),
    "calliper",
  ),
  side: { heelAngle: gauge(FOOT.heelAngleDeg) },
  rear: { hairlineTilt: gauge(1), limbDeviation: gauge(2) },
  walls: { toe: { above: 8, thickness: 12 }, heelMedial: { above: 3 } },
});

function left(cuts: Trim["cuts"] | undefined, after: Reading | null = reading("after", AFTER, {})) {
  const trims = cuts ? [{ ...(footPlace("trims", visit, "LF", "before") as Trim), cuts }] : [];
  const readings = after ? [BEFORE, after] : [BEFORE];
  const records = { readings, trims, watchings: [], looks: [], photos: [], shoes: [] };
  const foot = visitFoot(visit, "LF", records);
  const facts = footFacts(
    foot,
    visitFoot(visit, "RF", records),
    { visit, moment: "before", horse, noise: GENERAL_NOISE.value, wording, bounds: {} },
    foot.values.before,
  );
  return asLeft(foot, facts).reading.before!;
}

describe("a foot as the trim left it", () => {
  test("what was read only before is carried through the cut: marks, heel angle, wall, tilt", () => {
    const { sole, side, walls, rear } = left(CUTS);
    const truth = soleLandmarks(AFTER);
    for (const mark of ["toe", "heelMedial", "heelLateral", "cornMedial"] as const)
      expect(sole[mark]?.y?.value).toBeCloseTo(truth[mark][1], 0);
    expect(sole.toe?.y?.source).toBe("estimate");
    expect(sole.frogApex).toEqual(BEFORE.sole.frogApex);
    expect(side.heelAngle?.value).toBeCloseTo(AFTER.heelAngleDeg, 6);
    expect(walls).toEqual({ toe: { above: 1, thickness: 12 }, heelMedial: { above: 1 } });
    expect(rear.limbDeviation?.value).toBe(2);
    // The lateral heel came down 2 mm more over 84 mm: 1.36 degrees.
    expect(rear.hairlineTilt?.value).toBeCloseTo(1 - 1.364, 1);
  });

  test("without a known cut what it moves is left out rather than mixed with what was measured after", () => {
    const { sole, walls, rear } = left(undefined);
    expect([sole.toe, sole.heelMedial, sole.cornLateral]).toEqual([undefined, undefined, undefined]);
    expect(sole.frogApex).toBeDefined();
    expect(walls.toe).toEqual({ thickness: 12 });
    expect(rear.hairlineTilt).toBeUndefined();
  });

  test("what was measured after the trim stands; a foot that was not measured again stands as it was", () => {
    const measured = reading("after", AFTER, {
      walls: { toe: { above: 2 } },
      side: { heelAngle: gauge(40) },
    });
    expect(left(CUTS, measured).walls.toe).toEqual({ above: 2, thickness: 12 });
    expect(left(CUTS, measured).side.heelAngle?.value).toBe(40);
    expect(left(CUTS, null)).toEqual(BEFORE);
  });
});
