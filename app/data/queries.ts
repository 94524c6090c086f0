import Dexie from "dexie";
import { yardNotKnown } from "~core/record/orphans";
import { DEFAULT_SETTINGS, type Settings } from "~core/record/settings";
import { inCare, type HorseInCare, type Horse } from "~core/record/horse";
import type { Case } from "~core/case/caseRecord";
import type { Film } from "~core/radiograph/filmRecord";
import type { Forged } from "~core/forge/forgeRecord";
import type { Look } from "~core/foot/records/look";
import type { Photo } from "~core/photo/photoRecord";
import type { Reading } from "~core/foot/records/reading";
import type { NailRow, ShoeRecord, SizeRow } from "~core/shoe/shoeRecord";
import type { TableName } from "~core/record/tables";
import type { Trim } from "~core/trim/trimRecord";
import type { Visit } from "~core/record/visit";
import type { WatchingRecord } from "~core/gait/watchingRecord";
import type { Yard } from "~core/record/yard";
import { roster } from "~core/cycle/roster";
import type { RosterRow } from "~core/cycle/dayPlan";
import { companions } from "~core/rounds/planning";
import { feetOfHorse, type FeetOfHorse } from "~core/visit/feetOfHorse";
import { hasBarOrPad } from "~core/cycle/jobMinutes";
import { PADS, SHOE_TYPES } from "~core/shoe/specification";
import { addDays } from "~core/calendar/date";
import { session } from "./session";

/** Everything about one horse, readings and trims of all its visits included; visits oldest first. */
export interface HorseFile {
  horse: HorseInCare;
  yard: Yard;
  visits: Visit[];
  readings: Reading[];
  trims: Trim[];
  watchings: WatchingRecord[];
  looks: Look[];
  photos: Photo[];
  shoes: ShoeRecord[];
  cases: Case[];
  films: Film[];
  /** The user's own tables of ready-made shoes and of nails, empty while the neutral ones serve. */
  sizes: SizeRow[];
  nailSizes: NailRow[];
  /** The log of forged shoes, of all horses. */
  forged: Forged[];
  settings: Settings;
}

/** The tables that a horse's file is read from. */
export const HORSE_TABLES = [
  "horses",
  "yards",
  "visits",
  "readings",
  "trims",
  "watchings",
  "looks",
  "photos",
  "shoes",
  "cases",
  "films",
  "sizes",
  "nailSizes",
  "forged",
  "settings",
] as const satisfies readonly TableName[];

export const readSettings = async (): Promise<Settings> =>
  (await session.db.settings.get("settings")) ?? DEFAULT_SETTINGS;

const byDate = (a: Visit, b: Visit): number =>
  a.date.localeCompare(b.date) || (a.at ?? "").localeCompare(b.at ?? "");

export async function readHorseFile(horseId: string): Promise<HorseFile | undefined> {
  const { db } = session;
  const [
    horse,
    visits,
    readings,
    trims,
    watchings,
    looks,
    photos,
    shoes,
    cases,
    films,
    sizes,
    nailSizes,
    forged,
    settings,
  ] = await Promise.all([
    db.horses.get(horseId),
    db.visits.where("horseId").equals(horseId).toArray(),
    db.readings.where("horseId").equals(horseId).toArray(),
    db.trims.where("horseId").equals(horseId).toArray(),
    db.watchings.where("horseId").equals(horseId).toArray(),
    db.looks.where("horseId").equals(horseId).toArray(),
    db.photos.where("horseId").equals(horseId).toArray(),
    db.shoes.where("horseId").equals(horseId).toArray(),
    db.cases.where("horseId").equals(horseId).toArray(),
    db.films.where("horseId").equals(horseId).toArray(),
    db.sizes.toArray(),
    db.nailSizes.toArray(),
    db.forged.toArray(),
    readSettings(),
  ]);
  if (!horse) return undefined;
  const yard = (await db.yards.get(horse.yardId)) ?? yardNotKnown(horse.yardId);
  return {
    horse,
    yard,
    visits: visits.sort(byDate),
    readings,
    trims,
    watchings,
    looks,
    photos,
    shoes,
    cases,
    films,
    sizes,
    nailSizes,
    forged,
    settings,
  };
}

/** A file whose horse knows its open cases: what every screen of it is worked out from. */
export const fileInCare = (file: HorseFile): HorseFile & { horse: HorseInCare } => ({
  ...file,
  horse: inCare(file.horse, file.cases),
});

/** What the roster is worked out from. */
export interface RosterRecords {
  horses: Horse[];
  yards: Yard[];
  /** Those to come, and of those that were signed as many as tell each horse's last one. */
  visits: Visit[];
  /** The shoes of late that make a horse take longer. */
  shoes: ShoeRecord[];
  /** Those that are under way, of horses on the round. */
  cases: Case[];
}

/** Most horses were done in so many days, an interval and a half; the others are looked for one by one. */
const RECENT_DAYS = 84;

