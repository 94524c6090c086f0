import { addDays } from "~core/calendar/date";
import type { RosterRow } from "~core/cycle/dayPlan";
import type { Forged } from "~core/forge/forgeRecord";
import type { Reading } from "~core/foot/records/reading";
import type { Appointment } from "~core/record/appointment";
import type { Call } from "~core/record/call";
import type { RoundsSettings } from "~core/record/settings";
import type { NailRow, ShoeRecord } from "~core/shoe/shoeRecord";
import { rowsOfDay } from "~core/rounds/daySheet";
import { comingHorses, type PlannedHorse } from "~core/visit/comingShoes";
import { readPlannedHorses } from "./forge";
import { readRosterRecords, rosterOf, type RosterRecords } from "./queries";
import { session } from "./session";

/** Everything that rounds are planned from, as the screen has it. */
export interface PlanningRecords {
  rows: RosterRow[];
  settings: RoundsSettings;
  appointments: Appointment[];
}

/** What it is worked out from, and what happened between visits. */
export async function readPlanning(
  today: string,
): Promise<RosterRecords & { appointments: Appointment[]; calls: Call[] }> {
  const [records, appointments, calls] = await Promise.all([
    readRosterRecords(today),
    session.db.appointments.orderBy("date").toArray(),
    session.db.calls.toArray(),
  ]);
  return { ...records, appointments, calls };
}

/** One day's horses with what their shoes are worked out from, and the tables that the load list asks. */
export interface DayRecords extends RosterRecords {
  planned: PlannedHorse[];
  /** What is booked for that day. */
  appointments: Appointment[];
  forged: Forged[];
  nailSizes: NailRow[];
}

export async function readDay(date: string, today: string): Promise<DayRecords> {
  const records = await readRosterRecords(today);
  const [planned, appointments, forged, nailSizes] = await Promise.all([
    readPlannedHorses(comingHorses(rowsOfDay(rosterOf(records), date), date)),
    session.db.appointments.where("date").equals(date).toArray(),
    session.db.forged.toArray(),
    session.db.nailSizes.toArray(),
  ]);
  return { ...records, planned, appointments, forged, nailSizes };
}

/** Growth is learned from so many days back: what a foot did longer ago says little of its next months. */
const LEARNED_DAYS = 730;
/** Horses read at once, between which the page draws. */
const AT_ONCE = 10;

/**
 * The readings that the forecast of each horse learns from, horse by horse, so that the page stays alive. Stops early,
 * with undefined, when it is called off.
 */
export async function readForForecasts(
  horseIds: readonly string[],
  today: string,
  report: (part: number) => void,
  off: () => boolean,
): Promise<Reading[] | undefined> {
  const found: Reading[] = [];
  for (let at = 0; at < horseIds.length; at += AT_ONCE) {
    const rows = await Promise.all(
      horseIds.slice(at, at + AT_ONCE).map((id) =>
        session.db.readings
          .where("[horseId+date]")
          .between([id, addDays(today, -LEARNED_DAYS)], [id, "9999"])
          .toArray(),
      ),
    );
    if (off()) return undefined;
    for (const own of rows) found.push(...own);
    report(Math.min(1, (at + AT_ONCE) / horseIds.length));
  }
  return found;
}

/** How far back it is counted what stays on, days. */
const STAYING_DAYS = 365;

/** Every shoe that was set within a year: hundreds of rows for one view, read when it is looked at. */
export const readShoesSet = (today: string): Promise<ShoeRecord[]> =>
  session.db.shoes.where("date").aboveOrEqual(addDays(today, -STAYING_DAYS)).toArray();
