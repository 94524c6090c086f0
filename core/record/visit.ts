import { z } from "zod";
import { ARRIVAL_TAPS } from "../caution/arrival";
import { RED_FLAG_NAMES } from "../caution/redFlags";
import { takenLooksSchema } from "../gait/looks";
import { ANSWERS } from "../case/observation";
import { STAGES } from "../constants/stages";
import { HORN_STATES } from "../foot/horn";
import { dateField, idField, instantField, line, prose, timeField } from "../schema/fields";
import { limbField } from "../foot/limbField";

export const dueSchema = z.strictObject({
  due: dateField,
  windowStart: dateField,
  reason: z.enum(["toe", "axis", "cap", "stage", "left", "bare"]),
  day: z.int().min(0),
  /** The foot that comes due first; none when only the cap speaks. */
  limb: limbField.optional(),
  /** By growth alone, where the cap decides. */
  byGrowth: dateField.optional(),
});
export type HorseDue = z.infer<typeof dueSchema>;

/** One visit to one horse: planned, open, or signed. */
export const visitSchema = z.strictObject({
  id: idField,
  horseId: idField,
  date: dateField,
  /** Planned time of arrival. */
  at: timeField.optional(),
  status: z.enum(["planned", "open", "signed"]),
  /** A short visit between two full trims: only the toes. */
  job: z.literal("toe only").optional(),
  /** Planned for this day and no other: the owner has been told, or the vet comes. */
  pinned: z.boolean().optional(),
  /** When the vet comes to this horse that day. */
  vetAt: timeField.optional(),
  startedAt: instantField.optional(),
  signedAt: instantField.optional(),
  /** A plain note for each knot. */
  notes: z.partialRecord(z.enum(STAGES), prose).default({}),
  /** Red-flag questions that were answered yes, and what became of them. */
  flags: z
    .partialRecord(
      z.enum(RED_FLAG_NAMES),
      z.strictObject({
        limb: limbField.optional(),
        note: prose.default(""),
        answer: z.enum(["told the vet", "not needed"]).optional(),
        because: prose.default(""),
        at: instantField.optional(),
      }),
    )
    .default({}),
  /** The foot that hurts, when one does: it is done first. */
  soreFoot: limbField.optional(),
  /** How dry or wet the feet have stood; a wet foot reads larger than it is. */
  horn: z.enum(HORN_STATES).optional(),
  /** What the owner told and the eye saw on arrival. */
  arrival: z
    .strictObject({
      diet: z.enum(ARRIVAL_TAPS.diet).optional(),
      metabolic: z.enum(ARRIVAL_TAPS.metabolic).optional(),
      drugs: z.enum(ARRIVAL_TAPS.drugs).optional(),
      fitness: z.enum(ARRIVAL_TAPS.fitness).optional(),
      fatigue: z.enum(ARRIVAL_TAPS.fatigue).optional(),
      journey: z.enum(ARRIVAL_TAPS.journey).optional(),
    })
    .optional(),
  /** How the horse answered on each foot, an observation: what was seen while it was held or stood on. */
  observed: z
    .partialRecord(limbField, z.strictObject({ seen: z.array(z.enum(ANSWERS)), note: line.default("") }))
    .default({}),
  /** How each look at the horse was taken, by its id. */
  looks: takenLooksSchema.default({}),
  /** What to look at first next time. */
  watch: prose.default(""),
  /** What the owner is to be told. */
  tell: prose.default(""),
  /** When the horse is due again, as it was worked out when this visit was signed. */
  next: dueSchema.optional(),
});
export type Visit = z.infer<typeof visitSchema>;

/** The parts of a visit in which nothing was written yet. */
export const blankVisit = () => ({ notes: {}, flags: {}, observed: {}, looks: {}, watch: "", tell: "" });

/** The last visit that was signed up to the day of this one, this one aside; `visits` oldest first. */
export const signedBefore = (
  visits: readonly Visit[],
  { id, date }: Pick<Visit, "id" | "date">,
): Visit | undefined =>
  visits.findLast((one) => one.status === "signed" && one.id !== id && one.date <= date);
