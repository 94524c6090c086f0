import { useCallback, useMemo } from "react";
import { useSubmit, type SubmitTarget } from "react-router";
import type { Saved } from "~app/data/edits";
import { session, type TakenDraft } from "~app/data/session";
import type { Edit } from "~core/record/edit";
import { noteWritten } from "./unread";

/** What the edits route understands. */
export type EditRequest =
  | { kind: "save"; id: string; edits: readonly Edit[]; drafts: readonly TakenDraft[] }
  | { kind: "undo" | "retry"; id: string };

/** Who waits for the end of a request. */
const waiting = new Map<string, (saved: Saved) => void>();

/** Tells whoever asked how it ended. */
export function answerRequest(id: string, saved: Saved): void {
  noteWritten(saved);
  waiting.get(id)?.(saved);
  waiting.delete(id);
}

/**
 * Sends edits to the one action that keeps them. They are on the screen in the same moment, by the overlay; every loader
 * that reads what changed reads anew afterwards. The answer says how it ended.
 */
export function useEdits() {
  const submit = useSubmit();
  const send = useCallback(
    (request: EditRequest, flushSync = true) => {
      const ended = new Promise<Saved>((done) => waiting.set(request.id, done));
      session.sent(ended);
      void submit(request as unknown as SubmitTarget, {
        method: "post",
        action: "/edits",
        encType: "application/json",
        navigate: false,
        fetcherKey: request.id,
        flushSync,
      });
      return ended;
    },
    [submit],
  );
  return useMemo(() => {
    const saveWith = (edits: readonly Edit[], drafts: readonly TakenDraft[] = [], flushSync = true) =>
      send({ kind: "save", id: crypto.randomUUID(), edits, drafts }, flushSync);
    return {
      /** Keeps changes that belong together. */
      save: (...edits: Edit[]) => saveWith(edits),
      /** The same with the drafts that became them, which go with it. */
      saveWith,
      undo: () => send({ kind: "undo", id: crypto.randomUUID() }),
      /** Sends what the store refused once more. */
      retry: () => send({ kind: "retry", id: crypto.randomUUID() }),
    };
  }, [send]);
}
