import { fail, ok, type Result } from "../result";

export type PictureType = "image/jpeg" | "image/png" | "image/webp";

const text = (bytes: Uint8Array, from: number, to: number): string =>
  String.fromCharCode(...bytes.subarray(from, to));

/** HEIC or AVIF: what some phones keep. It is read where the browser or a library can, and kept as JPEG. */
export type ReadableType = PictureType | "image/heic";

/**
 * What kind of picture a file is, told by its first bytes and not by its name.
 *
 * Errors: `empty`, `foreign` for anything else than a picture that can be read.
 */
export function pictureType(bytes: Uint8Array): Result<ReadableType> {
  if (bytes.length === 0) return fail("empty", "picture", "This file is empty. Choose another one.");
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return ok("image/jpeg");
  if (text(bytes, 1, 4) === "PNG") return ok("image/png");
  if (text(bytes, 0, 4) === "RIFF" && text(bytes, 8, 12) === "WEBP") return ok("image/webp");
  if (text(bytes, 4, 8) === "ftyp" && /^(hei|hev|mif|msf|avi)/.test(text(bytes, 8, 11)))
    return ok("image/heic");
  return fail("foreign", "picture", "This is not a picture that can be read: JPEG, PNG, WebP or HEIC.");
}

/** Longest edge of a kept picture, px: fine enough for a tenth of a millimetre on a foot that fills it. */
export const KEPT_EDGE_PX = 2400;

/** The size in which a picture is kept. */
export function keptSize(width: number, height: number): { width: number; height: number; scale: number } {
  const scale = Math.min(1, KEPT_EDGE_PX / Math.max(width, height));
  return { width: Math.round(width * scale), height: Math.round(height * scale), scale };
}
