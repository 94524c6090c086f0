import { useMemo } from "react";
import { feetByHorse, readLastReadings, readRosterRecords, rosterOf } from "~app/data/queries";
import { CARE_TABLES, readCare } from "~app/data/cases";
import { demoMadeFor } from "~app/data/rounds";
import { session } from "~app/data/session";
import { TodayView } from "~app/features/today/TodayView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { useCaseRows } from "~app/ui/useCaseRows";
import { dayPlan } from "~core/cycle/dayPlan";
import type { Route } from "./+types/today";

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const today = todayHere();
  const [records, madeFor] = await Promise.all([readRosterRecords(today), demoMadeFor()]);
  const shown = dayPlan(rosterOf(records), today).stops.flatMap(({ jobs }) => jobs);
  const [readings, care] = await Promise.all([readLastReadings(shown), readCare(records.cases)]);
  const wanted = new URL(request.url).searchParams.get("round");
  return {
    ...records,
    today,
    readings,
    care,
    madeFor,
    wanted: wanted === "demo" && session.round !== "demo" ? ("demo" as const) : undefined,
  };
}

export const shouldRevalidate = readsOnly("horses", "yards", ...CARE_TABLES);

export const meta: Route.MetaFunction = () => [{ title: "Today · Plumbline" }];

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { today, readings, madeFor, wanted } = records;
  const rows = useMemo(() => rosterOf(records), [records]);
  const plan = useMemo(() => dayPlan(rows, today), [rows, today]);
  const feet = useMemo(
    () =>
      feetByHorse(
        plan.stops.flatMap(({ jobs }) => jobs),
        readings,
      ),
    [plan, readings],
  );
  const cases = useCaseRows(loaderData.care, today);
  const names = Object.fromEntries(rows.map(({ horse }) => [horse.id, horse.name]));
  return <TodayView {...{ today, plan, feet, cases, names, madeFor, wanted }} empty={rows.length === 0} />;
}
