import { useMemo } from "react";
import { data } from "react-router";
import { CARE_TABLES, readCare } from "~app/data/cases";
import { readDay } from "~app/data/planning";
import { rosterOf } from "~app/data/queries";
import { DayView } from "~app/features/day/DayView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useCaseRows } from "~app/ui/useCaseRows";
import { useRecords } from "~app/ui/useRecords";
import { alertsByHorse } from "~core/casework/caseBoard";
import { isIsoDate } from "~core/calendar/date";
import { planOfDay } from "~core/rounds/daySheet";
import type { Route } from "./+types/day";

export async function clientLoader({ params: { date } }: Route.ClientLoaderArgs) {
  if (!isIsoDate(date)) throw data(null, { status: 404, statusText: "That is no day of the calendar." });
  const day = await readDay(date, todayHere());
  return { ...day, care: await readCare(day.cases), date };
}

export const shouldRevalidate = readsOnly(
  "horses",
  "yards",
  ...CARE_TABLES,
  "appointments",
  "forged",
  "nailSizes",
);

export const meta: Route.MetaFunction = ({ params }) => [{ title: `Day sheet ${params.date} · Plumbline` }];

export default function DayRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { date, planned, appointments, forged, nailSizes } = records;
  const plan = useMemo(() => planOfDay(rosterOf(records), date), [records, date]);
  const alerts = alertsByHorse(useCaseRows(loaderData.care, date));
  return (
    <DayView
      key={date}
      {...{ date, plan, alerts, appointments }}
      load={planned}
      log={forged}
      nails={nailSizes}
    />
  );
}
