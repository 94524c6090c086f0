/** A grey picture to be written as DICOM: 16-bit values row by row, as dark to light as they are looked at. */
export interface GreyFilm {
  width: number;
  height: number;
  values: Uint16Array;
  /** Pixel spacing at the detector, mm. */
  mmPerPx: number;
  /** How much the beam enlarged, 1 for none. */
  magnification?: number;
  /** The day, YYYY-MM-DD. */
  date: string;
  /** Said in the file, so that nobody takes it for a real one. */
  description: string;
  bits?: 8 | 16;
}

type Entry = readonly [group: number, element: number, vr: string, value: string | number | Uint8Array];

/** Kinds of value with a four-byte length. */
const LONG = ["OB", "OW"];
const EXPLICIT_LITTLE_ENDIAN = "1.2.840.10008.1.2.1";
const SECONDARY_CAPTURE = "1.2.840.10008.5.1.4.1.1.7";
/** A root for made-up files that asks nobody. Source: ITU-T X.667, UIDs from a UUID, under 2.25. */
const UID_ROOT = "2.25.";

/**
 * Writes a picture as a DICOM file: secondary capture, explicit little endian, one frame, no person's or animal's name.
 * `uid` is a number of up to 38 digits that is this file's own.
 */
export function writeDicom(film: GreyFilm, uid: string): Uint8Array<ArrayBuffer> {
  const { width, height, values, mmPerPx, magnification = 1, date, description, bits = 16 } = film;
  const own = `${UID_ROOT}${uid}`;
  const day = date.replaceAll("-", "");
  const pixels =
    bits === 8
      ? Uint8Array.from(values, (value) => value >> 8)
      : new Uint8Array(values.buffer, values.byteOffset, values.byteLength);
  const spacing = `${mmPerPx.toFixed(6)}\\${mmPerPx.toFixed(6)}`;
  const meta: Entry[] = [
    [0x0002, 0x0001, "OB", Uint8Array.of(0, 1)],
    [0x0002, 0x0002, "UI", SECONDARY_CAPTURE],
    [0x0002, 0x0003, "UI", own],
    [0x0002, 0x0010, "UI", EXPLICIT_LITTLE_ENDIAN],
    [0x0002, 0x0012, "UI", `${UID_ROOT}1`],
  ];
  const body: Entry[] = [
    [0x0008, 0x0016, "UI", SECONDARY_CAPTURE],
    [0x0008, 0x0018, "UI", own],
    [0x0008, 0x0020, "DA", day],
    [0x0008, 0x0022, "DA", day],
    [0x0008, 0x0060, "CS", "OT"],
    [0x0008, 0x103e, "LO", description],
    [0x0010, 0x0010, "PN", ""],
    [0x0010, 0x0020, "LO", ""],
    [0x0018, 0x1114, "DS", String(magnification)],
    [0x0018, 0x1164, "DS", spacing],
    [0x0020, 0x000d, "UI", `${own}.1`],
    [0x0020, 0x000e, "UI", `${own}.2`],
    [0x0028, 0x0002, "US", 1],
    [0x0028, 0x0004, "CS", "MONOCHROME2"],
    [0x0028, 0x0010, "US", height],
    [0x0028, 0x0011, "US", width],
    [0x0028, 0x0100, "US", bits],
    [0x0028, 0x0101, "US", bits],
    [0x0028, 0x0102, "US", bits - 1],
    [0x0028, 0x0103, "US", 0],
    [0x7fe0, 0x0010, bits === 8 ? "OB" : "OW", pixels],
  ];
  const head = meta.map(elementBytes);
  const length = head.reduce((sum, { length }) => sum + length, 0);
  const size = new Uint8Array(4);
  new DataView(size.buffer).setUint32(0, length, true);
  const preamble = new Uint8Array(132);
  preamble.set([0x44, 0x49, 0x43, 0x4d], 128);
  const parts = [
    preamble,
    elementBytes([0x0002, 0x0000, "UL", size as unknown as Uint8Array]),
    ...head,
    ...body.map(elementBytes),
  ];
  const file = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    file.set(part, at);
    at += part.length;
  }
  return file;
}

function elementBytes([group, element, vr, value]: Entry): Uint8Array {
  const content = valueBytes(vr, value);
  const head = LONG.includes(vr) ? 12 : 8;
  const bytes = new Uint8Array(head + content.length);
  const view = new DataView(bytes.buffer);
  view.setUint16(0, group, true);
  view.setUint16(2, element, true);
  bytes[4] = vr.charCodeAt(0);
  bytes[5] = vr.charCodeAt(1);
  if (LONG.includes(vr)) view.setUint32(8, content.length, true);
  else view.setUint16(6, content.length, true);
  bytes.set(content, head);
  return bytes;
}

/** A value's bytes, made even as the standard wants: a zero after a UID or bytes, a space after text. */
function valueBytes(vr: string, value: Entry[3]): Uint8Array {
  if (typeof value === "number") {
    const bytes = new Uint8Array(2);
    new DataView(bytes.buffer).setUint16(0, value, true);
    return bytes;
  }
  const raw = typeof value === "string" ? Uint8Array.from(value, (one) => one.charCodeAt(0) & 0x7f) : value;
  if (raw.length % 2 === 0) return raw;
  const padded = new Uint8Array(raw.length + 1);
  padded.set(raw);
  if (typeof value === "string" && vr !== "UI") padded[raw.length] = 0x20;
  return padded;
}
