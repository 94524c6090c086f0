import type { Edit } from "../../record/edit";
import type { Steel } from "../../record/forge";
import type { ForgeSettings } from "../../record/settings";
import type { Material } from "../../shoe/specification";
import type { CutList, CutListQuestion } from "./cutList";

/** Steel of one section and metal, which is bought and cut together. */
export interface CutGroup {
  key: string;
  width: number;
  thickness: number;
  material: Material;
  /** The rows that it was made of. */
  rows: readonly Steel[];
  question: CutListQuestion;
}

/** One cut list for each section and metal that is wanted; offcuts of other sections are left alone. */
export function cutQuestions(
  steel: readonly Steel[],
  { barLength, kerf }: Pick<ForgeSettings, "barLength" | "kerf">,
): CutGroup[] {
  const groups = new Map<string, Steel[]>();
  for (const row of steel) {
    const key = `${row.width}x${row.thickness} ${row.material}`;
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  return [...groups]
    .filter(([, rows]) => rows.some(({ role }) => role === "wanted"))
    .map(([key, rows]): CutGroup => {
      const [{ width, thickness, material }] = rows as [Steel, ...Steel[]];
      const of = (role: Steel["role"]) => rows.filter((row) => row.role === role);
      return {
        key,
        width,
        thickness,
        material,
        rows,
        question: {
          barLength,
          kerf,
          pieces: of("wanted").map(({ lengthMm, count, label }) => ({ length: lengthMm, count, label })),
          offcuts: of("offcut").flatMap(({ lengthMm, count }) =>
            Array.from({ length: count }, () => lengthMm),
          ),
        },
      };
    })
    .sort((a, b) => a.width - b.width || a.thickness - b.thickness);
}

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
