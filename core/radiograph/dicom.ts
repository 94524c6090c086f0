import dicomParser, { type DataSet } from "dicom-parser";
import { Inflate } from "fflate";
import { isIsoDate } from "../calendar/date";
import { fail, ok, type Result } from "../result";
import { runLengthGreys } from "./packbits";

/** A radiograph out of a DICOM file: grey values row by row, or a JPEG picture, and what the file says of its scale. */
export interface DicomPicture {
  width: number;
  height: number;
  pixels:
    | {
        kind: "grey";
        values: Uint8Array | Uint16Array | Int16Array;
        /** What is black and what is white, in the values' own numbers. */
        low: number;
        high: number;
        /** True where small values are white. */
        inverted: boolean;
      }
    | { kind: "jpeg"; bytes: Uint8Array; /** True where its small values are white. */ inverted: boolean };
  /** Pixel spacing at the detector, or at the foot where the file was calibrated; undefined where it says nothing. */
  spacing?: { mmPerPx: number; at: "foot" | "detector"; magnification: number };
  /** The day it was taken. */
  date?: string;
}

/** No picture larger than this is read, pixels. Assumption, because more than four times a film's own would stop a phone. */
export const MOST_PIXELS = 60_000_000;

const SYNTAX = {
  implicit: "1.2.840.10008.1.2",
  explicit: "1.2.840.10008.1.2.1",
  bigEndian: "1.2.840.10008.1.2.2",
  deflated: "1.2.840.10008.1.2.1.99",
  jpegBaseline: "1.2.840.10008.1.2.4.50",
  runLength: "1.2.840.10008.1.2.5",
} as const;

/** How films are packed that are not read, by the beginning of the transfer syntax. Source: DICOM PS3.6, annex A. */
const PACKED_AS: readonly (readonly [start: string, name: string])[] = [
  ["1.2.840.10008.1.2.4.51", "JPEG with 12 bits"],
  ["1.2.840.10008.1.2.4.57", "lossless JPEG"],
  ["1.2.840.10008.1.2.4.70", "lossless JPEG"],
  ["1.2.840.10008.1.2.4.80", "JPEG-LS"],
  ["1.2.840.10008.1.2.4.81", "JPEG-LS"],
  ["1.2.840.10008.1.2.4.9", "JPEG 2000"],
  ["1.2.840.10008.1.2.4.20", "JPEG 2000"],
  ["1.2.840.10008.1.2.4.10", "a film of moving pictures"],
];
const packedAs = (syntax: string): string =>
  PACKED_AS.find(([start]) => syntax.startsWith(start))?.[1] ?? `the transfer syntax ${syntax}`;

/** Most bytes that a deflated file unpacks to: the picture's own, and its heading. */
const MOST_INFLATED = 2 * MOST_PIXELS + 10_000_000;

