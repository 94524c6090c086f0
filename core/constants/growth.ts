import type { Entry } from "./entry";
import type { Estimate } from "../math/statistics";

/** Horn at the toe, mm a day, before any cycle of this foot is known. */
export const TOE_GROWTH_PRIOR: Record<"shod" | "barefoot", Entry<Estimate>> = {
  shod: {
    value: { mean: 0.28, sd: 0.05 },
    unit: "mm per day",
    source: "trade practice: about 8 mm a month",
    validFor: "shod adult horses",
    sure: "common practice",
  },
  barefoot: {
    value: { mean: 0.2, sd: 0.07 },
    unit: "mm per day",
    source: "assumption, because wear takes part of the growth and varies with the ground",
    validFor: "barefoot adult horses, net of wear",
    sure: "assumption",
  },
};

/** Change of the dorsal angle, degrees a day, before any cycle of this foot is known. */
export const ANGLE_DRIFT_PRIOR: Record<"shod" | "barefoot", Entry<Estimate>> = {
  shod: {
    value: { mean: -0.059, sd: 0.03 },
    unit: "deg per day",
    source: "van Heel and others 2005; Moleman and others 2006: about three degrees in eight weeks",
    validFor: "shod adult horses",
    sure: "published",
  },
  barefoot: {
    value: { mean: -0.03, sd: 0.03 },
    unit: "deg per day",
    source: "assumption, because wear at the toe takes back about half of it",
    validFor: "barefoot adult horses",
    sure: "assumption",
  },
};

/** The season swings growth by this part of its mean. */
export const SEASON_SWING: Entry<number> = {
  value: 0.2,
  unit: "part",
  source: "trade practice: horn grows fastest in late spring",
  validFor: "horses living with the season's light",
  sure: "common practice",
};

/** Day of the year on which horn grows fastest. */
export const SEASON_PEAK: Entry<Record<"north" | "south", number>> = {
  value: { north: 135, south: 318 },
  unit: "day of year",
  source: "trade practice: mid May north, mid November south",
  validFor: "temperate latitudes",
  sure: "common practice",
};
