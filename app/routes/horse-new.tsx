import { redirect } from "react-router";
import { readRoster } from "~app/data/queries";
import { saveHorseForm } from "~app/features/horse-form/saveHorseForm";
import { HorseForm } from "~app/features/horse-form/HorseForm";
import type { Route } from "./+types/horse-new";

export async function clientLoader() {
  const { rows, yards } = await readRoster();
  return { yards, horses: rows.map(({ horse }) => horse) };
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const saved = await saveHorseForm(await request.json(), undefined, undefined);
  return saved.ok ? redirect(`/horses/${saved.value}`) : saved;
}

export const meta: Route.MetaFunction = () => [{ title: "Add a horse · Plumbline" }];

export default function HorseNewRoute({ loaderData, actionData }: Route.ComponentProps) {
  return <HorseForm {...loaderData} issues={actionData?.issues ?? []} />;
}
