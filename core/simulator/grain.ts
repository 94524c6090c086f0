/** Looked up once: these run for every pixel. */
const { floor, imul } = Math;

const mix = (a: number, b: number, part: number): number => a + (b - a) * part;

/** Smooth noise of a place in space, 0 to 1. No function is made in here: it runs for every pixel. */
export function noise(x: number, y: number, z: number, seed: number): number {
  const ix = floor(x);
  const iy = floor(y);
  const iz = floor(z);
  const sx = smooth(x - ix);
  const sy = smooth(y - iy);
  const sz = smooth(z - iz);
  const low = mix(
    mix(hash(ix, iy, iz, seed), hash(ix + 1, iy, iz, seed), sx),
    mix(hash(ix, iy + 1, iz, seed), hash(ix + 1, iy + 1, iz, seed), sx),
    sy,
  );
  const high = mix(
    mix(hash(ix, iy, iz + 1, seed), hash(ix + 1, iy, iz + 1, seed), sx),
    mix(hash(ix, iy + 1, iz + 1, seed), hash(ix + 1, iy + 1, iz + 1, seed), sx),
    sy,
  );
  return mix(low, high, sz);
}

const smooth = (part: number): number => part * part * (3 - 2 * part);

/** A number of a place on a grid, 0 to 1, the same every time. */
export function hash(x: number, y: number, z: number, seed: number): number {
  let mixed = imul(x, 374761393) ^ imul(y, 668265263) ^ imul(z, 2147483647) ^ imul(seed, 1274126177);
  mixed = imul(mixed ^ (mixed >>> 13), 1274126177);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 4294967296;
}
