import type { Wording } from "../foot/wording";
import { FINDING_RULES } from "../visit/findings";
import { herdRates } from "./herd";
import { TROUBLES } from "./troubles";

/** What the printed tables are made of: how many feet, from which seed. */
export const PRINTED = { sound: 500, troubled: 50, seed: 2026 };

const percent = (part: number, whole: number): string => `${Number(((100 * part) / whole).toFixed(1))} %`;

/** Rows of the table of sound feet: how often each rule speaks above steady, those that never do left out. */
export function soundRows(wording: Wording): string[] {
  const { sound: n, seed } = PRINTED;
  const [fresh, due] = (["fresh", "due"] as const).map((when) =>
    herdRates({ kind: "sound", n, seed, when }, wording),
  );
  if (!fresh || !due) return [];
  const rows = FINDING_RULES.flatMap(({ id }) => {
    const [a = 0, b = 0] = [fresh.spoke[id], due.spoke[id]];
    return a + b === 0 ? [] : [`| ${id} | ${percent(a, n)} | ${percent(b, n)} |`];
  });
  return [...rows, `| nothing at all | ${percent(fresh.withoutAny, n)} | ${percent(due.withoutAny, n)} |`];
}

/** Rows of the table of troubled feet: what they have, which finding says so, how often, and how often at its level. */
export function troubledRows(wording: Wording): string[] {
  const { troubled: n, seed } = PRINTED;
  const { troubles } = herdRates({ kind: "troubled", n, seed, when: "fresh" }, wording);
  return Object.entries(troubles).map(([name, { feet, found, atLevel }]) => {
    const { size = "", finding = "", levels = [] } = TROUBLES[name] ?? {};
    return `| ${name} | ${size} | ${finding} | ${levels.join(" or ")} | ${percent(found, feet)} | ${percent(atLevel, feet)} |`;
  });
}
