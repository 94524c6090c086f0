import type { Forging } from "~core/forge/forgeRecord";
import { valueAt, withValueAt, type Edit } from "~core/record/edit";
import { useEdits } from "~app/ui/useEdits";

/** Changes to what lies on the anvil; the first one makes its record. */
export function useForging(stored: Forging | undefined, blank: Forging) {
  const { save } = useEdits();
  const editAt = (path: readonly string[], now: unknown, label: string): Edit => {
    const place = { table: "forgings", id: blank.id, label } as const;
    return stored
      ? { ...place, path, was: valueAt(stored, path), now }
      : { ...place, path: [], was: undefined, now: withValueAt(blank, path, now) };
  };
  return {
    forging: stored ?? blank,
    editAt,
    keep: (path: readonly string[], now: unknown, label: string) => save(editAt(path, now, label)),
  };
}
export type Anvil = ReturnType<typeof useForging>;
