import { saveEdits, undoLast } from "~app/data/edits";
import { session } from "~app/data/session";
import type { EditRequest } from "~app/ui/useEdits";
import type { Route } from "./+types/edits";

/** The one action that keeps changes, whatever screen they come from. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  const wanted = (await request.json()) as EditRequest;
  const saved = wanted.kind === "undo" ? await undoLast() : await saveEdits(wanted.edits, wanted.drafts);
  if (saved.kind === "conflict") session.askConflict(saved.conflict);
  if (wanted.kind === "undo" && saved.kind === "saved")
    session.say({ kind: "undone", message: `Taken back: ${saved.label}` });
  if (saved.kind === "nothing")
    session.say({ kind: "undone", message: "Nothing to take back in this sitting" });
  return saved;
}
