/**
 * Runs of bytes of one plane unpacked to `length` bytes (DICOM PS3.5, annex G; PackBits): undefined where they break off.
 */
function unpackedRuns(packed: Uint8Array, length: number): Uint8Array | undefined {
  const bytes = new Uint8Array(length);
  let [from, at] = [0, 0];
  while (at < length) {
    const head = packed[from];
    if (head === undefined) return undefined;
    from += 1;
    if (head < 128) {
      const run = packed.subarray(from, from + head + 1);
      if (run.length <= head) return undefined;
      bytes.set(run.subarray(0, length - at), at);
      from += head + 1;
      at += head + 1;
    } else if (head > 128) {
      const value = packed[from];
      if (value === undefined) return undefined;
      bytes.fill(value, at, at + 257 - head);
      from += 1;
      at += 257 - head;
    }
  }
  return bytes;
}

/** Longest heading of a frame: the number of planes, and where each begins. */
const HEAD_BYTES = 64;
const MOST_PLANES = 15;

/**
 * One frame of run-length coded greys, of one or two bytes a pixel, as little-endian bytes; undefined where it is damaged.
 * The planes are the bytes of the pixels, the large one first.
 */
export function runLengthGreys(
  frame: Uint8Array,
  pixels: number,
  bytesPerPixel: 1 | 2,
): Uint8Array | undefined {
  if (frame.length < HEAD_BYTES) return undefined;
  const view = new DataView(frame.buffer, frame.byteOffset, frame.byteLength);
  const planes = view.getUint32(0, true);
  if (planes !== bytesPerPixel || planes > MOST_PLANES) return undefined;
  const bytes = new Uint8Array(pixels * bytesPerPixel);
  for (let plane = 0; plane < planes; plane++) {
    const from = view.getUint32(4 + 4 * plane, true);
    const to = plane + 1 < planes ? view.getUint32(8 + 4 * plane, true) : frame.length;
    const own = unpackedRuns(frame.subarray(from, to), pixels);
    if (!own) return undefined;
    for (let at = 0; at < pixels; at++) bytes[at * bytesPerPixel + (planes - 1 - plane)] = own[at] as number;
  }
  return bytes;
}
