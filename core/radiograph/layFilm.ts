import { groundFrame } from "../foot/groundFrame";
import { distance, dot, minus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import type { Film } from "./filmRecord";
import { readFilm } from "./readFilm";

/** From a film's pixels to mm of the common frame: x to the toe (or lateral), y down, as CSS writes a matrix. */
export type FilmMatrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** What is shown of a foot about the centre of rotation, or the middle of the bone's border, mm. */
export const FILM_SHOWN = { left: -90, top: -95, width: 190, height: 155 };

/**
 * Lays a film where all films of its foot and view lie alike: at one scale, the ground level, toe (or lateral) to the
 * right, the centre of rotation, or the middle of the lower border, in one place. Errors: those of reading it, and
 * `unmarked` where its marks are not all placed.
 */
export function layFilm(film: Pick<Film, "view" | "scale" | "points" | "taken">): Result<FilmMatrix> {
  const read = readFilm(film);
  if (!read.ok) return read;
  const { points } = film;
  const at = (name: string) => points[name] as ImagePoint | undefined;
  const unmarked = fail(
    "unmarked",
    "points",
    "Its marks are not all placed: it cannot be laid over another yet.",
  );
  let [u, v, origin]: [Vector | undefined, Vector | undefined, Vector | undefined] = [
    undefined,
    undefined,
    undefined,
  ];
  if (film.view === "lateral") {
    const [a, b, heel, breakover, extensor] = ["groundA", "groundB", "heel", "breakover", "extensor"].map(at);
    if (!read.value.lateral || !a || !b || !heel || !breakover || !extensor) return unmarked;
    const frame = groundFrame([a, b], heel, breakover, extensor, distance(heel, breakover));
    if (typeof frame === "string") return unmarked;
    ({ u, v } = frame);
    origin = [read.value.lateral.cor.x, read.value.lateral.cor.y];
  } else {
    const [a, b, hairline, medial, lateral] = [
      "groundMedial",
      "groundLateral",
      "hairlineMedial",
      "borderMedial",
      "borderLateral",
    ].map(at);
    if (!read.value.front || !a || !b || !hairline || !medial || !lateral) return unmarked;
    u = times(minus(b, a), 1 / distance(a, b));
    const square: Vector = [-u[1], u[0]];
    v = times(square, Math.sign(dot(minus(hairline, a), square)));
    origin = [(medial[0] + lateral[0]) / 2, (medial[1] + lateral[1]) / 2];
  }
  const s = read.value.scale.mmPerPx;
  return ok([u[0] * s, -v[0] * s, u[1] * s, -v[1] * s, -dot(origin, u) * s, dot(origin, v) * s]);
}

/** The CSS matrix that draws a laid film into a frame shown at `pxPerMm`, its upper left corner at the frame's. */
export function filmCss([a, b, c, d, e, f]: FilmMatrix, pxPerMm: number): string {
  const { left, top } = FILM_SHOWN;
  return `matrix(${[a, b, c, d, e - left, f - top].map((one) => one * pxPerMm).join(",")})`;
}
