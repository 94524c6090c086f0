import { useMemo } from "react";
import { data } from "react-router";
import { readDay } from "~app/data/planning";
import { rosterOf } from "~app/data/queries";
import { DayView } from "~app/features/day/DayView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { isIsoDate } from "~core/calendar/date";
import { planOfDay } from "~core/rounds/daySheet";
import type { Route } from "./+types/day";

export async function clientLoader({ params: { date } }: Route.ClientLoaderArgs) {
  if (!isIsoDate(date)) throw data(null, { status: 404, statusText: "That is no day of the calendar." });
  return { ...(await readDay(date, todayHere())), date };
}

export const shouldRevalidate = readsOnly(
  "horses",
  "yards",
  "visits",
  "shoes",
  "cases",
  "readings",
  "forged",
  "nailSizes",
);

export const meta: Route.MetaFunction = ({ params }) => [{ title: `Day sheet ${params.date} · Plumbline` }];

export default function DayRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { date, planned, forged, nailSizes } = records;
  const plan = useMemo(() => planOfDay(rosterOf(records), date), [records, date]);
  const load = useMemo(() => {
    const names = new Set(plan.stops.flatMap(({ jobs }) => jobs.map(({ horse }) => horse.id)));
    return planned.filter(({ horse }) => names.has(horse.id));
  }, [plan, planned]);
  return <DayView key={date} {...{ date, plan, load }} log={forged} nails={nailSizes} />;
}
