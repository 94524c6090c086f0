import { describe, expect, test } from "@jest/globals";
import { readLateral, type LateralPoints } from "../foot/lateral";
import { ordinaryFoot } from "../foot/parametric/fit";
import { rearLandmarks, sideLandmarks, soleLandmarks } from "../foot/parametric/landmarks";
import { bearingLengthOf, sizeFactor, type FootParameters } from "../foot/parametric/parameters";
import { readRear, type RearPoints } from "../foot/rear";
import { recordOfMarks } from "../foot/records/keptSurvey";
import { nothingRead, type Reading } from "../foot/records/reading";
import { wordingFor } from "../foot/wording";
import { fillFromPhoto, type Filled } from "../photo/fill";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { findingsOf } from "./findings";
import { oneFootFacts } from "./oneFoot";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
/** A foot with something to say: dished, broken back, low in the heel, its limb leaning. */
const base = ordinaryFoot("RF", { kind: "horse", massKg: 520 });
const FOOT: FootParameters = {
  ...base,
  dorsalAngleDeg: 44,
  pasternAngleDeg: 52,
  heelAngleDeg: 33,
  dishDeg: 4,
  toeLengthMm: base.toeLengthMm + 8,
  limbDeviationDeg: 2,
};

/** By picture: three square views from far away, marked without error. */
function byPicture(): Filled {
  let filled: Filled = { values: {}, sole: {}, side: {}, rear: {}, trace: [] };
  for (const view of ["sole", "side", "rear"] as const) {
    const scene = sceneOf(FOOT, view);
    const shot = {
      slantDeg: 0,
      azimuthDeg: 0,
      rollDeg: 0,
      distanceMm: 2500,
      focal35: 200,
      width: 4000,
      height: 3000,
    };
    const found = fillFromPhoto(
      truthInPicture(scene, aimAt(scene, shot), true),
      "RF",
      filled,
      sizeFactor(FOOT),
      "photo",
    );
    if (!found.ok) throw new Error(found.issues[0]?.message);
    filled = found.value.filled;
  }
  return filled;
}

/** By hand: gauge, rule and calliper held to the same foot. */
function byHand(): Filled {
  const gauge = (value: number) => ({ value, source: "gauge" as const });
  const side = readLateral(sideLandmarks(FOOT, "lateral") as unknown as LateralPoints);
  const rear = readRear(rearLandmarks(FOOT) as unknown as RearPoints);
  if (!side.ok || !rear.ok) throw new Error("the foot cannot be read");
  return {
    values: {
      dorsalAngle: gauge(FOOT.dorsalAngleDeg),
      pasternAngle: gauge(FOOT.pasternAngleDeg),
      toeLength: gauge(FOOT.toeLengthMm),
      heelHeightMedial: gauge(FOOT.heelHeightMm.medial),
      heelHeightLateral: gauge(FOOT.heelHeightMm.lateral),
      bearingLength: gauge(bearingLengthOf(FOOT)),
      width: gauge(FOOT.widthMm),
    },
    sole: recordOfMarks(
      Object.fromEntries(Object.entries(soleLandmarks(FOOT)).map(([mark, [x, y]]) => [mark, { x, y }])),
      "calliper",
    ),
    side: {
      lowerWallAngle: gauge(FOOT.dorsalAngleDeg - FOOT.dishDeg),
      heelAngle: gauge(FOOT.heelAngleDeg),
      hairlineAngle: gauge(side.value.hairlineAngle),
      heelLength: gauge(side.value.heelLength),
      pasternLineFromToe: gauge(side.value.pasternLineFromToe),
    },
    rear: { hairlineTilt: gauge(rear.value.hairlineTilt), limbDeviation: gauge(FOOT.limbDeviationDeg) },
    trace: [],
  };
}

const factsOf = (filled: Filled) =>
  oneFootFacts(
    {
      limb: "RF",
      reading: { ...nothingRead(), ...filled } as unknown as Reading,
      horse: { massKg: 520 },
    } as never,
    GENERAL_NOISE.value,
    wording,
  );

describe("one foot, by hand and by picture", () => {
  const [hand, picture] = [factsOf(byHand()), factsOf(byPicture())];

  test("every measure comes out the same", () => {
    for (const group of ["measures", "side", "rear"] as const)
      for (const [name, value] of Object.entries(hand[group]) as [string, number][])
        expect([
          name,
          Math.abs(((picture[group] as Record<string, number>)[name] ?? Number.NaN) - value) < 1,
        ]).toEqual([name, true]);
    expect(Math.abs((picture.survey.front ?? 0) - (hand.survey.front ?? 9))).toBeLessThan(1);
  });

  test("and is told the same things, at the same level", () => {
    const said = (facts: typeof hand) => findingsOf(facts).map(({ id, level }) => `${id} ${level}`);
    expect(said(picture)).toEqual(said(hand));
    expect(said(hand)).toEqual(expect.arrayContaining(["broken-back drifting", "toe-run drifting"]));
  });
});
