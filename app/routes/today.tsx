import { feetByHorse, readRoster } from "~app/data/queries";
import { demoMadeFor } from "~app/data/rounds";
import { session } from "~app/data/session";
import { TodayView } from "~app/features/today/TodayView";
import { todayHere } from "~app/ui/days";
import { dayPlan } from "~core/cycle/dayPlan";
import type { Route } from "./+types/today";

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const today = todayHere();
  const { rows } = await readRoster();
  const plan = dayPlan(rows, today);
  const shown = plan.stops.flatMap(({ jobs }) => jobs);
  const wanted = new URL(request.url).searchParams.get("round");
  return {
    today,
    plan,
    feet: await feetByHorse(shown),
    empty: rows.length === 0,
    madeFor: session.round === "own" ? undefined : await demoMadeFor(session.round),
    wanted: wanted === "demo" && session.round !== "demo" ? ("demo" as const) : undefined,
  };
}

export const meta: Route.MetaFunction = () => [{ title: "Today · Plumbline" }];

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  return <TodayView {...loaderData} />;
}
