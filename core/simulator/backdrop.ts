import type { Space } from "../geometry/space";
import { seededRandom } from "../math/random";
import { project, type Camera } from "./camera";
import { hash } from "./grain";
import { put } from "./paint";
import type { Scene } from "./scene";

/** Looked up once: these run for every pixel. */
const { abs } = Math;

const GROUND: Space = [132, 126, 116];
/** How dark the gaps between boards are, and a window's frame that is no card's. */
const GAP = 0.7;

/** How much darker a place is for the boards and the frame behind: gaps in one direction, a square ring somewhere. */
function boardsOf(seed: number, { width }: Camera): (column: number, row: number) => number {
  const random = seededRandom(seed ^ 0xb0a2d);
  const turn = Math.PI * random();
  const [across, down] = [Math.cos(turn), Math.sin(turn)];
  const apart = width * (0.06 + 0.1 * random());
  const thick = Math.max(2, width / 240);
  const [left, top] = [width * (0.05 + 0.75 * random()), width * (0.03 + 0.3 * random())];
  const side = width * (0.08 + 0.1 * random());
  const ring = side * 0.07;
  return (column, row) => {
    const place = abs(across * column + down * row) % apart;
    if (place < thick) return GAP;
    const [x, y] = [column - left, row - top];
    const inside = x >= 0 && y >= 0 && x <= side && y <= side;
    if (inside && (x < ring || y < ring || x > side - ring || y > side - ring)) return GAP;
    return 0;
  };
}

/** Wall and floor behind a standing foot, floor under a lifted one; boards and a dark square where it is cluttered. */
export function backdrop(
  pixels: Uint8ClampedArray,
  scene: Scene,
  camera: Camera,
  seed: number,
  clutter: number,
): void {
  const boards = clutter > 0 ? boardsOf(seed, camera) : undefined;
  const { width, height } = camera;
  const standing = scene.view !== "sole";
  const horizon = standing ? project(camera, scene.plane.origin)[1] : -1;
  for (let row = 0; row < height; row++) {
    const floor = standing && row > horizon;
    const shade = standing ? (floor ? 0.82 : 1.12) : 0.7;
    let grain = 0;
    for (let column = 0; column < width; column++) {
      // Each grain is two pixels wide.
      if ((column & 1) === 0)
        grain =
          0.9 +
          0.2 * hash(column >> 1, row >> 1, 7, seed) +
          (floor ? 0.1 * hash(column >> 4, row >> 2, 3, seed) : 0);
      const line = boards ? 1 - clutter * boards(column, row) : 1;
      put(pixels, (row * width + column) * 4, GROUND, shade * grain * line);
    }
  }
}
