import { z } from "zod";
import { dateField, finite, idField, instantField } from "../schema/fields";

/** The rooms of practice. */
export const PRACTICE_ROOMS = ["measure", "read", "cut", "length", "run"] as const;
export type PracticeRoom = (typeof PRACTICE_ROOMS)[number];

/** What is scored of one thing that was done: how far it was off, mm or deg, or whether it was wrong (1) or right (0). */
const missSchema = z.strictObject({
  of: z.string().min(1).max(80),
  unit: z.enum(["mm", "deg", "wrong"]),
  off: finite,
});
export type Miss = z.infer<typeof missSchema>;

const levelField = z.int().min(1).max(9);

/** One scored foot, or one round of a minute. It belongs to the user and speaks of no horse. */
export const trySchema = z.strictObject({
  id: idField,
  date: dateField,
  at: instantField,
  room: z.enum(PRACTICE_ROOMS),
  /** What it was: a view, a section, a protocol. */
  what: z.string().min(1).max(80),
  level: levelField,
  /** The level that this one left. */
  next: levelField,
  score: z.number().min(0).max(100),
  seconds: z.number().min(0),
  misses: z.array(missSchema).max(120),
});
export type Try = z.infer<typeof trySchema>;

export const ROOM_FACTS: Record<
  PracticeRoom,
  { name: string; does: string; /** What is missed in it, as a whole. */ whole: string }
> = {
  measure: {
    name: "Measure",
    does: "Place the marks on a picture; see how far each one was off, and what it did to the reading",
    whole: "All marks",
  },
  read: {
    name: "Read",
    does: "One minute of looking: taller heel, axis, centre of rotation, worn shoe",
    whole: "All answers",
  },
  cut: {
    name: "Cut",
    does: "Choose the trim; see what it does, beside the plan. Over-cutting ends the round",
    whole: "All cuts",
  },
  length: {
    name: "Length",
    does: "Say how much steel to cut; then see it by rule and by outline",
    whole: "Length said",
  },
  run: {
    name: "Run",
    does: "A whole protocol in its order, each step with its reason, against the clock or not",
    whole: "All steps",
  },
};

const rounded = (value: number, digits: number): number => {
  const by = 10 ** digits;
  return Math.round(value * by) / by + 0;
};

/** A try as it is kept: score to a tenth, misses to a hundredth, whole seconds. */
export const keptTry = ({ score, seconds, misses, ...rest }: Try): Try => ({
  ...rest,
  score: rounded(score, 1),
  seconds: rounded(seconds, 0),
  misses: misses.map((one) => ({ ...one, off: rounded(one.off, 2) })),
});
