import type { GroundPlan } from "./groundModel";

/** Pressure on the ground by even places, for a map: row by row from the heels up, solar frame. */
export interface PressureField {
  columns: number;
  rows: number;
  /** Of the corner of the first place, mm. */
  left: number;
  back: number;
  stepMm: number;
  /** KPa. */
  kPa: Float32Array;
}

/**
 * Lays the pressures of a plan's cells (kPa, cell by cell) on an even field; where two parts share a place, the mean over
 * what lies there. One place of nothing stands around it, so that a map closes.
 */
export function pressureField(
  { cells, grid: { left, back, stepMm } }: Pick<GroundPlan, "cells" | "grid">,
  pressures: readonly number[],
): PressureField {
  const columns = cells.map(({ x }) => Math.floor((x - left) / stepMm));
  const rows = cells.map(({ y }) => Math.floor((y - back) / stepMm));
  const most = (all: readonly number[]) => all.reduce((high, one) => Math.max(high, one), 0);
  const [width, height] = [most(columns) + 3, most(rows) + 3];
  const areas = new Float64Array(width * height);
  const kPa = new Float32Array(width * height);
  const indexOf = (at: number) => ((rows[at] ?? 0) + 1) * width + (columns[at] ?? 0) + 1;
  for (const [at, { area }] of cells.entries()) areas[indexOf(at)] = (areas[indexOf(at)] ?? 0) + area;
  for (const [at, { area }] of cells.entries()) {
    const index = indexOf(at);
    kPa[index] = (kPa[index] ?? 0) + ((pressures[at] ?? 0) * area) / (areas[index] ?? 1);
  }
  return { columns: width, rows: height, left: left - stepMm, back: back - stepMm, stepMm, kPa };
}
