import { COINCIDENT_PART } from "../geometry/tolerance";
import { distance, dot, length, minus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { degrees } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** A mark of each side, picture pixels, x right, y down; either side may stand left. */
type Both = Record<"medial" | "lateral", ImagePoint>;

/** Landmarks of a radiograph from the front. */
export interface FrontPoints {
  ground: Both;
  /** Lowest point of the coffin bone's lower border. */
  border: Both;
  /** Edges of the joint space over the middle of each half. */
  spaceUpper: Both;
  spaceLower: Both;
  hairline: Both;
  wallFoot: Both;
  /** Sole's own surface under the border. */
  sole?: Partial<Both> | undefined;
}

type Each = Record<"medial" | "lateral", number>;

/** What a radiograph from the front measures. Lengths mm, angles deg. It measures; the vet reads it. */
export interface FrontReading {
  /** Lower border against the ground, positive = higher on the lateral side. */
  tilt: number;
  jointSpace: Each;
  /** Lateral less medial. */
  spaceDifference: number;
  borderHeight: Each;
  wallHeight: Each;
  wallDifference: number;
  soleDepth?: Partial<Each>;
}

/**
 * All measures of a radiograph from the front. Up and down are read off the ground line and the hairlines, medial and
 * lateral off their own marks, so that a turned or mirrored picture gives the same.
 *
 * Errors: `scale` without a scale, `coincident` for two marks in one place that span a line, `out-of-order` where the
 * sides are mixed up or the bone lies under the ground. Source: veterinary convention.
 */
export function readFrontFilm(points: FrontPoints, mmPerPx: number): Result<FrontReading> {
  if (!(mmPerPx > 0) || !Number.isFinite(mmPerPx))
    return fail(
      "scale",
      "mmPerPx",
      "Without a scale nothing is measured: mark the marker, or give the pixel spacing.",
    );
  const { ground, border, spaceUpper, spaceLower, hairline, wallFoot, sole } = points;
  const across = minus(ground.lateral, ground.medial);
  const size = length(across);
  if (!(distance(border.medial, border.lateral) > size * COINCIDENT_PART) || !(size > 0))
    return fail(
      "coincident",
      "points.borderMedial",
      "Two marks that span a line are the same point. Move one of them.",
    );
  const u = times(across, 1 / size);
  const square: Vector = [-u[1], u[0]];
  const rise =
    dot(minus(hairline.medial, ground.medial), square) + dot(minus(hairline.lateral, ground.lateral), square);
  if (Math.abs(rise) <= size * COINCIDENT_PART)
    return fail(
      "out-of-order",
      "points.hairlineMedial",
      "The hairlines lie on the ground line. Check the marks.",
    );
  const v = times(square, Math.sign(rise));
  const up = (point: Vector) => dot(minus(point, ground.medial), v);
  const along = (point: Vector) => dot(minus(point, ground.medial), u);
  for (const [name, both] of Object.entries({ border, spaceUpper, hairline, wallFoot }))
    if (along(both.lateral) <= along(both.medial))
      return fail(
        "out-of-order",
        `points.${name}Medial`,
        "Its medial mark lies on the lateral side of its lateral mark. Check which side is which.",
      );
  for (const side of ["medial", "lateral"] as const) {
    if (up(border[side]) <= 0)
      return fail(
        "out-of-order",
        `points.border${side === "medial" ? "Medial" : "Lateral"}`,
        "The bone lies under the ground. Check both marks.",
      );
    if (up(spaceUpper[side]) <= up(spaceLower[side]))
      return fail(
        "out-of-order",
        `points.spaceUpper${side === "medial" ? "Medial" : "Lateral"}`,
        "The upper edge of the joint space lies under its lower edge. Check both marks.",
      );
  }
  const each = (of: (side: "medial" | "lateral") => number): Each => ({
    medial: of("medial"),
    lateral: of("lateral"),
  });
  const jointSpace = each((side) => (up(spaceUpper[side]) - up(spaceLower[side])) * mmPerPx);
  const wallHeight = each((side) => (up(hairline[side]) - up(wallFoot[side])) * mmPerPx);
  const line = minus(border.lateral, border.medial);
  const depths = (["medial", "lateral"] as const).flatMap((side) => {
    const under = sole?.[side];
    return under ? [[side, (up(border[side]) - up(under)) * mmPerPx] as const] : [];
  });
  return ok({
    tilt: degrees(Math.atan2(dot(line, v), dot(line, u))),
    jointSpace,
    spaceDifference: jointSpace.lateral - jointSpace.medial,
    borderHeight: each((side) => up(border[side]) * mmPerPx),
    wallHeight,
    wallDifference: wallHeight.lateral - wallHeight.medial,
    ...(depths.length > 0 && { soleDepth: Object.fromEntries(depths) }),
  });
}
