import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { seededRandom } from "../math/random";
import { greyOf } from "../photo/grey";
import type { Shot } from "./camera";
import { besideTheHorse, DAYLIGHT, type Conditions } from "./conditions";
import { renderScene } from "./render";
import { aimAt, sceneOf, truthInPicture } from "./scene";

const SHOT: Shot = {
  slantDeg: 4,
  azimuthDeg: 30,
  rollDeg: 1,
  distanceMm: 1500,
  focal35: 120,
  width: 480,
  height: 360,
};
const scene = sceneOf(ordinaryFoot("LF", { kind: "horse", massKg: 500 }), "side");
const camera = aimAt(scene, SHOT);
const grey = (conditions: Partial<Conditions>, seed = 5) =>
  greyOf(renderScene(scene, camera, seed, conditions), camera.width, camera.height).values;
const mean = (values: ArrayLike<number>): number =>
  Array.from(values).reduce((sum, one) => sum + one, 0) / values.length;
const { scale } = truthInPicture(scene, camera, true);
const corners = scale.kind === "card" ? scale.corners : [];
/** Values inside the card's frame. */
const onCard = (values: Float32Array): number[] => {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const found: number[] = [];
  for (let y = Math.ceil(Math.min(...ys)); y < Math.max(...ys); y++)
    for (let x = Math.ceil(Math.min(...xs)); x < Math.max(...xs); x++)
      found.push(values[y * camera.width + x] ?? 0);
  return found;
};
const plain = grey({});

describe("conditions of a picture", () => {
  test("daylight is the picture without any, and a seed gives the same one", () => {
    expect(grey(DAYLIGHT)).toEqual(plain);
    expect(grey({ light: 0.5, clutter: 1 })).toEqual(grey({ light: 0.5, clutter: 1 }));
  });

  test("half the light is half the brightness, and grainy", () => {
    const dark = grey({ light: 0.5 });
    expect(mean(dark) / mean(plain)).toBeCloseTo(0.5, 1);
    const rough = (values: Float32Array) =>
      mean(values.slice(1, 4000).map((value, at) => Math.abs(value - (values[at] ?? 0)))) / mean(values);
    expect(rough(dark)).toBeGreaterThan(1.2 * rough(plain));
  });

  test("a shadow darkens a part and leaves the rest as it was", () => {
    const shaded = grey({ shadow: 1 });
    const parts = Array.from(shaded, (value, at) => value / Math.max(1, plain[at] ?? 1));
    expect(parts.filter((part) => part > 0.98).length).toBeGreaterThan(0.1 * parts.length);
    expect(parts.filter((part) => part < 0.45).length).toBeGreaterThan(0.1 * parts.length);
  });

  test("a moved hand softens edges and moves none: the middle of brightness stays", () => {
    const blurred = grey({ blurPx: 4 });
    const steepest = (values: Float32Array) =>
      Math.max(...onCard(values).map((value, at, all) => Math.abs(value - (all[at + 1] ?? value))));
    expect(steepest(blurred)).toBeLessThan(0.75 * steepest(plain));
    const middle = (values: Float32Array) => {
      const total = mean(values) * values.length;
      return values.reduce((sum, value, at) => sum + value * (at % camera.width), 0) / total;
    };
    expect(Math.abs(middle(blurred) - middle(plain))).toBeLessThan(0.05);
  });

  test("dirt darkens the card, a bent corner changes its corner alone, and neither anything else", () => {
    const far = (values: Float32Array) => values.slice(0, 20 * camera.width);
    const [dirty, bent] = [grey({ cardDirt: 1 }), grey({ crease: 1 })];
    expect(mean(onCard(dirty))).toBeLessThan(0.95 * mean(onCard(plain)));
    const before = onCard(plain);
    const changed = onCard(bent).filter((value, at) => Math.abs(value - (before[at] ?? 0)) > 1).length;
    expect(changed).toBeGreaterThan(0);
    expect(changed).toBeLessThan(0.05 * before.length);
    for (const values of [dirty, bent]) expect(far(values)).toEqual(far(plain));
  });

  test("horn, dirt and clutter change what they are of; without the card there is none", () => {
    expect(mean(grey({ horn: 1.4 }))).toBeGreaterThan(mean(plain));
    expect(mean(grey({ dirt: 1 }))).toBeLessThan(mean(plain));
    expect(mean(grey({ clutter: 1 }))).toBeLessThan(mean(plain));
    expect(onCard(grey({ clutter: 1 }))).toEqual(onCard(plain));
    expect(Math.max(...onCard(grey({ card: false })))).toBeLessThan(200);
  });

  test("beside the horse each stays within what it says, and about half the pictures are fair in each", () => {
    const random = seededRandom(8);
    const drawn = Array.from({ length: 400 }, () => besideTheHorse(random));
    for (const one of drawn) {
      expect(one.light).toBeGreaterThan(0.3);
      expect(one.blurPx).toBeLessThanOrEqual(4);
      for (const part of [one.dirt, one.shadow, one.cardDirt, one.crease, one.clutter])
        expect(part >= 0 && part <= 1).toBe(true);
    }
    const without = drawn.filter(({ shadow }) => shadow === 0).length;
    expect(without).toBeGreaterThan(150);
    expect(without).toBeLessThan(250);
  });
});
