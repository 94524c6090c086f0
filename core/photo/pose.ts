import { inverseHomography, type Homography } from "../geometry/homography";
import { cross3, dot3, length3, times3, type Space } from "../geometry/space";
import { minus, plus, times, type Vector } from "../geometry/vector";

/** Where the camera stood, in the card's own frame. */
export interface CameraPlace {
  /** Foot of the perpendicular from the camera onto the card's plane, mm. */
  over: Vector;
  /** Height of the camera above that plane, mm, > 0. */
  heightMm: number;
  /** Where the focal length came from. */
  focalFrom: "picture data" | "card" | "usual camera";
  focalPx: number;
}

/** A focal length in pixels of a picture, and true where it is only what such a camera usually has. */
export interface Focal {
  focalPx?: number | undefined;
  focalGuessed?: boolean | undefined;
}

/** How sure a focal length is, as a part, by where it came from. Assumption. */
export const FOCAL_SD_PART: Record<CameraPlace["focalFrom"], number> = {
  "picture data": 0.03,
  card: 0.15,
  "usual camera": 0.2,
};

/** Under this slant the card's vanishing points lie too far out to give a focal length. Assumption, from simulation. */
const LEAST_SLANT_FOR_FOCAL_DEG = 12;

/**
 * Focal length in pixels from the card alone: the two directions of a rectangle are at right angles and of one scale.
 * Undefined where the picture is too square to tell. Source: Zhang 2000, IEEE TPAMI 22:1330.
 */
export function focalFromCard(toMm: Homography, centre: Vector, slantDeg: number): number | undefined {
  if (slantDeg < LEAST_SLANT_FOR_FOCAL_DEG) return undefined;
  const [[a1, b1, c1], [a2, b2, c2]] = columnsOf(inverseHomography(toMm), centre);
  const [p, q] = [a1 * a2 + b1 * b2, a1 * a1 + b1 * b1 - a2 * a2 - b2 * b2];
  const [r, s] = [c1 * c2, c1 * c1 - c2 * c2];
  const inverseSquare = -(p * r + q * s) / (p * p + q * q);
  return inverseSquare > 0 ? 1 / Math.sqrt(inverseSquare) : undefined;
}

/**
 * The camera's place from the card, the focal length (px) and the picture's centre. With no focal length given it is
 * taken from the card where the slant allows; else there is no answer and marks off the plane keep their error.
 */
export function cameraPlace(
  toMm: Homography,
  picture: { width: number; height: number } & Focal,
  slantDeg: number,
): CameraPlace | undefined {
  const centre: Vector = [picture.width / 2, picture.height / 2];
  const focal = picture.focalPx ?? focalFromCard(toMm, centre, slantDeg);
  if (focal === undefined) return undefined;
  const [first, second, third] = columnsOf(inverseHomography(toMm), centre).map(
    ([a, b, c]) => [a / focal, b / focal, c] as Space,
  ) as [Space, Space, Space];
  const scale = (length3(first) + length3(second)) / 2;
  const r1 = times3(first, 1 / length3(first));
  const lean = dot3(r1, second);
  const flat: Space = [second[0] - lean * r1[0], second[1] - lean * r1[1], second[2] - lean * r1[2]];
  const r2 = times3(flat, 1 / length3(flat));
  const r3 = cross3(r1, r2);
  const t = times3(third, 1 / scale);
  // The map's sign is open: it turns r1, r2 and t together, so that these products do not feel it.
  return {
    over: [-dot3(r1, t), -dot3(r2, t)],
    heightMm: Math.abs(dot3(r3, t)),
    focalFrom:
      picture.focalPx === undefined ? "card" : picture.focalGuessed ? "usual camera" : "picture data",
    focalPx: focal,
  };
}

/**
 * A mark that lies `towardCameraMm` in front of the card's plane (negative = behind it), seen at `seen` mm in that
 * plane: where it truly is, looking straight onto the plane.
 */
export const offPlane = (camera: CameraPlace, seen: Vector, towardCameraMm: number): Vector =>
  plus(seen, times(minus(camera.over, seen), towardCameraMm / camera.heightMm));

/** The columns of the map from the card to the picture, the picture's centre moved to 0. */
export function columnsOf(h: Homography, [cx, cy]: Vector): [Space, Space, Space] {
  const column = (index: 0 | 1 | 2): Space => {
    const [a, b, c] = [h[index], h[index + 3] ?? 0, h[index + 6] ?? 0];
    return [a - cx * c, b - cy * c, c];
  };
  return [column(0), column(1), column(2)];
}