/** A deflated file from a place on, unpacked behind what stands before it. */
function inflater(bytes: Uint8Array, from: number): Uint8Array {
  const parts: Uint8Array[] = [bytes.slice(0, from)];
  let length = from;
  const inflate = new Inflate((part) => {
    length += part.length;
    if (length > MOST_INFLATED) throw new Error("it unpacks to too much");
    parts.push(part);
  });
  inflate.push(bytes.subarray(from), true);
  const whole = new Uint8Array(length);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** Where a DICOM file says what it is. */
export const isDicom = (bytes: Uint8Array): boolean =>
  bytes.length > 132 && String.fromCharCode(...bytes.subarray(128, 132)) === "DICM";

const refuse = (code: string, message: string) => fail(code, "picture", message);

/**
 * Reads one radiograph: one frame, uncompressed (in either order of bytes, or deflated), run-length coded or baseline JPEG. Names and numbers of owner and animal in the file are
 * not read. What is anything else is refused in words and nothing is taken.
 *
 * Errors: `foreign` for what is no DICOM file or cut off, `compressed` for another transfer syntax, `frames` for more than
 * one picture, `colour` for pixels that are no greys, `too-large`, `damaged` for pixel data that does not fit its size.
 */
export function readDicom(bytes: Uint8Array): Result<DicomPicture> {
  if (!isDicom(bytes)) return refuse("foreign", "This is not a DICOM file: it lacks its heading.");
  let data: DataSet;
  try {
    data = dicomParser.parseDicom(bytes, { inflater });
  } catch {
    return refuse(
      "foreign",
      "This DICOM file is damaged, cut off, or packed in a way that is not read. Export it again, uncompressed.",
    );
  }
  const syntax = data.string("x00020010") ?? SYNTAX.implicit;
  if (!Object.values(SYNTAX).includes(syntax as (typeof SYNTAX)[keyof typeof SYNTAX]))
    return refuse(
      "compressed",
      `This DICOM file is compressed: ${packedAs(syntax)} is not read. Export it uncompressed, or as baseline JPEG.`,
    );
  const frames = Number(data.string("x00280008") ?? "1");
  if (frames > 1)
    return refuse(
      "frames",
      `This DICOM file holds ${frames} pictures. Export the one that is to be measured.`,
    );
  const [width, height] = [data.uint16("x00280011") ?? 0, data.uint16("x00280010") ?? 0];
  const element = data.elements["x7fe00010"];
  if (width < 1 || height < 1 || !element) return refuse("damaged", "This DICOM file holds no picture.");
  if (width * height > MOST_PIXELS) return tooManyPixels(width, height);
  const scale = spacingOf(data);
  if (!scale.ok) return scale;
  const date = dateOf(data.string("x00080022")) ?? dateOf(data.string("x00080020"));
  const facts = {
    width,
    height,
    ...(scale.value && { spacing: scale.value }),
    ...(date !== undefined && { date }),
  };
  const photometric = (data.string("x00280004") ?? "MONOCHROME2").trim();
  const inverted = photometric === "MONOCHROME1";
  if (syntax === SYNTAX.jpegBaseline) {
    const bytes = frameOf(data);
    return bytes
      ? ok({ ...facts, pixels: { kind: "jpeg", bytes, inverted } })
      : refuse("damaged", "The picture in this DICOM file is damaged.");
  }
  if ((data.uint16("x00280002") ?? 1) !== 1 || !photometric.startsWith("MONOCHROME"))
    return refuse(
      "colour",
      `This DICOM file is in colour (${photometric}); a radiograph is grey. Export it again.`,
    );
  const raw = rawOf(data, element, syntax, width * height);
  const greys = raw && greysOf(data, raw);
  if (!greys)
    return refuse("damaged", "The picture in this DICOM file does not fit its size: it is cut off.");
  return ok({ ...facts, pixels: { kind: "grey", ...greys, inverted } });
}

export const tooManyPixels = (width: number, height: number): Result<never> =>
  refuse(
    "too-large",
    `This picture has ${Math.round((width * height) / 1e6)} megapixels (${width} by ${height}); up to ${MOST_PIXELS / 1e6} are read. Export it smaller.`,
  );

const dateOf = (text: string | undefined): string | undefined => {
  const date = text?.trim().replace(/^(\d{4})(\d{2})(\d{2})$/, "$1-$2-$3");
  return date !== undefined && isIsoDate(date) ? date : undefined;
};

/** Rows and columns further apart than this part of one another are no square pixels. */
const SQUARE_PART = 0.005;

function spacingOf(data: DataSet): Result<DicomPicture["spacing"] | undefined> {
  const read = (tag: string) => {
    const numbers = (data.string(tag) ?? "").split("\\").map(Number);
    const [row, column] = numbers;
    return row !== undefined && column !== undefined && row > 0 && column > 0
      ? ([row, column] as const)
      : undefined;
  };
  const detector = read("x00181164");
  const own = read("x00280030");
  const found = own ?? detector;
  if (!found) return ok(undefined);
  const [row, column] = found;
  if (Math.abs(row - column) > SQUARE_PART * row)
    return refuse("pixels", "The pixels of this film are not square. Export it with square pixels.");
  const number = (tag: string) => Number(data.string(tag) || Number.NaN);
  // Said outright, else by how far source and detector, source and foot are apart.
  const factor = [number("x00181114"), number("x00181110") / number("x00181111")].find(
    (one) => one >= 1 && one < 3,
  );
  const magnification = factor ?? 1;
  // A file that was calibrated holds a spacing of its own, smaller than the detector's.
  const calibrated = own !== undefined && detector !== undefined && own[0] < detector[0] * (1 - SQUARE_PART);
  return ok({
    mmPerPx: calibrated ? own[0] : (detector ?? own ?? [0])[0],
    at: calibrated ? "foot" : "detector",
    magnification: calibrated ? 1 : magnification,
  });
}

/** The one frame of a picture that is kept in pieces. */
function frameOf(data: DataSet): Uint8Array | undefined {
  const element = data.elements["x7fe00010"];
  const fragments = element?.fragments;
  if (!element || !fragments || fragments.length === 0) return undefined;
  try {
    return fragments.length === 1 || !element.basicOffsetTable?.length
      ? dicomParser.readEncapsulatedPixelDataFromFragments(data, element, 0, fragments.length)
      : dicomParser.readEncapsulatedImageFrame(data, element, 0);
  } catch {
    return undefined;
  }
}

/** Darkest and lightest parts of a film that are left out where the file names no window: text and collimation. */
const OUTER_PART = 0.005;

const bytesPerPixel = (data: DataSet): number => (data.uint16("x00280100") ?? 16) / 8;

/** The bytes of all pixels, the small one of two first; undefined where there are too few of them. */
function rawOf(
  data: DataSet,
  element: NonNullable<DataSet["elements"][string]>,
  syntax: string,
  count: number,
): ArrayBuffer | undefined {
  const bytes = bytesPerPixel(data);
  if (bytes !== 1 && bytes !== 2) return undefined;
  if (syntax === SYNTAX.runLength) {
    const frame = frameOf(data);
    return frame && (runLengthGreys(frame, count, bytes)?.buffer as ArrayBuffer | undefined);
  }
  if (element.length < count * bytes) return undefined;
  const from = data.byteArray.byteOffset + element.dataOffset;
  // A copy, because two-byte values must begin at an even place.
  const raw = data.byteArray.buffer.slice(from, from + count * bytes) as ArrayBuffer;
  if (bytes === 2 && syntax === SYNTAX.bigEndian) {
    const view = new DataView(raw);
    for (let at = 0; at < raw.byteLength; at += 2) view.setUint16(at, view.getUint16(at, false), true);
  }
  return raw;
}

function greysOf(data: DataSet, raw: ArrayBuffer) {
  const signed = (data.uint16("x00280103") ?? 0) === 1;
  const values =
    bytesPerPixel(data) === 1 ? new Uint8Array(raw) : signed ? new Int16Array(raw) : new Uint16Array(raw);
  const slope = Number(data.string("x00281053") ?? "1") || 1;
  const intercept = Number(data.string("x00281052") ?? "0") || 0;
  const [centre, wide] = ["x00281050", "x00281051"].map((tag) =>
    Number((data.string(tag) ?? "").split("\\")[0]),
  );
  if (
    centre !== undefined &&
    wide !== undefined &&
    wide > 1 &&
    Number.isFinite(centre) &&
    data.string("x00281050")
  ) {
    const back = (value: number) => (value - intercept) / slope;
    const [a, b] = [back(centre - wide / 2), back(centre + wide / 2)];
    return { values, low: Math.min(a, b), high: Math.max(a, b) };
  }
  return { values, ...widestWindow(values) };
}

/** The greys between which nearly all of a film lies. */
function widestWindow(values: Uint8Array | Uint16Array | Int16Array): { low: number; high: number } {
  const counts = new Uint32Array(65_536);
  const least = values instanceof Int16Array ? -32_768 : 0;
  for (const value of values) counts[value - least] = (counts[value - least] as number) + 1;
  const quantile = (part: number) => {
    let seen = 0;
    for (let at = 0; at < counts.length; at++) {
      seen += counts[at] ?? 0;
      if (seen > part * values.length) return at + least;
    }
    return 65_535 + least;
  };
  const low = quantile(OUTER_PART);
  const high = quantile(1 - OUTER_PART);
  return high > low ? { low, high } : { low, high: low + 1 };
}

/** Grey values as a picture's pixels, RGBA, darkest 0 to lightest 255, film as it is looked at: bone white. */
export function greyPixels({ width, height, pixels }: DicomPicture): Uint8ClampedArray<ArrayBuffer> {
  const rgba = new Uint8ClampedArray(width * height * 4);
  if (pixels.kind !== "grey") return rgba;
  const { values, low, high, inverted } = pixels;
  const part = 255 / (high - low);
  for (let at = 0; at < values.length; at++) {
    const grey = ((values[at] ?? 0) - low) * part;
    const shown = inverted ? 255 - grey : grey;
    rgba[4 * at] = shown;
    rgba[4 * at + 1] = shown;
    rgba[4 * at + 2] = shown;
    rgba[4 * at + 3] = 255;
  }
  return rgba;
}
