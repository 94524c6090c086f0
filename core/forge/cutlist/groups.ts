import type { Steel } from "../forgeRecord";
import type { ForgeSettings } from "../forgeSettings";
import type { Material } from "../../shoe/specification";
import type { CutListQuestion } from "./cutList";

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
