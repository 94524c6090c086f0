import { retryRefused, saveEdits, undoLast, type Saved } from "~app/data/edits";
import { session } from "~app/data/session";
import { answerRequest, type EditRequest } from "~app/ui/useEdits";
import type { Route } from "./+types/edits";

/** The one action that keeps changes, whatever screen they come from. */
export async function clientAction({ request }: Route.ClientActionArgs): Promise<Saved> {
  const wanted = (await request.json()) as EditRequest;
  const saved = await carryOut(wanted);
  if (saved.kind === "conflict") session.askConflict(saved.conflict);
  if (wanted.kind === "undo" && saved.kind === "saved")
    session.say({ kind: "undone", message: `Taken back: ${saved.label}` });
  if (saved.kind === "nothing")
    session.say({ kind: "undone", message: "Nothing to take back in this sitting" });
  answerRequest(wanted.id, saved);
  return saved;
}

async function carryOut(wanted: EditRequest): Promise<Saved> {
  switch (wanted.kind) {
    case "save":
      return saveEdits(wanted.edits, wanted.drafts);
    case "undo":
      return undoLast();
    case "retry":
      return retryRefused();
  }
}
