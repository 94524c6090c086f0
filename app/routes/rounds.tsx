import { loadDrafts } from "~app/data/drafts";
import { readAllReadings, readCalls, readPlanning } from "~app/data/planning";
import { RoundsView } from "~app/features/rounds/RoundsView";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/rounds";

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  await loadDrafts("rounds/");
  // Only the half year looks at every reading there is.
  const view = new URL(request.url).searchParams.get("view");
  return {
    ...(await readPlanning()),
    readings: view === "year" ? await readAllReadings() : [],
    ...(view === "calls" ? await readCalls() : { calls: [], shoes: [] }),
    today: todayHere(),
  };
}

export const meta: Route.MetaFunction = () => [{ title: "Rounds · Plumbline" }];

export default function RoundsRoute({ loaderData }: Route.ComponentProps) {
  return <RoundsView {...loaderData} />;
}
