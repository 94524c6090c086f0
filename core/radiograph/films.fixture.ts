import { deflateSync } from "fflate";

type Entry = readonly [tag: number, vr: string, value: string | number | Uint8Array];

/** Elements with their kinds written out, in either order of bytes. */
function elements(entries: readonly Entry[], little: boolean): Uint8Array {
  const parts = entries.map(([tag, vr, value]) => {
    const long = vr === "OB" || vr === "OW";
    let content: Uint8Array;
    if (typeof value === "number") {
      content = new Uint8Array(2);
      new DataView(content.buffer).setUint16(0, value, little);
    } else if (typeof value === "string") {
      const text = value.length % 2 ? `${value}${vr === "UI" ? "\0" : " "}` : value;
      content = Uint8Array.from(text, (one) => one.charCodeAt(0));
    } else content = value;
    const bytes = new Uint8Array((long ? 12 : 8) + content.length);
    const view = new DataView(bytes.buffer);
    view.setUint16(0, tag >>> 16, little);
    view.setUint16(2, tag & 0xffff, little);
    bytes.set([vr.charCodeAt(0), vr.charCodeAt(1)], 4);
    if (long) view.setUint32(8, content.length, little);
    else view.setUint16(6, content.length, little);
    bytes.set(content, long ? 12 : 8);
    return bytes;
  });
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  parts.reduce((at, part) => (whole.set(part, at), at + part.length), 0);
  return whole;
}

/** A film of 3 by 2 greys of 16 bits as other tools pack it; `more` are elements beside those that every film has. */
export function packedFilm(
  greys: readonly number[],
  way: "big endian" | "deflated" | "run length",
  more: readonly Entry[] = [],
): Uint8Array {
  const syntax = {
    "big endian": "1.2.840.10008.1.2.2",
    deflated: "1.2.840.10008.1.2.1.99",
    "run length": "1.2.840.10008.1.2.5",
  }[way];
  const little = way !== "big endian";
  const pixels = new Uint8Array(12);
  const view = new DataView(pixels.buffer);
  greys.forEach((grey, at) => view.setUint16(2 * at, grey, little));
  const head = elements(
    [
      [0x00020002, "UI", "1.2.840.10008.5.1.4.1.1.7"],
      [0x00020010, "UI", syntax],
    ],
    true,
  );
  const body = elements(
    [
      ...more.filter(([tag]) => tag < 0x00280002),
      [0x00280002, "US", 1],
      [0x00280004, "CS", "MONOCHROME2"],
      [0x00280010, "US", 2],
      [0x00280011, "US", 3],
      [0x00280100, "US", 16],
      [0x00280103, "US", 0],
    ],
    little,
  );
  const plain = elements([[0x7fe00010, "OW", pixels]], little);
  const rest =
    way === "run length" ? encapsulated(runLength(greys)) : way === "deflated" ? new Uint8Array() : plain;
  const data = way === "deflated" ? deflateSync(joinedBytes(body, plain)) : joinedBytes(body, rest);
  const preamble = new Uint8Array(132);
  preamble.set([0x44, 0x49, 0x43, 0x4d], 128);
  const size = new Uint8Array(4);
  new DataView(size.buffer).setUint32(0, head.length, true);
  return joinedBytes(preamble, elements([[0x00020000, "UL", size]], true), head, data);
}

function joinedBytes(...parts: Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  parts.reduce((at, part) => (whole.set(part, at), at + part.length), 0);
  return whole;
}

/** Two planes, the large bytes as one run each where they are alike, the small ones as they are. */
function runLength(greys: readonly number[]): Uint8Array {
  const plane = (bytes: number[]) =>
    bytes.every((one) => one === bytes[0])
      ? [257 - bytes.length, bytes[0] as number]
      : [bytes.length - 1, ...bytes];
  const [large, small] = [plane(greys.map((grey) => grey >> 8)), plane(greys.map((grey) => grey & 255))];
  const head = new Uint8Array(64);
  const view = new DataView(head.buffer);
  [2, 64, 64 + large.length].forEach((value, at) => view.setUint32(4 * at, value, true));
  const frame = joinedBytes(head, Uint8Array.from(large), Uint8Array.from(small));
  return frame.length % 2 ? joinedBytes(frame, new Uint8Array(1)) : frame;
}

/** Pixel data in pieces: an empty table of offsets, one frame, the end. */
function encapsulated(frame: Uint8Array): Uint8Array {
  const item = (element: number, length: number) => {
    const bytes = new Uint8Array(8);
    const view = new DataView(bytes.buffer);
    view.setUint16(0, 0xfffe, true);
    view.setUint16(2, element, true);
    view.setUint32(4, length, true);
    return bytes;
  };
  const head = elements([[0x7fe00010, "OB", new Uint8Array()]], true);
  new DataView(head.buffer).setUint32(8, 0xffffffff, true);
  return joinedBytes(head, item(0xe000, 0), item(0xe000, frame.length), frame, item(0xe0dd, 0));
}
