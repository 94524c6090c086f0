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

/** Wall that dressing leaves at the toe. */
export const TOE_WALL_KEPT_MM = entry(
  6,
  "mm",
  "thickness of the toe wall at the ground after dressing",
  "common practice",
  "trade practice",
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
