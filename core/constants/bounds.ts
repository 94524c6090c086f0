import type { Entry } from "./entry";

/** `[steady ends, act begins]`: below the first is steady, between is drifting, above the second is act. */
export type Bounds = readonly [drifting: number, act: number];

const bounds = (value: Bounds, unit: string, validFor: string): Entry<Bounds> => ({
  value,
  unit,
  validFor,
  source: "trade practice",
  sure: "common practice",
});

/** Bounds between steady / drifting / act. */
export const LEVEL_BOUNDS = {
  toeExcess: bounds([0.06, 0.16], "ratio", "toe excess over the centre of rotation"),
  wallEvenness: bounds([0.2, 0.5], "ratio", "(max - min) / mean of the wall at toe, toe quarters, quarters"),
  heelsForward: bounds([0.15, 0.4], "ratio", "heels ahead of the back of the sulcus, over the sulcus"),
  barBend: bounds([0.08, 0.2], "ratio", "bend of a bar over the sulcus"),
  frogStretch: bounds([0.05, 0.15], "ratio", "point of the frog beyond the true apex, over the true apex"),
  frogShortfall: bounds([0.08, 0.25], "ratio", "1 minus frog width over sulcus"),
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
  hairlineTiltDeg: {
    value: [2, 4] as Bounds,
    unit: "deg",
    source: "assumption, because 2 deg over an 85 mm heel is the 3 mm that a rule can tell",
    validFor: "hairline from behind against the ground",
    sure: "assumption",
  } as Entry<Bounds>,
  heelContraction: {
    value: [0.12, 0.25] as Bounds,
    unit: "ratio",
    source: "assumption, because an eighth less is plain to the eye and a quarter less pinches the frog",
    validFor: "heels apart over the width of the foot, short of a sound foot's",
    sure: "assumption",
  } as Entry<Bounds>,
  flareMm: {
    value: [6, 12] as Bounds,
    unit: "mm",
    source:
      "assumption, because sound feet are some 2 mm wider outside, and a wall's thickness is a flare to act on",
    validFor: "half widths on a foot of size 1, lateral minus medial, either sign",
    sure: "assumption",
  } as Entry<Bounds>,
  whiteLineMm: {
    value: [4, 6] as Bounds,
    unit: "mm",
    source: "assumption, because a sound white line of a riding horse is 2 to 4 mm wide",
    validFor: "widest white line",
    sure: "assumption",
  } as Entry<Bounds>,
  ringDivergence: {
    value: [0.2, 0.5] as Bounds,
    unit: "ratio",
    source: "assumption, because heel and toe grow at much the same pace in a sound foot",
    validFor: "a ring's distance at the heel against that at the toe",
    sure: "assumption",
  } as Entry<Bounds>,
  outlineDriftMm: {
    value: [3, 6] as Bounds,
    unit: "mm",
    source: "assumption, because 3 mm is what repeated marking can tell",
    validFor: "middle of the present outline against the undistorted one",
    sure: "assumption",
  } as Entry<Bounds>,
} as const;
export type BoundName = keyof typeof LEVEL_BOUNDS;
