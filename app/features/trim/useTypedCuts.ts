import { useEffect, useRef, useState } from "react";
import { draftAt, dropDraft, keepDraft } from "~app/data/drafts";
import { useWording } from "~app/ui/useWording";
import { CUTS, type CutName } from "~core/trim/trimRecord";
import type { Issue } from "~core/result";
import { cutInField, readCut } from "~app/stage/cutText";
import type { Bench } from "./useBench";

interface Typing {
  text: string;
  issue?: Issue | undefined;
}

/**
 * Typing over the planned cuts: they are moved by hand as well, so a typed number becomes one more move. What cannot be
 * read stays as it was typed, with the reason, and stays a draft over a reload.
 */
export function useTypedCuts({ blank, cuts, put: keep }: Bench) {
  const wording = useWording();
  const keyOf = (cut: CutName) => `${blank.id}.plan.${cut}`;
  const [typing, setTyping] = useState<Partial<Record<CutName, Typing>>>(() =>
    Object.fromEntries(
      CUTS.flatMap((cut) => {
        const text = draftAt(keyOf(cut));
        if (text === undefined) return [];
        const read = readCut(cut, text, wording);
        return [[cut, { text, issue: read.ok ? undefined : read.issues[0] }]];
      }),
    ),
  );
  // A sitting that broke off between typing and keeping: what can be read is kept now.
  const left = useRef(() => {
    for (const cut of CUTS) settle(cut);
  });
  useEffect(() => {
    const soon = setTimeout(() => left.current());
    return () => clearTimeout(soon);
  }, []);
  const put = (cut: CutName, next: Typing | undefined) => setTyping((now) => ({ ...now, [cut]: next }));
  function settle(cut: CutName): void {
    const now = typing[cut];
    if (!now) return;
    const read = readCut(cut, now.text, wording);
    if (!read.ok) {
      put(cut, { ...now, issue: read.issues[0] });
      return;
    }
    put(cut, undefined);
    if ((read.value ?? 0) === cuts[cut]) void dropDraft(keyOf(cut));
    else keep(cut, read.value ?? 0, keyOf(cut));
  }
  return {
    view: (cut: CutName): Typing => typing[cut] ?? { text: cutInField(cuts[cut], wording) },
    type: (cut: CutName, text: string) => {
      void keepDraft(keyOf(cut), text);
      put(cut, { text });
    },
    settle,
  };
}
