import { loadDrafts } from "~app/data/drafts";
import { readHorsesAndYards } from "~app/data/queries";
import { HorseForm } from "~app/features/horse-form/HorseForm";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/horse-new";

export async function clientLoader() {
  const [read] = await Promise.all([readHorsesAndYards(), loadDrafts("forms/horse/")]);
  return { ...read, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Add a horse · Plumbline" }];

export default function HorseNewRoute({ loaderData }: Route.ComponentProps) {
  return <HorseForm {...loaderData} />;
}
