import { useCallback } from "react";
import { useSubmit, type SubmitTarget } from "react-router";
import type { Edit } from "~core/record/edit";

/** What the edits route understands. */
export type EditRequest = { kind: "save"; edits: Edit[]; drafts: string[] } | { kind: "undo" };

/** Sends edits to the one action that keeps them; every loader on screen reads anew afterwards. */
export function useEdits() {
  const submit = useSubmit();
  const send = useCallback(
    (request: EditRequest) =>
      submit(request as unknown as SubmitTarget, {
        method: "post",
        action: "/edits",
        encType: "application/json",
        navigate: false,
        fetcherKey: crypto.randomUUID(),
      }),
    [submit],
  );
  return {
    save: useCallback((...edits: Edit[]) => send({ kind: "save", edits, drafts: [] }), [send]),
    /** Keeps the value that a draft has become. */
    settle: useCallback(
      (edit: Edit, draftKey: string) => send({ kind: "save", edits: [edit], drafts: [draftKey] }),
      [send],
    ),
    /** Keeps several changes that belong together, and drops the drafts that became them. */
    settleAll: useCallback(
      (edits: Edit[], drafts: string[]) => send({ kind: "save", edits, drafts }),
      [send],
    ),
    undo: useCallback(() => send({ kind: "undo" }), [send]),
  };
}
