import { data } from "react-router";
import { HORSE_TABLES, readHorseFile } from "~app/data/queries";
import { FilmsView } from "~app/features/film/FilmsView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/films";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  if (!file) throw data(null, { status: 404, statusText: "There is no such horse in this round." });
  return { file, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Radiographs · Plumbline" }];

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function FilmsRoute({ loaderData }: Route.ComponentProps) {
  return <FilmsView file={useRecords(loaderData.file)} today={loaderData.today} />;
}
