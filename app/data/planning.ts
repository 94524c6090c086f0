import type { RosterRow } from "~core/cycle/dayPlan";
import type { Appointment } from "~core/record/appointment";
import type { RoundsSettings } from "~core/record/settings";
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
