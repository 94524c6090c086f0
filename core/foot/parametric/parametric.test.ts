import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { degrees } from "../../math/angle";
import { distance, length, minus, type ImagePoint, type SidePoint } from "../../geometry/vector";
import { NO_CUT, predictTrim } from "./predict";
import { readLateral, type LateralPoints, type LateralReading } from "../lateral";
import { LIMBS, SIDES } from "../limb";
import { MEASURES, type FootValues } from "../measures";
import { cutFoot, growFoot, hairlineTiltDeg } from "./cut";
import { footAfter } from "../../visit/feetOfHorse";
import { sideFigure, soleFigure } from "./figure";
import { fitFoot, ordinaryFoot } from "./fit";
import { halvesInWords, halvesOf } from "./halves";
import { rearLandmarks, sideLandmarks, soleLandmarks } from "./landmarks";
import { groundOutline, liveSoleOutline, outlineHalfWidth } from "./outline";
import {
  bearingLengthOf,
  corYOf,
  heelYOfSide,
  sizeFactor,
  toeYOf,
  trimFootOf,
  type FootParameters,
} from "./parameters";

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Feet as they are met: low and upright, dished, with one heel curled in, on a leaning limb. */
const anyFoot: fc.Arbitrary<FootParameters> = fc.record({
  limb: fc.constantFrom(...LIMBS),
  widthMm: between(70, 190),
  dorsalAngleDeg: between(40, 64),
  pasternAngleDeg: between(42, 66),
  heelAngleDeg: between(30, 62),
  dishDeg: between(0, 9),
  toeLengthMm: between(60, 120),
  toeRunMm: between(-4, 18),
  heelRunMm: between(-3, 20),
  curlMm: fc.oneof(
    between(0, 8).map((medial) => ({ medial, lateral: 0 })),
    between(0, 8).map((lateral) => ({ medial: 0, lateral })),
  ),
  heelHeightMm: fc.record({ medial: between(15, 60), lateral: between(15, 60) }),
  wallAboveSoleMm: fc.record({ toe: between(0, 15), medial: between(0, 12), lateral: between(0, 12) }),
  limbDeviationDeg: between(-8, 8),
  lateralWiderMm: between(-6, 10),
  frog: fc.record({ stretch: between(-0.05, 0.3), widthRatio: between(0.6, 1.3) }),
});

/** A side view as a picture: scaled, turned, mirrored, y down. */
function photograph(
  marks: Record<keyof LateralPoints, SidePoint>,
  scale: number,
  turn: number,
  mirror: boolean,
): LateralPoints {
  const pixel = ([y, z]: SidePoint): ImagePoint => {
    const [x, down] = [(mirror ? -y : y) * scale, -z * scale];
    return [
      x * Math.cos(turn) - down * Math.sin(turn) + 400,
      x * Math.sin(turn) + down * Math.cos(turn) + 300,
    ];
  };
  return Object.fromEntries(
    Object.entries(marks).map(([name, point]) => [name, pixel(point)]),
  ) as unknown as LateralPoints;
}

