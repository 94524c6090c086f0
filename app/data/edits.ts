import { applyEdit, undoOf, type Edit } from "~core/record/edit";
import { TABLES } from "~core/record/tables";
import { session, type Conflict } from "./session";
import { storageTrouble } from "./trouble";

/** How saving ended. */
export type Saved =
  | { kind: "saved"; label: string }
  | { kind: "conflict"; conflict: Conflict }
  | { kind: "failed"; message: string }
  | { kind: "nothing" };

/**
 * Keeps changes that belong together in one transaction, all or none, and writes them to the journal. The drafts that
 * became these values go in the same transaction: at every moment the text is there as one or the other.
 */
export async function saveEdits(edits: readonly Edit[], drafts: readonly string[] = []): Promise<Saved> {
  const saved = await attempt(edits, async () => {
    for (const edit of edits) await putEdit(edit);
    await session.db.journal.add({ sitting: session.sitting, edits: [...edits] });
    await session.db.drafts.bulkDelete([...drafts]);
  });
  if (saved.kind === "saved") for (const key of drafts) session.typed.delete(key);
  return saved.kind === "conflict" ? { ...saved, conflict: { ...saved.conflict, drafts } } : saved;
}

/** Takes back what this sitting did last, unless somebody has changed the same place since. */
export async function undoLast(): Promise<Saved> {
  const { db } = session;
  const last = await db.journal.where("sitting").equals(session.sitting).last();
  if (!last) return { kind: "nothing" };
  const back = last.edits.map(undoOf).reverse();
  return attempt(back, async () => {
    for (const edit of back) await putEdit(edit);
    await db.journal.delete(last.seq);
  });
}

/** Runs the work in one transaction and says how it ended; refused edits are held for the export. */
async function attempt(edits: readonly Edit[], work: () => Promise<void>): Promise<Saved> {
  const { db } = session;
  try {
    await db.transaction("rw", [...new Set(edits.map((edit) => edit.table)), "journal", "drafts"], work);
    session.unsaved.length = 0;
    session.say({ kind: "kept", at: Date.now() });
    session.tellOthers();
    return { kind: "saved", label: edits[0]?.label ?? "" };
  } catch (error) {
    if (error instanceof ConflictFound) return { kind: "conflict", conflict: error.conflict };
    const message = storageTrouble(error);
    session.unsaved.push(...edits);
    session.say({ kind: "failed", message });
    return { kind: "failed", message };
  }
}

/** Thrown inside a transaction so that nothing of it stays; carries the conflict out. */
class ConflictFound extends Error {
  constructor(readonly conflict: Conflict) {
    super("two tabs changed one place");
  }
}

async function putEdit(edit: Edit): Promise<void> {
  const table = session.db.table<Record<string, unknown>, string>(edit.table);
  const applied = applyEdit(await table.get(edit.id), edit);
  if (applied.kind === "conflict") throw new ConflictFound({ edit, stored: applied.stored, drafts: [] });
  if (applied.record === undefined) await table.delete(edit.id);
  else await table.put(TABLES[edit.table].parse(applied.record));
}
