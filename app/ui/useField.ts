import { useCallback, useEffect, useLayoutEffect, useRef, useState, useSyncExternalStore } from "react";
import { draftAt, draftsAt, dropDraft, keepDraft } from "~app/data/drafts";
import { session } from "~app/data/session";
import { sameValue, type Edit } from "~core/record/edit";
import type { Issue, Result } from "~core/result";
import { useEdits } from "./useEdits";

/** A field over a record: how its value is shown, read back and kept. */
export interface Field<T> {
  /** Where the typed text is kept until it is a value. */
  draftKey: string;
  /** The value as the overlay has it. */
  stored: T | undefined;
  show: (value: T) => string;
  /** Reads what was typed; undefined means that the field is to be empty. */
  read: (text: string) => Result<T | undefined>;
  /** What makes the typed text a value; `was` is what stood there when the typing began. */
  edit: (was: T | undefined, now: T | undefined) => Edit | readonly Edit[];
}

/** A field as it stands on the screen. */
export interface FieldView<T> {
  text: string;
  /** What is typed, where it can be read; else what is stored. */
  value: T | undefined;
  /** True while the text is not a value yet. */
  typed: boolean;
  issue: Issue | undefined;
}

/**
 * Text fields over records; the fields hold text only. What is typed is a draft at once and becomes a value when the
 * field is left; what cannot be read stays as it was typed, with the reason, and stays a draft. Leaving the screen
 * settles everything. What an earlier sitting left half typed is there again.
 */
export function useFields<Name extends string, T>(fields: Record<Name, Field<T>>) {
  const { saveWith } = useEdits();
  const names = Object.keys(fields) as Name[];
  // Follows the drafts of these fields alone.
  useSyncExternalStore(session.onTyped, () =>
    names.map((name) => draftAt(fields[name].draftKey)?.text ?? "\u0000").join("\u0001"),
  );
  const [issues, setIssues] = useState<Partial<Record<Name, Issue | undefined>>>(() => {
    const found: Partial<Record<Name, Issue>> = {};
    for (const name of names) {
      const draft = draftAt(fields[name].draftKey);
      const read = draft && fields[name].read(draft.text);
      if (read && !read.ok) found[name] = read.issues[0];
    }
    return found;
  });
  const latest = useRef(fields);
  // In the same commit: a press that comes right after it must not meet what stood there before.
  useLayoutEffect(() => {
    latest.current = fields;
  });

  const type = useCallback((name: Name, text: string) => {
    const { draftKey, stored } = latest.current[name];
    const was = draftAt(draftKey)?.was ?? { value: stored };
    void keepDraft(draftKey, text, was);
    setIssues((now) => ({ ...now, [name]: undefined }));
  }, []);

  const settleWith = useCallback(
    (name: Name, flushSync: boolean): boolean => {
      const field = latest.current[name];
      const draft = draftAt(field.draftKey);
      if (!draft) return true;
      const read = field.read(draft.text);
      if (!read.ok) {
        setIssues((now) => ({ ...now, [name]: read.issues[0] }));
        return false;
      }
      const was = draft.was ? (draft.was.value as T | undefined) : field.stored;
      if (sameValue(read.value, was) || sameValue(read.value, field.stored)) {
        void dropDraft(field.draftKey);
        return true;
      }
      const made = field.edit(was, read.value);
      const edits = "length" in made ? made : [made as Edit];
      const [first] = edits;
      if (first && !sameValue(was, field.stored)) {
        // Another tab has changed it since the typing began. An edit may be larger than the field: what it starts from.
        const stored = sameValue(first.was, was) ? field.stored : first.was;
        session.askConflict({ edit: first, stored, change: { edits, drafts: draftsAt(field.draftKey) } });
        return true;
      }
      // The overlay shows the value from here on; the draft stays in the store until both change places in it.
      void saveWith(edits, draftsAt(field.draftKey), flushSync);
      session.setTyped(field.draftKey, undefined);
      return true;
    },
    [saveWith],
  );
  const settle = useCallback((name: Name) => settleWith(name, true), [settleWith]);

  const forget = useCallback((name: Name) => {
    void dropDraft(latest.current[name].draftKey);
    setIssues((now) => ({ ...now, [name]: undefined }));
  }, []);

  useEffect(
    () => () => {
      for (const name of Object.keys(latest.current) as Name[]) settleWith(name, false);
    },
    [settleWith],
  );

  const view = (name: Name): FieldView<T> => {
    const { draftKey, stored, show, read } = fields[name];
    const draft = draftAt(draftKey);
    if (!draft)
      return {
        text: stored === undefined ? "" : show(stored),
        value: stored,
        typed: false,
        issue: undefined,
      };
    const now = read(draft.text);
    return { text: draft.text, value: now.ok ? now.value : stored, typed: true, issue: issues[name] };
  };

  return { view, type, settle, forget };
}

/** Text that stays a draft until somebody makes something of it. */
export function useDraftText(draftKey: string) {
  const text = useSyncExternalStore(session.onTyped, () => draftAt(draftKey)?.text ?? "");
  return {
    text,
    type: (next: string) => void keepDraft(draftKey, next),
    forget: () => void dropDraft(draftKey),
  };
}

/** One such field. */
export function useField<T>(field: Field<T>) {
  const { view, type, settle, forget } = useFields({ only: field });
  return {
    ...view("only"),
    type: (text: string) => type("only", text),
    settle: () => settle("only"),
    forget: () => forget("only"),
  };
}
