import { data, useOutletContext } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { useMemo } from "react";
import { fileInCare, HORSE_TABLES, readHorseFile, visitById } from "~app/data/queries";
import { VisitShell } from "~app/features/visit/VisitShell";
import { todayHere } from "~app/ui/days";
import { Frame } from "~app/ui/Frame";
import { RouteTrouble } from "~app/ui/RouteTrouble";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/visit";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const visit = await visitById(params.visitId);
  const file = visit && (await readHorseFile(visit.horseId));
  if (!visit || !file) throw data(null, { status: 404, statusText: "There is no such visit in this round." });
  await loadDrafts(visit.id);
  return { visit, file, today: todayHere() };
}

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function VisitRoute({ loaderData }: Route.ComponentProps) {
  const records = useRecords(loaderData.file);
  const file = useMemo(() => fileInCare(records), [records]);
  const visit = file.visits.find(({ id }) => id === loaderData.visit.id) ?? loaderData.visit;
  return <VisitShell visit={visit} file={file} today={loaderData.today} />;
}

/** No such visit, or one that cannot be shown: the application’s frame around it. */
export function ErrorBoundary() {
  const { find } = useOutletContext<{ find: () => void }>();
  return (
    <Frame onFind={find}>
      <div className="page">
        <RouteTrouble />
      </div>
    </Frame>
  );
}
