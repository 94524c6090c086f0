import { data, type ShouldRevalidateFunctionArgs } from "react-router";
import { draftsOf } from "~app/data/drafts";
import { readHorseFile, visitById } from "~app/data/queries";
import { VisitShell } from "~app/features/visit/VisitShell";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/visit";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const visit = await visitById(params.visitId);
  const file = visit && (await readHorseFile(visit.horseId));
  if (!visit || !file) throw data(null, { status: 404, statusText: "There is no such visit in this round." });
  return { visit, file, drafts: await draftsOf(visit.id), today: todayHere() };
}

/** Choosing a foot or a stage changes nothing in the records. */
export const shouldRevalidate = ({ formMethod, currentParams, nextParams, defaultShouldRevalidate, currentUrl, nextUrl }: ShouldRevalidateFunctionArgs) =>
  formMethod === undefined && currentParams["visitId"] === nextParams["visitId"] && currentUrl.href !== nextUrl.href
    ? false
    : defaultShouldRevalidate;

export default function VisitRoute({ loaderData }: Route.ComponentProps) {
  return <VisitShell {...loaderData} />;
}
