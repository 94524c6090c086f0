import { EPOCH } from "./database";
import { knowDevice } from "./device";
import { session } from "./session";

/** Which filling of the store this tab shows: read once, when the page loads. */
export async function knowStore(): Promise<void> {
  session.epoch ??= { value: (await session.db.facts.get(EPOCH))?.value };
  await knowDevice(session.db);
}
