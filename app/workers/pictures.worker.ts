import { expose, transfer } from "comlink";
import exifr from "exifr";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { findCard, type FoundCard } from "~core/photo/findCard";
import type { Corners } from "~core/photo/corners";
import { greyOf } from "~core/photo/grey";
import { judgeFrame, type LiveFrame } from "~core/photo/liveFrame";
import { keptSize, pictureType, type PictureType } from "~core/photo/pictureFile";
import type { MarkedPhoto } from "~core/photo/truePhoto";
import type { MeasuredView } from "~core/photo/views";
import { fail, ok, type Result } from "~core/result";
import { focalPixels, type Shot } from "~core/simulator/camera";
import type { Conditions } from "~core/simulator/conditions";
import { suggestMarks, type Suggested, type SuggestQuestion } from "~core/suggest/suggest";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";

/** A picture ready to be kept: turned upright, no larger than needed. */
export interface ReadyPicture {
  /** The bytes, as they are kept. */
  bytes: Blob;
  type: PictureType;
  width: number;
  height: number;
  /** Focal length in pixels of the kept picture, where the file's own data tells it. */
  focalPx?: number;
}

const QUALITY = 0.88;
/** A picture larger than this is not opened: it would fill the memory of a phone. */
const MOST_BYTES = 60_000_000;
/** Narrower than this, as it would be kept, a picture shows no foot. */
const LEAST_EDGE_PX = 100;
/** A picture's own data stands at its beginning. */
const HEAD_BYTES = 131_072;
async function prepare(file: Blob): Promise<Result<ReadyPicture>> {
  if (file.size > MOST_BYTES)
    return fail(
      "too-large",
      "picture",
      `This picture has ${Math.round(file.size / 1e6)} MB; up to ${MOST_BYTES / 1e6} are read.`,
    );
  const kind = pictureType(new Uint8Array(await file.slice(0, 16).arrayBuffer()));
  if (!kind.ok) return kind;
  const focal = focalOf(file);
  const bitmap = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() =>
    kind.value === "image/heic" ? heicBitmap(file) : undefined,
  );
  if (!bitmap)
    return kind.value === "image/heic"
      ? fail(
          "heic",
          "picture",
          "This picture is in a phone’s own format (HEIC) and could not be read here. In the phone’s camera settings choose “most compatible”, or share it as JPEG.",
        )
      : fail("damaged", "picture", "This picture is damaged or cut off. Take or choose another one.");
  const size = keptSize(bitmap.width, bitmap.height);
  if (Math.min(size.width, size.height) < LEAST_EDGE_PX) {
    const said = `${bitmap.width} by ${bitmap.height}`;
    bitmap.close();
    return fail(
      "sliver",
      "picture",
      `This picture is ${said} pixels: too narrow to show a foot. Take or choose another one.`,
    );
  }
  const canvas = new OffscreenCanvas(size.width, size.height);
  const context = canvas.getContext("2d");
  if (!context) return fail("no-canvas", "picture", "This browser cannot scale pictures.");
  context.drawImage(bitmap, 0, 0, size.width, size.height);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
  const focal35 = await focal;
  const ready: ReadyPicture = {
    bytes: blob,
    type: "image/jpeg",
    width: size.width,
    height: size.height,
    ...(focal35 !== undefined && { focalPx: focalPixels(focal35, size.width, size.height) }),
  };
  return ok(ready);
}

/** A picture in a phone's own format, decoded by a library that is fetched when it is first wanted. */
async function heicBitmap(file: Blob): Promise<ImageBitmap | undefined> {
  try {
    const { default: load } = await import("libheif-js/libheif-wasm/libheif-bundle.mjs");
    const heif = load();
    const [image] = new heif.HeifDecoder().decode(new Uint8Array(await file.arrayBuffer()));
    if (!image) return undefined;
    const pixels = new ImageData(image.get_width(), image.get_height());
    const shown = await new Promise<boolean>((done) => image.display(pixels, (made) => done(made !== null)));
    return shown ? await createImageBitmap(pixels) : undefined;
  } catch {
    return undefined;
  }
}

