import { CARD } from "../photo/card";
import { add3, cross3, dot3, length3, minus3, times3, type Space } from "../geometry/space";
import { project, type Camera } from "./camera";
import { footMesh, MATERIALS, type Material, type Triangle } from "./mesh";
import type { Scene } from "./scene";

/** Colour of each surface, red, green, blue; how strong its grain is. Drawing only. */
const LOOK: Record<Material, { colour: Space; grain: number }> = {
  wall: { colour: [122, 104, 84], grain: 0.16 },
  bearing: { colour: [150, 134, 110], grain: 0.2 },
  whiteLine: { colour: [205, 190, 140], grain: 0.15 },
  sole: { colour: [176, 166, 146], grain: 0.3 },
  frog: { colour: [104, 98, 92], grain: 0.24 },
  cleft: { colour: [52, 48, 44], grain: 0.3 },
  bar: { colour: [158, 146, 122], grain: 0.2 },
  hair: { colour: [96, 72, 52], grain: 0.34 },
  card: { colour: [244, 243, 238], grain: 0.03 },
};
const GROUND: Space = [132, 126, 116];
const LIGHT: Space = [0.35, -0.5, 0.79];
/** Dirt lies where smooth noise is above `from`, and takes `dark` of the light: of an ordinary foot, and of the dirtiest. */
const DIRT = { from: 0.62, dark: 0.45, mostFrom: 0.4, mostDark: 0.75 };

/** What makes a picture hard to read. */
export interface Conditions {
  /** 0 = an ordinary foot, 1 = the dirtiest. */
  dirt: number;
  /** 1 = daylight; a dark barn is about a third of it, and its picture is grainy. */
  light: number;
  /** Colour of the horn, 1 = ordinary, less is darker, more is paler. */
  horn: number;
}
const DAYLIGHT: Conditions = { dirt: 0, light: 1, horn: 1 };
/** How much grain a picture without any light would have, as a part of the brightest. */
const MOST_GRAIN = 0.22;

/** A picture of a scene: RGBA, row by row. The same seed gives the same picture. */
export function renderScene(
  scene: Scene,
  camera: Camera,
  seed: number,
  conditions: Conditions = DAYLIGHT,
): Uint8ClampedArray {
  const { width, height } = camera;
  const pixels = new Uint8ClampedArray(width * height * 4);
  const depth = new Float32Array(width * height).fill(Number.POSITIVE_INFINITY);
  backdrop(pixels, scene, camera, seed);
  for (const triangle of footMesh(scene.foot)) {
    const corners = triangle.corners.map(scene.toWorld) as unknown as Triangle["corners"];
    fill(pixels, depth, camera, corners, triangle.material, triangle.corners, seed, conditions);
  }
  drawCard(pixels, depth, scene, camera, seed);
  if (conditions.light < 1) darken(pixels, camera.width, conditions.light, seed);
  return pixels;
}

/** The same picture in less light: darker, and grainy, as a phone takes it. */
function darken(pixels: Uint8ClampedArray, width: number, light: number, seed: number): void {
  const grain = MOST_GRAIN * (1 - light) * 255;
  for (let at = 0; at < pixels.length; at += 4) {
    const pixel = at >> 2;
    const speck = (hash(pixel % width, (pixel / width) | 0, 13, seed) - 0.5) * grain;
    for (let channel = 0; channel < 3; channel++)
      pixels[at + channel] = (pixels[at + channel] ?? 0) * light + speck;
  }
}

const mix = (a: number, b: number, part: number): number => a + (b - a) * part;

/** Smooth noise of a place in space, 0 to 1. No function is made in here: it runs for every pixel. */
function noise(x: number, y: number, z: number, seed: number): number {
  const ix = Math.floor(x);
  const iy = Math.floor(y);
  const iz = Math.floor(z);
  const sx = smooth(x - ix);
  const sy = smooth(y - iy);
  const sz = smooth(z - iz);
  const low = mix(
    mix(hash(ix, iy, iz, seed), hash(ix + 1, iy, iz, seed), sx),
    mix(hash(ix, iy + 1, iz, seed), hash(ix + 1, iy + 1, iz, seed), sx),
    sy,
  );
  const high = mix(
    mix(hash(ix, iy, iz + 1, seed), hash(ix + 1, iy, iz + 1, seed), sx),
    mix(hash(ix, iy + 1, iz + 1, seed), hash(ix + 1, iy + 1, iz + 1, seed), sx),
    sy,
  );
  return mix(low, high, sz);
}

