import { useMemo } from "react";
import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { fileInCare, HORSE_TABLES, readHorseFile } from "~app/data/queries";
import { CaseView } from "~app/features/case/CaseView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/case";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  if (!file?.cases.some(({ id }) => id === params.caseId))
    throw data(null, { status: 404, statusText: "There is no such case in this round." });
  await loadDrafts(`cases/${params.caseId}`);
  return { file, caseId: params.caseId, today: todayHere() };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Case of ${loaderData?.file.horse.name ?? "a horse"} · Plumbline` },
];

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function CaseRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData.file);
  const file = useMemo(() => fileInCare(records), [records]);
  const one = file.cases.find(({ id }) => id === loaderData.caseId);
  return one ? <CaseView key={one.id} file={file} one={one} today={loaderData.today} /> : null;
}
