import { distance, type ImagePoint } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import type { Film } from "./filmRecord";
import { FILM_MARKS, JOINT, MARKER_ENDS, TAKEN, TAKEN_QUESTIONS } from "./filmMarks";
import { readFrontFilm, type FrontReading } from "./frontFilm";
import { readLateralFilm, type FilmReading } from "./lateralFilm";

type Points = Readonly<Partial<Record<string, ImagePoint>>>;

/** A film's scale: mm of the foot to a pixel, and how much the beam enlarged it where that is known. */
export interface FilmScaleRead {
  mmPerPx: number;
  /** 1.06 = the foot shows 6 % larger than it is on the detector; undefined where a marker stands in for it. */
  magnification?: number;
  says: string;
}

/**
 * The scale that a film holds. A marker beside the foot is enlarged with it, so its length is the foot's own; a pixel
 * spacing is the detector's and is divided by the magnification.
 *
 * Errors: `scale` for a film without one, `marker` for a marker of no length.
 */
export function filmScale({ scale, points }: Pick<Film, "scale" | "points">): Result<FilmScaleRead> {
  if (!scale)
    return fail("scale", "scale", "No scale yet: mark both ends of the marker, or give the pixel spacing.");
  if (scale.kind === "marker") {
    const [a, b] = MARKER_ENDS.map((end) => points[end]);
    if (!a || !b) return fail("scale", "scale", "No scale yet: mark both ends of the marker.");
    const px = distance(a, b);
    if (!(px >= 1))
      return fail(
        "marker",
        "scale",
        "The marker has no length: both its ends are the same point. Move one of them.",
      );
    return ok({
      mmPerPx: scale.mm / px,
      says: `By a marker of ${scale.mm} mm beside the foot: its enlargement is in it.`,
    });
  }
  const { mmPerPx, magnification } = scale;
  return ok({
    mmPerPx: mmPerPx / magnification,
    magnification,
    says:
      magnification === 1
        ? "By the detector’s pixels; how much the beam enlarges is not known, so lengths may read some 3 to 10 % long. Angles are not touched."
        : `By the detector’s pixels, the foot enlarged ${Math.round((magnification - 1) * 1000) / 10} % by the beam.`,
  });
}

/** A film's measures; one part by its view. */
export interface FilmMeasures {
  scale: FilmScaleRead;
  lateral?: FilmReading;
  front?: FrontReading;
  /** Landmarks that are still to be placed before anything is measured. */
  missing: string[];
  /** What of how it was taken marks the reading. */
  marked: string[];
}

const pair = (points: Points, name: string) => ({
  medial: points[`${name}Medial`] as ImagePoint,
  lateral: points[`${name}Lateral`] as ImagePoint,
});

/** The joint points that are placed, in order. */
export const jointPoints = (points: Points): ImagePoint[] =>
  Object.keys(points)
    .filter((name) => name.startsWith(JOINT))
    .sort((a, b) => Number(a.slice(JOINT.length)) - Number(b.slice(JOINT.length)))
    .flatMap((name) => {
      const at = points[name];
      return at ? [at] : [];
    });

/**
 * Reads a film from its record. With landmarks still missing it says which and measures nothing.
 * Errors: those of the scale and of its view.
 */
export function readFilm(
  { view, scale, points, taken }: Pick<Film, "view" | "scale" | "points" | "taken">,
  footLengthMm?: number,
): Result<FilmMeasures> {
  const scaled = filmScale({ scale, points });
  if (!scaled.ok) return scaled;
  const missing = FILM_MARKS[view].flatMap(({ name, optional }) => (optional || points[name] ? [] : [name]));
  const marked = TAKEN_QUESTIONS.filter((question) => taken[question] === "no").map(
    (question) => TAKEN[question].otherwise,
  );
  const base = { scale: scaled.value, missing, marked };
  if (missing.length > 0) return ok(base);
  const { mmPerPx } = scaled.value;
  if (view === "front") {
    const front = readFrontFilm(
      {
        ground: pair(points, "ground"),
        border: pair(points, "border"),
        spaceUpper: pair(points, "spaceUpper"),
        spaceLower: pair(points, "spaceLower"),
        hairline: pair(points, "hairline"),
        wallFoot: pair(points, "wallFoot"),
        sole: pair(points, "sole"),
      },
      mmPerPx,
    );
    return front.ok ? ok({ ...base, front: front.value }) : front;
  }
  const at = points as Record<string, ImagePoint>;
  const lateral = readLateralFilm(
    {
      groundA: at["groundA"] as ImagePoint,
      groundB: at["groundB"] as ImagePoint,
      tip: at["tip"] as ImagePoint,
      wing: at["wing"] as ImagePoint,
      soleTip: at["soleTip"],
      soleWing: at["soleWing"],
      faceHigh: at["faceHigh"] as ImagePoint,
      wallHigh: at["wallHigh"] as ImagePoint,
      wallLow: at["wallLow"] as ImagePoint,
      extensor: at["extensor"] as ImagePoint,
      hairline: at["hairline"] as ImagePoint,
      breakover: at["breakover"] as ImagePoint,
      heel: at["heel"] as ImagePoint,
      joint: jointPoints(points),
      pasternFaceLow: at["pasternFaceLow"],
      pasternFaceHigh: at["pasternFaceHigh"],
    },
    mmPerPx,
    footLengthMm,
  );
  return lateral.ok ? ok({ ...base, lateral: lateral.value }) : lateral;
}
