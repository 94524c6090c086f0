import { radians } from "../math/angle";

/** A place on the earth: latitude and longitude, deg. */
export type Place = readonly [latitude: number, longitude: number];

/** Mean radius of the earth, km. Source: International Union of Geodesy and Geophysics, 1980. */
export const EARTH_RADIUS_KM = 6371.0088;

/** Roads are this much longer than the great circle. Source: assumption, because no route service is asked. */
export const USUAL_DETOUR = 1.3;

/** Great-circle distance, km (haversine: exact on the sphere, steady for near places). */
export function greatCircleKm([lat1, lon1]: Place, [lat2, lon2]: Place): number {
  const [a1, a2] = [radians(lat1), radians(lat2)];
  const half =
    Math.sin((a2 - a1) / 2) ** 2 + Math.cos(a1) * Math.cos(a2) * Math.sin(radians(lon2 - lon1) / 2) ** 2;
  return 2 * EARTH_RADIUS_KM * Math.asin(Math.min(1, Math.sqrt(half)));
}

/** Minutes on the road between two places: an estimate, replaceable by a route service behind this one function. */
export const driveMinutes = (
  from: Place,
  to: Place,
  speedKmh: number,
  detour: number = USUAL_DETOUR,
): number => (greatCircleKm(from, to) * detour * 60) / speedKmh;
