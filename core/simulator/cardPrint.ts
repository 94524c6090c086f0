import { CARD } from "../photo/card";
import { add3, cross3, dot3, minus3, times3, type Space } from "../geometry/space";
import { project, sight, type Camera } from "./camera";
import type { Conditions } from "./conditions";
import { hash, noise } from "./grain";
import type { Scene } from "./scene";

/** Looked up once: these run for every pixel. */
const { abs, min, max, ceil, floor } = Math;

const PAPER: Space = [244, 243, 238];
/** Dirt on the card: size of its patches, how much of it they cover at the most, how dark they are. */
const DIRT = { mm: 9, most: 0.5, dark: 0.6 };
/** A corner bent over: how far along its sides it begins, how far its print is pulled in, how much darker it is. */
const CREASE = { fromMm: 16, pullMm: 1.6, dark: 0.3 };

/** How far a place lies in the bent corner, 0 to 1: which corner, the seed says. */
function bentAt(u: number, v: number, seed: number): number {
  const corner = seed & 3;
  const x = corner & 1 ? CARD.sideMm - u : u;
  const y = corner & 2 ? CARD.sideMm - v : v;
  return min(1, max(0, (CREASE.fromMm - x - y) / CREASE.fromMm));
}

const INK: Space = [34, 36, 38];
/** The plumb mark, mm: how far from the sides it begins and ends, where its bob begins from below, half the bob's width. */
const MARK = { fromMm: 12, bobMm: 26, halfMm: 5 };
/** Places a side of a pixel at which the print is looked up near its edges. */
const FINE = 4;

/** True where the print is black, mm from the frame's top left. */
function isInk(u: number, v: number): boolean {
  const { sideMm: side, frameMm: frame } = CARD;
  if (u < 0 || v < 0 || u > side || v > side) return false;
  if (u < frame || v < frame || u > side - frame || v > side - frame) return true;
  const { xMm, yMm, radiusMm } = CARD.spot;
  if ((u - xMm) ** 2 + (v - yMm) ** 2 < radiusMm ** 2) return true;
  const middle = abs(u - side / 2);
  if (middle < 0.8 && v > MARK.fromMm && v < side - MARK.bobMm) return true;
  const below = side - MARK.fromMm - v;
  return v >= side - MARK.bobMm && below > 0 && middle < (MARK.halfMm * below) / (MARK.bobMm - MARK.fromMm);
}

/** What part of a pixel the sheet covers, and what part of it is ink. */
function printAround(u: number, v: number, pixelMm: number): [paper: number, ink: number] {
  const half = pixelMm / 2;
  if (!nearEdge(u, half) && !nearEdge(v, half) && !nearMark(u, v, half) && !nearSpot(u, v, half))
    return onSheet(u, v) ? [1, isInk(u, v) ? 1 : 0] : [0, 0];
  let [paper, ink] = [0, 0];
  for (let down = 0; down < FINE; down++)
    for (let across = 0; across < FINE; across++) {
      const x = u + ((across + 0.5) / FINE - 0.5) * pixelMm;
      const y = v + ((down + 0.5) / FINE - 0.5) * pixelMm;
      if (!onSheet(x, y)) continue;
      paper++;
      if (isInk(x, y)) ink++;
    }
  return [paper / FINE ** 2, ink / FINE ** 2];
}

const onSheet = (u: number, v: number): boolean =>
  min(u, v) >= -CARD.marginMm && max(u, v) <= CARD.sideMm + CARD.marginMm;

/** True where an edge of the sheet or the frame may lie within `half` of a place along one side. */
function nearEdge(place: number, half: number): boolean {
  const fromMiddle = abs(place - CARD.sideMm / 2);
  const edge = CARD.sideMm / 2;
  return (
    abs(fromMiddle - edge) <= half ||
    abs(fromMiddle - edge + CARD.frameMm) <= half ||
    abs(fromMiddle - edge - CARD.marginMm) <= half
  );
}

/** True where the plumb mark may lie within `half` of a place. */
const nearMark = (u: number, v: number, half: number): boolean =>
  abs(u - CARD.sideMm / 2) < MARK.halfMm + half &&
  v > MARK.fromMm - half &&
  v < CARD.sideMm - MARK.fromMm + half;

/** True where the edge of the spot may lie within `half` of a place. */
const nearSpot = (u: number, v: number, half: number): boolean =>
  max(abs(u - CARD.spot.xMm), abs(v - CARD.spot.yMm)) < CARD.spot.radiusMm + half;

/**
 * The printed card in its plane: a white sheet, a black frame whose outer edge is the known square, a plumb mark,
 * a spot right of it. */
export function drawCard(
  pixels: Uint8ClampedArray,
  depth: Float32Array,
  scene: Scene,
  camera: Camera,
  seed: number,
  { cardDirt, crease }: Pick<Conditions, "cardDirt" | "crease">,
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
  const [left, edge] = [floor(min(...sheet.map(([x]) => x))), ceil(max(...sheet.map(([x]) => x)))];
  const [top, bottom] = [floor(min(...sheet.map(([, y]) => y))), ceil(max(...sheet.map(([, y]) => y)))];
  const normal = cross3(right, down);
  const height = dot3(minus3(origin, camera.at), normal);
  for (let row = max(0, top); row <= min(camera.height - 1, bottom); row++)
    for (let column = max(0, left); column <= min(camera.width - 1, edge); column++) {
      const ray = sight(camera, column, row);
      const far = height / dot3(ray, normal);
      const pixel = row * camera.width + column;
      if (!(far > 0) || far >= (depth[pixel] ?? 0)) continue;
      const step = minus3(add3(camera.at, times3(ray, far)), origin);
      const [flatU, flatV] = [dot3(step, right), dot3(step, down)];
      const bent = crease > 0 ? bentAt(flatU, flatV, seed) : 0;
      // Bent over, the print of the corner is seen a little nearer to the middle, and in another light.
      const [u, v] = [
        flatU + crease * CREASE.pullMm * bent * (flatU < side / 2 ? -1 : 1),
        flatV + crease * CREASE.pullMm * bent * (flatV < side / 2 ? -1 : 1),
      ];
      // A camera takes the mean over its pixel: near an edge of the print that is neither black nor white.
      const pixelMm = far / camera.focalPx;
      const [paper, ink] = printAround(u, v, pixelMm);
      if (paper === 0) continue;
      if (paper > 0.5) depth[pixel] = far;
      const dirt = cardDirt > 0 ? noise(flatU / DIRT.mm, flatV / DIRT.mm, 1, seed + 3) : 0;
      const soiled = 1 - DIRT.dark * min(1, max(0, (dirt - (1 - DIRT.most * cardDirt)) * 8));
      const shade = (0.96 + 0.06 * hash(column, row, 11, seed)) * soiled * (1 - crease * CREASE.dark * bent);
      for (let channel = 0; channel < 3; channel++) {
        const beneath = pixels[4 * pixel + channel] ?? 0;
        const white = (PAPER[channel] ?? 0) * shade;
        const black = (INK[channel] ?? 0) * shade;
        pixels[4 * pixel + channel] = beneath * (1 - paper) + white * (paper - ink) + black * ink;
      }
    }
}
