import type { CutList } from "../forge/cutlist/cutList";
import type { CutGroup } from "../forge/cutlist/groups";
import type { Steel } from "../forge/forgeRecord";
import type { Edit } from "./edit";

/** The edits once a list is cut: what was wanted is done, used offcuts are gone, what is left is kept where it is long enough. */
export function offcutRows(
  { rows, width, thickness, material }: CutGroup,
  list: CutList,
  leastMm: number,
  newId: () => string,
): Edit[] {
  const label = "steel cut";
  const gone: Edit[] = [];
  const used = list.bars.slice(0, list.bars.length - list.count).map(({ stock }) => stock);
  for (const row of rows) {
    if (row.role === "wanted") {
      gone.push({ table: "steel", id: row.id, path: [], was: row, now: undefined, label });
      continue;
    }
    let left = row.count;
    while (left > 0 && used.includes(row.lengthMm)) {
      used.splice(used.indexOf(row.lengthMm), 1);
      left -= 1;
    }
    if (left === 0) gone.push({ table: "steel", id: row.id, path: [], was: row, now: undefined, label });
    else if (left < row.count)
      gone.push({ table: "steel", id: row.id, path: ["count"], was: row.count, now: left, label });
  }
  const kept = list.bars
    .filter(({ offcut }) => offcut >= leastMm && offcut > 0)
    .map(({ offcut }): Edit => {
      const id = newId();
      const now: Steel = {
        id,
        role: "offcut",
        width,
        thickness,
        material,
        lengthMm: Math.floor(offcut),
        count: 1,
        label: "",
      };
      return { table: "steel", id, path: [], was: undefined, now, label };
    });
  return [...gone, ...kept];
}
