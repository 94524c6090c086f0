import { useMemo } from "react";
import { feetByHorse, goneOf, readLastReadings, readRosterRecords, rosterOf } from "~app/data/queries";
import { HorsesView } from "~app/features/horses/HorsesView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/horses";

export async function clientLoader() {
  const today = todayHere();
  const records = await readRosterRecords(today);
  return { ...records, readings: await readLastReadings(rosterOf(records)), today };
}

export const shouldRevalidate = readsOnly("horses", "yards", "visits", "shoes", "readings");

export const meta: Route.MetaFunction = () => [{ title: "Horses · Plumbline" }];

export default function HorsesRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  const { yards, horses, readings, today } = records;
  const rows = useMemo(() => rosterOf(records), [records]);
  const feet = useMemo(() => feetByHorse(rows, readings), [rows, readings]);
  const gone = useMemo(() => goneOf(horses), [horses]);
  return <HorsesView {...{ rows, yards, gone, feet, today }} />;
}
