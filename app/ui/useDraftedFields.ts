import { useCallback, useEffect, useRef, useState } from "react";
import type { Issue, Result } from "~core/result";
import type { Edit } from "~core/record/edit";
import { draftAt, dropDraft, keepDraft } from "../data/drafts";
import { session } from "../data/session";
import { useEdits } from "./useEdits";

/** A field whose every keystroke is kept: how its value is stored, shown and read back. */
export interface DraftedField<T> {
  /** Where the typed text is kept until it is a value. */
  draftKey: string;
  stored: T | undefined;
  show: (value: T) => string;
  /** Reads what was typed; undefined means the field is to be empty. */
  read: (text: string) => Result<T | undefined>;
  /** The edit that makes the typed text a value. */
  edit: (was: T | undefined, now: T | undefined) => Edit;
}

interface Typing<T> {
  text: string;
  /** What stood in the record when the typing began: another tab's change since then must not be run over. */
  was: T | undefined;
  issue?: Issue | undefined;
  /** Sent to be kept, and shown until the answer is there; longer when it could not be kept. */
  settled?: { value: T | undefined };
}

/**
 * Text fields over records. What is typed is a draft at once and becomes a value when the field is left; what cannot
 * be read stays as it was typed, with the reason, and stays a draft. Leaving the screen settles everything.
 */
export function useDraftedFields<Name extends string, T>(fields: Record<Name, DraftedField<T>>) {
  const { settle: keep } = useEdits();
  const [typing, setTyping] = useState<Partial<Record<Name, Typing<T>>>>(() => {
    const found: Partial<Record<Name, Typing<T>>> = {};
    for (const name of Object.keys(fields) as Name[]) {
      const { draftKey, read } = fields[name];
      const draft = draftAt(draftKey);
      if (draft === undefined) continue;
      const result = read(draft);
      found[name] = {
        text: draft,
        was: fields[name].stored,
        issue: result.ok ? undefined : result.issues[0],
      };
    }
    return found;
  });
  const latest = useRef({ fields, typing });
  useEffect(() => {
    latest.current = { fields, typing };
  });

  const put = useCallback((name: Name, next: Typing<T> | undefined) => {
    latest.current = { ...latest.current, typing: { ...latest.current.typing, [name]: next } };
    setTyping(latest.current.typing);
  }, []);

  // A value that has come back from the store is let go of: the answer to its sending can be overtaken by a later one's.
  useEffect(() => {
    const arrived = (Object.keys(typing) as Name[]).filter((name) => {
      const sent = typing[name]?.settled;
      return sent !== undefined && same(sent.value, fields[name].stored);
    });
    if (arrived.length === 0) return undefined;
    const soon = setTimeout(() => {
      for (const name of arrived) if (latest.current.typing[name] === typing[name]) put(name, undefined);
    });
    return () => clearTimeout(soon);
  }, [typing, fields, put]);

  const type = useCallback(
    (name: Name, text: string) => {
      const field = latest.current.fields[name];
      const now = latest.current.typing[name];
      void keepDraft(field.draftKey, text);
      const was = now?.settled ? now.settled.value : now ? now.was : field.stored;
      put(name, { text, was });
    },
    [put],
  );

  /** Turns what was typed into a value; false when it cannot be read. */
  const settle = useCallback(
    (name: Name): boolean => {
      const field = latest.current.fields[name];
      const now = latest.current.typing[name];
      if (!now) return true;
      const result = field.read(now.text);
      if (!result.ok) {
        put(name, { ...now, issue: result.issues[0] });
        return false;
      }
      if (same(result.value, now.was) || same(result.value, field.stored)) {
        void dropDraft(field.draftKey);
        put(name, undefined);
      } else {
        const sent: Typing<T> = { ...now, settled: { value: result.value } };
        put(name, sent);
        void keep(field.edit(now.was, result.value), field.draftKey).then(() => {
          const failed = session.saveState().kind === "failed";
          if (!failed && latest.current.typing[name] === sent) put(name, undefined);
        });
      }
      return true;
    },
    [put, keep],
  );

  const forget = useCallback(
    (name: Name) => {
      void dropDraft(latest.current.fields[name].draftKey);
      put(name, undefined);
    },
    [put],
  );

  useEffect(
    () => () => {
      for (const name of Object.keys(latest.current.typing) as Name[]) settle(name);
    },
    [settle],
  );

  const view = (name: Name) => {
    const field = fields[name];
    const now = typing[name];
    if (now?.settled)
      return {
        text: now.settled.value === undefined ? "" : field.show(now.settled.value),
        value: now.settled.value,
        typed: false,
        issue: undefined,
      };
    if (!now)
      return {
        text: field.stored === undefined ? "" : field.show(field.stored),
        value: field.stored,
        typed: false,
        issue: undefined,
      };
    const read = field.read(now.text);
    return { text: now.text, value: read.ok ? read.value : field.stored, typed: true, issue: now.issue };
  };

  return { view, type, settle, forget };
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
