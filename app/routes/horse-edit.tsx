import { data, redirect } from "react-router";
import { readHorseFile, readRoster } from "~app/data/queries";
import { saveHorseForm } from "~app/features/horse-form/saveHorseForm";
import { HorseForm } from "~app/features/horse-form/HorseForm";
import type { Route } from "./+types/horse-edit";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [file, { rows, yards }] = await Promise.all([readHorseFile(params.horseId), readRoster()]);
  if (!file) throw data(null, { status: 404, statusText: "There is no such horse in this round." });
  return { horse: file.horse, yard: file.yard, yards, horses: rows.map(({ horse }) => horse) };
}

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const file = await readHorseFile(params.horseId);
  const saved = await saveHorseForm(await request.json(), file?.horse, file?.yard);
  return saved.ok ? redirect(`/horses/${saved.value}`) : saved;
}

export default function HorseEditRoute({ loaderData, actionData }: Route.ComponentProps) {
  return <HorseForm {...loaderData} issues={actionData?.issues ?? []} />;
}
