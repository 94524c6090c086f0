import type { ShouldRevalidateFunctionArgs } from "react-router";
import { feetByHorse, readGone, readRoster } from "~app/data/queries";
import { HorsesView } from "~app/features/horses/HorsesView";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/horses";

export async function clientLoader() {
  const { rows, yards } = await readRoster();
  return { rows, yards, gone: await readGone(), feet: await feetByHorse(rows), today: todayHere() };
}

/** Filtering changes the address, not the records. */
export const shouldRevalidate = ({
  currentUrl,
  nextUrl,
  formMethod,
  defaultShouldRevalidate,
}: ShouldRevalidateFunctionArgs) =>
  formMethod === undefined && currentUrl.pathname === nextUrl.pathname && currentUrl.search !== nextUrl.search
    ? false
    : defaultShouldRevalidate;

export const meta: Route.MetaFunction = () => [{ title: "Horses · Plumbline" }];

export default function HorsesRoute({ loaderData }: Route.ComponentProps) {
  return <HorsesView {...loaderData} />;
}
