import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { readHorseFile } from "~app/data/queries";
import { CaseForm } from "~app/features/case/CaseForm";
import { todayHere } from "~app/ui/days";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/case-edit";

/** A case to be changed, or a new one where the address names none. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [file] = await Promise.all([readHorseFile(params.horseId), loadDrafts("forms/case/")]);
  const cases = file?.cases.filter(({ id }) => id === params.caseId) ?? [];
  if (!file || (params.caseId !== undefined && cases.length === 0))
    throw data(null, { status: 404, statusText: "There is no such case in this round." });
  return { horse: file.horse, cases, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Case · Plumbline" }];

export default function CaseEditRoute({ loaderData, params }: Route.ComponentProps) {
  const { horse, cases, today } = useRecords(loaderData);
  const one = cases.find(({ id }) => id === params.caseId);
  return <CaseForm key={one?.id ?? "new"} {...{ horse, one, today }} />;
}
