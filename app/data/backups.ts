import type { AtStake } from "~core/record/backupAge";
import { startFiles } from "~app/workers/files";
import { lastBackup, noteBackup } from "./backupNote";
import type { Database } from "./database";
import { deviceOf } from "./device";
import { session } from "./session";
import { refusedEdits } from "./files";

const FOLDER = "backup-folder";
const MS_PER_DAY = 86_400_000;
/** Written by itself no oftener than this, ms. */
const OFTEN_MS = 4 * 3_600_000;

/** What stands in this browser alone. */
export async function atStake(db: Database, now = Date.now()): Promise<AtStake> {
  const [{ act }, last] = await Promise.all([deviceOf(db), lastBackup(db)]);
  // A store that was filled anew counts from nothing.
  const changes = last && last.act <= act ? act - last.act : act;
  if (changes === 0) return { changes, visits: 0 };
  const since = last ? new Date(last.at).toISOString() : "";
  const visits = await db.visits
    .where("status")
    .equals("signed")
    .filter(({ signedAt = "" }) => signedAt > since)
    .count();
  return { changes, visits, ...(last && { days: Math.floor((now - last.at) / MS_PER_DAY) }) };
}

/** What a browser that can write into a folder has, beyond what every browser has. */
export type Folder = FileSystemDirectoryHandle & {
  queryPermission?: (asked: { mode: "readwrite" }) => Promise<PermissionState>;
  requestPermission?: (asked: { mode: "readwrite" }) => Promise<PermissionState>;
};
type FolderPicker = (asked: { id: string; mode: "readwrite" }) => Promise<Folder>;
const picker = (): FolderPicker | undefined =>
  (globalThis as { showDirectoryPicker?: FolderPicker }).showDirectoryPicker;

/** True where the browser can write backups by itself. */
export const canWriteFolder = (): boolean => picker() !== undefined;

/** The folder that the user chose. */
export const folderOf = async (db: Database): Promise<Folder | undefined> =>
  (await db.handles.get(FOLDER))?.handle as Folder | undefined;

/** Asks for a folder and keeps it; nothing where the user thinks better of it. */
export async function chooseFolder(db: Database): Promise<Folder | undefined> {
  try {
    const handle = await picker()?.({ id: "plumbline-backups", mode: "readwrite" });
    if (handle) await db.handles.put({ key: FOLDER, handle });
    return handle;
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") return undefined;
    throw error;
  }
}

export const forgetFolder = (db: Database): Promise<void> => db.handles.delete(FOLDER);

/** Whether the folder may be written: asking is possible only while the user presses something. */
export async function mayWrite(folder: Folder, ask: boolean): Promise<boolean> {
  const way = ask ? folder.requestPermission : folder.queryPermission;
  return !way || (await way.call(folder, { mode: "readwrite" })) === "granted";
}

/** Writes a backup into the folder, reads it back, and lets the oldest go. The file's name. */
export async function writeToFolder(folder: Folder): Promise<string> {
  const { db } = session;
  const { act, name } = await deviceOf(db);
  const { answer } = startFiles(
    async (remote) =>
      remote.backupInto(db.name, await refusedEdits(), {
        folder,
        device: name,
        madeAt: new Date().toISOString(),
      }),
    () => undefined,
  );
  const file = await answer;
  await noteBackup(db, act, true).catch(() => undefined);
  return file;
}

/** Backs one's own round up by itself, where a folder was chosen and may be written, and something was done since. */
export async function keepBackedUp(): Promise<void> {
  const { db, round } = session;
  if (round !== "own") return;
  const [folder, last, { changes }] = await Promise.all([folderOf(db), lastBackup(db), atStake(db)]);
  if (!folder || changes === 0 || Date.now() - (last?.at ?? 0) < OFTEN_MS) return;
  // One tab is enough.
  await navigator.locks.request("plumbline-backup", { ifAvailable: true }, async (lock) => {
    if (lock && (await mayWrite(folder, false))) await writeToFolder(folder);
  });
}
