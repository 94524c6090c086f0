import { add3, cross3, dot3, minus3, times3, unit3, type Space } from "../geometry/space";
import type { ImagePoint } from "../geometry/vector";
import { radians } from "../math/angle";

/** A plane to be looked at: a point on it, its directions right and down in a square picture, and towards the camera. */
export interface Plane {
  origin: Space;
  right: Space;
  down: Space;
  toward: Space;
}

/** How a simulated picture is taken. */
export interface Shot {
  /** Angle between the line of sight and the plane's normal, deg. */
  slantDeg: number;
  /** Which way the camera has moved off square: 0 to the right, 90 down, deg. */
  azimuthDeg: number;
  rollDeg: number;
  distanceMm: number;
  /** Focal length on 35 mm film: 26 is a phone without zoom. */
  focal35: number;
  width: number;
  height: number;
  /** How the lens bends the picture (see `Bend`); a straight one without it. */
  bend?: Bend;
}

/**
 * Brown's radial model: a point r half diagonals from the middle is moved out by `third` r^2 + `fifth` r^4 of its
 * distance; negative = barrel. Source: Brown 1971, Photogrammetric Engineering 37:855.
 */
export interface Bend {
  third: number;
  fifth: number;
}

/** A camera: a pinhole with a lens that may bend. */
export interface Camera {
  at: Space;
  right: Space;
  down: Space;
  forward: Space;
  focalPx: number;
  width: number;
  height: number;
  bend: Bend;
}

const STRAIGHT: Bend = { third: 0, fifth: 0 };

/** Diagonal of a frame of 35 mm film, mm: what 35 mm equivalent focal lengths refer to. Exact: 24 by 36. */
const FILM_DIAGONAL_MM = Math.hypot(24, 36);

/** Focal length in pixels of a picture taken with this 35 mm equivalent. */
export const focalPixels = (focal35: number, width: number, height: number): number =>
  (focal35 / FILM_DIAGONAL_MM) * Math.hypot(width, height);

/** A camera that looks at `target` on the plane. */
export function takeAim(plane: Plane, target: Space, shot: Shot): Camera {
  const [slant, azimuth, roll] = [radians(shot.slantDeg), radians(shot.azimuthDeg), radians(shot.rollDeg)];
  const sideways = add3(times3(plane.right, Math.cos(azimuth)), times3(plane.down, Math.sin(azimuth)));
  const back = add3(times3(plane.toward, Math.cos(slant)), times3(sideways, Math.sin(slant)));
  const forward = times3(back, -1);
  const level = unit3(minus3(plane.right, times3(forward, dot3(plane.right, forward))));
  const below = cross3(forward, level);
  return {
    at: add3(target, times3(back, shot.distanceMm)),
    right: add3(times3(level, Math.cos(roll)), times3(below, Math.sin(roll))),
    down: add3(times3(below, Math.cos(roll)), times3(level, -Math.sin(roll))),
    forward,
    focalPx: focalPixels(shot.focal35, shot.width, shot.height),
    width: shot.width,
    height: shot.height,
    bend: shot.bend ?? STRAIGHT,
  };
}

/** Where a point falls in the picture, px; the third number is its distance along the line of sight, mm. */
export function project(camera: Camera, point: Space): Space {
  const step = minus3(point, camera.at);
  const far = dot3(step, camera.forward);
  const across = (camera.focalPx * dot3(step, camera.right)) / far;
  const down = (camera.focalPx * dot3(step, camera.down)) / far;
  const out = bentBy(camera, across * across + down * down);
  return [camera.width / 2 + across * out, camera.height / 2 + down * out, far];
}

export const projected = (camera: Camera, point: Space): ImagePoint => {
  const [x, y] = project(camera, point);
  return [x, y];
};

/** How much further out the lens puts a point, squared distance from the middle in px2 of a straight picture. */
function bentBy({ bend: { third, fifth }, width, height }: Camera, squared: number): number {
  const r2 = (4 * squared) / (width * width + height * height);
  return 1 + r2 * (third + r2 * fifth);
}

/** The line of sight through a pixel, one long along `forward`. */
export function sight(camera: Camera, column: number, row: number): Space {
  let across = column - camera.width / 2;
  let down = row - camera.height / 2;
  const { third, fifth } = camera.bend;
  if (third !== 0 || fifth !== 0) {
    const [seenAcross, seenDown] = [across, down];
    for (let round = 0; round < 8; round++) {
      const out = bentBy(camera, across * across + down * down);
      across = seenAcross / out;
      down = seenDown / out;
    }
  }
  return add3(
    camera.forward,
    add3(times3(camera.right, across / camera.focalPx), times3(camera.down, down / camera.focalPx)),
  );
}
