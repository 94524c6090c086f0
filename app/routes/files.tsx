import { lastBackup } from "~app/data/backupNote";
import { atStake, folderOf } from "~app/data/backups";
import { lookForAmiss, NOTHING_AMISS } from "~app/data/mending";
import { persistAnswer } from "~app/data/persist";
import { backupWanted } from "~core/record/backupAge";
import { deviceOf } from "~app/data/device";
import { loadDrafts } from "~app/data/drafts";
import { session } from "~app/data/session";
import { FilesView } from "~app/features/files/FilesView";
import type { Route } from "./+types/files";

export async function clientLoader() {
  const { yards: yardTable, horses: horseTable, visits, readings, setAside } = session.db;
  const [yards, horses, merges, device, ...counts] = await Promise.all([
    yardTable.toArray(),
    horseTable.toArray(),
    setAside.toArray(),
    deviceOf(session.db),
    visits.count(),
    readings.count(),
    loadDrafts("files/"),
  ]);
  const persisted = await navigator.storage?.persisted?.().catch(() => false);
  const estimate = await navigator.storage?.estimate?.().catch(() => undefined);
  return {
    counts: {
      yards: yards.length,
      horses: horses.length,
      visits: counts[0],
      readings: counts[1],
    },
    yards,
    horses,
    merges,
    // Looked for while the page stands already.
    amiss: lookForAmiss(session.db).catch(() => NOTHING_AMISS),
    device: device.name,
    backups: {
      folder: await folderOf(session.db),
      last: await lastBackup(session.db),
      wanted: backupWanted(await atStake(session.db)),
    },
    round: session.round,
    persisted: persisted ?? false,
    persistAnswer: await persistAnswer(),
    usedMb: estimate?.usage === undefined ? undefined : estimate.usage / 1e6,
  };
}

export const meta: Route.MetaFunction = () => [{ title: "Files · Plumbline" }];

export default function FilesRoute({ loaderData }: Route.ComponentProps) {
  return <FilesView {...loaderData} />;
}
