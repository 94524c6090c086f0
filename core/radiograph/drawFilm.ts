import type { Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import { filmProjection, type FilmShot } from "./filmShot";
import { type FilmScene } from "./standInFilm";

/** A drawn film: grey 0 to 65535, row by row, bone white. */
export interface DrawnFilm {
  width: number;
  height: number;
  values: Uint16Array;
}

/** How much each layer weakens the beam into grey, and the film's own grain, of 1. Drawing only. */
const DEPTH = 1.15;
const GRAIN = 0.012;
/** Rows of a pixel that are looked at, so that slanting edges are smooth. */
const ROWS = 3;
const WHITE = 65_535;

/**
 * Draws a stand-in radiograph: plainly artificial, flat bodies on an even ground, with a border and the words that say so.
 * The same seed gives the same grain.
 */
export function drawFilm(scene: FilmScene, shot: FilmShot, seed: number): DrawnFilm {
  const { width, height, project, pxPerMm } = filmProjection(scene, shot);
  const thickness = new Float32Array(width * height);
  for (const { outline, dense } of scene.bodies) fill(thickness, width, height, outline.map(project), dense);
  for (const { line, widthMm } of scene.metal)
    for (const [at, from] of line.entries()) {
      const to = line[at + 1];
      if (to) fill(thickness, width, height, stroke(project(from), project(to), (widthMm * pxPerMm) / 2), 4);
    }
  const random = seededRandom(seed);
  const values = new Uint16Array(width * height);
  for (let at = 0; at < values.length; at++) {
    const grey = 0.06 + 0.9 * (1 - Math.exp(-DEPTH * (thickness[at] ?? 0)));
    values[at] = Math.max(0, Math.min(WHITE, (grey + GRAIN * (random() - 0.5) * 2) * WHITE));
  }
  border(values, width, height);
  write(values, width, "STAND-IN, NO REAL FOOT", Math.max(1, Math.round(width / 420)), [12, 12]);
  return { width, height, values };
}

/** A line with a width as a closed outline. */
function stroke(from: Vector, to: Vector, half: number): Vector[] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const size = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / size) * half, (dx / size) * half];
  return [
    [from[0] + nx, from[1] + ny],
    [to[0] + nx, to[1] + ny],
    [to[0] - nx, to[1] - ny],
    [from[0] - nx, from[1] - ny],
  ];
}

/** Adds a closed outline, even-odd, with its edges shared out between pixels. */
function fill(
  into: Float32Array,
  width: number,
  height: number,
  outline: readonly Vector[],
  amount: number,
): void {
  const ys = outline.map(([, y]) => y);
  const first = Math.max(0, Math.floor(Math.min(...ys)));
  const last = Math.min(height - 1, Math.ceil(Math.max(...ys)));
  for (let row = first; row <= last; row++)
    for (let part = 0; part < ROWS; part++) {
      const y = row + (part + 0.5) / ROWS;
      const crossings: number[] = [];
      for (const [at, a] of outline.entries()) {
        const b = outline[(at + 1) % outline.length] as Vector;
        if (a[1] > y !== b[1] > y) crossings.push(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
      }
      crossings.sort((a, b) => a - b);
      for (let at = 0; at + 1 < crossings.length; at += 2) {
        const [from, to] = [Math.max(0, crossings[at] ?? 0), Math.min(width, crossings[at + 1] ?? 0)];
        for (let column = Math.floor(from); column < to; column++) {
          const covered = Math.min(to, column + 1) - Math.max(from, column);
          const at = row * width + column;
          into[at] = (into[at] ?? 0) + (amount * covered) / ROWS;
        }
      }
    }
}

/** Slanting stripes round the edge, as on a template: nobody takes it for a film. */
function border(values: Uint16Array, width: number, height: number): void {
  const wide = Math.max(4, Math.round(width / 160));
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const edge = Math.min(row, column, width - 1 - column, height - 1 - row);
      if (edge < wide)
        values[row * width + column] = ((row + column) / (2 * wide)) % 2 < 1 ? 0.75 * WHITE : 0.1 * WHITE;
    }
}

/** Letters five rows high, a row an octal digit of three columns. */
const LETTERS: Record<string, string> = {
  A: "25755",
  D: "65556",
  E: "74647",
  F: "74644",
  I: "72227",
  L: "44447",
  N: "75555",
  O: "75557",
  R: "65655",
  S: "34216",
  T: "72222",
  "-": "00700",
  ",": "00024",
  " ": "00000",
};

function write(
  values: Uint16Array,
  width: number,
  text: string,
  size: number,
  [left, top]: readonly [number, number],
): void {
  for (const [index, letter] of [...text].entries())
    for (const [row, digit] of [...(LETTERS[letter] ?? "00000")].entries())
      for (let column = 0; column < 3; column++)
        if ((Number(digit) >> (2 - column)) & 1)
          for (let y = 0; y < size; y++)
            for (let x = 0; x < size; x++)
              values[(top + row * size + y) * width + left + (index * 4 + column) * size + x] = 0.85 * WHITE;
}
