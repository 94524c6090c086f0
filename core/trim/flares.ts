import { DRESS_ASKS_VET, FLARE_HORN_KEPT_MM } from "../constants/trim";
import { lengthSd, type FootFacts } from "../foot/findings/facts";
import { hornOf } from "../foot/horn";
import { beyondNoise } from "../foot/level";
import type { Side } from "../foot/limb";
import { WALL_PLACE_NAMES, type WallPlace } from "../foot/survey/walls";
import type { Wording } from "../foot/wording";
import { interpolate, offsetPolyline } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { FLARE_PLACES, type FlarePlace, type Flares } from "./trimRecord";
import { AGAINST_EVEN } from "./toeOutside";

/** What may be dressed at one place besides the toe, mm in the ground plane, and why no more. */
export interface FlareLimit {
  place: FlarePlace;
  /** Horn outside the foot's own shape, as measured; undefined where it was not. */
  outside: number | undefined;
  most: number;
  by: "shape" | "horn" | "broken" | "noise" | "unmeasured" | "vet";
}

/**
 * What may be dressed at both toe quarters and both quarters: no more than stands outside the foot's own shape there
 * beyond its noise, and no more than leaves 5 mm of horn. Nothing where the wall is broken, cracked or separated
 * (`broken`); never to match a broken-out quarter, since each place is held against the foot's own shape alone.
 */
export function flareLimits(facts: FootFacts, broken: readonly WallPlace[], vetPlan = false): FlareLimit[] {
  const uneven = facts.ratios.find(({ name }) => name === "evenness")?.level ?? "steady";
  return FLARE_PLACES.map((place): FlareLimit => {
    const outside = facts.outline?.hornOutside[place];
    const none = (by: FlareLimit["by"]): FlareLimit => ({ place, outside, most: 0, by });
    if (broken.includes(place)) return none("broken");
    const horn = hornOf(facts.walls[place]);
    if (outside === undefined || horn === undefined) return none("unmeasured");
    if ((facts.walls[place]?.whiteLine ?? 0) > DRESS_ASKS_VET.whiteLineMm.value && !vetPlan)
      return none("vet");
    if (uneven === "steady" || beyondNoise(outside, AGAINST_EVEN * lengthSd(facts)) <= 0)
      return none("noise");
    const spare = Math.max(0, horn - FLARE_HORN_KEPT_MM.value);
    return spare < outside
      ? { place, outside, most: spare, by: "horn" }
      : { place, outside, most: outside, by: "shape" };
  });
}

/** What a plan dresses there: all that may be, down to half a millimetre; places without anything are left out. */
export const plannedFlares = (limits: readonly FlareLimit[]): Flares =>
  Object.fromEntries(
    limits.flatMap(({ place, most }) => {
      const mm = Math.floor(2 * most + 1e-6) / 2;
      return mm > 0 ? [[place, mm]] : [];
    }),
  );

/** Where the places lie along a side, 0 heel to 1 toe. */
const ALONG = { heel: 0, quarter: 0.42, toeQuarter: 0.8, toe: 1 };

/**
 * The outline, open from the medial heel round the toe to the lateral heel, after dressing: each place goes in by its
 * own, tapered to its neighbours. `toeMm` in the ground plane. mm.
 */
export function dressedOutline(outline: readonly SolarPoint[], flares: Flares, toeMm = 0): SolarPoint[] {
  const knots = (side: "Medial" | "Lateral"): [number, number][] => [
    [ALONG.heel, 0],
    [ALONG.quarter, flares[`quarter${side}`] ?? 0],
    [ALONG.toeQuarter, flares[`toeQuarter${side}`] ?? 0],
    [ALONG.toe, toeMm],
  ];
  const [medial, lateral] = [knots("Medial"), knots("Lateral")];
  return offsetPolyline(
    outline,
    (part) => -interpolate(part <= 0.5 ? medial : lateral, 1 - Math.abs(2 * part - 1)),
  ) as SolarPoint[];
}

/** Half widths and width of an outline about the midline, mm. */
export function widthsOf(outline: readonly SolarPoint[]): Record<Side, number> & { width: number } {
  const xs = outline.map(([x]) => x);
  const [medial, lateral] = [-Math.min(...xs), Math.max(...xs)];
  return { medial, lateral, width: medial + lateral };
}

/** Why no more is dressed at a place. */
export function flareLimitInWords({ place, outside, most, by }: FlareLimit, wording: Wording): string {
  const at = wording.inOwnWords(WALL_PLACE_NAMES[place].toLowerCase());
  switch (by) {
    case "shape":
      return `${wording.cut(most)} stand outside the foot’s own shape at the ${at}.`;
    case "horn":
      return `${wording.cut(outside ?? 0)} stand outside at the ${at}; ${wording.cut(most)} may go, so that ${wording.cut(FLARE_HORN_KEPT_MM.value)} of horn stay.`;
    case "broken":
      return `The wall is cracked or broken at the ${at}: nothing is dressed there, and nothing elsewhere to match it.`;
    case "noise":
      return `Nothing is sure to stand outside at the ${at}.`;
    case "vet":
      return `The white line at the ${at} is so wide that the vet comes first.`;
    case "unmeasured":
      return `The wall at the ${at} was not measured.`;
  }
}

/** "3 mm off the outside quarter, 1.5 mm off the outside toe quarter"; empty for none. */
export const flaresInWords = (flares: Flares, wording: Wording): string =>
  FLARE_PLACES.flatMap((place) => {
    const mm = flares[place];
    return mm ? [wording.inOwnWords(`${wording.cut(mm)} off the ${FLARE_NAMES[place]}`)] : [];
  }).join(", ");

/** With the words medial and lateral in them. */
export const FLARE_NAMES: Record<FlarePlace, string> = {
  toeQuarterMedial: "medial toe quarter",
  toeQuarterLateral: "lateral toe quarter",
  quarterMedial: "medial quarter",
  quarterLateral: "lateral quarter",
};
