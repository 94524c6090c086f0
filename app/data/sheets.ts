import type { SheetPicture, SheetPictures } from "~core/sheet/sheet";
import { withPicturesWorker } from "../workers/pictures";
import { pictureOf } from "./loosePictures";

/** Longest edge of a picture in a sheet, px: clear on paper at a quarter of its width, small enough to be mailed. */
const SHEET_EDGE_PX = 1100;

/** The pictures of a sheet, made small in a worker; one that is not in the store is missing. */
export async function sheetPictures(ids: readonly string[]): Promise<SheetPictures> {
  const found = await Promise.all([...new Set(ids)].map(pictureOf));
  return withPicturesWorker(async (remote) => {
    const made = new Map<string, SheetPicture>();
    for (const picture of found) {
      const small = picture && (await remote.shrink(picture.bytes, SHEET_EDGE_PX));
      if (picture && small) made.set(picture.id, small as SheetPicture);
    }
    return made;
  });
}