const smooth = (part: number): number => part * part * (3 - 2 * part);

function hash(x: number, y: number, z: number, seed: number): number {
  let mixed =
    Math.imul(x, 374761393) ^
    Math.imul(y, 668265263) ^
    Math.imul(z, 2147483647) ^
    Math.imul(seed, 1274126177);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 1274126177);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 4294967296;
}

function backdrop(pixels: Uint8ClampedArray, scene: Scene, camera: Camera, seed: number): void {
  const { width, height } = camera;
  const standing = scene.view !== "sole";
  const horizon = standing ? project(camera, scene.plane.origin)[1] : -1;
  for (let row = 0; row < height; row++) {
    const floor = standing && row > horizon;
    const shade = standing ? (floor ? 0.82 : 1.12) : 0.7;
    for (let column = 0; column < width; column++) {
      const grain =
        0.9 +
        0.2 * hash(column >> 1, row >> 1, 7, seed) +
        (floor ? 0.1 * hash(column >> 4, row >> 2, 3, seed) : 0);
      put(pixels, (row * width + column) * 4, GROUND, shade * grain);
    }
  }
}

function put(pixels: Uint8ClampedArray, at: number, [r, g, b]: Space, shade: number): void {
  pixels[at] = r * shade;
  pixels[at + 1] = g * shade;
  pixels[at + 2] = b * shade;
  pixels[at + 3] = 255;
}

/** Fills one triangle, nearer surfaces first; `own` are its corners in the foot's frame, for the grain. */
function fill(
  pixels: Uint8ClampedArray,
  depth: Float32Array,
  camera: Camera,
  corners: readonly [Space, Space, Space],
  material: Material,
  own: readonly [Space, Space, Space],
  seed: number,
  { dirt: dirtiness, horn }: Conditions,
): void {
  const [a, b, c] = corners.map((corner) => project(camera, corner)) as [Space, Space, Space];
  const area = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  if (Math.abs(area) < 1e-6) return;
  const normal = cross3(minus3(corners[1], corners[0]), minus3(corners[2], corners[0]));
  const facing = length3(normal) > 0 ? Math.abs(dot3(normal, LIGHT)) / length3(normal) : 1;
  const light = (0.55 + 0.55 * facing) * (material === "wall" || material === "bearing" ? horn : 1);
  const dirtFrom = DIRT.from + (DIRT.mostFrom - DIRT.from) * dirtiness;
  const dirtDark = DIRT.dark + (DIRT.mostDark - DIRT.dark) * dirtiness;
  const { colour, grain } = LOOK[material];
  const salt = seed + MATERIALS.indexOf(material) * 17;
  const fine = material === "wall" ? 0.9 : material === "hair" ? 1.6 : 0.45;
  const [left, right] = [
    Math.max(0, Math.ceil(Math.min(a[0], b[0], c[0]))),
    Math.min(camera.width - 1, Math.floor(Math.max(a[0], b[0], c[0]))),
  ];
  const [top, bottom] = [
    Math.max(0, Math.ceil(Math.min(a[1], b[1], c[1]))),
    Math.min(camera.height - 1, Math.floor(Math.max(a[1], b[1], c[1]))),
  ];
  for (let row = top; row <= bottom; row++)
    for (let column = left; column <= right; column++) {
      const wa = ((b[0] - column) * (c[1] - row) - (b[1] - row) * (c[0] - column)) / area;
      const wb = ((c[0] - column) * (a[1] - row) - (c[1] - row) * (a[0] - column)) / area;
      const wc = 1 - wa - wb;
      if (wa < -1e-6 || wb < -1e-6 || wc < -1e-6) continue;
      const [pa, pb, pc] = [wa / a[2], wb / b[2], wc / c[2]];
      const far = 1 / (pa + pb + pc);
      const at = row * camera.width + column;
      if (far >= (depth[at] ?? 0)) continue;
      depth[at] = far;
      const place = add3(add3(times3(own[0], pa * far), times3(own[1], pb * far)), times3(own[2], pc * far));
      const rings =
        material === "wall"
          ? 0.05 * Math.sin(place[2] * 0.8 + 2 * noise(place[0] / 9, place[1] / 9, 0, salt))
          : 0;
      const speck = noise(
        place[0] * fine,
        place[1] * fine,
        place[2] * fine * (material === "wall" ? 0.25 : 1),
        salt,
      );
      const dirt = noise(place[0] / 11, place[1] / 11, place[2] / 11, salt + 5);
      const soiled = dirt > dirtFrom ? 1 - dirtDark * Math.min(1, (dirt - dirtFrom) * 6) : 1;
      put(pixels, at * 4, colour, light * (1 + grain * (speck - 0.5) + rings) * soiled);
    }
}

