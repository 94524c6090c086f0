import type { RosterRow } from "~core/cycle/dayPlan";
import type { Appointment } from "~core/record/appointment";
import type { Call } from "~core/record/call";
import type { Reading } from "~core/foot/records/reading";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import type { RoundsSettings } from "~core/record/settings";
import { planOfDay } from "~core/rounds/daySheet";
import { readPlannedHorses } from "./forge";
import { readRoster, readSettings } from "./queries";
import { session } from "./session";

/** Everything that rounds are planned from. */
export interface PlanningRecords {
  rows: RosterRow[];
  settings: RoundsSettings;
  appointments: Appointment[];
}

export async function readPlanning(): Promise<PlanningRecords> {
  const [{ rows }, settings, appointments] = await Promise.all([
    readRoster(),
    readSettings(),
    session.db.appointments.orderBy("date").toArray(),
  ]);
  return { rows, settings: settings.rounds, appointments };
}

/** One day's plan, and the horses on it with what their shoes are worked out from. */
export async function readDay(date: string) {
  const [{ rows }, horses, log, nails] = await Promise.all([
    readRoster(),
    readPlannedHorses(date),
    session.db.forged.toArray(),
    session.db.nailSizes.toArray(),
  ]);
  const plan = planOfDay(rows, date);
  const names = new Set(plan.stops.flatMap(({ jobs }) => jobs.map(({ horse }) => horse.id)));
  return { plan, log, nails, load: horses.filter(({ horse }) => names.has(horse.id)) };
}

/** Every reading there is: what forecasts of the whole round learn from. */
export const readAllReadings = (): Promise<Reading[]> => session.db.readings.toArray();

/** What happened between visits, and every shoe that was set. */
export async function readCalls(): Promise<{ calls: Call[]; shoes: ShoeRecord[] }> {
  const [calls, shoes] = await Promise.all([session.db.calls.toArray(), session.db.shoes.toArray()]);
  return { calls, shoes };
}
