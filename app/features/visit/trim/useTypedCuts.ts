import { useEffect, useRef, useState } from "react";
import { draftAt, dropDraft, keepDraft } from "~app/data/drafts";
import { useWording } from "~app/ui/useWording";
import { MM_PER_INCH } from "~core/constants/exact";
import { CUTS, type CutName } from "~core/record/trim";
import { ok, type Issue, type Result } from "~core/result";
import { checkCut } from "~core/trim/checkCut";
import { parseLength } from "~core/units/length";
import type { Wording } from "~core/units/wording";
import { lengthInField } from "~core/units/wording";
import type { Bench } from "./useBench";

/** A cut as it stands in a field: without its unit, to the half millimetre or the thirty-second. */
export const cutInField = (mm: number, wording: Wording): string =>
  lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1);

/** One step of a cut, mm: half a millimetre, or the thirty-second of an inch for those who think in inches. */
export const cutStep = ({ unit }: Pick<Wording, "unit">): number => (unit === "mm" ? 0.5 : MM_PER_INCH / 32);

/** Reads what was typed for a cut; an emptied field is no cut. */
export function readCut(cut: CutName, text: string, wording: Wording): Result<number | undefined> {
  if (text.trim() === "") return ok(undefined);
  const read = parseLength(text, wording.unit);
  return read.ok ? checkCut(cut, read.value) : read;
}

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
