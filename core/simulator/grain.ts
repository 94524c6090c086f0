/** Looked up once: these run for every pixel. */
const { floor, imul } = Math;

/** Odd numbers without a pattern in their bits, one for each axis and one for the seed. */
const STEP_X = 374761393;
const STEP_Y = 668265263;
const STEP_Z = 2147483647;
const STEP_SEED = 1274126177;

const mix = (a: number, b: number, part: number): number => a + (b - a) * part;

/** Smooth noise of a place in space, 0 to 1. No function is made in here: it runs for every pixel. */
export function noise(x: number, y: number, z: number, seed: number): number {
  const ix = floor(x);
  const iy = floor(y);
  const iz = floor(z);
  const sx = smooth(x - ix);
  const sy = smooth(y - iy);
  // Each neighbour's share of the number is worked out once for the four corners it has a part in.
  const x0 = imul(ix, STEP_X);
  const x1 = imul(ix + 1, STEP_X);
  const y0 = imul(iy, STEP_Y);
  const y1 = imul(iy + 1, STEP_Y);
  const own = imul(seed, STEP_SEED);
  const z0 = imul(iz, STEP_Z) ^ own;
  const z1 = imul(iz + 1, STEP_Z) ^ own;
  const low = mix(
    mix(scattered(x0 ^ y0 ^ z0), scattered(x1 ^ y0 ^ z0), sx),
    mix(scattered(x0 ^ y1 ^ z0), scattered(x1 ^ y1 ^ z0), sx),
    sy,
  );
  const high = mix(
    mix(scattered(x0 ^ y0 ^ z1), scattered(x1 ^ y0 ^ z1), sx),
    mix(scattered(x0 ^ y1 ^ z1), scattered(x1 ^ y1 ^ z1), sx),
    sy,
  );
  return mix(low, high, smooth(z - iz));
}

const smooth = (part: number): number => part * part * (3 - 2 * part);

/** A number of a place on a grid, 0 to 1, the same every time. */
export const hash = (x: number, y: number, z: number, seed: number): number =>
  scattered(imul(x, STEP_X) ^ imul(y, STEP_Y) ^ imul(z, STEP_Z) ^ imul(seed, STEP_SEED));

function scattered(bits: number): number {
  const mixed = imul(bits ^ (bits >>> 13), STEP_SEED);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 4294967296;
}
