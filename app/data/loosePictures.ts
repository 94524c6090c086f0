import type { Edit } from "~core/record/edit";
import { LINKS } from "~core/record/tables";
import type { StoredPicture } from "./pictureBytes";
import { session } from "./session";

/** Facts that name a picture which was kept before the row that points to it: when that was, ms. */
const LOOSE = "loose-picture ";
/** A form may stay open for hours between its picture and its record. */
const DAY_MS = 24 * 60 * 60 * 1000;

/**
 * Keeps a picture's bytes under an id of its own. One that the store refuses is held in the page under that id, until what
 * points to it is kept or taken back.
 */
export async function putPicture(picture: Omit<StoredPicture, "id">): Promise<string> {
  const made = { ...picture, id: crypto.randomUUID() };
  try {
    await putLoose(made);
  } catch {
    session.holdPicture(made.id, made);
  }
  return made.id;
}

/**
 * The row that points to a picture is written after it: where the browser is killed between the two, nothing would ever
 * point to it, so it is noted as loose in the same transaction.
 */
async function putLoose(picture: StoredPicture): Promise<void> {
  const { db } = session;
  await db.transaction("rw", db.pictures, db.facts, async () => {
    await db.pictures.put(picture);
    await db.facts.put({ key: LOOSE + picture.id, value: String(Date.now()) });
  });
}

/** Tries to keep the pictures that are held in the page and that edits point to. Throws what the store says. */
export async function keepHeldPictures(edits: readonly Edit[]): Promise<void> {
  for (const picture of heldBy(edits)) {
    await putLoose(picture);
    session.holdPicture(picture.id, undefined);
  }
}

/** The pictures that are held in the page and that edits point to. */
export function heldBy(edits: readonly Edit[]): StoredPicture[] {
  const held = [...session.heldPictures().values()];
  if (held.length === 0) return [];
  const text = JSON.stringify(edits);
  return held.filter(({ id }) => text.includes(id));
}

/** A picture in the store, or held in the page because the store refused it. */
export const pictureOf = async (id: string): Promise<StoredPicture | undefined> =>
  session.heldPictures().get(id) ?? session.db.pictures.get(id);

/**
 * Pictures that were kept a day ago or longer and got no row are taken out; those that have one are loose no more. One
 * stays noted whose row an undo could bring back, or was refused by the store and waits to be sent again.
 */
export async function takeOutLoosePictures(now = Date.now()): Promise<void> {
  const { db } = session;
  const noted = (await db.facts.where("key").startsWith(LOOSE).toArray()).filter(
    ({ value }) => now - Number(value) >= DAY_MS,
  );
  if (noted.length === 0) return;
  const pointers = LINKS.filter(({ to }) => to === "pictures");
  await db.transaction(
    "rw",
    [db.pictures, db.facts, db.journal, ...pointers.map(({ from }) => db.table(from))],
    async () => {
      const loose = new Set(noted.map(({ key }) => key.slice(LOOSE.length)));
      for (const { from, field } of pointers) {
        if (loose.size === 0) break;
        await db.table<Record<string, unknown>>(from).each((row) => loose.delete(String(row[field])));
      }
      const waiting = new Set<string>();
      const look = ({ edits }: { edits: readonly Edit[] }) => {
        const text = JSON.stringify(edits);
        for (const id of loose) if (text.includes(id)) waiting.add(id);
      };
      session.refused().forEach(look);
      if (loose.size > 0) await db.journal.each(look);
      await db.pictures.bulkDelete([...loose].filter((id) => !waiting.has(id)));
      await db.facts.bulkDelete(
        noted.map(({ key }) => key).filter((key) => !waiting.has(key.slice(LOOSE.length))),
      );
    },
  );
}
