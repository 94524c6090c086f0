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
}

/** A pinhole camera. */
export interface Camera {
  at: Space;
  right: Space;
  down: Space;
  forward: Space;
  focalPx: number;
  width: number;
  height: number;
}

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
  };
}

/** Where a point falls in the picture, px; the third number is its distance along the line of sight, mm. */
export function project(camera: Camera, point: Space): Space {
  const step = minus3(point, camera.at);
  const far = dot3(step, camera.forward);
  return [
    camera.width / 2 + (camera.focalPx * dot3(step, camera.right)) / far,
    camera.height / 2 + (camera.focalPx * dot3(step, camera.down)) / far,
    far,
  ];
}

export const projected = (camera: Camera, point: Space): ImagePoint => {
  const [x, y] = project(camera, point);
  return [x, y];
};
