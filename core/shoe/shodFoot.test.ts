import { describe, expect, test } from "@jest/globals";
import { visitFoot, type FootRecords } from "../visit/visitFoot";
import { LIMBS, type Limb } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { recordOfMarks } from "../foot/records/keptSurvey";
import type { SolarMarks } from "../foot/survey/frame";
import { distance } from "../geometry/vector";
import { caseOf } from "../case/case.fixture";
import { inCare, type Horse, type HorseInCare } from "../record/horse";
import { footPlace } from "../record/footRecords";
import type { Look } from "../foot/records/look";
import { nothingRead, readingId, type Reading } from "../foot/records/reading";
import { DEFAULT_SETTINGS } from "../record/settings";
import { trimId, type Trim } from "../trim/trimRecord";
import { blankVisit, type Visit } from "../record/visit";
import type { WatchingRecord } from "../gait/watchingRecord";
import { wordingFor } from "../foot/wording";
import { ordinaryShoe } from "./specification";
import { fitChoice, NO_CHOICE, visitShoe } from "../visit/visitShoe";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() };
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: "Dunlin",
  kind: "horse",
  massKg: 520,
  use: "riding",
  finish: "full set",
  habits: "",
  notes: "",
};
const place = { visitId: "v", horseId: "h", limb: "LF" as Limb, date: visit.date };
const gauge = (value: number) => ({ value, source: "gauge" as const });

const foot = ordinaryFoot("LF", horse);
const marks = Object.fromEntries(
  Object.entries(soleLandmarks(foot)).map(([mark, [x, y]]) => [mark, { x, y }]),
) as SolarMarks;
const reading = (more: Partial<Reading> = {}): Reading => ({
  id: readingId("v", "LF", "before"),
  ...place,
  moment: "before",
  ...nothingRead(),
  values: {
    dorsalAngle: gauge(50),
    pasternAngle: gauge(50),
    toeLength: gauge(88),
    heelHeightMedial: gauge(36),
    heelHeightLateral: gauge(36),
    bearingLength: gauge(126),
    width: gauge(127),
  },
  sole: recordOfMarks(marks, "calliper"),
  ...more,
});
const none: FootRecords = { readings: [], trims: [], watchings: [], looks: [], photos: [], shoes: [] };
const known = (records: Partial<FootRecords>, of: HorseInCare = horse) => {
  const all = { ...none, ...records };
  const feet = Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(visit, limb, all)])) as Record<
    Limb,
    ReturnType<typeof visitFoot>
  >;
  const shoe = visitShoe({ visit, horse: of, feet, limb: "LF" }, DEFAULT_SETTINGS, wording);
  return { feet, shoe, facts: shoe.shoeFacts };
};

describe("the foot that a shoe goes on", () => {
  test("its outline goes through the measured toe, toe quarters, widest part and heels", () => {
    const { outline, knots, undistorted } = known({ readings: [reading()] }).shoe.toShoe.foot;
    expect(undistorted).toBe(false);
    for (const side of ["medial", "lateral"] as const)
      for (const knot of [knots.toe, knots.toeQuarter[side], knots.wide[side], knots.heel[side]])
        expect(Math.min(...outline[side].map((point) => distance(point, knot)))).toBeLessThan(1e-9);
    expect(knots.toe[1]).toBeCloseTo(marks.toe?.y ?? 0, 2);
  });

  test("where the walls were measured it is the undistorted outline: a flare is not shod", () => {
    const walls = {
      toe: { thickness: 16 },
      toeQuarterMedial: { thickness: 10 },
      toeQuarterLateral: { thickness: 10 },
      quarterMedial: { thickness: 9 },
      quarterLateral: { thickness: 9 },
    } as Reading["walls"];
    const { foot: flared } = known({ readings: [reading({ walls })] }).shoe.toShoe;
    const { foot: plain } = known({ readings: [reading()] }).shoe.toShoe;
    expect(flared.undistorted).toBe(true);
    expect(plain.knots.toe[1] - flared.knots.toe[1]).toBeGreaterThan(4);
    expect(flared.horn.toe).toBeLessThan(16);
  });

  test("cuts that were noted bring toe and heels back; the widest part keeps its place", () => {
    const trim: Trim = {
      id: trimId("v", "LF"),
      ...place,
      cuts: { toe: 6, heelMedial: 3, heelLateral: 3 },
      ticks: {},
      past: {},
    };
    const before = known({ readings: [reading()] }).shoe;
    const after = known({ readings: [reading()], trims: [trim] }).shoe;
    expect([before.fittedTo, after.fittedTo]).toEqual(["as it stands", "as it was cut"]);
    expect(after.toShoe.foot.knots.toe[1]).toBeLessThan(before.toShoe.foot.knots.toe[1]);
    expect(after.toShoe.foot.knots.heel.medial[1]).toBeLessThan(before.toShoe.foot.knots.heel.medial[1]);
    expect(after.toShoe.foot.knots.wide).toEqual(before.toShoe.foot.knots.wide);
  });

  test("without a survey it is a guess and says so; without a pastern there is no pastern line", () => {
    const { shoe } = known({});
    expect(shoe.toShoe.measured).toBe(false);
    expect(shoe.breakover.fromToe.pasternLine).toBeUndefined();
    expect(shoe.breakover.chosen.lens).not.toBe("pasternLine");
    expect(known({ readings: [reading()] }).shoe.breakover.fromToe.pasternLine).toBeDefined();
  });

  test("a pastern that stands up under a low wall brings its line behind the toe", () => {
    const at = (pastern: number) => {
      const values = { ...reading().values, pasternAngle: gauge(pastern) };
      return known({ readings: [reading({ values })] }).shoe.breakover.fromToe.pasternLine ?? Number.NaN;
    };
    expect(at(58)).toBeGreaterThan(at(54));
    expect(at(54)).toBeGreaterThan(0);
    expect(at(46)).toBe(0);
  });
});

