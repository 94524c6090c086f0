import type { SolarPoint } from "../geometry/vector";

/** A plan looked at in even places: whether each lies within an outline, and how far from its border. */
export interface Raster {
  columns: number;
  rows: number;
  /** Of the middle of the first place, mm. */
  left: number;
  back: number;
  stepMm: number;
  within: Uint8Array;
  /** Mm to the border; further than `reachMm` it is not worked out and stays infinite. */
  toBorder: Float32Array;
}

/**
 * Looks at a closed outline in places `stepMm` apart that stand evenly about the midline. Inside and outside by crossings
 * of each row (even-odd); distances only near the border, segment by segment.
 */
export function rasterOf(
  outline: readonly SolarPoint[],
  box: { half: number; back: number; front: number },
  stepMm: number,
  reachMm: number,
): Raster {
  const half = Math.ceil(box.half / stepMm);
  const columns = 2 * half;
  const back = (Math.floor(box.back / stepMm) + 0.5) * stepMm;
  const left = (0.5 - half) * stepMm;
  const rows = Math.ceil((box.front - back) / stepMm) + 1;
  const within = new Uint8Array(columns * rows);
  const toBorder = new Float32Array(columns * rows).fill(Number.POSITIVE_INFINITY);
  const count = outline.length;
  for (let row = 0; row < rows; row++) {
    const y = back + row * stepMm;
    const crossings: number[] = [];
    for (let at = 0; at < count; at++) {
      const [ax, ay] = outline[at] as SolarPoint;
      const [bx, by] = outline[(at + 1) % count] as SolarPoint;
      if (ay > y !== by > y) crossings.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
    }
    crossings.sort((a, b) => a - b);
    for (let at = 0; at + 1 < crossings.length; at += 2) {
      const from = Math.max(0, Math.ceil(((crossings[at] ?? 0) - left) / stepMm));
      const to = Math.min(columns - 1, Math.floor(((crossings[at + 1] ?? 0) - left) / stepMm));
      for (let column = from; column <= to; column++) within[row * columns + column] = 1;
    }
  }
  // Open from the last point to the first: no border runs across the heels.
  for (let at = 0; at + 1 < count; at++) {
    const [ax, ay] = outline[at] as SolarPoint;
    const [bx, by] = outline[at + 1] as SolarPoint;
    const [dx, dy] = [bx - ax, by - ay];
    const size = dx * dx + dy * dy;
    const clip = (value: number, most: number) => Math.max(0, Math.min(most, value));
    const c0 = clip(Math.floor((Math.min(ax, bx) - reachMm - left) / stepMm), columns - 1);
    const c1 = clip(Math.ceil((Math.max(ax, bx) + reachMm - left) / stepMm), columns - 1);
    const r0 = clip(Math.floor((Math.min(ay, by) - reachMm - back) / stepMm), rows - 1);
    const r1 = clip(Math.ceil((Math.max(ay, by) + reachMm - back) / stepMm), rows - 1);
    for (let row = r0; row <= r1; row++) {
      const y = back + row * stepMm - ay;
      for (let column = c0; column <= c1; column++) {
        const x = left + column * stepMm - ax;
        const place = row * columns + column;
        if (within[place] === 0) continue;
        const part = size === 0 ? 0 : Math.max(0, Math.min(1, (x * dx + y * dy) / size));
        const px = x - part * dx;
        const py = y - part * dy;
        // Squares are compared; the root is taken once a place.
        const away = px * px + py * py;
        if (away < (toBorder[place] ?? 0)) toBorder[place] = away;
      }
    }
  }
  for (let place = 0; place < toBorder.length; place++) toBorder[place] = Math.sqrt(toBorder[place] ?? 0);
  return { columns, rows, left, back, stepMm, within, toBorder };
}
