import { DEFAULT_SETTINGS, type Settings } from "~core/record/settings";
import type { Horse } from "~core/record/horse";
import type { Forged } from "~core/forge/forgeRecord";
import type { Look } from "~core/foot/records/look";
import type { Photo } from "~core/photo/photoRecord";
import type { Reading } from "~core/foot/records/reading";
import type { NailRow, ShoeRecord, SizeRow } from "~core/shoe/shoeRecord";
import type { Trim } from "~core/trim/trimRecord";
import type { Visit } from "~core/record/visit";
import type { WatchingRecord } from "~core/gait/watchingRecord";
import type { Yard } from "~core/record/yard";
import { roster } from "~core/cycle/roster";
import type { RosterRow } from "~core/cycle/dayPlan";
import { companions } from "~core/rounds/planning";
import { feetOfHorse, type FeetOfHorse } from "~core/visit/feetOfHorse";
import { session } from "./session";

/** Everything about one horse, readings and trims of all its visits included; visits oldest first. */
export interface HorseFile {
  horse: Horse;
  yard: Yard;
  visits: Visit[];
  readings: Reading[];
  trims: Trim[];
  watchings: WatchingRecord[];
  looks: Look[];
  photos: Photo[];
  shoes: ShoeRecord[];
  /** The user's own tables of ready-made shoes and of nails, empty while the neutral ones serve. */
  sizes: SizeRow[];
  nailSizes: NailRow[];
  /** The log of forged shoes, of all horses. */
  forged: Forged[];
  settings: Settings;
}

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
    db.sizes.toArray(),
    db.nailSizes.toArray(),
    db.forged.toArray(),
    readSettings(),
  ]);
  if (!horse) return undefined;
  const yard = await db.yards.get(horse.yardId);
  if (!yard) return undefined;
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
    sizes,
    nailSizes,
    forged,
    settings,
  };
}

/** Every horse of the round, by yard and name. */
export async function readRoster(): Promise<{ rows: RosterRow[]; yards: Yard[] }> {
  const { db } = session;
  const [horses, yards, visits, shoes] = await Promise.all([
    db.horses.toArray(),
    db.yards.toArray(),
    db.visits.toArray(),
    db.shoes.toArray(),
  ]);
  const rows = roster(horses, yards, visits, shoes);
  return { rows, yards };
}

/** The feet of each horse as its last signed visit left them, for the small outlines. */
export async function feetByHorse(rows: readonly RosterRow[]): Promise<Record<string, FeetOfHorse>> {
  const lastVisits = rows.flatMap(({ last }) => (last ? [last.id] : []));
  const readings = await session.db.readings.where("visitId").anyOf(lastVisits).toArray();
  const byHorse = new Map<string, Reading[]>();
  for (const reading of readings)
    byHorse.set(reading.horseId, [...(byHorse.get(reading.horseId) ?? []), reading]);
  return Object.fromEntries(
    rows.map(({ horse }) => [horse.id, feetOfHorse(horse, byHorse.get(horse.id) ?? [])]),
  );
}

/** Horses that are no longer on the round, those that left last first. */
export async function readGone(): Promise<Horse[]> {
  const gone = await session.db.horses.filter(({ left }) => left !== undefined).toArray();
  return gone.sort((a, b) => (b.left?.on ?? "").localeCompare(a.left?.on ?? ""));
}

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

/** Names and addresses for the finder. */
export const horseNames = (): Promise<Horse[]> => session.db.horses.orderBy("id").toArray();
