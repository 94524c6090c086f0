import { loadDrafts } from "~app/data/drafts";
import { readAllReadings, readPlanning } from "~app/data/planning";
import { RoundsView } from "~app/features/rounds/RoundsView";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/rounds";

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  await loadDrafts("rounds/");
  // Only the half year looks at every reading there is.
  const year = new URL(request.url).searchParams.get("view") === "year";
  return {
    ...(await readPlanning()),
    readings: year ? await readAllReadings() : [],
    today: todayHere(),
  };
}

export const meta: Route.MetaFunction = () => [{ title: "Rounds · Plumbline" }];

export default function RoundsRoute({ loaderData }: Route.ComponentProps) {
  return <RoundsView {...loaderData} />;
}
