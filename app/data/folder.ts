import { readBackup } from "~core/record/backup";
import { PACKED_TYPE, textOf } from "./packed";

/** Backups of one device that are kept in the folder. */
const KEPT = 10;

/** A device's name as a part of a file's. */
const plain = (name: string): string =>
  name
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .toLowerCase()
    .slice(0, 40) || "device";

/**
 * Writes a backup into a folder under the device's name and the moment, reads it back whole, and only then lets the oldest of
 * this device's go. Throws where what was read is not sound; the older ones are all there then.
 */
export async function writeInto(
  folder: FileSystemDirectoryHandle,
  { device, madeAt }: { device: string; madeAt: string },
  file: Blob,
): Promise<string> {
  const start = `plumbline-${plain(device)}-`;
  const ending = file.type === PACKED_TYPE ? ".json.gz" : ".json";
  const name = `${start}${madeAt.slice(0, 19).replace("T", "-").replaceAll(":", "")}${ending}`;
  const handle = await folder.getFileHandle(name, { create: true });
  const writer = await handle.createWritable();
  await writer.write(file);
  await writer.close();
  const text = await textOf(await handle.getFile());
  const back = text.ok ? readBackup(text.value) : text;
  if (!back.ok) throw new Error(`The backup in the folder is not sound: ${back.issues[0]?.message ?? ""}`);
  const names: string[] = [];
  for await (const one of (folder as unknown as { keys: () => AsyncIterable<string> }).keys())
    if (one.startsWith(start) && /\.json(\.gz)?$/.test(one)) names.push(one);
  for (const old of names.sort().slice(0, -KEPT)) await folder.removeEntry(old);
  return name;
}
