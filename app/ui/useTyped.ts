import { useEffect, useRef, useState } from "react";
import { draftAt, dropDraft, keepDraft } from "../data/drafts";
import type { Issue, Result } from "~core/result";

export interface Typed<T> {
  draftKey: string;
  value: T;
  show: (value: T) => string;
  read: (text: string) => Result<T>;
  /** Keeps the value; the draft goes with it. */
  onKeep: (value: T, draftKey: string) => void;
}

/**
 * One field whose text becomes a value when it is left: a draft at every keystroke, refused with its reason, never lost.
 * What a sitting left half typed is there again, and kept if it can be read.
 */
export function useTyped<T>(field: Typed<T>) {
  const { draftKey, value, show, read, onKeep } = field;
  const [typing, setTyping] = useState<{ text: string; issue?: Issue | undefined } | undefined>(() => {
    const text = draftAt(draftKey);
    if (text === undefined) return undefined;
    const found = read(text);
    return { text, issue: found.ok ? undefined : found.issues[0] };
  });
  const settle = () => {
    if (!typing) return;
    const found = read(typing.text);
    if (!found.ok) {
      setTyping({ ...typing, issue: found.issues[0] });
      return;
    }
    setTyping(undefined);
    if (found.value === value) void dropDraft(draftKey);
    else onKeep(found.value, draftKey);
  };
  const latest = useRef(settle);
  useEffect(() => {
    latest.current = settle;
  });
  useEffect(() => {
    const soon = setTimeout(() => latest.current());
    return () => {
      clearTimeout(soon);
      latest.current();
    };
  }, []);
  return {
    text: typing?.text ?? show(value),
    issue: typing?.issue,
    type: (text: string) => {
      void keepDraft(draftKey, text);
      setTyping({ text });
    },
    settle,
  };
}
