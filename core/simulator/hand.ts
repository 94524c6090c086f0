import { distance, minus, plus, times, type Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import type { Space } from "../geometry/space";
import { projected, type Camera } from "./camera";
import { hash } from "./grain";
import { put } from "./paint";
import type { Scene } from "./scene";

/** Fingers: how many, how thick and how long, mm, and how far their tips reach over the edge that they hold. */
const FINGERS = { count: 3, thickMm: 17, longMm: 90, overMm: 12 };
const SKIN: readonly Space[] = [
  [206, 160, 128],
  [150, 102, 74],
  [92, 62, 46],
  [70, 84, 96],
];
/** Marks at the edge of the foot where a hand may hold it, by view. */
const HELD = {
  sole: ["toe", "toeQuarterMedial", "toeQuarterLateral", "heelMedial", "heelLateral"],
  side: ["pasternHigh", "heel"],
  rear: ["limbHigh", "hairlineMedial"],
} as const;

/** The fingers of a hand that holds the foot, bare or in a glove, drawn over it. */
export function drawHand(pixels: Uint8ClampedArray, scene: Scene, camera: Camera, seed: number): void {
  const random = seededRandom(seed ^ 0x4a4d);
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const at = (point: Space | undefined): Vector => projected(camera, point ?? scene.target);
  const corners = scene.card.map(at);
  const pxPerMm = distance(corners[0] as Vector, corners[1] as Vector) / 80;
  const held = at(scene.marks[oneOf<string>(HELD[scene.view])]);
  const marks = Object.values(scene.marks).map(at);
  const middle = times(
    marks.reduce((sum, one) => plus(sum, one), [0, 0]),
    1 / marks.length,
  );
  const out = times(minus(held, middle), 1 / (distance(held, middle) || 1));
  const across: Vector = [-out[1], out[0]];
  const skin = oneOf(SKIN);
  for (let finger = 0; finger < FINGERS.count; finger++) {
    const beside = (finger - (FINGERS.count - 1) / 2) * FINGERS.thickMm * 1.02;
    const over = FINGERS.overMm * random();
    const tip = plus(held, plus(times(across, beside * pxPerMm), times(out, -over * pxPerMm)));
    const root = plus(tip, times(out, FINGERS.longMm * pxPerMm));
    drawFinger(pixels, camera, tip, root, (FINGERS.thickMm / 2) * pxPerMm, skin, seed);
  }
}

function drawFinger(
  pixels: Uint8ClampedArray,
  { width, height }: Camera,
  tip: Vector,
  root: Vector,
  radius: number,
  skin: Space,
  seed: number,
): void {
  const along = minus(root, tip);
  const squared = along[0] ** 2 + along[1] ** 2;
  const from = (axis: 0 | 1) => Math.max(0, Math.floor(Math.min(tip[axis], root[axis]) - radius));
  const to = (axis: 0 | 1, most: number) =>
    Math.min(most - 1, Math.ceil(Math.max(tip[axis], root[axis]) + radius));
  for (let row = from(1); row <= to(1, height); row++)
    for (let column = from(0); column <= to(0, width); column++) {
      const part = Math.min(
        1,
        Math.max(0, ((column - tip[0]) * along[0] + (row - tip[1]) * along[1]) / squared),
      );
      const off = Math.hypot(column - tip[0] - part * along[0], row - tip[1] - part * along[1]) / radius;
      if (off > 1) continue;
      put(
        pixels,
        4 * (row * width + column),
        skin,
        0.55 + 0.4 * Math.sqrt(1 - off * off) + 0.08 * hash(column, row, 5, seed),
      );
    }
}
