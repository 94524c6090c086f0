import type { Entry } from "./entry";

/** `[steady ends, act begins]`: below the first is steady, between is drifting, above the second is act. */
export type Bounds = readonly [drifting: number, act: number];

const bounds = (value: Bounds, unit: string, validFor: string): Entry<Bounds> => ({
  value,
  unit,
  validFor,
  source: "trade practice, as gathered in the handbook's table of bounds",
  sure: "common practice",
});

/** Bounds between steady / drifting / act. */
export const LEVEL_BOUNDS = {
  heelHeightDifferenceMm: bounds([2, 5], "mm", "heel heights of one foot, either sign"),
  heelShallowerDeg: bounds([5, 12], "deg", "dorsal angle minus heel angle"),
  dishDeg: bounds([2, 6], "deg", "dorsal angle minus lower wall"),
  axisDeg: {
    value: [5, 12] as Bounds,
    unit: "deg",
    source:
      "trade practice for 5; 12 is an assumption, because a pastern rarely stands that far off by itself",
    validFor: "hoof-pastern axis, either sign",
    sure: "assumption",
  } as Entry<Bounds>,
  toeOverYardstickMm: {
    value: [6, 14] as Bounds,
    unit: "mm",
    source: "assumption, because 14 mm is about six weeks of ordinary growth, the usual due limit",
    validFor: "toe length over the target",
    sure: "assumption",
  } as Entry<Bounds>,
} as const;
