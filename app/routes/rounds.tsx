import { useMemo } from "react";
import { loadDrafts } from "~app/data/drafts";
import { CARE_TABLES, readCare } from "~app/data/cases";
import { readPlanning } from "~app/data/planning";
import { rosterOf } from "~app/data/queries";
import { RoundsView } from "~app/features/rounds/RoundsView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { useCaseRows } from "~app/ui/useCaseRows";
import { useSettings } from "~app/ui/useWording";
import { alertsByHorse } from "~core/casework/caseBoard";
import type { Route } from "./+types/rounds";

export async function clientLoader() {
  const today = todayHere();
  await loadDrafts("rounds/");
  const planning = await readPlanning(today);
  return { ...planning, care: await readCare(planning.cases), today };
}

export const shouldRevalidate = readsOnly("horses", "yards", ...CARE_TABLES, "appointments", "calls");

export const meta: Route.MetaFunction = () => [{ title: "Rounds · Plumbline" }];

export default function RoundsRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { appointments, calls, today } = records;
  const rows = useMemo(() => rosterOf(records), [records]);
  const { rounds } = useSettings();
  const alerts = alertsByHorse(useCaseRows(loaderData.care, today));
  return <RoundsView {...{ rows, appointments, calls, alerts, today }} settings={rounds} />;
}
