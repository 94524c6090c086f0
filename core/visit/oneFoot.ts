import { z } from "zod";
import { limbField } from "../foot/limbField";
import { pairOf, type Limb } from "../foot/limb";
import { HORN_STATES } from "../foot/horn";
import { lookSchema } from "../foot/records/look";
import { readingSchema } from "../foot/records/reading";
import type { Wording } from "../foot/wording";
import { watchingSchema } from "../gait/watchingRecord";
import { footPlace } from "../record/footRecords";
import { horseSchema, type Horse } from "../record/horse";
import { blankVisit, type Visit } from "../record/visit";
import type { Noise } from "../repeatability/repeatability";
import { dateField } from "../schema/fields";
import { footFacts } from "./footFacts";
import type { VisitFacts } from "./findings";
import { visitFoot, type FootRecords } from "./visitFoot";

const place = { id: true, visitId: true, horseId: true, limb: true, date: true } as const;
const reading = readingSchema.omit({ ...place, moment: true });
const look = lookSchema.omit(place);
const watching = watchingSchema.omit({ ...place, look: true });

/** What is known of one foot of the pair at one moment, as its records hold it. */
const footSchema = z.strictObject({
  reading: reading.optional(),
  look: look.optional(),
  watching: watching.optional(),
});
export type OneFoot = z.infer<typeof footSchema>;

/** One foot as the application knows it, by itself: its pair, its past and the horse where they are given. */
export const oneFootSchema = footSchema.extend({
  limb: limbField,
  horse: horseSchema.pick({ kind: true, massKg: true, toeTargetMm: true }).partial().optional(),
  pair: footSchema.optional(),
  /** What the last visit left, and when. */
  last: z.strictObject({ date: dateField, reading }).optional(),
  date: dateField.optional(),
  /** The day on which it was due. */
  due: dateField.optional(),
  horn: z.enum(HORN_STATES).optional(),
});
export type OneFootQuestion = z.infer<typeof oneFootSchema>;

/** An ordinary riding horse, where nothing was said of it. */
const ORDINARY_HORSE: Horse = {
  id: "horse",
  yardId: "yard",
  name: "This horse",
  kind: "horse",
  massKg: 500,
  use: "riding",
  finish: "full set",
  habits: "",
  notes: "",
};
/** Any day: only differences of days count. */
const SOME_DAY = "2026-01-05";

/** The facts of one foot by itself, before anything is cut: the same as a visit makes them from its records. */
export function oneFootFacts(question: OneFootQuestion, noise: Noise, wording: Wording): VisitFacts {
  const { limb, last, date = SOME_DAY } = question;
  const visit: Visit = {
    id: "now",
    horseId: "horse",
    date,
    status: "open",
    ...blankVisit(),
    ...(question.horn && { horn: question.horn }),
  };
  const records = { readings: [], trims: [], watchings: [], looks: [], photos: [], shoes: [] } as Record<
    Exclude<keyof FootRecords, "films">,
    object[]
  >;
  const put = (of: Limb, { reading: read, look: seen, watching: watched }: OneFoot) => {
    if (read) records.readings.push({ ...footPlace("readings", visit, of, "before"), ...read });
    if (seen) records.looks.push({ ...footPlace("looks", visit, of, "before"), ...seen });
    if (watched) records.watchings.push({ ...footPlace("watchings", visit, of, "before"), ...watched });
  };
  put(limb, question);
  if (question.pair) put(pairOf(limb), question.pair);
  if (last) {
    const before = { id: "last", horseId: "horse", date: last.date };
    records.readings.push({ ...footPlace("readings", before, limb, "after"), ...last.reading });
  }
  const kept = records as unknown as FootRecords;
  const foot = visitFoot(visit, limb, kept);
  return footFacts(
    foot,
    visitFoot(visit, pairOf(limb), kept),
    {
      visit,
      moment: "before",
      horse: { ...ORDINARY_HORSE, ...question.horse } as Horse,
      noise,
      wording,
      bounds: {},
      ...(question.due && {
        lastVisit: {
          date: last?.date ?? date,
          next: { due: question.due, windowStart: question.due, reason: "cap", day: 0 },
        },
      }),
    },
    foot.values.before,
  );
}
