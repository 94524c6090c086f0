import { useMemo } from "react";
import { data } from "react-router";
import { companionsOf, fileInCare, HORSE_TABLES, readHorseFile } from "~app/data/queries";
import { HorseView } from "~app/features/horse/HorseView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/horse";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  if (!file) throw data(null, { status: 404, statusText: "There is no such horse in this round." });
  return { file, beside: await companionsOf(file.horse), today: todayHere() };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.file.horse.name ?? "Horse"} · Plumbline` },
];

export const shouldRevalidate = readsOnly(...HORSE_TABLES, "calls");

export default function HorseRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData.file);
  const file = useMemo(() => fileInCare(records), [records]);
  return <HorseView key={file.horse.id} {...loaderData} file={file} />;
}
