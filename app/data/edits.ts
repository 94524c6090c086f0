import { applyEdit, undoOf, type Edit } from "~core/record/edit";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import type { Stamp } from "~core/record/stamps";
import { LINKS, type TableName } from "~core/record/tables";
import { TABLES } from "~core/record/schemas";
import { deleteDrafts, letGoOfDrafts } from "./drafts";
import { session, type Change, type Conflict, type TakenDraft } from "./session";
import { EPOCH } from "./database";
import { nextAct } from "./device";
import { heldBy, keepHeldPictures } from "./loosePictures";
import { persistFirstRecord } from "./persist";
import { stampRow } from "./stampRow";
import { storageTrouble } from "./trouble";

/** How saving ended; `tables` are those that were written. */
export type Saved =
  | { kind: "saved"; label: string; tables: TableName[] }
  | { kind: "conflict"; conflict: Conflict }
  | { kind: "failed"; message: string }
  | { kind: "nothing" };

/** What was asked of the store one after the other is done in that order. */
let queue: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const done = session.hold();
  const next = queue.then(work, work).finally(done);
  queue = next.catch(() => undefined);
  return next;
}

/**
 * Keeps changes that belong together in one transaction, all or none, and writes them to the journal. The drafts that
 * became these values go in the same transaction: at every moment the text is there as one or the other. What the store
 * refused before is sent again first; what it refuses now stays in the session, shown and exported.
 */
export const saveEdits = (edits: readonly Edit[], drafts: readonly TakenDraft[] = []): Promise<Saved> =>
  inTurn(async () => {
    const again = await sendRefused();
    const saved = await keepAfterRefused({ edits, drafts });
    if (saved.kind === "failed") session.setRefused(withRefused(session.refused(), { edits, drafts }));
    if (saved.kind === "saved") {
      saved.tables.push(...again);
      void persistFirstRecord();
    }
    sayHow(saved);
    return saved;
  });

/** Sends what was refused once more. */
export const retryRefused = (): Promise<Saved> =>
  inTurn(async () => {
    const tables = await sendRefused();
    if (session.refused().length === 0) session.say({ kind: "kept", at: Date.now() });
    return { kind: "saved", label: "", tables };
  });

/** Takes back what this sitting did last: the newest that was refused, else the newest in the journal. */
export const undoLast = (): Promise<Saved> =>
  inTurn(async () => {
    const refused = session.refused();
    const newest = refused.at(-1);
    if (newest) {
      session.setRefused(refused.slice(0, -1));
      for (const { id } of heldBy(newest.edits)) session.holdPicture(id, undefined);
      return { kind: "saved", label: newest.edits[0]?.label ?? "", tables: [] };
    }
    return undoKept();
  });

async function undoKept(): Promise<Saved> {
  const { db } = session;
  const last = await db.journal.where("sitting").equals(session.sitting).last();
  if (!last) return { kind: "nothing" };
  const back = last.edits.map(undoOf).reverse();
  const saved = await attempt({ edits: back, drafts: [] }, async () => {
    const act = await nextAct(db);
    for (const edit of back) await putEdit(edit, act);
    for (const edit of back) await refuseOrphans(edit);
    await db.journal.delete(last.seq);
  });
  sayHow(saved);
  return saved;
}

/** The refused changes with one more; the same places refused again are one change with the newest values. */
function withRefused(refused: readonly Change[], next: Change): Change[] {
  const placesOf = ({ edits }: Change) => edits.map(({ table, id, path }) => [table, id, ...path].join("/"));
  const places = placesOf(next).join(" ");
  const at = refused.findIndex((one) => placesOf(one).join(" ") === places);
  const before = refused[at];
  if (!before) return [...refused, next];
  const edits = next.edits.map((edit, index) => ({ ...edit, was: before.edits[index]?.was }));
  return refused.with(at, { edits, drafts: [...before.drafts, ...next.drafts] });
}

/** Keeps a change, unless it builds on a place that is still refused: it would meet what the user never saw. */
async function keepAfterRefused(change: Change): Promise<Saved> {
  const refused = session.refused().flatMap(({ edits }) => edits);
  const buildsOn = change.edits.some((edit) => refused.some((one) => overlap(one, edit)));
  if (!buildsOn) return keep(change);
  return { kind: "failed", message: session.saveState().message ?? storageTrouble(undefined) };
}

/** True where one of two places lies in the other. */
const overlap = (a: Edit, b: Edit): boolean =>
  a.table === b.table &&
  a.id === b.id &&
  a.path.every((step, at) => at >= b.path.length || step === b.path[at]);

/** Refused changes in their order, until one is refused again. The tables of those that were kept. */
async function sendRefused(): Promise<TableName[]> {
  const written: TableName[] = [];
  for (;;) {
    const [oldest, ...rest] = session.refused();
    if (!oldest) return written;
    const saved = await keep(oldest);
    if (saved.kind === "failed") return written;
    session.setRefused(rest);
    if (saved.kind === "saved") written.push(...saved.tables);
    if (saved.kind === "conflict") session.askConflict(saved.conflict);
  }
}

/** Steps that can be taken back; older ones fold away. */
export const UNDO_STEPS = 200;

