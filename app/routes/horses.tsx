import { useMemo } from "react";
import { goneOf, readLastReadings, readRosterRecords, rosterOf } from "~app/data/queries";
import { HorsesView } from "~app/features/horses/HorsesView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { FIRST_ROWS } from "~app/ui/useShown";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/horses";

export async function clientLoader() {
  const today = todayHere();
  const records = await readRosterRecords(today);
  const first = rosterOf(records).slice(0, FIRST_ROWS);
  return { ...records, readings: await readLastReadings(first), today };
}

export const shouldRevalidate = readsOnly("horses", "yards", "visits", "shoes", "cases", "readings");

export const meta: Route.MetaFunction = () => [{ title: "Horses · Plumbline" }];

export default function HorsesRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { yards, horses, readings, today } = records;
  const rows = useMemo(() => rosterOf(records), [records]);
  const gone = useMemo(() => goneOf(horses), [horses]);
  return <HorsesView {...{ rows, yards, gone, readings, today }} />;
}
