import { pointAlong, polylineLength } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import type { WearSector } from "../foot/wear";
import { eachSide } from "../foot/parametric/parameters";
import type { SidedLine } from "./outline";

/** Stretches of a side by name, as parts of its line from the middle of the toe. Assumption, from the ordinary outline. */
export const STRETCHES = {
  toe: { from: 0, to: 0.15 },
  toeQuarter: { from: 0.15, to: 0.38 },
  quarter: { from: 0.38, to: 0.56 },
  heel: { from: 0.56, to: 1 },
} as const;
export type Stretch = keyof typeof STRETCHES;

/** The place of a stretch on a side; the toe lies on both. */
export const sectorFor = (stretch: Stretch, side: Side): WearSector =>
  stretch === "toe" ? "toe" : `${stretch}${side === "medial" ? "Medial" : "Lateral"}`;

/** The side of a place of the edge and its stretch; the toe lies on both. */
export const sectorOf = (sector: WearSector): { sides: readonly Side[]; stretch: Stretch } =>
  sector === "toe"
    ? { sides: SIDES, stretch: "toe" }
    : {
        sides: [sector.endsWith("Medial") ? "medial" : "lateral"],
        stretch: sector.replace(/(Medial|Lateral)$/, "") as Stretch,
      };

/** Lines across the web at a place, this far apart, mm. */
const HATCH_MM = 5;

/** Short lines across the web at a place, from its outer edge to its inner one: how an unloaded place is drawn. */
export function sectorHatch(
  outer: SidedLine,
  inner: SidedLine,
  sector: WearSector,
): [SolarPoint, SolarPoint][] {
  const { sides, stretch } = sectorOf(sector);
  const { from, to } = STRETCHES[stretch];
  return sides.flatMap((side) => {
    const [out, into] = [polylineLength(outer[side]), polylineLength(inner[side])];
    const steps = Math.max(2, Math.round((out * (to - from)) / HATCH_MM));
    return Array.from({ length: steps + 1 }, (_, index): [SolarPoint, SolarPoint] => {
      const part = from + ((to - from) * index) / steps;
      return [pointAlong(outer[side], out * part).at, pointAlong(inner[side], into * part).at];
    });
  });
}

/** Points of a line's stretch this close to each other, mm. */
const STEP_MM = 3;

/** The run of an edge at a place: of both sides for the toe, from medial to lateral. Open. */
export function sectorRun(line: SidedLine, sector: WearSector): SolarPoint[] {
  const { sides, stretch } = sectorOf(sector);
  const { from, to } = STRETCHES[stretch];
  const runs = eachSide((side) => {
    if (!sides.includes(side)) return [];
    const whole = polylineLength(line[side]);
    const steps = Math.max(2, Math.ceil((whole * (to - from)) / STEP_MM));
    return Array.from(
      { length: steps + 1 },
      (_, index) => pointAlong(line[side], whole * (from + ((to - from) * index) / steps)).at as SolarPoint,
    );
  });
  return sector === "toe"
    ? [...[...runs.medial].reverse(), ...runs.lateral.slice(1)]
    : [...runs.medial, ...runs.lateral];
}
