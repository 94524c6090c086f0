import { fail, ok, type Result } from "~core/result";

/** No table, card, calendar or answer is larger than this, bytes: it would only stop the page. */
const MOST_TEXT_BYTES = 10_000_000;

/** The text of a file that somebody chose. Errors: `too-large`, before any of it is read. */
export const readText = async (file: Blob): Promise<Result<string>> =>
  file.size <= MOST_TEXT_BYTES
    ? ok(await file.text())
    : fail(
        "too-large",
        "",
        `This file has ${Math.round(file.size / 1e6)} MB; up to ${MOST_TEXT_BYTES / 1e6} are read. Is it the right one?`,
      );
