import { data } from "react-router";
import { readHorseFile } from "~app/data/queries";
import { CaseForm } from "~app/features/case/CaseForm";
import { todayHere } from "~app/ui/days";
import type { Route } from "./+types/case-edit";

/** A case to be changed, or a new one where the address names none. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  const one = file?.cases.find(({ id }) => id === params.caseId);
  if (!file || (params.caseId !== undefined && !one))
    throw data(null, { status: 404, statusText: "There is no such case in this round." });
  return { horse: file.horse, one, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Case · Plumbline" }];

export default function CaseEditRoute({ loaderData }: Route.ComponentProps) {
  return <CaseForm key={loaderData.one?.id ?? "new"} {...loaderData} />;
}
