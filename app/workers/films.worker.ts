import { expose } from "comlink";
import { imageSize } from "image-size";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { keptSize, pictureType } from "~core/photo/pictureFile";
import {
  greyPixels,
  isDicom,
  MOST_PIXELS,
  readDicom,
  tooManyPixels,
  type DicomPicture,
} from "~core/radiograph/dicom";
import { drawFilm } from "~core/radiograph/drawFilm";
import type { FilmView } from "~core/radiograph/filmMarks";
import { filmTruth, shotOf } from "~core/radiograph/filmShot";
import { filmScene, type Inside } from "~core/radiograph/standInFilm";
import { fail, ok, type Result } from "~core/result";

/** A film ready to be kept: its picture no larger than needed, and what the file says of its scale and day. */
export interface ReadyFilm {
  bytes: Blob;
  width: number;
  height: number;
  /** Mm to a pixel of the kept picture. */
  spacing?: DicomPicture["spacing"];
  date?: string;
}

/** Greys are kept finer than those of a photograph: bone and sole differ by little. */
const QUALITY = 0.95;
/** The heading of a picture in which its size stands. */
const HEAD_BYTES = 1_048_576;
const LARGEST_FILE = 250_000_000;

async function prepare(file: Blob): Promise<Result<ReadyFilm>> {
  if (file.size > LARGEST_FILE)
    return fail(
      "too-large",
      "picture",
      `This file has ${Math.round(file.size / 1e6)} MB; up to ${LARGEST_FILE / 1e6} are read.`,
    );
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (isDicom(head)) return prepareDicom(new Uint8Array(await file.arrayBuffer()));
  const kind = pictureType(head);
  if (!kind.ok)
    return kind.issues[0]?.code === "foreign"
      ? fail("foreign", "picture", "This is no radiograph that can be read: DICOM, PNG or JPEG.")
      : kind;
  const large = sizeTrouble(head);
  return large ?? kept(await bitmapOf(file), {});
}

/** Says so where the picture's own heading tells more pixels than are read, before any of it is unpacked. */
function sizeTrouble(head: Uint8Array): Result<never> | undefined {
  try {
    const { width, height } = imageSize(head);
    return width * height > MOST_PIXELS ? tooManyPixels(width, height) : undefined;
  } catch {
    return undefined;
  }
}

async function prepareDicom(bytes: Uint8Array): Promise<Result<ReadyFilm>> {
  const read = readDicom(bytes);
  if (!read.ok) return read;
  const { width, height, pixels, spacing, date } = read.value;
  const facts = { ...(spacing && { spacing }), ...(date !== undefined && { date }) };
  if (pixels.kind === "jpeg")
    return kept(await bitmapOf(new Blob([pixels.bytes as Uint8Array<ArrayBuffer>])), facts, pixels.inverted);
  return kept(await createImageBitmap(new ImageData(greyPixels(read.value), width, height)), facts);
}

const bitmapOf = (file: Blob): Promise<ImageBitmap | undefined> =>
  createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => undefined);

async function kept(
  bitmap: ImageBitmap | undefined,
  facts: Pick<ReadyFilm, "spacing" | "date">,
  inverted = false,
): Promise<Result<ReadyFilm>> {
  if (!bitmap) return fail("damaged", "picture", "This picture is damaged or cut off. Export it again.");
  const { width, height, scale } = keptSize(bitmap.width, bitmap.height);
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d");
  if (!context) return fail("no-canvas", "picture", "This browser cannot scale pictures.");
  context.imageSmoothingQuality = "high";
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  if (inverted) {
    // White less what is there.
    context.globalCompositeOperation = "difference";
    context.fillStyle = "white";
    context.fillRect(0, 0, width, height);
  }
  const { spacing } = facts;
  return ok({
    bytes: await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY }),
    width,
    height,
    ...facts,
    ...(spacing && { spacing: { ...spacing, mmPerPx: spacing.mmPerPx / scale } }),
  });
}

/** A stand-in of a made-up foot, with its true marks and the length of its marker. */
async function standIn(foot: FootParameters, inside: Inside, view: FilmView, seed: number) {
  const scene = filmScene(foot, inside, view);
  const shot = shotOf(foot, { turnDeg: 1.5, mmPerPx: 0.2 });
  const drawn = drawFilm(scene, shot, seed);
  const picture: DicomPicture = {
    ...drawn,
    pixels: { kind: "grey", values: drawn.values, low: 0, high: 65_535, inverted: false },
  };
  const ready = await kept(
    await createImageBitmap(new ImageData(greyPixels(picture), drawn.width, drawn.height)),
    {},
  );
  return { ready, truth: filmTruth(scene, shot), markerMm: scene.markerMm };
}

const filmsWorker = { prepare, standIn };
export type FilmsWorker = typeof filmsWorker;

expose(filmsWorker);
