import { max, ticks } from "d3-array";
import { contours } from "d3-contour";
import type { PressureField } from "~core/ground/pressureField";
import type { SolarPoint } from "~core/geometry/vector";

/** One step of pressure: everything at or above `from`, kPa, as closed rings in the foot's own millimetres. */
export interface PressureBand {
  from: number;
  rings: SolarPoint[][];
}

/** Where a map is highest. */
export interface PressurePeak {
  at: SolarPoint;
  kPa: number;
}

/** About so many steps on one scale for all maps. */
const STEPS = 8;

/** Round steps of pressure that all these fields are drawn with, kPa, lowest first. */
export function pressureSteps(fields: readonly PressureField[]): number[] {
  const highest = max(fields, ({ kPa }) => max(kPa) ?? 0) ?? 0;
  const lowest = highest / 50;
  return [lowest, ...ticks(0, highest, STEPS).filter((step) => step > lowest && step < highest)];
}

/** A field as bands of its steps: each lies over the one before. */
export function pressureBands(field: PressureField, steps: readonly number[]): PressureBand[] {
  const { columns, rows, left, back, stepMm, kPa } = field;
  const draw = contours().size([columns, rows]);
  const values = Array.from(kPa);
  return steps.map((from) => ({
    from,
    rings: draw
      .contour(values, from)
      .coordinates.flatMap((polygon) =>
        polygon.map((ring) =>
          ring.map(([u = 0, v = 0]): SolarPoint => [left + u * stepMm, back + v * stepMm]),
        ),
      ),
  }));
}

/** The highest place of a field; undefined where nothing bears. */
export function pressurePeak({ columns, left, back, stepMm, kPa }: PressureField): PressurePeak | undefined {
  const highest = max(kPa) ?? 0;
  if (highest <= 0) return undefined;
  const at = kPa.indexOf(highest);
  return {
    at: [left + ((at % columns) + 0.5) * stepMm, back + (Math.floor(at / columns) + 0.5) * stepMm],
    kPa: highest,
  };
}
