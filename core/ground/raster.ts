import type { SolarPoint } from "../geometry/vector";

/** Even places over a plan, mm. They stand evenly about the midline, so that a mirrored plan is looked at in mirrored places. */
export interface Grid {
  columns: number;
  rows: number;
  /** Of the middle of the first place. */
  left: number;
  back: number;
  stepMm: number;
}

/** The places that cover a box about the midline. */
export function gridOver(box: { half: number; back: number; front: number }, stepMm: number): Grid {
  const half = Math.ceil(box.half / stepMm);
  const back = (Math.floor(box.back / stepMm) + 0.5) * stepMm;
  return {
    columns: 2 * half,
    rows: Math.ceil((box.front - back) / stepMm) + 1,
    left: (0.5 - half) * stepMm,
    back,
    stepMm,
  };
}

/** 1 for each place that lies within closed rings, by crossings of each row (even-odd): a ring within a ring is a hole. */
export function placesWithin(grid: Grid, rings: readonly (readonly SolarPoint[])[]): Uint8Array {
  const { columns, rows, left, back, stepMm } = grid;
  const within = new Uint8Array(columns * rows);
  const crossings = Array.from({ length: rows }, (): number[] => []);
  for (const ring of rings)
    for (const [at, [ax, ay]] of ring.entries()) {
      const [bx, by] = ring[(at + 1) % ring.length] as SolarPoint;
      if (ay === by) continue;
      const first = Math.max(0, Math.ceil((Math.min(ay, by) - back) / stepMm));
      for (let row = first; row < rows; row++) {
        const y = back + row * stepMm;
        if (y >= Math.max(ay, by)) break;
        crossings[row]?.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
      }
    }
  for (const [row, xs] of crossings.entries()) {
    xs.sort((a, b) => a - b);
    for (let at = 0; at + 1 < xs.length; at += 2) {
      const from = Math.max(0, Math.ceil(((xs[at] ?? 0) - left) / stepMm));
      const to = Math.min(columns - 1, Math.floor(((xs[at + 1] ?? 0) - left) / stepMm));
      for (let column = from; column <= to; column++) within[row * columns + column] = 1;
    }
  }
  return within;
}

/** Mm from each place to an open line, worked out only up to `reachMm`; infinite beyond. */
export function distancesTo(grid: Grid, line: readonly SolarPoint[], reachMm: number): Float32Array {
  const { columns, rows, left, back, stepMm } = grid;
  const away = new Float32Array(columns * rows).fill(Number.POSITIVE_INFINITY);
  const clip = (value: number, most: number) => Math.max(0, Math.min(most, value));
  for (const [at, [ax, ay]] of line.slice(0, -1).entries()) {
    const [bx, by] = line[at + 1] as SolarPoint;
    const [dx, dy] = [bx - ax, by - ay];
    const size = dx * dx + dy * dy;
    const c0 = clip(Math.floor((Math.min(ax, bx) - reachMm - left) / stepMm), columns - 1);
    const c1 = clip(Math.ceil((Math.max(ax, bx) + reachMm - left) / stepMm), columns - 1);
    const r0 = clip(Math.floor((Math.min(ay, by) - reachMm - back) / stepMm), rows - 1);
    const r1 = clip(Math.ceil((Math.max(ay, by) + reachMm - back) / stepMm), rows - 1);
    for (let row = r0; row <= r1; row++) {
      const y = back + row * stepMm - ay;
      for (let column = c0; column <= c1; column++) {
        const x = left + column * stepMm - ax;
        const place = row * columns + column;
        const part = size === 0 ? 0 : Math.max(0, Math.min(1, (x * dx + y * dy) / size));
        const px = x - part * dx;
        const py = y - part * dy;
        // Squares are compared; the root is taken once a place.
        const square = px * px + py * py;
        if (square < (away[place] ?? 0)) away[place] = square;
      }
    }
  }
  for (let place = 0; place < away.length; place++) away[place] = Math.sqrt(away[place] ?? 0);
  return away;
}
