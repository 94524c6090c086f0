import { MOST_BACKUP_BYTES, tooLarge } from "~core/record/backup";
import { fail, ok, type Result } from "~core/result";

export const PACKED_TYPE = "application/gzip";

/** A text packed with gzip (RFC 1952), piece by piece. */
export async function packed(parts: readonly string[]): Promise<Blob> {
  const [encoder, rest] = [new TextEncoder(), parts.values()];
  const text = new ReadableStream<Uint8Array<ArrayBuffer>>({
    pull: (controller) => {
      const { value, done } = rest.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
  });
  const bytes = await new Response(text.pipeThrough(new CompressionStream("gzip"))).blob();
  return new Blob([bytes], { type: PACKED_TYPE });
}

/** True for a file that begins as gzip does. */
async function isPacked(file: Blob): Promise<boolean> {
  const [first, second] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return first === 0x1f && second === 0x8b;
}

/** A file's text, unpacked where it is packed. Errors: `too-large`, also for one that unpacks to too much; `damaged`. */
export async function textOf(file: Blob): Promise<Result<string>> {
  const large = tooLarge(file.size);
  if (large) return large;
  if (!(await isPacked(file))) return ok(await file.text());
  const reader = file.stream().pipeThrough(new DecompressionStream("gzip")).getReader();
  const decoder = new TextDecoder();
  const parts: string[] = [];
  try {
    for (let bytes = 0; ;) {
      const { value, done } = await reader.read();
      if (done) return ok(`${parts.join("")}${decoder.decode()}`);
      bytes += value.byteLength;
      if (bytes > MOST_BACKUP_BYTES) {
        void reader.cancel();
        return tooLarge(bytes) as Result<never>;
      }
      parts.push(decoder.decode(value, { stream: true }));
    }
  } catch {
    return fail("damaged", "", "The packed file breaks off or is damaged. Nothing was changed.");
  }
}
