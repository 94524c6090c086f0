import type { Entry } from "./entry";

const entry = (
  value: number,
  unit: string,
  validFor: string,
  sure: Entry<number>["sure"],
  source: string,
): Entry<number> => ({ value, unit, validFor, sure, source });

/** Wall that is left standing above the live sole. */
export const TRIM_MARGIN_MM = {
  shod: entry(0, "mm", "feet that are shod", "common practice", "trade practice: level with the live sole"),
  barefoot: entry(
    2,
    "mm",
    "feet that go bare",
    "common practice",
    "trade practice: a margin of wall to walk on",
  ),
};

/** A sole is thin when the sulcus beside the point of the frog is shallower than this, and costs this much more margin. */
export const THIN_SOLE_SULCUS_MM = entry(
  10,
  "mm",
  "collateral sulcus beside the point of the frog, horses",
  "common practice",
  "trade practice: a shallow sulcus means little sole under the bone",
);
export const THIN_SOLE_MARGIN_MM = entry(
  2,
  "mm",
  "margin on top of the usual one, on a thin sole",
  "common practice",
  "trade practice: thin sole, less of everything",
);

/** Horn that dressing leaves at the toe, beside the white line. */
export const TOE_HORN_KEPT_MM = entry(
  6,
  "mm",
  "horn of the toe wall in the ground plane after dressing, without the white line",
  "common practice",
  "trade practice",
);

/** Horn that dressing leaves at a quarter or toe quarter, beside the white line. */
export const FLARE_HORN_KEPT_MM = entry(
  5,
  "mm",
  "horn of quarters and toe quarters in the ground plane after dressing, without the white line",
  "common practice",
  "trade practice",
);

/** Over this much white line, or this much dish, nothing is dressed without a vet's plan. */
export const DRESS_ASKS_VET = {
  whiteLineMm: entry(
    6,
    "mm",
    "white line at the toe",
    "common practice",
    "trade practice: a radiograph first",
  ),
  dishDeg: entry(
    6,
    "deg",
    "dish of the dorsal wall",
    "common practice",
    "trade practice: a radiograph first",
  ),
};

/** What one visit takes at the most; a plan that wants more is offered in stages. */
export const AT_ONCE = {
  heelMm: entry(
    10,
    "mm",
    "off one heel",
    "common practice",
    "trade practice: tendons and joints have to follow",
  ),
  heelVetMm: entry(
    8,
    "mm",
    "off one heel of a foot that may be flexural",
    "common practice",
    "trade practice: the flexor tendon is pulled harder as the heel comes down",
  ),
  unevenMm: entry(6, "mm", "more off one heel than off the other", "common practice", "trade practice"),
  turnDeg: entry(5, "deg", "turn of the dorsal angle", "common practice", "trade practice"),
};

/** Between two stages of a large trim. */
export const STAGE_WEEKS = entry(
  4,
  "weeks",
  "a trim done in stages",
  "common practice",
  "trade practice: the interval of corrective work",
);

/** A foot so much broken forward, or so much steeper than its pair with the taller heel, may be flexural. */
export const FLEXURAL_DEG = entry(
  8,
  "deg",
  "axis broken forward, or dorsal angle over that of the pair",
  "common practice",
  "trade practice; Redden, Hoof capsule distortion: understanding the mechanisms (2003)",
);

/** A toe is not cut shorter than its yardstick less this. */
export const TOE_UNDER_MM = entry(
  6,
  "mm",
  "toe length under the target for the animal's mass",
  "assumption",
  "assumption, because it is the spread of sound feet about the yardstick",
);

/** Wall above the live sole where nobody measured it: little enough to be safe on a foot that is due. */
export const UNMEASURED_ABOVE_MM = {
  toe: entry(
    3,
    "mm",
    "wall above the live sole at the toe, not measured",
    "assumption",
    "assumption, because less than a cycle's growth stands on nearly every foot that is due",
  ),
  heel: entry(
    2,
    "mm",
    "wall above the live sole at a heel, not measured",
    "assumption",
    "assumption, because heels grow and wear unevenly and cannot be put back",
  ),
};

/** Two front-to-back lenses disagree when their plans differ by more than this. */
export const LENSES_DISAGREE = {
  angleDeg: entry(2, "deg", "dorsal angle after the cut", "common practice", "trade practice"),
  lengthMm: entry(5, "mm", "front half after the cut", "common practice", "trade practice"),
};

/** Before this many feet a practitioner's own bias is not spoken of. */
export const OWN_BIAS_FEET = entry(
  8,
  "feet",
  "feet planned and measured again",
  "assumption",
  "assumption, because fewer cannot tell a habit from chance",
);
