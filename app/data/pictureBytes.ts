import type { RecordOf } from "~core/record/tables";

/** A picture as it lies in the store: its bytes as they are; in a file they are text. */
export interface StoredPicture extends Omit<RecordOf<"pictures">, "data"> {
  bytes: Blob;
}

/** Bytes turned into text at once: as many as fit into one call. */
const CHUNK = 0x8000;

/** A picture as it lies in the store, from its row in a file. */
export function storedPicture({ id, type, data }: RecordOf<"pictures">): StoredPicture {
  const text = atob(data);
  const bytes = new Uint8Array(text.length);
  for (let at = 0; at < text.length; at++) bytes[at] = text.charCodeAt(at);
  return { id, type, bytes: new Blob([bytes], { type }) };
}

/** The row of a file, from a picture as it lies in the store. */
export async function pictureRow({ id, type, bytes }: StoredPicture): Promise<RecordOf<"pictures">> {
  const all = new Uint8Array(await bytes.arrayBuffer());
  let text = "";
  for (let at = 0; at < all.length; at += CHUNK) text += String.fromCharCode(...all.subarray(at, at + CHUNK));
  return { id, type, data: btoa(text) };
}
