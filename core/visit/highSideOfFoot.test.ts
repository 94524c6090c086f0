import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { highSideLeft, highSideOfFoot, verdictOnCut } from "./highSideOfFoot";
import { oneFootFacts, type OneFootQuestion } from "./oneFoot";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const gauge = (value: number) => ({ value, source: "gauge" as const });
const verdictOf = (question: Partial<OneFootQuestion>) =>
  highSideOfFoot(oneFootFacts({ limb: "LF", ...question } as OneFootQuestion, GENERAL_NOISE.value, wording));
const nothing = { values: {}, sole: {}, walls: {}, trace: [], rings: {}, side: {}, rear: {}, confirmed: [] };
const watched = (more: object) => ({ watching: { deviation: {}, hairline: {}, ...more } });

describe("the verdict and a cut", () => {
  const factsOf = (medial: number, lateral: number) =>
    oneFootFacts(
      {
        limb: "LF",
        reading: {
          ...nothing,
          values: { heelHeightMedial: gauge(30), heelHeightLateral: gauge(30 + lateral - medial) },
          walls: { heelMedial: { above: medial }, heelLateral: { above: lateral } },
        },
      } as OneFootQuestion,
      GENERAL_NOISE.value,
      wording,
    );

  test("says which heel is high, how sure, and what the cut leaves of it", () => {
    const high = factsOf(2, 8);
    expect(verdictOnCut(high, { heelMedial: 0, heelLateral: 6 }, wording)).toBe(
      "By 2 witnesses the outside heel stands 6 mm high, ± 2.5 mm; this cut leaves it level.",
    );
    expect(verdictOnCut(high, { heelMedial: 2, heelLateral: 4 }, wording)).toContain(
      "this cut leaves the outside 4 mm high",
    );
    expect(verdictOnCut(factsOf(4, 5), { heelMedial: 0, heelLateral: 0 }, wording)).toContain(
      "neither heel is surely high",
    );
  });

  test("the shoe is told of what stays high beyond doubt, and of nothing else", () => {
    const high = factsOf(2, 8);
    expect(highSideLeft(high, { heelLateral: 2 }, wording)).toMatch(
      /^The outside heel still stands 4 mm high by 2 witnesses/,
    );
    expect(highSideLeft(high, { heelLateral: 5 }, wording)).toBeUndefined();
    expect(highSideLeft(factsOf(4, 5), {}, wording)).toBeUndefined();
  });
});

describe("which side is high", () => {
  test("what was measured on both sides makes the verdict; heights of the hairline make its tilt", () => {
    const { verdict, high } = verdictOf({
      reading: {
        ...nothing,
        values: { heelHeightMedial: gauge(30), heelHeightLateral: gauge(37), width: gauge(127) },
        walls: { heelMedial: { above: 2 }, heelLateral: { above: 8 } },
        heights: { hairlineQuarterMedial: gauge(50), hairlineQuarterLateral: gauge(57) },
      },
    });
    expect(verdict?.witnesses.map(({ name, d }) => [name, Number(d.toFixed(2))])).toEqual([
      ["wallAbove", 6],
      ["heelHeight", 7],
      // 7 mm over 127 mm of width, at heels 0.66 of it apart.
      ["hairlineTilt", 4.62],
    ]);
    expect(high).toBe("lateral");
  });

  test("the side that lands is worn down as a rule; with the hairline pushed up over it it is the tall one", () => {
    const lands = { lands: [45, 60] };
    expect(verdictOf(watched(lands)).signs).toMatchObject([{ name: "Landing", side: "medial" }]);
    expect(verdictOf(watched({ ...lands, hairline: { quarterLateral: "pushed up" } })).signs).toMatchObject([
      { name: "Hairline, standing", side: "lateral" },
      { name: "Landing", side: "lateral" },
    ]);
  });

  test("contradiction is said, not averaged away in silence", () => {
    const { agree, verdict } = verdictOf({
      reading: {
        ...nothing,
        values: { heelHeightMedial: gauge(30), heelHeightLateral: gauge(40) },
        walls: { heelMedial: { above: 8 }, heelLateral: { above: 2 } },
      },
    });
    expect(agree).toBe(false);
    expect(verdict?.n).toBe(2);
  });

  test("nothing measured: no verdict, and the surest measure is asked for", () => {
    expect(verdictOf({})).toMatchObject({
      verdict: undefined,
      high: undefined,
      settle: "wallAbove",
      signs: [],
    });
  });
});
