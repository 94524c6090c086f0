import { restoreBackup } from "~app/data/files";
import { storageTrouble } from "~app/data/trouble";
import type { Backup } from "~core/record/backup";
import { fail, ok, type Result } from "~core/result";

/** Puts a checked backup in place of the open round; on any failure nothing has changed. */
export async function restore(backup: Backup): Promise<Result<true>> {
  try {
    await restoreBackup(backup);
    return ok(true);
  } catch (error) {
    return fail("failed", "", storageTrouble(error));
  }
}
