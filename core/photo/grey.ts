/** Looked up once: these run for every pixel. */
const { floor, min, max } = Math;

/** A picture in shades of grey, 0 to 255, row by row. */
export interface GreyPicture {
  width: number;
  height: number;
  values: Float32Array;
}

/** Luminance of an RGBA picture. Source: ITU-R BT.601. */
export function greyOf(rgba: ArrayLike<number>, width: number, height: number): GreyPicture {
  const values = new Float32Array(width * height);
  for (let at = 0; at < values.length; at++) {
    const from = 4 * at;
    values[at] = 0.299 * (rgba[from] ?? 0) + 0.587 * (rgba[from + 1] ?? 0) + 0.114 * (rgba[from + 2] ?? 0);
  }
  return { width, height, values };
}

/** The picture made smaller by a whole factor, each value the mean of its square; a rest at the edges is left out. */
export function shrunkBy({ width, height, values }: GreyPicture, factor: number): GreyPicture {
  if (factor <= 1) return { width, height, values };
  const [across, down] = [floor(width / factor), floor(height / factor)];
  const small = new Float32Array(across * down);
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      let sum = 0;
      for (let dy = 0; dy < factor; dy++) {
        const line = (row * factor + dy) * width + column * factor;
        for (let dx = 0; dx < factor; dx++) sum += values[line + dx] ?? 0;
      }
      small[row * across + column] = sum / (factor * factor);
    }
  return { width: across, height: down, values: small };
}

/** The value between pixels, bilinear; beyond the picture that of its edge. */
export function greyAt({ width, height, values }: GreyPicture, x: number, y: number): number {
  const [cx, cy] = [min(width - 1, max(0, x)), min(height - 1, max(0, y))];
  const [left, top] = [min(width - 2, floor(cx)), min(height - 2, floor(cy))];
  const [fx, fy] = [cx - left, cy - top];
  const at = top * width + left;
  const [a, b, c, d] = [
    values[at] ?? 0,
    values[at + 1] ?? 0,
    values[at + width] ?? 0,
    values[at + width + 1] ?? 0,
  ];
  return (a + (b - a) * fx) * (1 - fy) + (c + (d - c) * fx) * fy;
}

/** The mean around each pixel: of a square of 2 `reach` + 1, as much of it as lies in the picture. */
export function meansAround({ width, height, values }: GreyPicture, reach: number): Float64Array {
  const wide = width + 1;
  const sums = new Float64Array(wide * (height + 1));
  for (let row = 0; row < height; row++) {
    let line = 0;
    for (let column = 0; column < width; column++) {
      line += values[row * width + column] ?? 0;
      sums[(row + 1) * wide + column + 1] = (sums[row * wide + column + 1] ?? 0) + line;
    }
  }
  const means = new Float64Array(width * height);
  for (let row = 0; row < height; row++) {
    const [top, bottom] = [max(0, row - reach), min(height, row + reach + 1)];
    for (let column = 0; column < width; column++) {
      const [left, right] = [max(0, column - reach), min(width, column + reach + 1)];
      const sum =
        (sums[bottom * wide + right] ?? 0) -
        (sums[top * wide + right] ?? 0) -
        (sums[bottom * wide + left] ?? 0) +
        (sums[top * wide + left] ?? 0);
      means[row * width + column] = sum / ((bottom - top) * (right - left));
    }
  }
  return means;
}

/**
 * Where a picture is darker than `part` of the mean around it: 1 there, else 0. It holds in shade as in light, because
 * it knows no light but that of the place. Source: Bradley and Roth 2007, Journal of Graphics Tools 12:13.
 */
export function darkPlaces({ values }: GreyPicture, means: Float64Array, part: number): Uint8Array {
  const dark = new Uint8Array(values.length);
  for (let at = 0; at < values.length; at++) if ((values[at] ?? 0) < part * (means[at] ?? 0)) dark[at] = 1;
  return dark;
}
