import { useEffect, useRef } from "react";
import { useEdits } from "~app/ui/useEdits";
import { withValueAt, valueAt, type Edit } from "~core/record/edit";
import type { Forging } from "~core/forge/forgeRecord";

/**
 * Changes to what lies on the anvil. A change that follows another before the store has answered starts from what was
 * last sent, not beside it.
 */
export function useForging(stored: Forging | undefined, blank: Forging) {
  const { settleAll } = useEdits();
  const made = useRef<Forging | undefined>(undefined);
  const pending = useRef(0);
  useEffect(() => {
    if (pending.current === 0) made.current = undefined;
  }, [stored]);
  const keep = async (path: readonly string[], now: unknown, label: string, drafts: string[] = []) => {
    const existing = made.current ?? stored;
    const next = withValueAt(existing ?? blank, path, now) as Forging;
    made.current = next;
    const edit: Edit = existing
      ? { table: "forgings", id: blank.id, path, was: valueAt(existing, path), now, label }
      : { table: "forgings", id: blank.id, path: [], was: undefined, now: next, label };
    pending.current += 1;
    try {
      await settleAll([edit], drafts);
    } finally {
      pending.current -= 1;
    }
  };
  return { forging: stored ?? blank, keep };
}
export type Anvil = ReturnType<typeof useForging>;
