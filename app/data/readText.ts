import { fail, ok, type Result } from "~core/result";

/** No table, card, calendar or answer is larger than this, bytes: it would only stop the page. */
const MOST_TEXT_BYTES = 10_000_000;

/** What a file's first bytes say of its letters. */
const MARKS: readonly (readonly [bytes: readonly number[], charset: string])[] = [
  [[0xff, 0xfe], "utf-16le"],
  [[0xfe, 0xff], "utf-16be"],
];

/** Bytes as text: by their mark, else as UTF-8, and where they are none in the letters of older western systems. */
function decoded(bytes: Uint8Array): string {
  const mark = MARKS.find(([start]) => start.every((byte, at) => bytes[at] === byte));
  if (mark) return new TextDecoder(mark[1]).decode(bytes);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}

/** The text of a file that somebody chose. Errors: `too-large`, before any of it is read. */
export const readText = async (file: Blob): Promise<Result<string>> =>
  file.size <= MOST_TEXT_BYTES
    ? ok(decoded(new Uint8Array(await file.arrayBuffer())))
    : fail(
        "too-large",
        "",
        `This file has ${Math.round(file.size / 1e6)} MB; up to ${MOST_TEXT_BYTES / 1e6} are read. Is it the right one?`,
      );
