import { z } from "zod";
import { shorterCap } from "../constants/due";
import type { SoleSurvey } from "../foot/survey/survey";
import type { Wording } from "../foot/wording";
import { dateField, line } from "../schema/fields";
import { PADS, SHOE_TYPES } from "./specification";

/** How the old shoe sat when it was looked at. */
export const SHOE_STATES = [
  "as it was nailed",
  "loose",
  "shifted",
  "sprung",
  "bent",
  "broken",
  "lost",
] as const;
export type ShoeState = (typeof SHOE_STATES)[number];

const most = (mm: number, error: string) => z.number().min(0, { error }).max(mm, { error });

/** The shoe as it was found on the foot, whoever made it. What was not looked at is missing. Lengths mm, angles deg. */
export const foundShoeSchema = z.strictObject({
  state: z.enum(SHOE_STATES).optional(),
  type: z.enum(SHOE_TYPES).optional(),
  pad: z.enum(PADS).optional(),
  /** Raise of its heels by a wedge, deg. */
  wedgeDeg: most(20, "A wedge lies between 0 and 20 degrees.").optional(),
  /** From its toe to the end of its longer branch. */
  lengthMm: z
    .number()
    .min(50, { error: "Shorter than 50 mm is no shoe." })
    .max(320, { error: "Longer than 320 mm is not read." })
    .optional(),
  /** Back from its toe to where it breaks over. */
  breakoverMm: most(80, "The breakover lies between 0 and 80 mm back from the toe.").optional(),
  nailsMedial: z
    .int({ error: "A whole number of nails." })
    .min(0)
    .max(6, { error: "No more than 6 nails a branch." })
    .optional(),
  nailsLateral: z
    .int({ error: "A whole number of nails." })
    .min(0)
    .max(6, { error: "No more than 6 nails a branch." })
    .optional(),
  by: line.optional(),
  since: dateField.optional(),
});
export type FoundShoe = z.infer<typeof foundShoeSchema>;
export const FOUND_LENGTHS = {
  wedgeDeg: "Wedge",
  lengthMm: "Length",
  breakoverMm: "Breakover, from its toe",
} as const;
export type FoundLength = keyof typeof FOUND_LENGTHS;

/** What a state of the old shoe moves: the window, a caution at the step, or a mark on what is read today. */
export interface FoundEffect {
  moves: "window" | "caution" | "mark";
  says: string;
}

const EFFECTS: Partial<Record<ShoeState, readonly FoundEffect[]>> = {
  loose: [
    {
      moves: "caution",
      says: "Loose: look at every nail hole for wall that has broken out, and nail into sound horn.",
    },
  ],
  shifted: [
    {
      moves: "mark",
      says: "It stood on a shifted shoe: landing and wear of today belong to that. Watch it again when it is done.",
    },
    { moves: "caution", says: "Shifted: look for a clip or a branch that pressed on the sole." },
  ],
  sprung: [
    {
      moves: "caution",
      says: "Sprung at the heel: feel the seat of corn for a bruise before anything goes on it.",
    },
  ],
  bent: [{ moves: "mark", says: "Bent: its wear no longer tells how the foot landed." }],
  broken: [{ moves: "caution", says: "Broken: look for the piece, and for wall torn with it." }],
  lost: [
    { moves: "mark", says: "It has gone without: the wall’s wear is the ground’s, not the gait’s." },
    { moves: "caution", says: "Lost: look for a bruise or a nail trodden in, and for wall torn off." },
  ],
};
const DID_NOT_LAST: readonly ShoeState[] = ["loose", "broken", "lost"];
/** Weeks by which a shoe that did not last shortens the next stretch. Assumption, because what loosened it is still there. */
const DID_NOT_LAST_WEEKS = 1;

/** True for a shoe that did not hold until its day. */
export const didNotLast = (found: FoundShoe | undefined, beforeItsDay: boolean): boolean =>
  beforeItsDay && found?.state !== undefined && DID_NOT_LAST.includes(found.state);

/** Everything that follows from how the old shoe sat; `beforeItsDay` = the foot was not due yet. */
export function foundEffects(found: FoundShoe | undefined, beforeItsDay: boolean): FoundEffect[] {
  const effects = found?.state === undefined ? [] : [...(EFFECTS[found.state] ?? [])];
  if (didNotLast(found, beforeItsDay))
    effects.push({
      moves: "window",
      says: "It did not last until its day: the next stretch is a week shorter.",
    });
  return effects;
}

/** The cap of the interval, weeks, after a shoe that did not last. */
export const capAfterFound = (capWeeks: number, lasted: boolean): number =>
  lasted ? capWeeks : shorterCap(capWeeks, DID_NOT_LAST_WEEKS);

/** What the old shoe gave its foot: raise, how much lay ahead of and behind the centre of rotation, roll. */
export interface FoundGave {
  raiseDeg?: number;
  /** Mm ahead of the centre of rotation to where it broke over, and behind it to the end of the branch. */
  front?: number;
  support?: number;
}

/**
 * From the foot's survey and the shoe's own numbers, its toe taken as set at the foot's toe. What one of them does not
 * give is missing. mm and deg.
 */
export function foundGave(found: FoundShoe, survey: Pick<SoleSurvey, "front" | "support">): FoundGave {
  const { wedgeDeg, lengthMm, breakoverMm = 0 } = found;
  const { front } = survey;
  return {
    ...(wedgeDeg !== undefined && { raiseDeg: wedgeDeg }),
    ...(front !== undefined &&
      lengthMm !== undefined && {
        front: front - breakoverMm,
        support: lengthMm - front,
      }),
  };
}

/** "Raised 3.0°; 58 mm ahead of the centre of rotation, 66 mm behind it (47 : 53)"; empty where nothing is known. */
export function gaveInWords({ raiseDeg, front, support }: FoundGave, wording: Wording): string {
  const parts = raiseDeg ? [`raised ${wording.angle(raiseDeg)}`] : [];
  if (front !== undefined && support !== undefined && front > 0 && support > 0) {
    const part = Math.round((100 * front) / (front + support));
    parts.push(
      `${wording.length(front)} ahead of the centre of rotation, ${wording.length(support)} behind it (${part} : ${100 - part})`,
    );
  }
  return parts.join("; ");
}

/** "Heart bar, flat pad, 3.0° wedge, 132 mm long, breaks over 8 mm back, nails 3 and 3, loose": what was found. */
export function foundInWords(found: FoundShoe, wording: Wording): string {
  const { state, type, pad, wedgeDeg, lengthMm, breakoverMm, nailsMedial, nailsLateral, by } = found;
  return [
    type,
    pad && pad !== "none" ? `${pad} pad` : undefined,
    wedgeDeg ? `${wording.angle(wedgeDeg)} wedge` : undefined,
    lengthMm === undefined ? undefined : `${wording.length(lengthMm)} long`,
    breakoverMm === undefined ? undefined : `breaks over ${wording.length(breakoverMm)} back`,
    nailsMedial === undefined && nailsLateral === undefined
      ? undefined
      : `nails ${nailsMedial ?? "–"} ${wording.side("medial")}, ${nailsLateral ?? "–"} ${wording.side("lateral")}`,
    state,
    by ? `by ${by}` : undefined,
  ]
    .filter((part) => part !== undefined)
    .join(", ");
}
