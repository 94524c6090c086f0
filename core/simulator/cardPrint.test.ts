import { beforeAll, describe, expect, test } from "@jest/globals";
import { practiceFoot } from "../practice/practiceFoot";
import { CARD } from "../photo/card";
import { seededRandom } from "../math/random";
import { truthInPicture, aimAt, sceneOf } from "./scene";
import { drawCard } from "./cardPrint";
import { DAYLIGHT, type Conditions } from "./conditions";

const SIZE = { width: 640, height: 480 };
const BENEATH = 120;

/** A sound foot from the side with the card beside it, and a camera straight before it. */
function seenStraightOn() {
  const scene = sceneOf(practiceFoot(seededRandom(5), { count: 0, size: 1 }).foot, "side");
  const shot = { slantDeg: 0, azimuthDeg: 0, rollDeg: 0, distanceMm: 1500, focal35: 122 };
  return { scene, camera: aimAt(scene, { ...SIZE, ...shot }) };
}

/** A card before an even grey, seen straight on: its picture, and the place of a point of it, mm from its top left. */
function drawn(conditions: Partial<Conditions> = {}, seed = 3) {
  const { scene, camera } = seenStraightOn();
  const pixels = new Uint8ClampedArray(4 * SIZE.width * SIZE.height).fill(BENEATH);
  const depth = new Float32Array(SIZE.width * SIZE.height).fill(Number.POSITIVE_INFINITY);
  drawCard(pixels, depth, scene, camera, seed, { ...DAYLIGHT, ...conditions });
  const { scale } = truthInPicture(scene, camera, true);
  if (scale.kind !== "card") throw new Error("no card");
  const [first, second, , fourth] = scale.corners;
  const at = (u: number, v: number): number => {
    const [a, b] = [u / CARD.sideMm, v / CARD.sideMm];
    const x = first[0] + a * (second[0] - first[0]) + b * (fourth[0] - first[0]);
    const y = first[1] + a * (second[1] - first[1]) + b * (fourth[1] - first[1]);
    return pixels[4 * (Math.round(y) * SIZE.width + Math.round(x))] ?? -1;
  };
  return { at, pixels, depth, pxPerMm: Math.hypot(second[0] - first[0], second[1] - first[1]) / CARD.sideMm };
}

describe("drawCard", () => {
  const { sideMm: side, marginMm: margin, frameMm: frame } = CARD;
  const middle = side / 2;
  let card: ReturnType<typeof drawn>;
  beforeAll(() => {
    card = drawn();
  });

  test.each([
    ["the margin left of the frame", -margin / 2, middle],
    ["the margin above it", middle, -margin / 2],
    ["the field inside", 20, 30],
    ["beside the plumb line", middle + 5, 30],
    ["below the bob", middle, side - 8],
  ])("white: %s", (_, u, v) => {
    expect(card.at(u, v)).toBeGreaterThan(225);
  });

  test.each([
    ["the frame, left", frame / 2, middle],
    ["the frame, right", side - frame / 2, 15],
    ["the frame, below", 15, side - frame / 2],
    ["the plumb line", middle, 30],
    ["the bob", middle + 2, side - 22],
  ])("black: %s", (_, u, v) => {
    expect(card.at(u, v)).toBeLessThan(60);
  });

  test("beyond the sheet nothing is drawn, and nothing lies nearer", () => {
    expect(card.at(-margin - 3, middle)).toBe(BENEATH);
    expect(card.at(middle, side + margin + 3)).toBe(BENEATH);
    const covered = card.depth.filter(Number.isFinite).length;
    expect(covered / ((side + 2 * margin) * card.pxPerMm) ** 2).toBeCloseTo(1, 1);
  });

  test("at an edge a pixel is the mean of what it covers, neither black nor white", () => {
    const between = Array.from(
      { length: SIZE.width * SIZE.height },
      (_, at) => card.pixels[4 * at] ?? 0,
    ).filter((one) => one > 70 && one < 215 && one !== BENEATH);
    // About one on each of the edges of frame, line and bob for every pixel of their length.
    const edgesMm = 4 * side + 4 * (side - 2 * frame) + 2 * (side - 38) + 2 * 14 + 10;
    expect(between.length / (edgesMm * card.pxPerMm)).toBeGreaterThan(0.5);
    expect(between.length / (edgesMm * card.pxPerMm)).toBeLessThan(2.2);
  });

  test("what stands before it hides it", () => {
    const { scene, camera } = seenStraightOn();
    const pixels = new Uint8ClampedArray(4 * SIZE.width * SIZE.height).fill(BENEATH);
    const near = new Float32Array(SIZE.width * SIZE.height).fill(10);
    drawCard(pixels, near, scene, camera, 3, DAYLIGHT);
    expect(pixels.every((one) => one === BENEATH)).toBe(true);
  });

  test("dirt darkens it in patches; a bent corner is darker than the other three", () => {
    const inkless = (of: ReturnType<typeof drawn>) =>
      [12, 20, 28, 52, 60, 68].flatMap((u) => [8, 14, 20].map((v) => of.at(u, v)));
    const dirty = inkless(drawn({ cardDirt: 1 }));
    expect(Math.min(...dirty)).toBeLessThan(0.75 * Math.min(...inkless(card)));
    expect(Math.max(...dirty)).toBeGreaterThan(0.95 * Math.max(...inkless(card)));
    const bent = drawn({ crease: 1 }, 4);
    const corners = [
      [-4, -4],
      [side + 4, -4],
      [side + 4, side + 4],
      [-4, side + 4],
    ].map(([u, v]) => bent.at(u ?? 0, v ?? 0));
    const darker = corners.filter((one) => one < 0.85 * card.at(-4, -4));
    expect(darker).toHaveLength(1);
  });
});