async function keep({ edits, drafts }: Change): Promise<Saved> {
  const { db, sitting } = session;
  try {
    await keepHeldPictures(edits);
  } catch (error) {
    return { kind: "failed", message: storageTrouble(error) };
  }
  const saved = await attempt({ edits, drafts }, async () => {
    const act = await nextAct(db);
    for (const edit of edits) await putEdit(edit, act);
    for (const edit of edits) await refuseOrphans(edit);
    const seq = await db.journal.add({ sitting, edits: [...edits] });
    await db.journal
      .where("seq")
      .belowOrEqual(seq - UNDO_STEPS)
      .delete();
    await deleteDrafts(drafts);
  });
  if (saved.kind === "saved") letGoOfDrafts(drafts);
  return saved;
}

/** Runs the work in one transaction over all that it may touch, and says how it ended. */
async function attempt(change: Change, work: () => Promise<void>): Promise<Saved> {
  const { db } = session;
  const tables = [...new Set(change.edits.map((edit) => edit.table))];
  // A record that is made or taken away asks what it hangs on, or what hangs on it; so does a pointer that is changed.
  const whole = new Set(change.edits.filter(({ path }) => path.length === 0).map(({ table }) => table));
  const linked = LINKS.flatMap(({ from, field, to }) => {
    if (whole.has(from) || whole.has(to)) return [from, to];
    return change.edits.some(({ table, path }) => table === from && path[0] === field) ? [to] : [];
  });
  try {
    await db.transaction(
      "rw",
      [...new Set([...tables, ...linked, "journal", "drafts", "facts", "stamps"])],
      async () => {
        const epoch = (await db.facts.get(EPOCH))?.value;
        session.epoch ??= { value: epoch };
        if (session.epoch.value !== epoch) throw new StoreReplaced();
        await work();
      },
    );
    session.tellOthers();
    return { kind: "saved", label: change.edits[0]?.label ?? "", tables };
  } catch (error) {
    if (error instanceof ConflictFound)
      return { kind: "conflict", conflict: { edit: error.edit, stored: error.stored, change } };
    if (error instanceof StoreReplaced) session.setReplaced();
    return { kind: "failed", message: error instanceof Refusal ? error.message : storageTrouble(error) };
  }
}

function sayHow(saved: Saved): void {
  if (saved.kind === "failed") session.say({ kind: "failed", message: saved.message });
  else if (session.refused().length > 0) session.say(session.saveState());
  else if (saved.kind === "saved") session.say({ kind: "kept", at: Date.now() });
}

/** Thrown inside a transaction so that nothing of it stays; carries the conflict out. */
class ConflictFound extends Error {
  constructor(
    readonly edit: Edit,
    readonly stored: unknown,
  ) {
    super("two tabs changed one place");
  }
}

/** Thrown inside a transaction for what the records themselves do not allow; its message is for the user. */
class Refusal extends Error {}

class StoreReplaced extends Refusal {
  constructor() {
    super(
      "Another tab has put a backup in the place of this round. What you typed here is still on the screen.",
    );
  }
}

async function putEdit(edit: Edit, act: Stamp): Promise<void> {
  const { db } = session;
  const table = db.table<Record<string, unknown>, string>(edit.table);
  const stored = (await table.get(edit.id)) ?? (edit.table === "settings" ? DEFAULT_SETTINGS : undefined);
  const applied = applyEdit(stored, edit);
  if (applied.kind === "conflict") throw new ConflictFound(edit, applied.stored);
  const after = applied.record === undefined ? undefined : TABLES[edit.table].parse(applied.record);
  if (after) await table.put(after);
  else await table.delete(edit.id);
  await stampRow(db, edit, { before: stored, after }, act);
}

const KINDS: Partial<Record<TableName, string>> = {
  yards: "yard",
  horses: "horse",
  visits: "visit",
  pictures: "picture",
};
const kindOf = (table: TableName): string => KINDS[table] ?? "record";

/** No record may point to nothing: neither one that is made or changed, nor those that hang on one that is taken away. */
async function refuseOrphans({ table, id, path, now, label }: Edit): Promise<void> {
  const { db } = session;
  if (path.length === 0 && now === undefined) {
    for (const { from, field } of LINKS.filter(({ to }) => to === table)) {
      const rows = db.table<Record<string, unknown>, string>(from);
      const indexed = rows.schema.idxByName[field] !== undefined;
      const hangs = indexed
        ? await rows.where(field).equals(id).count()
        : await rows.filter((row) => row[field] === id).count();
      if (hangs > 0)
        throw new Refusal(
          `“${label}” cannot be taken back: ${hangs === 1 ? `a ${kindOf(from)} hangs` : `${hangs} other records hang`} on it by now. Take that back first.`,
        );
    }
    return;
  }
  const pointers = LINKS.filter(
    ({ from, field }) => from === table && (path.length === 0 || path[0] === field),
  );
  for (const { field, to } of pointers) {
    const target = path.length === 0 ? (now as Record<string, unknown>)[field] : now;
    if (typeof target === "string" && (await db.table(to).get(target)) === undefined)
      throw new Refusal(
        `“${label}” could not be kept: the ${kindOf(to)} that it belongs to was taken away in another tab.`,
      );
  }
}
