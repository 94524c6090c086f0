import { directionAlong, lengthDownTo, offsetPolyline, pointAlong } from "../../geometry/polyline";
import type { SolarPoint } from "../../geometry/vector";
import { SIDES } from "../../foot/limb";
import { signOf } from "../../foot/parametric/parameters";
import type { Fit } from "../../shoe/fit";
import { CLIP_MM, clipPlaces } from "../../shoe/clips";
import { sectorRun } from "../../shoe/sectors";
import { isBar } from "../../shoe/specification";
import { roundTheToe, widestYOf } from "../../shoe/outline";
import { creaseOf } from "../../shoe/crease";

/** Layers of a pattern, in the order of drawing: what is cut, and what is only looked at. */
export const PATTERN_LAYERS = ["OUTER", "INNER", "CREASE", "NAILS", "MARKS"] as const;
export type PatternLayer = (typeof PATTERN_LAYERS)[number];

export interface PatternLine {
  layer: PatternLayer;
  points: readonly SolarPoint[];
  closed: boolean;
  /** What it is, for the marks. */
  name?: "clip" | "breakover" | "centre line" | "widest" | "heels" | "unloaded" | "crease edge";
}

/** A shoe as it is printed or cut, mm, y up, 1:1. */
export interface Pattern {
  lines: PatternLine[];
  /** Smallest box round the lines: from its lower left corner, width and height. */
  box: { x: number; y: number; width: number; height: number };
  /** What is written beside it: horse, foot, date, what it is. */
  label: string[];
}

/** Sizes of the holes and of the groove, mm. Assumption: a slim nail's neck. */
const HOLE_MM = { along: 6, across: 3 };
const CREASE_MM = 7;
/** How far the centre line and the cross marks reach past the shoe, mm. */
const REACH_MM = 6;

/**
 * The pattern of a fitted shoe as seen from below. OUTER and INNER together bound the metal: heel to heel, or all round
 * and inside where a bar closes it. Holes stand along the outer edge where the nails go.
 */
export function shoePattern(fit: Fit, label: readonly string[]): Pattern {
  const { spec } = fit.question;
  const outer = roundTheToe(fit.outer);
  const inner = roundTheToe(fit.inner);
  const ends = (points: readonly SolarPoint[]) =>
    [points[0] as SolarPoint, points.at(-1) as SolarPoint] as const;
  const [innerMedial, innerLateral] = ends(inner);
  const lines: PatternLine[] = isBar(spec)
    ? [
        { layer: "OUTER", points: fit.solid.outside, closed: true },
        ...fit.solid.holes.map((points): PatternLine => ({ layer: "INNER", points, closed: true })),
      ]
    : [
        // The ends of the branches belong to the outer edge, so that both edges close.
        { layer: "OUTER", points: [innerMedial, ...outer, innerLateral], closed: false },
        { layer: "INNER", points: inner, closed: false },
      ];
  for (const sector of spec.unloaded)
    lines.push({ layer: "MARKS", points: sectorRun(fit.outer, sector), closed: false, name: "unloaded" });
  if (spec.crease === "creased")
    for (const side of SIDES) {
      const way = creaseOf(fit, side);
      if (way.length < 2) continue;
      for (const by of [CREASE_MM / 2, -CREASE_MM / 2])
        lines.push({
          layer: "CREASE",
          points: offsetPolyline(way, () => by) as SolarPoint[],
          closed: false,
          name: "crease edge",
        });
    }
  for (const side of SIDES)
    for (const nail of fit.nails[side]) {
      const along = directionAlong(fit.outer[side], nail.s, 5);
      lines.push({
        layer: "NAILS",
        points: box([nail.x, nail.y], along, HOLE_MM.along, HOLE_MM.across),
        closed: true,
      });
    }
  const low = Math.min(...fit.solid.outside.map(([, y]) => y));
  lines.push({
    layer: "MARKS",
    name: "centre line",
    points: [
      [0, low - REACH_MM],
      [0, fit.toeY + REACH_MM],
    ],
    closed: false,
  });
  const { medial, lateral } = fit.line.crosses;
  if (medial && lateral)
    lines.push({ layer: "MARKS", name: "breakover", points: [medial.at, lateral.at], closed: false });
  for (const side of SIDES) {
    const y = widestYOf(fit.outer[side]);
    const at = pointAlong(fit.outer[side], lengthDownTo(fit.outer[side], y)).at;
    const out = signOf(side);
    lines.push({
      layer: "MARKS",
      name: "widest",
      points: [
        [at[0] - out * REACH_MM, at[1]],
        [at[0] + out * REACH_MM, at[1]],
      ],
      closed: false,
    });
    const heel = fit.outer[side].at(-1) ?? [0, 0];
    lines.push({
      layer: "MARKS",
      name: "heels",
      points: [
        [heel[0], heel[1]],
        [heel[0] + out * REACH_MM, heel[1]],
      ],
      closed: false,
    });
  }
  for (const { at, along } of clipPlaces(fit)) {
    const out: SolarPoint = [along[1], -along[0]];
    const away = out[0] * at[0] + out[1] * (at[1] - fit.question.foot.corY) < 0 ? -1 : 1;
    const half = CLIP_MM.wide / 2;
    const corner = (s: number, up: number): SolarPoint => [
      at[0] + along[0] * s + out[0] * away * up,
      at[1] + along[1] * s + out[1] * away * up,
    ];
    lines.push({
      layer: "MARKS",
      name: "clip",
      points: [corner(-half, 0), corner(0, CLIP_MM.high), corner(half, 0)],
      closed: false,
    });
  }
  const all = lines.flatMap(({ points }) => points);
  const [x, y] = [Math.min(...all.map(([px]) => px)), Math.min(...all.map(([, py]) => py))];
  return {
    lines,
    box: {
      x,
      y,
      width: Math.max(...all.map(([px]) => px)) - x,
      height: Math.max(...all.map(([, py]) => py)) - y,
    },
    label: [...label],
  };
}

function box(at: SolarPoint, along: readonly [number, number], long: number, wide: number): SolarPoint[] {
  const across: SolarPoint = [-along[1], along[0]];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([s = 0, t = 0]): SolarPoint => [
    at[0] + (along[0] * s * long) / 2 + (across[0] * t * wide) / 2,
    at[1] + (along[1] * s * long) / 2 + (across[1] * t * wide) / 2,
  ]);
}
