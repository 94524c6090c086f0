import { readAllRecords } from "~app/data/files";
import { session } from "~app/data/session";
import { FilesView } from "~app/features/files/FilesView";
import { restore } from "~app/features/files/restore";
import type { Route } from "./+types/files";

export async function clientLoader() {
  const records = await readAllRecords();
  const persisted = await navigator.storage?.persisted?.().catch(() => false);
  const estimate = await navigator.storage?.estimate?.().catch(() => undefined);
  return {
    counts: {
      yards: records.yards.length,
      horses: records.horses.length,
      visits: records.visits.length,
      readings: records.readings.length,
    },
    yards: records.yards,
    horses: records.horses,
    round: session.round,
    persisted: persisted ?? false,
    usedMb: estimate?.usage === undefined ? undefined : estimate.usage / 1e6,
  };
}

export const clientAction = async ({ request }: Route.ClientActionArgs) => restore(await request.json());

export const meta: Route.MetaFunction = () => [{ title: "Files · Plumbline" }];

export default function FilesRoute({ loaderData }: Route.ComponentProps) {
  return <FilesView {...loaderData} />;
}
