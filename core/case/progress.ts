/** What a case is followed by, one value a visit or a radiograph. */
export const PROGRESS_NAMES = [
  "dorsal angle",
  "heel angle",
  "axis",
  "toe length",
  "heel height",
  "white line",
  "defect length",
  "defect below hairline",
  "sole depth",
  "palmar angle",
  "capsule rotation",
] as const;
export type ProgressName = (typeof PROGRESS_NAMES)[number];

/** Whether it is an angle or a length, and where it is read. */
export const PROGRESS: Record<ProgressName, { kind: "angle" | "length"; from: "visit" | "film" | "defect" }> =
  {
    "dorsal angle": { kind: "angle", from: "visit" },
    "heel angle": { kind: "angle", from: "visit" },
    axis: { kind: "angle", from: "visit" },
    "toe length": { kind: "length", from: "visit" },
    "heel height": { kind: "length", from: "visit" },
    "white line": { kind: "length", from: "visit" },
    "defect length": { kind: "length", from: "defect" },
    "defect below hairline": { kind: "length", from: "defect" },
    "sole depth": { kind: "length", from: "film" },
    "palmar angle": { kind: "angle", from: "film" },
    "capsule rotation": { kind: "angle", from: "film" },
  };
