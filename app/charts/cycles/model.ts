import { extent } from "d3-array";
import type { CycleMoment, CycleRun } from "~core/trim/cycles";

/** What months ahead can show. */
export const CYCLE_MEASURES = ["dorsalAngle", "frontShare", "toeLength", "removed"] as const;
export type CycleMeasure = (typeof CYCLE_MEASURES)[number];

export const CYCLE_NAMES: Record<CycleMeasure, string> = {
  dorsalAngle: "Angle",
  frontShare: "Front half",
  toeLength: "Toe length",
  removed: "Horn taken",
};

export interface CycleLine {
  everyWeeks: number;
  chosen: boolean;
  points: readonly (readonly [day: number, value: number])[];
}

export interface CyclesModel {
  measure: CycleMeasure;
  /** The chosen interval last, so that it is drawn over the others. */
  lines: readonly CycleLine[];
  days: number;
  range: readonly [number, number];
  /** What is aimed at, where there is an aim. */
  aim?: number;
}

/** Front share in percent, everything else as it is. */
const valueOf = (moment: CycleMoment, measure: CycleMeasure): number =>
  measure === "frontShare" ? 100 * moment.frontShare : moment[measure];

/** Lines of one measure over the months, one an interval; angles deg, lengths mm, the front half in percent. */
export function cyclesModel(
  runs: readonly CycleRun[],
  measure: CycleMeasure,
  chosen: number,
  aim?: number,
): CyclesModel {
  const lines = runs
    .map(({ everyWeeks, moments }) => ({
      everyWeeks,
      chosen: everyWeeks === chosen,
      points: moments.map((moment) => [moment.day, valueOf(moment, measure)] as const),
    }))
    .sort((a, b) => Number(a.chosen) - Number(b.chosen));
  const values = lines.flatMap(({ points }) => points.map(([, value]) => value));
  const [low = 0, high = 1] = extent(aim === undefined ? values : [...values, aim]);
  const room = Math.max(0.5, (high - low) * 0.06);
  return {
    measure,
    lines,
    days: Math.max(0, ...lines.flatMap(({ points }) => points.map(([day]) => day))),
    range: [measure === "removed" ? 0 : low - room, high + room],
    ...(aim !== undefined && { aim }),
  };
}