const read = (points: LateralPoints, mmPerPx: number): LateralReading => {
  const found = readLateral(points, mmPerPx);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

describe("side view", () => {
  test("its readings are its parameters, for any side, turn, scale and mirroring (seeded property)", () => {
    fc.assert(
      fc.property(
        anyFoot,
        fc.constantFrom(...SIDES),
        between(1, 6),
        between(-3, 3),
        fc.boolean(),
        (foot, side, scale, turn, mirror) => {
          const found = read(photograph(sideLandmarks(foot, side), scale, turn, mirror), 1 / scale);
          expect(found.dorsalAngle).toBeCloseTo(foot.dorsalAngleDeg, 6);
          expect(found.pasternAngle).toBeCloseTo(foot.pasternAngleDeg, 6);
          expect(found.heelAngle).toBeCloseTo(foot.heelAngleDeg, 6);
          expect(found.dish).toBeCloseTo(foot.dishDeg, 6);
          expect(found.toeLength).toBeCloseTo(foot.toeLengthMm, 6);
          expect(found.bearingLength).toBeCloseTo(toeYOf(foot) - heelYOfSide(foot, side), 6);
          const heelHeight = found.heelLength * Math.sin((foot.heelAngleDeg * Math.PI) / 180);
          expect(heelHeight).toBeCloseTo(foot.heelHeightMm[side], 6);
        },
      ),
      { seed: 21 },
    );
  });
});

describe("sole view", () => {
  test("width, sulcus, centre of rotation and heels are where the parameters put them (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const marks = soleLandmarks(foot);
        const s = length(minus(marks.sulcusFront, marks.sulcusBack));
        expect(marks.wideLateral[0] - marks.wideMedial[0]).toBeCloseTo(foot.widthMm, 9);
        expect(2 * s - 25 * sizeFactor(foot)).toBeCloseTo(corYOf(foot), 9);
        expect((marks.wideLateral[1] + marks.wideMedial[1]) / 2).toBeCloseTo(corYOf(foot), 9);
        expect(marks.toe[1] - 2 * corYOf(foot)).toBeCloseTo(foot.toeRunMm, 9);
        expect(marks.heelLateral[1] - marks.heelMedial[1]).toBeCloseTo(
          foot.curlMm.lateral - foot.curlMm.medial,
          9,
        );
        expect(distance(marks.frogApex, marks.sulcusBack)).toBeCloseTo(2 * s * (1 + foot.frog.stretch), 9);
      }),
      { seed: 22 },
    );
  });

  test("medial is always negative, lateral always positive, on every limb", () => {
    for (const limb of LIMBS) {
      const marks = soleLandmarks(ordinaryFoot(limb, { kind: "horse", massKg: 500 }));
      expect(marks.heelMedial[0]).toBeLessThan(0);
      expect(marks.toeQuarterLateral[0]).toBeGreaterThan(0);
    }
  });

  test("the outline passes through its own marks and holds the live sole inside", () => {
    const foot = ordinaryFoot("RF", { kind: "horse", massKg: 500 });
    const marks = soleLandmarks(foot);
    expect(outlineHalfWidth(foot, "lateral", marks.toeQuarterLateral[1])).toBeCloseTo(
      marks.toeQuarterLateral[0],
      9,
    );
    expect(outlineHalfWidth(foot, "lateral", marks.toe[1])).toBe(0);
    const [outer, inner] = [groundOutline(foot), liveSoleOutline(foot)];
    expect(outer[0]).toEqual(marks.heelMedial);
    expect(outer.at(-1)).toEqual(marks.heelLateral);
    for (const [x, y] of inner)
      expect(Math.abs(x)).toBeLessThanOrEqual(outlineHalfWidth(foot, x < 0 ? "medial" : "lateral", y) + 1e-9);
  });
});

describe("rear view", () => {
  test("heel heights, hairline tilt and the limb's lean read back (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const marks = rearLandmarks(foot);
        expect(marks.hairlineMedial[1] - marks.heelMedial[1]).toBeCloseTo(foot.heelHeightMm.medial, 9);
        expect(marks.hairlineLateral[1] - marks.heelLateral[1]).toBeCloseTo(foot.heelHeightMm.lateral, 9);
        const [dx, dz] = minus(marks.limbHigh, marks.limbLow);
        expect(degrees(Math.atan2(dx, dz))).toBeCloseTo(foot.limbDeviationDeg, 9);
        expect(Math.sign(hairlineTiltDeg(foot))).toBe(
          Math.sign(foot.heelHeightMm.lateral - foot.heelHeightMm.medial),
        );
      }),
      { seed: 23 },
    );
  });
});

