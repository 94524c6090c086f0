import type { Saved } from "~app/data/edits";
import type { TableName } from "~core/record/tables";

/**
 * Tables that were written and perhaps not read again yet. The router drops a reading that is under way when a later one
 * lands, since the later one would have read everything; ours read only what they show. So what was written stays
 * named here until nothing is under way any more, and whoever reads meanwhile reads it too.
 */
const unread = new Map<TableName, number>();
let stamp = 0;

/** Notes what an edit has written. */
export function noteWritten(saved: Saved): void {
  const tables =
    saved.kind === "saved" ? saved.tables : saved.kind === "conflict" ? [saved.conflict.edit.table] : [];
  if (tables.length > 0) stamp++;
  for (const table of tables) unread.set(table, stamp);
}

/** How far the writing has come. */
export const writtenSoFar = (): number => stamp;

/** Everything that was written up to there has been read. */
export function noteRead(upTo: number): void {
  for (const [table, at] of unread) if (at <= upTo) unread.delete(table);
}

export const isUnread = (table: TableName): boolean => unread.has(table);