describe("what the adviser is told", () => {
  const look = (finds: Look["finds"], wear: Look["wear"] = {}): Look => ({
    id: "v.LF",
    ...place,
    wear,
    finds,
  });

  test("a crack at a quarter with its side; one at the toe is none", () => {
    const at = (x: number, y: number) =>
      known({ looks: [look({ a: { kind: "crack", at: [x, y], note: "" } })] }).facts.crackAt;
    expect([at(52, 60), at(-52, 60), at(4, 118)]).toEqual(["lateral", "medial", undefined]);
  });

  test("crushed heels by side, a separated white line, a cavity", () => {
    const { facts } = known({
      looks: [
        look({
          a: { kind: "crushed heel", at: [-40, 6], note: "" },
          b: { kind: "white line", at: [0, 110], note: "" },
          c: { kind: "cavity", at: [30, 90], note: "" },
        }),
      ],
    });
    expect(facts).toMatchObject({
      crushed: ["medial"],
      whiteLineSeparated: true,
      poorWall: true,
    });
  });

  test("a frog hangs by its height against the heels, never by its length or width", () => {
    const stretched = known({ looks: [look({ d: { kind: "stretched frog", at: [0, 60], note: "" } })] });
    expect(stretched.facts.frogProudMm).toBeUndefined();
    const measured = known({ readings: [reading({ frogProudMm: 9 })] });
    expect(measured.facts.frogProudMm).toBe(9);
  });

  test("underrun heels, a thin sole and a sloping pastern from their numbers", () => {
    const { facts } = known({
      readings: [
        reading({
          values: { ...reading().values, pasternAngle: gauge(46) },
          side: { heelAngle: gauge(42) },
          sulcusDepthMm: 8,
        }),
      ],
    });
    expect(facts).toMatchObject({ lowHeels: true, thinSole: true, slopingPastern: true });
    const unmeasured = known({ readings: [reading()] }).facts;
    expect(unmeasured).toMatchObject({ lowHeels: false, slopingPastern: false });
    // What nobody measured is not sound.
    expect(unmeasured.thinSole).toBeUndefined();
  });

  test("where it was seen to land and what its shoe was worn on", () => {
    const watching = {
      ...(footPlace("watchings", visit, "LF", "before") as WatchingRecord),
      lands: [40, 60] as [number, number],
      leaves: 14,
    };
    const { facts, shoe } = known({
      watchings: [watching],
      looks: [look({}, { quarterLateral: "thin", heelLateral: "thin", toe: "worn" })],
    });
    expect(facts).toMatchObject({ landsOn: "lateral", wornOn: "lateral" });
    expect(shoe.ways).toMatchObject({ watched: 14, wear: 0 });
    expect(shoe.direction.apart?.deg).toBe(14);
  });

  test("a prescription counts for its feet until its day, and not after", () => {
    const prescribed = (until: string, feet: Limb[]): HorseInCare =>
      inCare(horse, [caseOf({ prescription: { by: "the vet", until, feet, says: "" } })]);
    expect(known({}, prescribed("2026-11-23", ["LF"])).facts.prescription?.by).toBe("the vet");
    expect(known({}, prescribed("2026-11-22", ["LF"])).facts.prescription).toBeUndefined();
    expect(known({}, prescribed("2026-12-22", ["RF"])).facts.prescription).toBeUndefined();
  });

  test("a foot that is kept bare is told as such", () => {
    expect(known({}, { ...horse, finish: "trim" }).facts.keptBare).toBe(true);
    expect(known({}).facts.keptBare).toBe(false);
  });
});

describe("a choice on this foot", () => {
  const { shoe } = known({ readings: [reading()] });
  const spec = ordinaryShoe("LF", 520);

  test("the breakover is the lens's, the hand's where it put it, and at least what an eased toe takes", () => {
    const at = (breakover: typeof NO_CHOICE.breakover, toeEdge: typeof spec.toeEdge = "plain") =>
      fitChoice(shoe, { ...NO_CHOICE, breakover }, { ...spec, toeEdge }, wording).fromToe;
    expect(at({})).toBe(shoe.breakover.chosen.fromToe);
    expect(at({ lens: "coffinTip" })).toBe(shoe.breakover.fromToe.coffinTip);
    expect(at({ lens: "coffinTip", fromToe: 4 })).toBe(4);
    expect(at({ lens: "toe" }, "rolled")).toBe(0);
    expect(at({}, "rolled")).toBeGreaterThanOrEqual(6);
  });

  test("what the hand set is in the fit: back, turned, fuller, skipped", () => {
    const bench = fitChoice(
      shoe,
      {
        ...NO_CHOICE,
        setting: { back: 4, turn: 3, fullerMedial: 0, fullerLateral: 2 },
        breakover: { direction: 9 },
        skip: { a: { side: "medial", from: 0, to: 1 } },
      },
      spec,
      wording,
    );
    expect(bench.directionDeg).toBe(9);
    expect(bench.fit.question.setting).toEqual({ back: 4, turn: 3, fuller: { medial: 0, lateral: 2 } });
    expect(bench.fit.nails.medial).toEqual([]);
    expect(bench.fit.nails.lateral).toHaveLength(3);
    expect(bench.checks.find(({ id }) => id === "stations")?.ok).toBe(false);
  });
});
