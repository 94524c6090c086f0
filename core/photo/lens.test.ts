import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ordinaryFoot } from "../foot/parametric/fit";
import { distance, type Vector } from "../geometry/vector";
import { normalDraw, seededRandom } from "../math/random";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { phoneBend } from "../simulator/conditions";
import { renderScene } from "../simulator/render";
import type { Shot } from "../simulator/camera";
import { findCard, type FoundCard } from "./findCard";
import { greyOf } from "./grey";
import { bentAgain, bothLenses, lensOfEdges, lensProfile, straightened, USUAL_LENS } from "./lens";
import { readSidePhoto } from "./readPhoto";
import { truePhoto, type MarkedPhoto } from "./truePhoto";

const SIZE = { width: 1280, height: 960 };
const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 540 });
const SHOT: Shot = { slantDeg: 5, azimuthDeg: 60, rollDeg: 2, distanceMm: 1300, focal35: 100, ...SIZE };

/** A picture through a lens that bends, its card as it was found. */
function through(third: number, shot: Partial<Shot> = {}): { truth: MarkedPhoto; found: FoundCard } {
  const scene = sceneOf(FOOT, "side");
  const camera = aimAt(scene, { ...SHOT, ...shot, bend: { third, fifth: 0 } });
  const found = findCard(greyOf(renderScene(scene, camera, 2), camera.width, camera.height));
  if (!found.ok) throw new Error("no card");
  return { truth: truthInPicture(scene, camera, true), found: found.value };
}

describe("a lens", () => {
  test("there and back is where it was, for any lens of a phone and beyond", () => {
    const px = (most: number) => fc.double({ min: 0, max: most, noNaN: true });
    fc.assert(
      fc.property(px(1280), px(960), fc.double({ min: -0.12, max: 0.2, noNaN: true }), (x, y, bend) => {
        const straight = straightened(SIZE, bend, [x, y]);
        expect(distance(bentAgain(SIZE, bend, straight), [x, y])).toBeLessThan(1e-6);
      }),
    );
  });

  test("the middle stays, and what a barrel draws in is put out again", () => {
    expect(straightened(SIZE, 0.1, [640, 480])).toEqual([640, 480]);
    const [x] = straightened(SIZE, 0.1, [1280, 480]);
    expect(x).toBeGreaterThan(1280);
  });

  test("it is found from straight edges within what it says of itself", () => {
    const random = seededRandom(8);
    let beyond = 0;
    for (let round = 0; round < 60; round++) {
      const bend = 0.12 * (random() - 0.5);
      const [x, y, side] = [200 + 700 * random(), 150 + 500 * random(), 150 + 100 * random()];
      const corners: Vector[] = [
        [x, y],
        [x + side, y + 10],
        [x + side - 12, y + side],
        [x - 8, y + side - 6],
      ];
      const edges = corners.map((a, at) => {
        const b = corners[(at + 1) % 4] as Vector;
        return Array.from({ length: 90 }, (_, step): Vector => {
          const part = (step + 0.5) / 90;
          const [u, v] = bentAgain(SIZE, bend, [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part]);
          return [normalDraw(random, u, 0.08), normalDraw(random, v, 0.08)];
        });
      });
      const lens = lensOfEdges(edges, SIZE);
      if (!lens) throw new Error("nothing found");
      if (Math.abs(lens.bend - bend) > 2 * lens.sd) beyond++;
    }
    expect(beyond).toBeLessThan(6);
  });

  test("edges that are too short to tell say nothing", () => {
    expect(lensOfEdges([[[0, 0]], [[1, 1]]], SIZE)).toBeUndefined();
    expect(bothLenses(USUAL_LENS, USUAL_LENS).bend).toBe(0);
  });

  test("a profile wants five that agree", () => {
    const one = { bend: 0.04, sd: 0.01 };
    const code = (given: Parameters<typeof lensProfile>[0]) => {
      const found = lensProfile(given);
      return found.ok ? "ok" : found.issues[0]?.code;
    };
    expect(code([one, one, one, one])).toBe("too-few");
    expect(code([one, one, one, one, { bend: -0.2, sd: 0.01 }])).toBe("unlike");
    const found = lensProfile([one, one, one, one, one]);
    expect(found.ok && found.value.bend).toBeCloseTo(0.04, 9);
    expect(found.ok && found.value.sd).toBeLessThan(0.006);
  });
});

describe("a picture through a lens that bends", () => {
  test("its card says how, and five of them do so closely", () => {
    const bends = [0, 1, 2, 3, 4].map(
      (at) => through(-0.08, { azimuthDeg: 70 * at, rollDeg: 4 * at }).found.lens,
    );
    for (const lens of bends) expect(Math.abs(lens.bend - 0.08)).toBeLessThan(3 * lens.sd);
    const profile = lensProfile(bends);
    if (!profile.ok) throw new Error(profile.issues[0]?.message);
    expect(Math.abs(profile.value.bend - 0.08)).toBeLessThan(0.03);
  });

  test("corrected it reads nearer to the truth than as if it were straight", () => {
    const { truth, found } = through(-0.12);
    const straight = through(0);
    const read = (photo: MarkedPhoto) => {
      const got = readSidePhoto(photo, 1);
      if (!got.ok || !got.value.reading) throw new Error("not read");
      return got.value.reading;
    };
    const wanted = read(straight.truth).bearingLength;
    const off = (photo: MarkedPhoto) => Math.abs(read(photo).bearingLength - wanted);
    const lens = { bend: 0.12, sd: 0.005 };
    expect(off({ ...truth, lens })).toBeLessThan(0.35 * off(truth));
    expect(Math.abs(found.lens.bend - 0.12)).toBeLessThan(3 * found.lens.sd);
  });

  test("what is not sure of it goes into the bands, of all marks together", () => {
    const { truth } = through(-0.05);
    const bandsWith = (sd: number) => {
      const got = readSidePhoto({ ...truth, lens: { bend: 0.05, sd } }, 0);
      return got.ok ? (got.value.bands["bearingLength"] ?? 0) : 0;
    };
    expect(bandsWith(0.05)).toBeGreaterThan(bandsWith(0.01));
    const made = truePhoto({ ...truth, lens: { bend: 0.05, sd: 0.03 } }, 1);
    expect(made.ok && made.value.marks["toe"]?.lens).toBeDefined();
  });

  test("phones bend a little, and not all alike", () => {
    const random = seededRandom(4);
    const all = Array.from({ length: 200 }, () => phoneBend(random).third);
    expect(Math.max(...all)).toBeLessThan(0.05);
    expect(Math.min(...all)).toBeGreaterThan(-0.06);
    expect(new Set(all).size).toBeGreaterThan(100);
  });
});
