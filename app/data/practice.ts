import type { Protocol } from "~core/practice/protocol";
import type { Try } from "~core/practice/tryRecord";
import { session } from "./session";

/** Everything of practice: the tries of all rooms, oldest first, and the user's own protocols by name. */
export async function readPractice(): Promise<{ tries: Try[]; protocols: Protocol[] }> {
  const { db } = session;
  const [tries, protocols] = await Promise.all([db.tries.orderBy("at").toArray(), db.protocols.toArray()]);
  return { tries, protocols: protocols.sort((a, b) => a.name.localeCompare(b.name)) };
}
