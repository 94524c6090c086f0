import { data } from "react-router";
import { readDay } from "~app/data/planning";
import { DayView } from "~app/features/day/DayView";
import { isIsoDate } from "~core/calendar/date";
import type { Route } from "./+types/day";

export async function clientLoader({ params: { date } }: Route.ClientLoaderArgs) {
  if (!isIsoDate(date)) throw data(null, { status: 404, statusText: "That is no day of the calendar." });
  return { ...(await readDay(date)), date };
}

export const meta: Route.MetaFunction = ({ params }) => [{ title: `Day sheet ${params.date} · Plumbline` }];

export default function DayRoute({ loaderData }: Route.ComponentProps) {
  return <DayView key={loaderData.date} {...loaderData} />;
}
