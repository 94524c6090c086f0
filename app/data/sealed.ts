import { z } from "zod";
import { MOST_BACKUP_BYTES, tooLarge } from "~core/record/backup";
import { fail, ok, type Result } from "~core/result";

/**
 * A backup behind a passphrase: one line of JSON that says how, then the bytes. Gzip, then AES-256 in Galois/Counter mode
 * under a key from PBKDF2 with SHA-256; the line itself is authenticated with them. Source: NIST SP 800-38D, RFC 8018; the
 * cost is what the OWASP Password Storage Cheat Sheet asks for (2023).
 */
const FORMAT = "plumbline-sealed";
const ITERATIONS = 600_000;
/** A file that asks for more work than this is not opened: it would only stop the page. */
const MOST_ITERATIONS = 10_000_000;
/** The first line is never longer. */
const HEAD_BYTES = 2000;
const START = `{"format":"${FORMAT}"`;

export const LEAST_LETTERS = 10;

const headSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  key: z.strictObject({
    name: z.literal("PBKDF2"),
    hash: z.literal("SHA-256"),
    iterations: z.int().min(1).max(MOST_ITERATIONS),
    salt: z.base64(),
  }),
  cipher: z.strictObject({ name: z.literal("AES-GCM"), iv: z.base64() }),
  packed: z.literal("gzip"),
});
type Head = z.infer<typeof headSchema>;

const text = (bytes: Uint8Array): string => btoa(String.fromCharCode(...bytes));
const bytesOf = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (one) => one.charCodeAt(0));

async function keyOf(passphrase: string, { key }: Head): Promise<CryptoKey> {
  // Letters with accents are the same letters whichever keyboard wrote them.
  const secret = new TextEncoder().encode(passphrase.normalize("NFKC"));
  const given = await crypto.subtle.importKey("raw", secret, "PBKDF2", false, ["deriveKey"]);
  return crypto.subtle.deriveKey(
    { name: key.name, hash: key.hash, iterations: key.iterations, salt: bytesOf(key.salt) },
    given,
    { name: "AES-GCM", length: 256 },
    false,
    ["encrypt", "decrypt"],
  );
}

/** Shuts a file: without the passphrase nobody opens it again, its owner neither. */
export async function seal(file: Blob, passphrase: string): Promise<Blob> {
  const head: Head = {
    format: FORMAT,
    version: 1,
    key: {
      name: "PBKDF2",
      hash: "SHA-256",
      iterations: ITERATIONS,
      salt: text(crypto.getRandomValues(new Uint8Array(16))),
    },
    cipher: { name: "AES-GCM", iv: text(crypto.getRandomValues(new Uint8Array(12))) },
    packed: "gzip",
  };
  const line = new TextEncoder().encode(`${JSON.stringify(head)}\n`);
  const packed = await new Response(file.stream().pipeThrough(new CompressionStream("gzip"))).arrayBuffer();
  const shut = await crypto.subtle.encrypt(
    { name: "AES-GCM", iv: bytesOf(head.cipher.iv), additionalData: line },
    await keyOf(passphrase, head),
    packed,
  );
  return new Blob([line, shut], { type: "application/octet-stream" });
}

/** True for a file that begins as a sealed one. */
export const isSealed = async (file: Blob): Promise<boolean> =>
  (await file.slice(0, START.length).text()) === START;

/** Opens a sealed file. Errors: `damaged`, `passphrase` where it does not fit, `too-large`. */
export async function unseal(file: Blob, passphrase: string): Promise<Result<string>> {
  const damaged = fail("damaged", "", "This sealed file is damaged or cut off. Nothing was changed.");
  const start = await file.slice(0, HEAD_BYTES).text();
  const end = start.indexOf("\n");
  const head = headSchema.safeParse(jsonOf(start.slice(0, Math.max(end, 0))));
  if (!head.success) return damaged;
  const line = new TextEncoder().encode(start.slice(0, end + 1));
  const { cipher } = head.data;
  let packed: ArrayBuffer;
  try {
    packed = await crypto.subtle.decrypt(
      { name: "AES-GCM", iv: bytesOf(cipher.iv), additionalData: line },
      await keyOf(passphrase, head.data),
      await file.slice(line.length).arrayBuffer(),
    );
  } catch {
    return fail("passphrase", "", "This passphrase does not open the file, or the file was changed.");
  }
  return unpack(packed).catch(() => damaged);
}

/** The text in a packed file, as long as it is no longer than a backup may be. */
async function unpack(packed: ArrayBuffer): Promise<Result<string>> {
  const reader = new Blob([packed])
    .stream()
    .pipeThrough(new DecompressionStream("gzip"))
    .getReader() as ReadableStreamDefaultReader<Uint8Array>;
  const decoder = new TextDecoder();
  const parts: string[] = [];
  for (let size = 0; ;) {
    const { done, value } = await reader.read();
    if (done) return ok(parts.join("") + decoder.decode());
    size += value.length;
    if (size > MOST_BACKUP_BYTES) {
      await reader.cancel();
      return tooLarge(size) ?? fail("too-large", "", "Too large.");
    }
    parts.push(decoder.decode(value, { stream: true }));
  }
}

function jsonOf(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}