/** 35 mm equivalent focal length from the picture's own data; pictures without any are common. */
async function focalOf(file: Blob): Promise<number | undefined> {
  try {
    const head = await file.slice(0, HEAD_BYTES).arrayBuffer();
    const found = (await exifr.parse(head, ["FocalLengthIn35mmFormat"])) as
      { FocalLengthIn35mmFormat?: unknown } | undefined;
    const focal = found?.FocalLengthIn35mmFormat;
    return typeof focal === "number" && focal > 0 ? focal : undefined;
  } catch {
    return undefined;
  }
}

/** A simulated photograph as a file, with the marks and corners as they truly lie in it. */
async function simulate(
  foot: FootParameters,
  view: MeasuredView,
  shot: Shot,
  seed: number,
  conditions?: Partial<Conditions>,
): Promise<{ bytes: ArrayBuffer; truth: MarkedPhoto }> {
  const scene = sceneOf(foot, view);
  const camera = aimAt(scene, shot);
  const pixels = renderScene(scene, camera, seed, conditions);
  const canvas = new OffscreenCanvas(camera.width, camera.height);
  const context = canvas.getContext("2d");
  if (!context) throw new Error("no canvas");
  context.putImageData(new ImageData(pixels as Uint8ClampedArray<ArrayBuffer>, camera.width), 0, 0);
  const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
  const bytes = await blob.arrayBuffer();
  return transfer({ bytes, truth: truthInPicture(scene, camera, true) }, [bytes]);
}

/** A kept picture made small enough for a sheet, as JPEG. */
async function shrink(
  picture: Blob,
  edgePx: number,
): Promise<{ bytes: Uint8Array<ArrayBuffer>; width: number; height: number } | undefined> {
  const bitmap = await createImageBitmap(picture).catch(() => undefined);
  if (!bitmap) return undefined;
  const scale = Math.min(1, edgePx / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")?.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return transfer({ bytes, width, height }, [bytes.buffer]);
}

/** The pixels of a kept picture. Errors: `damaged`, `no-canvas`. */
async function pixelsOf(picture: Blob): Promise<Result<ImageData>> {
  const bitmap = await createImageBitmap(picture).catch(() => undefined);
  if (!bitmap) return fail("damaged", "picture", "This picture cannot be read by the browser.");
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true });
  if (!context) return fail("no-canvas", "picture", "This browser cannot look into pictures.");
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return ok(context.getImageData(0, 0, width, height));
}

/** The printed card in a kept picture, in its pixels. */
async function cardIn(picture: Blob): Promise<Result<FoundCard>> {
  const pixels = await pixelsOf(picture);
  if (!pixels.ok) return pixels;
  const { data, width, height } = pixels.value;
  return findCard(greyOf(data, width, height));
}

/** Longest edge of a live frame that is looked into, px: as fine as a tenth of a second allows. */
const LIVE_EDGE_PX = 960;

/** A live frame judged by the card in it; its corners are parts of the frame's width and height. */
function frameIn(frame: ImageBitmap, zoom: number): LiveFrame | undefined {
  const scale = Math.min(1, LIVE_EDGE_PX / Math.max(frame.width, frame.height));
  const [width, height] = [Math.round(frame.width * scale), Math.round(frame.height * scale)];
  const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true });
  context?.drawImage(frame, 0, 0, width, height);
  frame.close();
  if (!context) return undefined;
  const grey = greyOf(context.getImageData(0, 0, width, height).data, width, height);
  const judged = judgeFrame(grey, findCard(grey), zoom);
  if (!judged.corners) return judged;
  const corners = judged.corners.map(([x, y]) => [x / width, y / height]) as unknown as Corners;
  return { ...judged, corners };
}

/** The picture that was looked into last: marks are suggested in the same one again and again. */
let lookedInto: { key: string; pixels: Result<ImageData> } | undefined;

/** Marks suggested in a kept picture. Errors: those of the picture and of `suggestMarks`. */
async function suggestIn(
  key: string,
  picture: Blob,
  question: Omit<SuggestQuestion, "picture">,
): Promise<Result<Suggested>> {
  if (lookedInto?.key !== key) lookedInto = { key, pixels: await pixelsOf(picture) };
  const { pixels } = lookedInto;
  if (!pixels.ok) return pixels;
  const { data, width, height } = pixels.value;
  return suggestMarks({ ...question, picture: { rgba: data, width, height } });
}

const picturesWorker = { prepare, simulate, shrink, cardIn, suggestIn, frameIn };
export type PicturesWorker = typeof picturesWorker;

expose(picturesWorker);
