import type { FindKind } from "../foot/wear";

/** Questions whose yes belongs to the vet. Source: trade practice. */
export const RED_FLAGS = {
  lame: "Lame at walk",
  pulse: "Strong digital pulse, or hot feet",
  rocking: "Rocking back, or unwilling to move",
  puncture: "Puncture in the sole or frog",
  discharge: "Discharge, or a soft hairline",
  uneven: "Head nods, or a hip hikes, as it moves",
  sudden: "Sudden change in one foot",
  wound: "Wound, swelling or fever",
  asked: "The vet asked for radiographs, or the owner suspects laminitis",
} as const;
export type RedFlag = keyof typeof RED_FLAGS;
export const RED_FLAG_NAMES = Object.keys(RED_FLAGS) as [RedFlag, ...RedFlag[]];

/** What to do at once, in a line. */
export const RED_FLAG_ADVICE: Record<RedFlag, string> = {
  lame: "Do not shoe on. Say which foot, since when.",
  pulse: "Hot feet and a strong pulse may be laminitis: an emergency of its own.",
  rocking: "Let it stand where it is comfortable. May be laminitis: an emergency of its own.",
  puncture: "Leave the object in place if the vet can come soon. Photograph it and protect the foot.",
  discharge: "Do not open further. Cover it.",
  uneven: "Not to be trimmed away. Say in which gait, on which ground, and on which limb if you can.",
  sudden: "Compare with the pair and with the last visit before anything is cut.",
  wound: "Note where and how large; the shoe can wait.",
  asked: "Wait for the pictures before the plan changes.",
};

export interface RaisedFlag {
  limb?: string | undefined;
  note: string;
  answer?: "told the vet" | "not needed" | undefined;
  /** Who was told, or why it is not needed. */
  because: string;
  at?: string | undefined;
}

/** Flags without an answer: one banner stands until there are none. An answer without a word of why is no answer. */
export const openFlags = (flags: Partial<Record<RedFlag, RaisedFlag | undefined>>): RedFlag[] =>
  RED_FLAG_NAMES.filter((flag) => {
    const raised = flags[flag];
    return raised !== undefined && (!raised.answer || raised.because.trim() === "");
  });

/** What was found on a foot that raises a flag by itself. */
export const flagOfFind = (kind: FindKind): RedFlag | undefined =>
  kind === "puncture" || kind === "discharge" ? kind : undefined;
