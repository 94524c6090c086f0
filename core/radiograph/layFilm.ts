import { groundFrame } from "../foot/groundFrame";
import { distance, dot, minus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import type { Film } from "./filmRecord";
import { readFilm, type FilmMeasures } from "./readFilm";

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
  const laid = film.view === "lateral" ? lateralFrame(film, read.value) : frontFrame(film, read.value);
  if (!laid)
    return fail("unmarked", "points", "Its marks are not all placed: it cannot be laid over another yet.");
  const { u, v, origin } = laid;
  const s = read.value.scale.mmPerPx;
  return ok([u[0] * s, -v[0] * s, u[1] * s, -v[1] * s, -dot(origin, u) * s, dot(origin, v) * s]);
}

/** Along the ground, up from it, and what stays in one place. */
interface Frame {
  u: Vector;
  v: Vector;
  origin: Vector;
}

function lateralFrame({ points }: Pick<Film, "points">, { lateral }: FilmMeasures): Frame | undefined {
  const at = (name: string) => points[name] as ImagePoint | undefined;
  const [a, b, heel, breakover, extensor] = ["groundA", "groundB", "heel", "breakover", "extensor"].map(at);
  if (!lateral || !a || !b || !heel || !breakover || !extensor) return undefined;
  const frame = groundFrame([a, b], heel, breakover, extensor, distance(heel, breakover));
  return typeof frame === "string" ? undefined : { ...frame, origin: [lateral.cor.x, lateral.cor.y] };
}

function frontFrame({ points }: Pick<Film, "points">, { front }: FilmMeasures): Frame | undefined {
  const at = (name: string) => points[name] as ImagePoint | undefined;
  const [a, b, hairline, medial, lateral] = [
    "groundMedial",
    "groundLateral",
    "hairlineMedial",
    "borderMedial",
    "borderLateral",
  ].map(at);
  if (!front || !a || !b || !hairline || !medial || !lateral) return undefined;
  const u = times(minus(b, a), 1 / distance(a, b));
  const square: Vector = [-u[1], u[0]];
  return {
    u,
    v: times(square, Math.sign(dot(minus(hairline, a), square))),
    origin: [(medial[0] + lateral[0]) / 2, (medial[1] + lateral[1]) / 2],
  };
}

/** The CSS matrix that draws a laid film into a frame shown at `pxPerMm`, its upper left corner at the frame's. */
export function filmCss([a, b, c, d, e, f]: FilmMatrix, pxPerMm: number): string {
  const { left, top } = FILM_SHOWN;
  return `matrix(${[a, b, c, d, e - left, f - top].map((one) => one * pxPerMm).join(",")})`;
}
