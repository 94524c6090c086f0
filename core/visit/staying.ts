import { daysBetween } from "../calendar/date";
import { isFore } from "../foot/limb";
import { isLoss, type Call } from "../record/call";
import type { ShoeRecord } from "../shoe/shoeRecord";
import { specInWords } from "../shoe/specWords";
import type { Wording } from "../foot/wording";

/** How shoes of one specification stayed on. */
export interface Staying {
  words: string;
  end: "fore" | "hind";
  set: number;
  lost: number;
  /** Days on when they were lost, the mean; none lost, none said. */
  daysOn: number | undefined;
  /** Horses that lost one. */
  horses: string[];
}

/** The shoe that a foot wore on a day: the last one set before it. */
export const shoeWorn = (
  shoes: readonly ShoeRecord[],
  { horseId, limb, date }: Pick<Call, "horseId" | "limb" | "date">,
) =>
  shoes
    .filter((shoe) => shoe.horseId === horseId && shoe.limb === limb && shoe.spec && shoe.date <= date)
    .sort((a, b) => a.date.localeCompare(b.date))
    .at(-1);

/** What stays on, on whom: shoes set and lost by specification, the most often lost first. */
export function whatStaysOn(
  shoes: readonly ShoeRecord[],
  calls: readonly Call[],
  wording: Wording,
): Staying[] {
  const rows = new Map<string, Staying & { days: number[] }>();
  const rowOf = ({ spec, limb }: ShoeRecord) => {
    const end = isFore(limb) ? "fore" : "hind";
    const words = spec ? specInWords(spec, wording) : "";
    const key = `${end} ${words}`;
    const row = rows.get(key) ?? { words, end, set: 0, lost: 0, daysOn: undefined, horses: [], days: [] };
    rows.set(key, row);
    return row;
  };
  for (const shoe of shoes) if (shoe.spec && shoe.spec.type !== "bare") rowOf(shoe).set += 1;
  for (const call of calls) {
    const shoe = isLoss(call) ? shoeWorn(shoes, call) : undefined;
    if (!shoe) continue;
    const row = rowOf(shoe);
    row.lost += 1;
    row.days.push(daysBetween(shoe.date, call.date));
    row.daysOn = row.days.reduce((sum, days) => sum + days, 0) / row.days.length;
    if (!row.horses.includes(call.horseId)) row.horses.push(call.horseId);
  }
  return [...rows.values()]
    .map(({ words, end, set, lost, daysOn, horses }) => ({ words, end, set, lost, daysOn, horses }))
    .sort((a, b) => b.lost - a.lost || b.set - a.set);
}
