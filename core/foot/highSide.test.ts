import { describe, expect, test } from "@jest/globals";
import { highSide, sideThatIsHigh, witnessesAgree, wouldSettle, type HighSideSigns } from "./highSide";

const mirrored = (signs: HighSideSigns): HighSideSigns => {
  const turn = <T extends { medial: number; lateral: number }>(pair: T | undefined) =>
    pair && { ...pair, medial: pair.lateral, lateral: pair.medial };
  return {
    ...signs,
    wallAbove: turn(signs.wallAbove),
    heelHeight: turn(signs.heelHeight),
    heelForward: turn(signs.heelForward),
    barBend: turn(signs.barBend),
    toeQuarterLength: turn(signs.toeQuarterLength),
    hairlineTilt: signs.hairlineTilt === undefined ? undefined : -signs.hairlineTilt,
  };
};

describe("highSide", () => {
  test("two witnesses by hand: wall 4 mm at sd 1.6, heel heights 2 mm at 2.5", () => {
    const verdict = highSide({
      heelsApart: 80,
      wallAbove: { medial: 3, lateral: 7 },
      heelHeight: { medial: 31, lateral: 33 },
    });
    const [a, b] = [1 / 1.6 ** 2, 1 / 2.5 ** 2];
    const mean = (4 * a + 2 * b) / (a + b);
    expect(verdict?.mean).toBeCloseTo(mean, 12);
    expect(verdict?.sd).toBeCloseTo(Math.sqrt(1 / (a + b)), 12);
    expect(verdict?.chi2).toBeCloseTo((4 - mean) ** 2 * a + (2 - mean) ** 2 * b, 12);
    expect(verdict?.n).toBe(2);
  });

  test("each witness in its own way: tilt over the distance, half of a curl, bars, toe quarters by the wall", () => {
    const d = (signs: Partial<HighSideSigns>) =>
      highSide({ heelsApart: 80, ...signs })?.witnesses.map((one) => Number(one.d.toFixed(6)));
    expect(d({ hairlineTilt: 3 })).toEqual([Number((80 * Math.tan((3 * Math.PI) / 180)).toFixed(6))]);
    expect(d({ heelForward: { medial: 12, lateral: 2 } })).toEqual([-5]);
    expect(d({ barBend: { medial: 1, lateral: 5 } })).toEqual([4]);
    expect(d({ toeQuarterLength: { medial: 80, lateral: 84, wallAngle: 90 } })).toEqual([4]);
  });

  test("a larger foot is read as loosely as it is large", () => {
    expect(highSide({ heelsApart: 80, k: 2, hairlineTilt: 3 })?.sd).toBe(6);
  });

  test("a mirrored foot gets the mirrored verdict, with the same doubt", () => {
    const signs: HighSideSigns = {
      heelsApart: 85,
      wallAbove: { medial: 4, lateral: 7 },
      heelHeight: { medial: 30, lateral: 35 },
      hairlineTilt: 3,
      heelForward: { medial: 2, lateral: 9 },
      barBend: { medial: 1, lateral: 6 },
      toeQuarterLength: { medial: 80, lateral: 83, wallAngle: 50 },
    };
    const [one, other] = [highSide(signs), highSide(mirrored(signs))];
    expect(other?.mean).toBeCloseTo(-(one?.mean ?? 0), 12);
    expect([other?.sd, other?.chi2]).toEqual([one?.sd, one?.chi2].map((x) => expect.closeTo(x ?? 0, 9)));
    expect([one, other].map((verdict) => verdict && sideThatIsHigh(verdict))).toEqual(["lateral", "medial"]);
  });

  test("witnesses that contradict one another are said to; nothing measured is no verdict", () => {
    const against = highSide({
      heelsApart: 80,
      wallAbove: { medial: 8, lateral: 2 },
      hairlineTilt: 5,
    });
    expect(against && witnessesAgree(against)).toBe(false);
    expect(highSide({ heelsApart: 80 })).toBeUndefined();
  });

  test("within its doubt nothing is high; what would settle it is the surest measure still missing", () => {
    const verdict = highSide({ heelsApart: 80, heelHeight: { medial: 30, lateral: 32 } });
    expect(verdict && sideThatIsHigh(verdict)).toBeUndefined();
    expect(wouldSettle(verdict)).toBe("wallAbove");
    expect(wouldSettle(undefined)).toBe("wallAbove");
  });
});
