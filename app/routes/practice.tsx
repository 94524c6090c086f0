import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { readPractice } from "~app/data/practice";
import { CutRoom } from "~app/features/practice/CutRoom";
import { LengthRoom } from "~app/features/practice/LengthRoom";
import { MeasureRoom } from "~app/features/practice/MeasureRoom";
import { PracticeHome } from "~app/features/practice/PracticeHome";
import { ReadRoom } from "~app/features/practice/ReadRoom";
import { RunRoom } from "~app/features/practice/RunRoom";
import "~app/features/practice/practice.css";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { PRACTICE_ROOMS, type PracticeRoom } from "~core/practice/tryRecord";
import type { Route } from "./+types/practice";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { room } = params;
  if (room !== undefined && !PRACTICE_ROOMS.includes(room as PracticeRoom))
    throw data(null, {
      status: 404,
      statusText: "There is no such room of practice: measure, read, cut, length or run.",
    });
  await loadDrafts("practice/");
  return { records: await readPractice(), room: room as PracticeRoom | undefined };
}

export const meta: Route.MetaFunction = () => [{ title: "Practice · Plumbline" }];

export const shouldRevalidate = readsOnly("tries", "protocols");

export default function PracticeRoute({ loaderData }: Route.ComponentProps) {
  const { tries, protocols } = useRecords(loaderData.records);
  switch (loaderData.room) {
    case "measure":
      return <MeasureRoom tries={tries} />;
    case "read":
      return <ReadRoom tries={tries} />;
    case "cut":
      return <CutRoom tries={tries} />;
    case "length":
      return <LengthRoom tries={tries} />;
    case "run":
      return <RunRoom tries={tries} protocols={protocols} />;
    case undefined:
      return <PracticeHome tries={tries} />;
  }
}
