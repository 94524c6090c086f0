import {
  homographyFrom,
  inverseHomography,
  jacobianAt,
  mapPoint,
  singularValues,
  type Homography,
} from "../geometry/homography";
import { distance, minus, type ImagePoint, type Vector } from "../geometry/vector";
import { degrees } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** A printed card in a picture: its true size in mm and its corners, top-left, top-right, bottom-right, bottom-left. */
export interface CardInPicture {
  width: number;
  height: number;
  corners: readonly [ImagePoint, ImagePoint, ImagePoint, ImagePoint];
}

/** A picture made true in one plane. Card frame: mm, origin at its top-left corner, x right, y down. */
export interface Rectified {
  /** Picture to mm. */
  homography: Homography;
  toMm: (point: Vector) => Vector;
  toPicture: (mm: Vector) => ImagePoint;
  /** Bound on the angle between the line of sight and the card's normal at its centre, deg, 0 = square. */
  slantDeg: number;
  /** Root mean square distance of the corners from where the map puts them, mm; 0 for exactly four. */
  residualMm: number;
}

/** Three corners whose triangle is smaller than this part of the card's span squared lie in line. */
const IN_LINE_PART = 0.01;

/**
 * Makes a picture true in the plane of the card. `slantDeg` = acos(smaller / larger singular value of the map's
 * Jacobian at the card's centre): it needs no focal length.
 *
 * Errors: `corners-in-line` where three corners nearly lie on one line, `corners-crossed` where they are not taken
 * round the card. Source: Hartley and Zisserman (2004).
 */
export function rectifyCard(card: CardInPicture): Result<Rectified> {
  const { corners, width, height } = card;
  const span = Math.max(...corners.flatMap((a) => corners.map((b) => distance(a, b))));
  const turns = corners.map((corner, index) => {
    const before = corners[(index + 3) % 4] as Vector;
    const after = corners[(index + 1) % 4] as Vector;
    const [ax, ay] = minus(corner, before);
    const [bx, by] = minus(after, corner);
    return ax * by - ay * bx;
  });
  const flat = turns.findIndex((turn) => Math.abs(turn) <= IN_LINE_PART * span * span);
  if (flat >= 0)
    return fail(
      "corners-in-line",
      `card.corners.${flat}`,
      "Three corners of the card lie nearly in line. Put each on its own corner, or take a squarer picture.",
    );
  const odd = turns.findIndex((turn, index) => turn * (turns[(index + 1) % 4] ?? 0) < 0);
  if (odd >= 0)
    return fail(
      "corners-crossed",
      `card.corners.${odd}`,
      "The corners cross over. Go round the card: top left, top right, bottom right, bottom left.",
    );
  const targets: readonly Vector[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const found = homographyFrom(corners.map((from, index) => ({ from, to: targets[index] as Vector })));
  if (!found.ok) return found;
  const back = inverseHomography(found.value);
  const [large, small] = singularValues(jacobianAt(back, [width / 2, height / 2]));
  const squares = corners.reduce(
    (sum, corner, index) => sum + distance(mapPoint(found.value, corner), targets[index] as Vector) ** 2,
    0,
  );
  return ok({
    homography: found.value,
    toMm: (point) => mapPoint(found.value, point),
    toPicture: (mm) => mapPoint(back, mm),
    slantDeg: degrees(Math.acos(Math.min(1, small / large))),
    residualMm: Math.sqrt(squares / 4),
  });
}

/** How far a picture can be trusted for its slant. */
export type SlantWord = "square" | "slanted" | "weak";

/** Under 10 degrees fine, 10 to 20 marked with its error, above 20 weak: another picture is asked for. */
export const slantWord = (slantDeg: number): SlantWord =>
  slantDeg <= 10 ? "square" : slantDeg <= 20 ? "slanted" : "weak";

/**
 * A picture scaled by two points a known distance apart: true only if the picture was taken square. Errors:
 * `coincident` where both points are one.
 */
export function rectifyTwoPoint(
  a: ImagePoint,
  b: ImagePoint,
  mm: number,
): Result<Pick<Rectified, "toMm" | "toPicture">> {
  const size = distance(a, b);
  if (!(size > 0) || !(mm > 0))
    return fail("coincident", "scale.b", "Both ends of the scale are one point. Move one of them.");
  const mmPerPx = mm / size;
  return ok({
    toMm: ([x, y]) => [x * mmPerPx, y * mmPerPx],
    toPicture: ([x, y]) => [x / mmPerPx, y / mmPerPx],
  });
}
