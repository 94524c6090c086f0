import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { readHorseFile, readHorsesAndYards } from "~app/data/queries";
import { HorseForm } from "~app/features/horse-form/HorseForm";
import { todayHere } from "~app/ui/days";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/horse-edit";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [file, { horses, yards }] = await Promise.all([
    readHorseFile(params.horseId),
    readHorsesAndYards(),
    loadDrafts("forms/horse/"),
  ]);
  if (!file) throw data(null, { status: 404, statusText: "There is no such horse in this round." });
  const { horse, yard, visits } = file;
  const planned = visits.filter(({ status }) => status === "planned");
  return { horse, yard, planned, yards, horses, today: todayHere() };
}

export default function HorseEditRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData);
  return <HorseForm key={records.horse.id} {...records} />;
}
