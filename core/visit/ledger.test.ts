import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { ledgerRows } from "./ledger";
import { oneFootFacts, type OneFootQuestion } from "./oneFoot";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const gauge = (value: number) => ({ value, source: "gauge" as const });
const nothing = { values: {}, sole: {}, walls: {}, trace: [], rings: {}, side: {}, rear: {}, confirmed: [] };
const rowsOf = (question: Partial<OneFootQuestion>, aim?: number) =>
  Object.fromEntries(
    ledgerRows(
      oneFootFacts({ limb: "LF", ...question } as OneFootQuestion, GENERAL_NOISE.value, wording),
      aim,
    ).map(({ name, ...row }) => [name, row]),
  );
const values = (dorsal: number, pastern: number, toe: number) => ({
  ...nothing,
  values: { dorsalAngle: gauge(dorsal), pasternAngle: gauge(pastern), toeLength: gauge(toe) },
});

describe("the ledger", () => {
  test("the fast lane always stands there, a dash where nothing was measured", () => {
    expect(Object.keys(rowsOf({}))).toEqual([
      "Axis",
      "Dorsal angle",
      "Toe length",
      "Heels, outside minus inside",
    ]);
    expect(rowsOf({})["Axis"]).toEqual({ now: "–", aim: "", since: "" });
  });

  test("each reading with its aim; the axis signed", () => {
    expect(rowsOf({ reading: values(54, 50, 90) }, 50)).toMatchObject({
      Axis: { now: "+4.0°", aim: "0°", since: "" },
      "Dorsal angle": { now: "54.0°", aim: "50.0°" },
      "Toe length": { now: "90 mm" },
    });
  });

  test("change is told only beyond the noise of that reading", () => {
    const rows = rowsOf({
      date: "2026-03-01",
      reading: values(48, 50, 96),
      last: { date: "2026-01-20", reading: values(49, 50, 88) },
    });
    expect(rows).toMatchObject({
      "Dorsal angle": { since: "no change" },
      "Toe length": { since: "+8 mm" },
    });
  });

  test("what was taken by hand stands there as what a picture gives", () => {
    const reading = {
      ...values(50, 50, 88),
      side: { lowerWallAngle: gauge(44), heelAngle: gauge(45), pasternLineFromToe: gauge(-12) },
      rear: { hairlineTilt: gauge(2), limbDeviation: gauge(-3) },
    };
    expect(rowsOf({ reading })).toMatchObject({
      Dish: { now: "6.0°", aim: "0°" },
      "Heel angle": { now: "45.0°", aim: "50.0°" },
      "Hairline tilt, + outside": { now: "+2.0°" },
      "Lean of the limb, + outside": { now: "−3.0°" },
    });
  });
});
