import { loadDrafts } from "~app/data/drafts";
import { readPlanning } from "~app/data/planning";
import { RoundsView } from "~app/features/rounds/RoundsView";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/rounds";

export async function clientLoader() {
  await loadDrafts("rounds/");
  return { ...(await readPlanning()), today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Rounds · Plumbline" }];

export default function RoundsRoute({ loaderData }: Route.ComponentProps) {
  return <RoundsView {...loaderData} />;
}
