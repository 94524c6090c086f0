import type { SolarPoint } from "../geometry/vector";
import type { Grid } from "./raster";

/**
 * What a piece of the plan is: it decides how soft it is, and where its load goes. A plate and a fill carry for the frog, a
 * packing for the sole.
 */
export const PARTS = ["shoe", "plate", "wall", "frog", "fill", "sole", "packing"] as const;
export type Part = (typeof PARTS)[number];

/** One cell of the plan. */
export interface Cell {
  x: number;
  y: number;
  /** Mm²: less than the grid's where an edge runs through it. */
  area: number;
  part: Part;
  /** Above the shoe's ground surface, mm; under 0 it hangs below it. */
  clearance: number;
}

/** A foot from above as far as the model asks, solar frame: x to lateral, y to the toe, mm. */
export interface FootPlan {
  /** Hindmost heel, toe, centre of rotation. */
  heelY: number;
  toeY: number;
  corY: number;
  /** Above the foot's own bearing plane. */
  corHeight: number;
  /** Closed outline of the bearing border, heel to heel round the toe. */
  outline: readonly SolarPoint[];
  /** Frog: half its width at a y, 0 outside of it. */
  frogHalf: (y: number) => number;
}

/** Sizes of an ordinary foot where nothing was measured, as parts of its length or width. Assumption, from drawn feet. */
const USUAL = { cor: 0.5, corHeight: 0.4, heelWidth: 0.68, frogWidth: 0.3, frogLength: 0.66 };
/** Points along each side of a drawn outline. */
const AROUND = 60;

/** A foot from two measures: a round toe, sides that come in towards the heels, a frog between them. Heels at y = 0. */
export function plainFoot({
  length,
  width,
  heelWidth = USUAL.heelWidth * width,
}: {
  length: number;
  width: number;
  heelWidth?: number | undefined;
}): FootPlan {
  const corY = USUAL.cor * length;
  const half = (y: number): number => {
    if (y >= corY) return (width / 2) * Math.sqrt(Math.max(0, 1 - ((y - corY) / (length - corY)) ** 2));
    return heelWidth / 2 + (width / 2 - heelWidth / 2) * (1 - ((corY - y) / corY) ** 2);
  };
  // Even steps of angle round the toe, of length along the quarters.
  const side = [
    ...Array.from({ length: AROUND / 2 }, (_, at) => (corY * at) / (AROUND / 2)),
    ...Array.from(
      { length: AROUND / 2 + 1 },
      (_, at) => corY + (length - corY) * Math.sin((Math.PI * at) / AROUND),
    ),
  ];
  const lateral = side.map((y): SolarPoint => [half(y), y] as unknown as SolarPoint);
  const medial = side.toReversed().map((y): SolarPoint => [-half(y), y] as unknown as SolarPoint);
  const frogEnd = USUAL.frogLength * length;
  return {
    heelY: 0,
    toeY: length,
    corY,
    corHeight: USUAL.corHeight * length,
    outline: [...lateral, ...medial.slice(1)],
    frogHalf: (y) => (y < 0 || y > frogEnd ? 0 : ((USUAL.frogWidth * width) / 2) * (1 - y / frogEnd)),
  };
}

/** Each cell is looked at in so many places a side, so that an edge shares it out. */
const LOOKS = 2;

/**
 * Cuts a plan into cells: each place of the grid, LOOKS a side of a cell, says what part lies there (undefined is nothing)
 * and how high it is; a cell has the mean of its places.
 */
export function cellsOf(
  { columns, rows, left, back, stepMm }: Grid,
  partAt: (place: number, x: number, y: number) => Part | undefined,
  clearanceAt: (part: Part, place: number, x: number, y: number) => number,
): Cell[] {
  const share = stepMm * stepMm;
  const across = Math.ceil(columns / LOOKS);
  const count = across * Math.ceil(rows / LOOKS) * PARTS.length;
  // Plain numbers side by side, a row of parts for each cell: a plan has tens of thousands of places.
  const [areas, xs, ys, heights] = [0, 1, 2, 3].map(() => new Float64Array(count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const x = left + column * stepMm;
      const y = back + row * stepMm;
      const place = row * columns + column;
      const part = partAt(place, x, y);
      if (part === undefined) continue;
      const cell = Math.floor(row / LOOKS) * across + Math.floor(column / LOOKS);
      const key = cell * PARTS.length + PARTS.indexOf(part);
      areas[key] = (areas[key] ?? 0) + share;
      xs[key] = (xs[key] ?? 0) + x * share;
      ys[key] = (ys[key] ?? 0) + y * share;
      heights[key] = (heights[key] ?? 0) + clearanceAt(part, place, x, y) * share;
    }
  const cells: Cell[] = [];
  for (let key = 0; key < count; key++) {
    const area = areas[key] ?? 0;
    if (area === 0) continue;
    const of = (sums: Float64Array) => (sums[key] ?? 0) / area;
    cells.push({
      part: PARTS[key % PARTS.length] as Part,
      area,
      x: of(xs),
      y: of(ys),
      clearance: of(heights),
    });
  }
  return cells;
}

/** The grid that the cells of some places lie in: its corner and its step, mm. */
export const cellGrid = ({ left, back, stepMm }: Grid): { left: number; back: number; stepMm: number } => ({
  left: left - stepMm / 2,
  back: back - stepMm / 2,
  stepMm: LOOKS * stepMm,
});

/** The step of the places that a grid of cells wants, mm. */
export const lookStep = (gridMm: number): number => gridMm / LOOKS;
