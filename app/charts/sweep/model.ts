import { extent } from "d3-array";
import type { SweptShoe } from "~core/ground/compare";
import { GROUNDS, isSoft } from "~core/ground/grounds";

/** What is shown over the grounds, always against the first shoe. */
export const SWEPT = { pitch: "Steeper", sink: "Sinks", front: "Lever in front" } as const;
export type Swept = keyof typeof SWEPT;

export interface SweepLine {
  id: string;
  /** A letter, the same as at its map. */
  letter: string;
  points: { ground: number; value: number }[];
}

export interface SweepModel {
  grounds: { name: string; soft: boolean }[];
  lines: SweepLine[];
  range: readonly [number, number];
  unit: "deg" | "mm";
}

/** No chart is drawn on a finer scale than this, deg or mm: noise is not blown up. */
const LEAST_SPAN = 1;

/** Every shoe but the first over all grounds, hard to soft, as differences from the first. */
export function sweepModel(sweep: readonly SweptShoe[], letters: readonly string[], what: Swept): SweepModel {
  const lines = sweep.slice(1).flatMap(({ id, points }, at): SweepLine[] => {
    const shown = points.flatMap(({ stiffness, difference }) => {
      const ground = GROUNDS.findIndex((one) => one.stiffness === stiffness);
      return difference === undefined || ground < 0 ? [] : [{ ground, value: difference[what] }];
    });
    return shown.length === 0 ? [] : [{ id, letter: letters[at + 1] ?? "", points: shown }];
  });
  const [low = 0, high = 0] = extent([0, ...lines.flatMap(({ points }) => points.map(({ value }) => value))]);
  const room = Math.max(0, LEAST_SPAN - (high - low)) / 2 + 0.06 * (high - low);
  return {
    grounds: GROUNDS.map(({ name, stiffness }) => ({ name, soft: isSoft(stiffness) })),
    lines,
    range: [low - room, high + room],
    unit: what === "pitch" ? "deg" : "mm",
  };
}
