import { describe, expect, test } from "@jest/globals";
import { distance, type ImagePoint } from "../geometry/vector";
import { seededRandom, type Random } from "../math/random";
import { practiceFoot } from "../practice/practiceFoot";
import { besideTheHorse, type Conditions } from "../simulator/conditions";
import { renderScene } from "../simulator/render";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import type { Corners } from "./corners";
import { findCard } from "./findCard";
import { greyAt, greyOf, shrunkBy, type GreyPicture } from "./grey";
import { MEASURED_VIEWS } from "./views";

interface Taken {
  grey: GreyPicture;
  corners: Corners;
}

function take(
  random: Random,
  conditions: Partial<Conditions>,
  change: { rollDeg?: number; width?: number; slantDeg?: number } = {},
): Taken {
  const { foot } = practiceFoot(random, { count: 2, size: 1 });
  const view = MEASURED_VIEWS[Math.floor(3 * random())] ?? "sole";
  const scene = sceneOf(foot, view);
  const width = change.width ?? 960;
  const camera = aimAt(scene, {
    width,
    height: (3 * width) / 4,
    slantDeg: change.slantDeg ?? 18 * random() ** 2,
    azimuthDeg: 360 * random(),
    rollDeg: change.rollDeg ?? 20 * (random() - 0.5),
    distanceMm: 1500,
    focal35: 122,
  });
  const grey = greyOf(
    renderScene(scene, camera, Math.floor(1e9 * random()), conditions),
    camera.width,
    camera.height,
  );
  const { scale } = truthInPicture(scene, camera, true);
  if (scale.kind !== "card") throw new Error("no card");
  return { grey, corners: scale.corners };
}

const worst = (found: Corners, truth: Corners): number =>
  Math.max(...found.map((corner, at) => distance(corner, truth[at] as ImagePoint)));
const found = (grey: GreyPicture) => {
  const result = findCard(grey);
  if (!result.ok) throw new Error(result.issues[0]?.message);
  return result.value;
};