/** Every horse of the round with its last visit and the one to come: by index, whatever lies in the years before. */
export async function readRosterRecords(today: string): Promise<RosterRecords> {
  const { db } = session;
  const since = addDays(today, -RECENT_DAYS);
  const [horses, yards, pending, recent, dear, cases] = await Promise.all([
    db.horses.toArray(),
    db.yards.toArray(),
    db.visits.where("status").anyOf("planned", "open").toArray(),
    db.visits.where("date").aboveOrEqual(since).toArray(),
    readDearShoes(since),
    db.cases.where("status").equals("open").toArray(),
  ]);
  const done = new Set(recent.flatMap(({ status, horseId }) => (status === "signed" ? [horseId] : [])));
  const longAgo = (
    await Promise.all(
      horses.filter(({ id, left }) => !done.has(id) && left === undefined).map(({ id }) => lastSigned(id)),
    )
  ).flat();
  const older = await db.shoes
    .where("visitId")
    .anyOf(longAgo.map(({ id }) => id))
    .toArray();
  const onRound = new Set(horses.flatMap(({ id, left }) => (left === undefined ? [id] : [])));
  const visits = new Map([...recent, ...pending, ...longAgo].map((visit) => [visit.id, visit]));
  return {
    horses,
    yards,
    visits: [...visits.values()],
    shoes: [...dear, ...older],
    cases: cases.filter(({ horseId }) => onRound.has(horseId)),
  };
}

/** The shoes that take longer: with a bar or a pad. */
async function readDearShoes(since: string): Promise<ShoeRecord[]> {
  const { shoes } = session.db;
  const ofKind = (field: "type" | "pad", kind: string) =>
    shoes.where(`[spec.${field}+date]`).between([kind, since], [kind, "9999"]).toArray();
  const found = await Promise.all([
    ...SHOE_TYPES.filter((type) => hasBarOrPad({ type, pad: "none" })).map((type) => ofKind("type", type)),
    ...PADS.filter((pad) => hasBarOrPad({ type: "plain", pad })).map((pad) => ofKind("pad", pad)),
  ]);
  return found.flat();
}

/** A horse's last signed visit, looked for from the newest back. */
const lastSigned = (horseId: string): Promise<Visit[]> =>
  session.db.visits
    .where("[horseId+date]")
    .between([horseId, Dexie.minKey], [horseId, Dexie.maxKey])
    .reverse()
    .filter(({ status }) => status === "signed")
    .limit(1)
    .toArray();

/** The rows of the roster, as the store has them. */
export const rosterOf = ({ horses, yards, visits, shoes, cases }: RosterRecords): RosterRow[] =>
  roster(horses, yards, visits, shoes, cases);

/** The readings of these horses' last signed visits: what their small outlines are drawn from. */
export const readLastReadings = (rows: readonly RosterRow[]): Promise<Reading[]> =>
  session.db.readings
    .where("visitId")
    .anyOf(rows.flatMap(({ last }) => (last ? [last.id] : [])))
    .toArray();

/** The feet of each horse as its last signed visit left them, for the small outlines. */
export function feetByHorse(
  rows: readonly RosterRow[],
  readings: readonly Reading[],
): Record<string, FeetOfHorse> {
  const byHorse = new Map<string, Reading[]>();
  for (const reading of readings)
    byHorse.set(reading.horseId, [...(byHorse.get(reading.horseId) ?? []), reading]);
  return Object.fromEntries(
    rows.map(({ horse }) => [horse.id, feetOfHorse(horse, byHorse.get(horse.id) ?? [])]),
  );
}

/** Horses that are no longer on the round, those that left last first. */
export const goneOf = (horses: readonly Horse[]): Horse[] =>
  horses
    .filter(({ left }) => left !== undefined)
    .sort((a, b) => (b.left?.on ?? "").localeCompare(a.left?.on ?? ""));

/** The names of those that a horse goes together with. */
export async function companionsOf(horse: Horse): Promise<string[]> {
  const horses = await session.db.horses.filter(({ left }) => left === undefined).toArray();
  const sets = companions(horses.map((one) => ({ horse: one })));
  const own = sets.get(horse.id);
  return horses.flatMap((one) =>
    own !== undefined && one.id !== horse.id && sets.get(one.id) === own ? [one.name] : [],
  );
}

export const visitById = (id: string): Promise<Visit | undefined> => session.db.visits.get(id);

/** Who is on the round, and where. */
export async function readHorsesAndYards(): Promise<{ horses: Horse[]; yards: Yard[] }> {
  const [horses, yards] = await Promise.all([session.db.horses.toArray(), session.db.yards.toArray()]);
  return { horses: horses.filter(({ left }) => left === undefined), yards };
}

/** Names and addresses for the finder. */
export const horseNames = (): Promise<Horse[]> => session.db.horses.orderBy("id").toArray();
