import type { SolarPoint } from "../../geometry/vector";
import { SIDES, type Side } from "../limb";
import type { Wording } from "../wording";
import type { SolarMarks } from "./frame";
import type { SoleSurvey } from "./survey";

/** What of the map is drawn together and can be switched together. */
export const MAP_LAYERS = {
  frog: "Frog",
  centre: "Centre",
  toe: "Toe",
  heels: "Heels",
  sole: "Live sole",
} as const;
export type MapLayer = keyof typeof MAP_LAYERS;

/** One line of the map, in the order of the marker. */
export interface MapLine {
  id: string;
  layer: MapLayer;
  /** With the words medial and lateral in it. */
  name: string;
  /** Its number by the rule: mm ahead of the back of the sulcus; none for what has no single one. */
  mm?: number;
  /** What is to be noticed, in words. */
  says?: string;
  /** What is drawn, solar frame, mm: a line, or a single place. */
  draw: readonly (readonly SolarPoint[])[];
}

/** Closer than this two places are one, mm: what a marker draws is as thick. */
const ALIKE_MM = 1.5;

/**
 * The map as a marker draws it on the sole, each line with its number from the back of the sulcus: both ends of the
 * sulcus, the true apex beside the frog's point, widest part, bar ends, toe-quarter line, tip, breakover, diagonals with
 * their drift, heel lines, safety line round the live sole. What was not measured is left out.
 */
export function soleMap(
  survey: SoleSurvey,
  marks: SolarMarks,
  soleEdge: readonly SolarPoint[] | undefined,
  wording: Wording,
): MapLine[] {
  const lines: MapLine[] = [];
  const { length } = wording;
  const halfOf = (part: number) => part * ((survey.width ?? 120) / 2);
  const across = (y: number, part: number): SolarPoint[] => [
    [-halfOf(part), y],
    [halfOf(part), y],
  ];
  const off = (mm: number, ahead: string, behind: string) =>
    Math.abs(mm) < ALIKE_MM ? undefined : `${length(Math.abs(mm))} ${mm > 0 ? ahead : behind}`;
  const put = (line: Omit<MapLine, "says"> & { says?: string | undefined }) => {
    const { says, ...rest } = line;
    lines.push({ ...rest, ...(says !== undefined && { says }) });
  };
  const s = survey.sulcus;
  if (s !== undefined) {
    put({ id: "sulcusBack", layer: "frog", name: "Back of the sulcus", mm: 0, draw: [across(0, 0.18)] });
    put({ id: "sulcusFront", layer: "frog", name: "Front of the sulcus", mm: s, draw: [across(s, 0.18)] });
  }
  if (survey.trueApex !== undefined) {
    const apex = marks.frogApex?.y;
    put({
      id: "trueApex",
      layer: "frog",
      name: "True apex, twice the sulcus",
      mm: survey.trueApex,
      says:
        apex === undefined
          ? undefined
          : (off(apex - survey.trueApex, "short of the frog’s point", "past the frog’s point") ??
            "the frog’s point lies there"),
      draw: [across(survey.trueApex, 0.24)],
    });
  }
  const widest = survey.cor?.widest;
  if (widest !== undefined)
    put({ id: "widest", layer: "centre", name: "Widest part", mm: widest, draw: [across(widest, 1.04)] });
  for (const side of SIDES) {
    const y = marks[side === "medial" ? "barEndMedial" : "barEndLateral"]?.y;
    if (y === undefined) continue;
    const x = marks[side === "medial" ? "barEndMedial" : "barEndLateral"]?.x ?? sideSign(side) * halfOf(0.22);
    put({
      id: `barEnd.${side}`,
      layer: "centre",
      name: `Bar’s end, ${side}`,
      mm: y,
      says:
        widest === undefined
          ? undefined
          : (off(y - widest, "ahead of the widest line", "behind the widest line") ?? "at the widest line"),
      draw: [
        [
          [x - halfOf(0.1), y],
          [x + halfOf(0.1), y],
        ],
      ],
    });
  }
  if (survey.cor)
    put({
      id: "cor",
      layer: "centre",
      name:
        survey.cor.film === undefined
          ? "Centre of rotation, the ways’ middle"
          : "Centre of rotation, off a radiograph",
      mm: survey.cor.median,
      draw: [across(survey.cor.median, 0.8)],
    });
  const quarter = meanOf(marks.toeQuarterMedial?.y, marks.toeQuarterLateral?.y);
  if (quarter !== undefined)
    put({ id: "toeQuarter", layer: "toe", name: "Toe quarters", mm: quarter, draw: [across(quarter, 0.86)] });
  if (survey.coffinTip !== undefined)
    put({
      id: "tip",
      layer: "toe",
      name:
        survey.cor?.film === undefined ? "Tip of the bone, an estimate" : "Tip of the bone, off a radiograph",
      mm: survey.coffinTip,
      draw: [across(survey.coffinTip, 0.4)],
    });
  if (survey.breakover !== undefined)
    put({
      id: "breakover",
      layer: "toe",
      name: "Breakover",
      mm: survey.breakover,
      draw: [across(survey.breakover, 0.5)],
    });
  const place = (name: keyof SolarMarks): SolarPoint | undefined => {
    const { x, y } = marks[name] ?? {};
    return x === undefined || y === undefined ? undefined : [x, y];
  };
  const [a, b, c, d] = [
    place("cornMedial"),
    place("toeQuarterLateral"),
    place("cornLateral"),
    place("toeQuarterMedial"),
  ];
  if (survey.drift && survey.cor?.diagonals !== undefined && a && b && c && d)
    put({
      id: "diagonals",
      layer: "centre",
      name: "Where the diagonals cross",
      mm: survey.cor.diagonals,
      says: driftWords(survey.drift, wording),
      draw: [
        [a, b],
        [c, d],
      ],
    });
  for (const side of SIDES) {
    const y = survey.heelForward[side];
    if (y === undefined) continue;
    const x = sideSign(side) * (survey.heelHalfWidth[side] ?? halfOf(0.66));
    put({
      id: `heel.${side}`,
      layer: "heels",
      name: `Heel, ${side}`,
      mm: y,
      says: off(y, "ahead of where it ought to be", "behind where it ought to be") ?? "where it ought to be",
      draw: [
        [
          [x - halfOf(0.16), y],
          [x + halfOf(0.16), y],
        ],
        [
          [x - halfOf(0.16), 0],
          [x + halfOf(0.16), 0],
        ],
      ],
    });
  }
  if (soleEdge && soleEdge.length > 1)
    put({
      id: "safety",
      layer: "sole",
      name: "Safety line round the live sole",
      says: "nothing comes off inside it",
      draw: [soleEdge],
    });
  return lines;
}

/** "2 mm to the outside, 3 mm to the toe"; "on the cross" where it lies there. */
export function driftWords({ lateral, toe }: { lateral: number; toe: number }, wording: Wording): string {
  const parts = [
    ...(Math.abs(lateral) < ALIKE_MM
      ? []
      : [`${wording.length(Math.abs(lateral))} to the ${wording.side(lateral > 0 ? "lateral" : "medial")}`]),
    ...(Math.abs(toe) < ALIKE_MM
      ? []
      : [`${wording.length(Math.abs(toe))} to the ${toe > 0 ? "toe" : "heels"}`]),
  ];
  return parts.length === 0 ? "on the crossing of midline and widest line" : parts.join(", ");
}

const sideSign = (side: Side): 1 | -1 => (side === "lateral" ? 1 : -1);
const meanOf = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? undefined : (a + b) / 2;