describe("findCard", () => {
  test("in a fair picture it is sure, and every corner lies within a fifth of a pixel, named by how the bob hangs", () => {
    const random = seededRandom(301);
    for (let index = 0; index < 12; index++) {
      const { grey, corners } = take(random, {});
      const card = found(grey);
      expect(card.sure).toBe(true);
      expect(worst(card.corners, corners)).toBeLessThan(0.2);
    }
  });

  test.each([90, 180, 270])("a picture turned by %d degrees keeps its corners' names", (rollDeg) => {
    const { grey, corners } = take(seededRandom(302), {}, { rollDeg });
    const card = found(grey);
    expect(card.sure).toBe(true);
    expect(worst(card.corners, corners)).toBeLessThan(0.3);
  });

  test("beside the horse (shade, blur, dirt, a bent corner, boards) it is found or says that it doubts; sure is never wrong", () => {
    const random = seededRandom(303);
    let sure = 0;
    const misses: number[] = [];
    for (let index = 0; index < 30; index++) {
      const { grey, corners } = take(random, besideTheHorse(random));
      const result = findCard(grey);
      if (!result.ok || !result.value.sure) continue;
      sure++;
      misses.push(worst(result.value.corners, corners));
    }
    expect(sure).toBeGreaterThanOrEqual(27);
    expect(Math.max(...misses)).toBeLessThan(2);
    expect(misses.filter((px) => px < 0.3).length / misses.length).toBeGreaterThan(0.85);
  });

  test("no card is seen in 200 pictures without one, boards and dark squares in many of them", () => {
    const random = seededRandom(304);
    let wrongly = 0;
    for (let index = 0; index < 200; index++) {
      const { grey } = take(random, besideTheHorse(random, false), { width: 480 });
      const result = findCard(grey);
      if (result.ok && result.value.sure) wrongly++;
    }
    expect(wrongly).toBe(0);
  });

  test("a frame without its plumb mark is no sure card, and it is said why", () => {
    const { grey, corners } = take(seededRandom(305), {}, { slantDeg: 2, rollDeg: 0 });
    const [left, right] = [corners[0][0], corners[1][0]];
    const [top, bottom] = [corners[0][1], corners[2][1]];
    const inset = (right - left) * 0.12;
    for (let y = Math.round(top + inset); y < bottom - inset; y++)
      for (let x = Math.round(left + inset); x < right - inset; x++) grey.values[y * grey.width + x] = 240;
    const result = findCard(grey);
    expect(result.ok && result.value.sure).toBe(false);
  });

  /** The same picture, each place of it looked up in the first. */
  const seenBy = (
    { width, height, values }: GreyPicture,
    from: (x: number, y: number) => [number, number],
  ) => {
    const picture: GreyPicture = { width, height, values: new Float32Array(width * height) };
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        picture.values[y * width + x] = greyAt({ width, height, values }, ...from(x, y));
    return picture;
  };

  test("a mirrored picture is no sure card: inside and outside would be exchanged", () => {
    const { grey } = take(seededRandom(308), {});
    expect(found(grey)).toMatchObject({ sure: true, hand: "front" });
    const mirrored = seenBy(grey, (x, y) => [grey.width - 1 - x, y]);
    expect(found(mirrored)).toMatchObject({
      sure: false,
      hand: "mirrored",
      doubt: "The picture is mirrored: inside and outside are exchanged.",
    });
  });

  test("one squeezed by 17 % is no sure card, whichever way it was squeezed", () => {
    const random = seededRandom(309);
    for (let index = 0; index < 6; index++) {
      const { grey } = take(random, {}, { slantDeg: 8 * random() });
      const [middleX, middleY] = [grey.width / 2, grey.height / 2];
      const narrow = seenBy(grey, (x, y) => [middleX + (x - middleX) / 0.83, y]);
      const low = seenBy(grey, (x, y) => [x, middleY + (y - middleY) / 0.83]);
      for (const squeezed of [narrow, low]) {
        const { sure, doubt } = found(squeezed);
        expect(sure).toBe(false);
        expect(doubt).toContain("not square");
      }
    }
  });

  test("two cards in view: one is shown, and it is asked about", () => {
    const { grey } = take(seededRandom(306), {}, { rollDeg: 0 });
    const { width, height, values } = grey;
    const both = new Float32Array(2 * width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < 2 * width; x++) both[y * 2 * width + x] = values[y * width + (x % width)] ?? 0;
    expect(found({ width: 2 * width, height, values: both })).toMatchObject({
      sure: false,
      doubt: "Two cards are in view; this is one of them.",
    });
  });

  test("a blank picture, and one of a few pixels, have no card", () => {
    for (const [width, height] of [
      [640, 480],
      [3, 2],
    ] as const)
      expect(findCard({ width, height, values: new Float32Array(width * height).fill(120) })).toMatchObject({
        ok: false,
        issues: [{ code: "no-card" }],
      });
  });

  test("a large picture is searched small and measured large: the corners are as exact", () => {
    const { grey, corners } = take(seededRandom(307), {}, { width: 2400 });
    expect(worst(found(grey).corners, corners)).toBeLessThan(0.3);
  });
});

describe("shades of grey", () => {
  const picture: GreyPicture = { width: 2, height: 2, values: Float32Array.from([0, 100, 50, 150]) };

  test("between pixels lies the mean of its neighbours, beyond the edge the edge", () => {
    expect(greyAt(picture, 0.5, 0.5)).toBe(75);
    expect(greyAt(picture, -3, 0)).toBe(0);
    expect(greyAt(picture, 9, 9)).toBe(150);
  });

  test("white is 255, and a picture made smaller keeps its mean", () => {
    expect(greyOf([255, 255, 255, 255], 1, 1).values[0]).toBeCloseTo(255, 3);
    expect(shrunkBy(picture, 2)).toMatchObject({ width: 1, height: 1 });
    expect(shrunkBy(picture, 2).values[0]).toBe(75);
  });
});