describe("cut and growth", () => {
  const cuts = fc.record({
    toe: between(0, 8),
    heelMedial: between(0, 6),
    heelLateral: between(0, 6),
    dress: between(0, 3),
  });

  test("a cut foot reads as the prediction said: angle, toe length, front, support (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, cuts, (foot, cut) => {
        const done = cutFoot(foot, cut);
        const predicted = predictTrim(trimFootOf(foot), cut);
        if (!done.ok || !predicted.ok) throw new Error("refused");
        const after = done.value.foot;
        const found = read(photograph(sideLandmarks(after, "mean"), 2, 0.3, true), 0.5);
        expect(found.dorsalAngle).toBeCloseTo(predicted.value.dorsalAngle, 6);
        expect(found.toeLength).toBeCloseTo(predicted.value.toeLength, 6);
        expect(halvesOf(after).frontMm).toBeCloseTo(predicted.value.front, 6);
        expect(halvesOf(after).supportMm).toBeCloseTo(predicted.value.support, 6);
        expect(after.dishDeg).toBeLessThanOrEqual(foot.dishDeg);
      }),
      { seed: 24 },
    );
  });

  test("an even cut lowers both heels by just that much", () => {
    const foot = ordinaryFoot("LH", { kind: "cob", massKg: 520 });
    const done = cutFoot(foot, { toe: 3, heelMedial: 3, heelLateral: 3, dress: 0 });
    if (!done.ok) throw new Error("refused");
    expect(done.value.foot.heelHeightMm.medial).toBeCloseTo(foot.heelHeightMm.medial - 3, 9);
    expect(done.value.foot.wallAboveSoleMm.toe).toBe(foot.wallAboveSoleMm.toe - 3);
  });

  test("growth makes the toe longer and the foot shallower by exactly what it says (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, between(0, 16), between(-4, 0), (foot, hornMm, driftDeg) => {
        const grown = growFoot(foot, { hornMm, driftDeg });
        if (!grown.ok) throw new Error("refused");
        expect(grown.value.toeLengthMm - foot.toeLengthMm).toBeCloseTo(hornMm, 9);
        expect(grown.value.dorsalAngleDeg - foot.dorsalAngleDeg).toBeCloseTo(driftDeg, 9);
      }),
      { seed: 25 },
    );
  });

  test("six weeks of growth run toe and heels forward; the trim that takes it back restores the halves", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
    const grown = growFoot(foot, { hornMm: 11, driftDeg: -2.4 });
    if (!grown.ok) throw new Error("refused");
    expect(halvesOf(grown.value).frontShare).toBeGreaterThan(halvesOf(foot).frontShare);
    expect(grown.value.heelRunMm).toBeGreaterThan(foot.heelRunMm);
    expect(cutFoot(grown.value, NO_CUT).ok).toBe(true);
  });

  test("a foot as a forecast has it: toe and axis are its middle, the pastern stays, the front half gains", () => {
    const foot = ordinaryFoot("RF", { kind: "pony", massKg: 260 });
    const band = (mean: number) => ({ mean, low: mean - 2, high: mean + 2 });
    const axis = foot.dorsalAngleDeg - foot.pasternAngleDeg;
    const after = footAfter(foot, {
      day: 56,
      toeLength: band(foot.toeLengthMm + 12),
      axis: band(axis - 3),
    });
    if (!after.ok) throw new Error("refused");
    expect(after.value.toeLengthMm).toBeCloseTo(foot.toeLengthMm + 12, 9);
    expect(after.value.dorsalAngleDeg - after.value.pasternAngleDeg).toBeCloseTo(axis - 3, 9);
    expect(after.value.pasternAngleDeg).toBe(foot.pasternAngleDeg);
    expect(halvesOf(after.value).frontShare).toBeGreaterThan(halvesOf(foot).frontShare);
  });

  test("dressing takes the horn in front of the straight wall first", () => {
    const dished = { ...ordinaryFoot("LF", { kind: "horse", massKg: 500 }), dishDeg: 4 };
    const hornInFront = (dished.toeLengthMm / 2) * Math.sin((4 * Math.PI) / 180);
    const after = (dress: number) => {
      const done = cutFoot(dished, { ...NO_CUT, dress });
      return done.ok ? done.value.foot.dishDeg : undefined;
    };
    expect(after(hornInFront / 2)).toBeCloseTo(2, 9);
    expect(after(hornInFront + 1)).toBe(0);
  });

  test("an impossible cut is refused, not drawn", () => {
    expect(
      cutFoot(ordinaryFoot("LF", { kind: "pony", massKg: 300 }), {
        toe: 80,
        heelMedial: 80,
        heelLateral: 80,
        dress: 0,
      }).ok,
    ).toBe(false);
  });
});

describe("fitFoot", () => {
  const base = ordinaryFoot("RF", { kind: "horse", massKg: 500 });
  const full = (value: number[]): FootValues =>
    Object.fromEntries(
      MEASURES.map((measure, index) => [measure, { value: value[index], source: "gauge" }]),
    ) as FootValues;

  test("every measured value reads back from the fitted foot", () => {
    const { foot, guessed } = fitFoot(full([47, 51, 95, 33, 37, 121, 130]), base);
    expect(guessed).toEqual([]);
    expect(foot).toMatchObject({ dorsalAngleDeg: 47, pasternAngleDeg: 51, toeLengthMm: 95, widthMm: 130 });
    expect(foot.heelHeightMm).toEqual({ medial: 33, lateral: 37 });
    expect(bearingLengthOf(foot)).toBeCloseTo(121, 9);
  });

  test("what was not measured, or only estimated, is named as a guess", () => {
    expect(fitFoot({}, base).guessed).toHaveLength(7);
    expect(fitFoot({ width: { value: 120, source: "estimate" } }, base).guessed).toContain("width");
  });

  test("a longer toe at the same angle runs forward and takes front from support", () => {
    const front = (toe: number) =>
      halvesOf(fitFoot({ toeLength: { value: toe, source: "calliper" } }, base).foot).frontMm;
    expect(front(96) - front(86)).toBeCloseTo(10 * Math.cos((50 * Math.PI) / 180), 9);
  });

  test("an ordinary foot of its size has nearly even halves", () => {
    const { toeRunMm } = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
    expect(Math.abs(toeRunMm)).toBeLessThan(1);
    expect(halvesInWords({ frontMm: 1, supportMm: 1, frontShare: 0.527 })).toBe("53 : 47");
  });
});

test("figures are finite and closed round the foot for any foot (seeded property)", () => {
  fc.assert(
    fc.property(anyFoot, (foot) => {
      const points = [
        ...sideFigure(foot).hoof,
        ...sideFigure(foot).limb,
        ...soleFigure(foot).outline,
        ...soleFigure(foot).frog,
      ];
      expect(points.flat().every(Number.isFinite)).toBe(true);
      expect(sideFigure(foot, "lateral").heelY).toBeCloseTo(heelYOfSide(foot, "lateral"), 9);
    }),
    { seed: 26 },
  );
});
