import type { Limb } from "../foot/limb";
import { MEASURE_FACTS, type Measure } from "../foot/measures";
import { sentenceCase, type Wording } from "../foot/wording";
import { sayValue } from "../record/sayValue";
import { stepsTo } from "../record/places";
import type { Records, TableName } from "../record/tables";
import type { Held } from "./place";
import type { Clash } from "./row";

/** What the rows of each table are called: one of them, and all. */
export const TABLE_WORDS: Record<TableName, readonly [one: string, all: string]> = {
  yards: ["yard", "Yards"],
  horses: ["horse", "Horses"],
  visits: ["visit", "Visits"],
  pictures: ["picture", "Pictures"],
  readings: ["reading", "Readings"],
  trims: ["trim", "Trims"],
  shoes: ["shoe", "Shoes"],
  watchings: ["watching", "Watchings"],
  looks: ["look", "Feet read"],
  photos: ["photograph", "Photographs"],
  cases: ["case", "Cases"],
  films: ["radiograph", "Radiographs"],
  sizes: ["ready-made size", "Ready-made sizes"],
  nailSizes: ["nail size", "Nail sizes"],
  forgings: ["forging", "Forgings"],
  forged: ["made shoe", "Made shoes"],
  steel: ["bar of steel", "Steel"],
  appointments: ["appointment", "Appointments"],
  calls: ["call", "Calls"],
  tries: ["try", "Tries"],
  protocols: ["protocol", "Protocols"],
  setAside: ["merge", "Merges"],
  settings: ["settings", "Settings"],
};

/** What of the records is looked at to name a row. */
export type Named = Pick<Records, "horses" | "visits">;

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** "23 Nov 2026" */
export const dayInWords = (date: string): string =>
  `${Number(date.slice(8, 10))} ${MONTHS[Number(date.slice(5, 7)) - 1] ?? ""} ${date.slice(0, 4)}`;

/** What a row is about, in words, largest first: "Larkspur, left fore, before the trim, 23 Nov 2026". */
export function rowName(
  table: TableName,
  row: object | undefined,
  { horses }: Named,
  wording: Wording,
): string {
  const { name, horseId, limb, moment, date, title } = (row ?? {}) as Partial<Record<string, string>>;
  const horse = horses.find(({ id }) => id === horseId)?.name;
  const parts = [
    name ?? horse,
    limb && wording.limb(limb as Limb),
    moment && `${moment} the trim`,
    title,
    date && dayInWords(date),
  ].filter((part) => part !== undefined && part !== "");
  return parts.length > 0 ? parts.join(", ") : sentenceCase(TABLE_WORDS[table][0]);
}

/** A place of a row in words: "toe length", "notes: watch". */
export function placeName(table: TableName, place: string, wording: Wording): string {
  if (table === "visits" && place === "status") return "signed on one, gone on with on the other";
  const [part = "", entry] = stepsTo(table, place);
  const plain = (name: string) =>
    wording.inOwnWords(
      name
        .replace(/(Mm|Deg|Id)$/, "")
        .replace(/([a-z])([A-Z])/g, "$1 $2")
        .toLowerCase(),
    );
  if (entry === undefined) return plain(part);
  if (table === "readings" && part === "values" && entry in MEASURE_FACTS)
    return wording.measure(entry as Measure).toLowerCase();
  const named = ["values", "side", "rear", "heights", "spec", "cuts"].includes(part);
  // An entry that goes by an id has no name that would say anything.
  if (/^[0-9a-f-]{20,}$/.test(entry)) return plain(part);
  return named ? plain(entry) : `${plain(part)}: ${plain(entry)}`;
}

/** A clash as it is put to the user. */
export interface SaidClash {
  key: string;
  of: string;
  what: string;
  here: SaidValue;
  there: SaidValue;
  usual: Clash["usual"];
}
interface SaidValue {
  value: string;
  device: string | undefined;
  /** Ms since 1970, by that device's clock. */
  at: number | undefined;
}

/** A clash in the user's words and units; `devices` are their names by id. */
export function sayClash(
  { key, table, id, place, here, there, usual }: Clash,
  { named, devices, wording }: { named: Named; devices: Readonly<Record<string, string>>; wording: Wording },
  rowOf: (table: TableName, id: string) => object | undefined,
): SaidClash {
  const say = ({ value, stamp }: Held): SaidValue => ({
    value:
      place === undefined
        ? value === undefined
          ? "taken away"
          : "kept, with what was changed"
        : sayValue(table, stepsTo(table, place), value, wording),
    device: stamp && (devices[stamp[0]] ?? stamp[0]),
    at: stamp?.[2],
  });
  const row = rowOf(table, id) ?? (here.value as object | undefined) ?? (there.value as object | undefined);
  return {
    key,
    of: rowName(table, row, named, wording),
    what: place === undefined ? `the whole ${TABLE_WORDS[table][0]}` : placeName(table, place, wording),
    here: say(here),
    there: say(there),
    usual,
  };
}
