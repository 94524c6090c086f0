/** Looked up once: these run for every pixel. */
const { floor, log, max, min } = Math;

/** A picture in colours: RGBA, row by row, 0 to 255. */
export interface ColourPicture {
  width: number;
  height: number;
  rgba: ArrayLike<number>;
}

/** Light added before the logarithm is taken, so that the grain of the darkest places does not count. */
const DARK = 10;
/** Logarithm of every brightness: in it a shadow is a step like any other, and the same horn looks alike in sun and shade. */
const LOGS = Float32Array.from({ length: 256 }, (_, value) => log(value + DARK));

/** The logarithms of red, green and blue between pixels, bilinear, written to `into`; beyond the picture those of its edge. */
export function lookAt(
  { width, height, rgba }: ColourPicture,
  x: number,
  y: number,
  into: Float64Array,
  from: number,
): void {
  const cx = min(width - 1.001, max(0, x));
  const cy = min(height - 1.001, max(0, y));
  const left = floor(cx);
  const top = floor(cy);
  const fx = cx - left;
  const fy = cy - top;
  const at = 4 * (top * width + left);
  const below = at + 4 * width;
  for (let channel = 0; channel < 3; channel++) {
    const a = LOGS[rgba[at + channel] ?? 0] ?? 0;
    const b = LOGS[rgba[at + 4 + channel] ?? 0] ?? 0;
    const c = LOGS[rgba[below + channel] ?? 0] ?? 0;
    const d = LOGS[rgba[below + 4 + channel] ?? 0] ?? 0;
    const upper = a + (b - a) * fx;
    const lower = c + (d - c) * fx;
    into[from + channel] = upper + (lower - upper) * fy;
  }
}