const INK: Space = [34, 36, 38];
/** Places a side of a pixel at which the print is looked up near its edges. */
const FINE = 4;

/** True where the print is black, mm from the frame's top left. */
function isInk(u: number, v: number): boolean {
  const { sideMm: side, frameMm: frame } = CARD;
  if (u < 0 || v < 0 || u > side || v > side) return false;
  if (u < frame || v < frame || u > side - frame || v > side - frame) return true;
  const middle = Math.abs(u - side / 2);
  if (middle < 0.8 && v > 12 && v < side - 26) return true;
  return v >= side - 26 && v < side - 12 && middle < (5 * (side - 12 - v)) / 14;
}

/** What part of a pixel the sheet covers, and what part of it is ink. */
function printAround(u: number, v: number, pixelMm: number): [paper: number, ink: number] {
  const { sideMm: side, marginMm: margin } = CARD;
  let [paper, ink] = [0, 0];
  for (let down = 0; down < FINE; down++)
    for (let across = 0; across < FINE; across++) {
      const [x, y] = [u + ((across + 0.5) / FINE - 0.5) * pixelMm, v + ((down + 0.5) / FINE - 0.5) * pixelMm];
      if (x < -margin || y < -margin || x > side + margin || y > side + margin) continue;
      paper++;
      if (isInk(x, y)) ink++;
    }
  return [paper / FINE ** 2, ink / FINE ** 2];
}

/** The printed card in its plane: a white sheet, a black frame whose outer edge is the known square, a plumb mark. */
function drawCard(
  pixels: Uint8ClampedArray,
  depth: Float32Array,
  scene: Scene,
  camera: Camera,
  seed: number,
): void {
  const { right, down } = scene.plane;
  const [origin] = scene.card;
  const at = (u: number, v: number): Space => add3(origin, add3(times3(right, u), times3(down, v)));
  const { sideMm: side, marginMm: margin } = CARD;
  const sheet = [
    at(-margin, -margin),
    at(side + margin, -margin),
    at(side + margin, side + margin),
    at(-margin, side + margin),
  ].map((corner) => project(camera, corner));
  const [left, edge] = [
    Math.floor(Math.min(...sheet.map(([x]) => x))),
    Math.ceil(Math.max(...sheet.map(([x]) => x))),
  ];
  const [top, bottom] = [
    Math.floor(Math.min(...sheet.map(([, y]) => y))),
    Math.ceil(Math.max(...sheet.map(([, y]) => y))),
  ];
  const normal = cross3(right, down);
  const height = dot3(minus3(origin, camera.at), normal);
  for (let row = Math.max(0, top); row <= Math.min(camera.height - 1, bottom); row++)
    for (let column = Math.max(0, left); column <= Math.min(camera.width - 1, edge); column++) {
      const ray = add3(
        camera.forward,
        add3(
          times3(camera.right, (column - camera.width / 2) / camera.focalPx),
          times3(camera.down, (row - camera.height / 2) / camera.focalPx),
        ),
      );
      const far = height / dot3(ray, normal);
      const pixel = row * camera.width + column;
      if (!(far > 0) || far >= (depth[pixel] ?? 0)) continue;
      const step = minus3(add3(camera.at, times3(ray, far)), origin);
      const [u, v] = [dot3(step, right), dot3(step, down)];
      // A camera takes the mean over its pixel: near an edge of the print that is neither black nor white.
      const pixelMm = far / camera.focalPx;
      const [paper, ink] = printAround(u, v, pixelMm);
      if (paper === 0) continue;
      if (paper > 0.5) depth[pixel] = far;
      const shade = 0.96 + 0.06 * hash(column, row, 11, seed);
      for (let channel = 0; channel < 3; channel++) {
        const beneath = pixels[4 * pixel + channel] ?? 0;
        const white = (LOOK.card.colour[channel] ?? 0) * shade;
        const black = (INK[channel] ?? 0) * shade;
        pixels[4 * pixel + channel] = beneath * (1 - paper) + white * (paper - ink) + black * ink;
      }
    }
}
