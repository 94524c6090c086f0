import { groundFrame } from "../foot/groundFrame";
import { distance, dot, minus, type ImagePoint, type Vector } from "../geometry/vector";
import type { Film } from "./filmRecord";
import { readFilm } from "./readFilm";

/** Where things lie along the ground from the centre of rotation, mm, + = towards the toe. */
export interface FilmPlaces {
  tip: number;
  /** Where the line of the wall comes down to the foot's own bearing plane. */
  toe: number;
  frogTack?: number;
  wideTack?: number;
  /** Sole under the tip, and the palmar angle, as the film reads them. */
  soleMm?: number | undefined;
  palmarAngleDeg: number;
}

/**
 * The places of a lateral film along the ground. `shoeMm` is the thickness under the foot, 0 for a bare one: the wall's
 * line is followed down to there. Undefined where the film measures nothing yet.
 */
export function filmPlaces(
  film: Pick<Film, "view" | "scale" | "points" | "taken">,
  shoeMm: number,
): FilmPlaces | undefined {
  const read = readFilm(film);
  if (!read.ok || !read.value.lateral) return undefined;
  const { points } = film;
  const at = (name: string) => points[name] as ImagePoint | undefined;
  const [a, b, heel, breakover, extensor, tip, high, low] = [
    "groundA",
    "groundB",
    "heel",
    "breakover",
    "extensor",
    "tip",
    "wallHigh",
    "wallLow",
  ].map(at);
  if (!a || !b || !heel || !breakover || !extensor || !tip || !high || !low) return undefined;
  const frame = groundFrame([a, b], heel, breakover, extensor, distance(heel, breakover));
  if (typeof frame === "string") return undefined;
  const { mmPerPx } = read.value.scale;
  const { cor } = read.value.lateral;
  const along = (point: Vector) => dot(minus(point, [cor.x, cor.y]), frame.u) * mmPerPx;
  const up = (point: Vector) => dot(minus(point, a), frame.v) * mmPerPx;
  const rise = up(high) - up(low);
  if (rise <= 0) return undefined;
  const toe = along(low) + ((shoeMm - up(low)) / rise) * (along(high) - along(low));
  const [frogTack, wideTack] = [at("frogTack"), at("wideTack")];
  return {
    tip: along(tip),
    toe,
    soleMm: read.value.lateral.soleDepth?.tip,
    palmarAngleDeg: read.value.lateral.palmarAngle,
    ...(frogTack && { frogTack: along(frogTack) }),
    ...(wideTack && { wideTack: along(wideTack) }),
  };
}
