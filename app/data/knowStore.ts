import { EPOCH } from "./database";
import { startSitting } from "./device";
import { session } from "./session";

/** Which filling of the store this tab shows, and under which id it acts: settled once, when the page loads. */
export async function knowStore(): Promise<void> {
  const { db } = session;
  if (session.epoch) return;
  const { value } = (await db.facts.get(EPOCH)) ?? {};
  // Where nothing can be written the page still opens: what is in it can be read, and taken out as a file.
  await startSitting(db).catch(() => undefined);
  session.epoch ??= { value };
}
