import { z } from "zod";
import { FRONT_LENSES, SIDE_LENSES } from "../foot/lens";
import { HORSE_USES } from "../constants/due";
import { isFore, type Limb } from "../foot/limb";
import { ANIMAL_KINDS } from "../foot/toeYardstick";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS } from "../shoe/facts";
import type { Case } from "../case/caseRecord";
import { dateField, idField, line, prose } from "../schema/fields";

/** Which feet are shod. */
export const FINISHES = ["full set", "fronts", "trim"] as const;

/** Why a horse is no longer on the round. */
export const LEFT = ["moved away", "retired", "died"] as const;

export const horseSchema = z.strictObject({
  id: idField,
  yardId: idField,
  name: line.min(1, { error: "A horse needs a name." }),
  kind: z.enum(ANIMAL_KINDS),
  massKg: z
    .number({ error: "Type the body mass in kg: a guess will do." })
    .min(40, { error: "Lighter than 40 kg is not read." })
    .max(1400, { error: "Heavier than 1400 kg is not read." }),
  use: z.enum(HORSE_USES),
  finish: z.enum(FINISHES),
  /** The interval's cap, weeks; the use decides when it is not set. */
  capWeeks: z
    .number()
    .min(1, { error: "At least one week." })
    .max(16, { error: "No more than 16 weeks." })
    .optional(),
  toeTargetMm: z.number().min(30).max(250).optional(),
  /** Known habits that can hurt: kicks, leans, pulls, dislikes hammering. */
  habits: prose.default(""),
  notes: prose.default(""),
  showOn: dateField.optional(),
  /** A horse at the same yard that it goes together with: one frets alone, or one person brings both. */
  companionId: idField.optional(),
  /** No longer on the round, since a day: its history stays, it is not due any more. */
  left: z.strictObject({ on: dateField, why: z.enum(LEFT) }).optional(),
  /** Lenses for this horse where they differ from the user's. */
  lenses: z
    .strictObject({ frontBack: z.enum(FRONT_LENSES).optional(), side: z.enum(SIDE_LENSES).optional() })
    .optional(),
  /** Work, ground and how it goes: what decides what goes on its feet. */
  life: z
    .strictObject({
      work: z.array(z.enum(WORKS)),
      footing: z.array(z.enum(FOOTINGS)),
      effort: z.enum(EFFORTS).optional(),
      turnout: z.enum(TURNOUTS).optional(),
      goes: z.array(z.enum(GOES)),
      conditions: z.array(z.enum(CONDITIONS)),
      growsMoreThanItWears: z.boolean().optional(),
      longPasterns: z.boolean().optional(),
    })
    .optional(),
});
export type Horse = z.infer<typeof horseSchema>;

/** A horse with its cases that are under way: a vet's plan decides before the horse's work does. */
export type HorseInCare = Horse & { cases?: readonly Case[] | undefined };

/** The same horse with those of `cases` that are its own and open. */
export const inCare = (horse: Horse, cases: readonly Case[]): HorseInCare => {
  const own = cases.filter(({ horseId, status }) => horseId === horse.id && status === "open");
  return own.length > 0 ? { ...horse, cases: own } : horse;
};

/** The open cases that a vet leads. */
export const vetCases = ({ cases = [] }: Pick<HorseInCare, "cases">): readonly Case[] =>
  cases.filter(({ lead }) => lead === "vet");

export const isShod = (horse: Pick<Horse, "finish">, limb: Limb): boolean =>
  horse.finish === "full set" || (horse.finish === "fronts" && isFore(limb));
