import { z } from "zod";
import { daysBetween, type IsoDate } from "../calendar/date";
import { dateField, idField } from "../schema/fields";
import { keptBeatSchema, type KeptBeat } from "./beat";
import { DIRECTIONS, GAITS, HEADS, HIPS, SURFACES, type Watching } from "./watching";

/** When a horse is looked at. */
export const LOOK_TIMES = ["as it came", "shoes off", "hinds done", "all done", "later day"] as const;
export type LookTime = (typeof LOOK_TIMES)[number];

/** How a look was taken, and what was seen of the whole horse at it. */
export const takenLookSchema = z.strictObject({
  /** Of a look beyond the four that every visit has. */
  time: z.enum(LOOK_TIMES).optional(),
  /** Of a later day. */
  date: dateField.optional(),
  gait: z.enum(GAITS).optional(),
  surface: z.enum(SURFACES).optional(),
  direction: z.enum(DIRECTIONS).optional(),
  head: z.enum(HEADS).optional(),
  hip: z.enum(HIPS).optional(),
  /** Its rhythm, tapped along or heard. */
  beat: keptBeatSchema.optional(),
});
export type TakenLook = z.infer<typeof takenLookSchema>;
export const takenLooksSchema = z.record(idField, takenLookSchema);
export type TakenLooks = z.infer<typeof takenLooksSchema>;

/** The looks that every visit has room for, by id; the first is what findings before the trim stand on, the last those after it. */
export const USUAL_LOOKS = {
  before: "as it came",
  "shoes-off": "shoes off",
  "hinds-done": "hinds done",
  after: "all done",
} as const satisfies Record<string, LookTime>;

/** One look of a visit. */
export interface LookOfVisit extends TakenLook {
  id: string;
  time: LookTime;
  /** True for one beyond the four usual. */
  more: boolean;
}

/** Every look of a visit, in the order in which they are taken; a later day by its date. */
export function looksOfVisit(taken: TakenLooks): LookOfVisit[] {
  const usual = Object.entries(USUAL_LOOKS).map(([id, time]): LookOfVisit => ({
    ...taken[id],
    id,
    time,
    more: false,
  }));
  const more = Object.entries(taken)
    .filter(([id]) => !(id in USUAL_LOOKS))
    .map(([id, look]): LookOfVisit => ({ ...look, id, time: look.time ?? "later day", more: true }));
  return [...usual, ...more].sort(
    (a, b) =>
      LOOK_TIMES.indexOf(a.time) - LOOK_TIMES.indexOf(b.time) ||
      (a.date ?? "").localeCompare(b.date ?? "") ||
      Number(a.more) - Number(b.more) ||
      a.id.localeCompare(b.id),
  );
}

/** An id for one look more that the visit does not have yet. */
export function freeLookId(taken: TakenLooks): string {
  for (let number = 1; ; number++) if (!(`more-${number}` in taken)) return `more-${number}`;
}

/** Why a later look cannot lie on this day; undefined where it can. */
export const wrongLookDay = (day: IsoDate, visit: IsoDate, today: IsoDate): string | undefined =>
  daysBetween(visit, day) < 0
    ? "Before the visit: a later look lies after it."
    : daysBetween(day, today) < 0
      ? "In the future: a look is kept once it was taken."
      : undefined;

/** True where anything at all was seen. */
export const isWatched = (watching: Watching | undefined): boolean => {
  if (!watching) return false;
  const { lands, leaves, slide, slideReach, flight, toeLift, tracks, toeDirection, base } = watching;
  const { deviation = {}, hairline = {} } = watching;
  return (
    [lands, leaves, slide, slideReach, flight, toeLift, tracks, toeDirection, base].some(
      (value) => value !== undefined,
    ) ||
    Object.keys(deviation).length > 0 ||
    Object.keys(hairline).length > 0
  );
};

/**
 * What findings at a moment stand on. Before the trim: as it came, and where something was not watched then, with the
 * shoes off. After it: all done.
 */
export function watchingAt<Kept extends Watching>(
  looks: Partial<Record<string, Kept>>,
  moment: "before" | "after",
): Kept | undefined {
  const came = looks[moment];
  const bare = moment === "before" ? looks["shoes-off"] : undefined;
  if (!came || !bare) return came ?? bare;
  const known = Object.fromEntries(Object.entries(came).filter(([, value]) => value !== undefined));
  return {
    ...bare,
    ...known,
    deviation: { ...bare.deviation, ...came.deviation },
    hairline: { ...bare.hairline, ...came.hairline },
  };
}

/** What of the whole horse is the vet's, as it was seen at a look. */
export function forTheVet({ head, hip, gait }: TakenLook): string | undefined {
  const seen = [...(head === "nods" ? ["head nods"] : []), ...(hip === "hikes" ? ["hip hikes"] : [])];
  if (seen.length === 0) return undefined;
  return `${seen.join(", ")}${gait ? `, at ${gait}` : ""}`;
}

/**
 * The beat that a look's is held against: of the look before it that has one at the same gait, else of the last visit's last
 * one. A gait that nobody noted is held against any.
 */
export function beatBefore(
  looks: readonly LookOfVisit[],
  id: string,
  lastVisit: readonly LookOfVisit[],
): { look: LookOfVisit; beat: KeptBeat; ofLastVisit: boolean } | undefined {
  const at = looks.findIndex((look) => look.id === id);
  const own = looks[at]?.gait;
  const comparable = ({ beat, gait }: LookOfVisit) =>
    beat !== undefined && (own === undefined || gait === undefined || own === gait);
  const here = looks.slice(0, Math.max(0, at)).findLast(comparable);
  const found = here ?? lastVisit.findLast(comparable);
  return found?.beat && { look: found, beat: found.beat, ofLastVisit: here === undefined };
}
