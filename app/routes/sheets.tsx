import { useMemo } from "react";
import { data } from "react-router";
import { fileInCare, HORSE_TABLES, readHorseFile } from "~app/data/queries";
import { SheetView } from "~app/features/sheet/SheetView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/sheets";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  if (!file) throw data(null, { status: 404, statusText: "There is no such horse in this round." });
  return { file, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Sheet · Plumbline" }];

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function SheetsRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData.file);
  const file = useMemo(() => fileInCare(records), [records]);
  return <SheetView file={file} today={loaderData.today} />;
}
