import { fail, ok, type Result } from "../result";
import type { Place } from "./travel";

type Home = [latitude: number, longitude: number];

/** A place as it is typed and copied from maps: `54.33, -1.80`; empty means none. */
export function readPlace(text: string): Result<Home | undefined> {
  const trimmed = text.trim();
  if (trimmed === "") return ok(undefined);
  const parts = trimmed
    .replace(/°/g, "")
    .split(/\s*[,;]\s*|\s+/)
    .filter((part) => part !== "");
  const [latitude = Number.NaN, longitude = Number.NaN] = parts.map(Number);
  if (parts.length !== 2 || !Number.isFinite(latitude) || !Number.isFinite(longitude))
    return fail(
      "not-a-place",
      "",
      `“${trimmed}” is not a place: type latitude, longitude, such as 54.33, -1.80.`,
      text,
    );
  if (Math.abs(latitude) > 90) return fail("latitude", "", "A latitude lies between -90 and 90.", latitude);
  if (Math.abs(longitude) > 180)
    return fail("longitude", "", "A longitude lies between -180 and 180.", longitude);
  return ok([latitude, longitude]);
}

export const placeInWords = (place: Place | undefined): string => (place ? `${place[0]}, ${place[1]}` : "");

/** Hours of a day as they are typed: `9`, `7.5`, `8:30`; in minutes. */
export function readHours(text: string): Result<number> {
  const trimmed = text.trim().replace(",", ".");
  const clock = /^(\d{1,2}):([0-5]\d)$/.exec(trimmed);
  const minutes = clock ? Number(clock[1]) * 60 + Number(clock[2]) : Math.round(Number(trimmed) * 60);
  if (trimmed === "" || !Number.isFinite(minutes))
    return fail("not-hours", "", `“${text}” is not hours: type 9, 7.5 or 8:30.`, text);
  if (minutes < 0 || minutes > 960)
    return fail("range", "", "A day has between 0 and 16 hours of work.", minutes);
  return ok(minutes);
}

/** Minutes as hours: `9`, `8:30`. */
export const hoursInWords = (minutes: number): string =>
  minutes % 60 === 0
    ? String(minutes / 60)
    : `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
