import { z } from "zod";
import { limbField } from "../foot/limbField";
import type { Limb } from "../foot/limb";
import { dateField, idField, line, prose } from "../schema/fields";
import { shoeAsksSchema } from "../shoe/shoeRecord";
import { exitTestSchema } from "./exitTests";
import { PROGRESS_NAMES } from "./progress";

/** What a problem is that outlives one visit. */
export const CASE_KINDS = [
  "sore heels",
  "laminitis",
  "crack",
  "resected wall",
  "white line disease",
  "abscess",
  "club foot",
  "sheared heel",
  "injury",
  "other",
] as const;
export type CaseKind = (typeof CASE_KINDS)[number];

/** Who decides in it. */
export const CASE_LEADS = ["vet", "farrier"] as const;

export const OUTCOMES = ["healed", "kept in hand", "no better", "passed on", "horse lost"] as const;

/** What a vet asks for, on paper or by word, until a day. */
export const prescriptionSchema = z.strictObject({
  by: line.min(1, { error: "Who prescribed it?" }),
  /** The day on the paper. */
  written: dateField.optional(),
  until: dateField,
  feet: z.array(limbField).min(1, { error: "For which feet?" }),
  says: prose.default(""),
  /** Longest interval, weeks. */
  weeks: z
    .number()
    .min(1, { error: "At least one week." })
    .max(16, { error: "No more than 16 weeks." })
    .optional(),
  ...shoeAsksSchema.shape,
});
export type Prescription = z.infer<typeof prescriptionSchema>;

/** One step of a staged plan, for some of the feet: what is done, how long, and how it is seen that it has done its work. */
export const stageSchema = z.strictObject({
  id: idField,
  name: line.min(1, { error: "A stage needs a name." }),
  says: prose.default(""),
  feet: z.array(limbField).min(1, { error: "For which feet?" }),
  /** Shoeings or trims that it lasts; not said when it lasts until its tests are met. */
  shoeings: z.int().min(1).max(40).optional(),
  asks: shoeAsksSchema.default({}),
  exit: z.array(exitTestSchema).default([]),
});
export type CaseStage = z.infer<typeof stageSchema>;

/** A problem that outlives one visit. */
export const caseSchema = z.strictObject({
  id: idField,
  horseId: idField,
  status: z.enum(["open", "closed"]),
  kind: z.enum(CASE_KINDS),
  /** In the farrier's own words, beside the kind. */
  title: line.default(""),
  feet: z.array(limbField).min(1, { error: "Which feet are in it?" }),
  lead: z.enum(CASE_LEADS),
  /** The vet, and how to reach them. */
  vet: line.default(""),
  /** Since when it is kept; missing for one that was carried over from an older record. */
  opened: dateField.optional(),
  /** Of the trouble itself. */
  onset: dateField.optional(),
  surgery: dateField.optional(),
  prescription: prescriptionSchema.optional(),
  /** The paper of the prescription, a picture. */
  paperId: idField.optional(),
  /** In order; each foot goes through those that name it. */
  stages: z.array(stageSchema).default([]),
  /** Feet that went on to a stage, by id. The last one says where a foot stands; none: at its first stage. */
  moves: z
    .record(
      idField,
      z.strictObject({ on: dateField, limb: limbField, stage: idField, because: line.default("") }),
    )
    .default({}),
  /** What the vet said of leaving a stage, by stage and foot. */
  vetAgreed: z.record(z.string().max(100), dateField).default({}),
  progress: z
    .array(
      z.strictObject({
        name: z.enum(PROGRESS_NAMES),
        limb: limbField,
        target: z.number().min(-1000).max(1000).optional(),
      }),
    )
    .default([]),
  log: z.record(idField, z.strictObject({ on: dateField, by: line.default(""), says: prose })).default({}),
  /** As they were told; drugs and feed are the vet's. */
  told: z
    .strictObject({ drugs: prose.default(""), feed: prose.default(""), metabolic: prose.default("") })
    .prefault({}),
  outcome: z.strictObject({ on: dateField, how: z.enum(OUTCOMES), says: prose.default("") }).optional(),
  /** Each relapse after which it was opened again. */
  reopened: z.array(z.strictObject({ on: dateField, because: line.default("") })).default([]),
});
export type Case = z.infer<typeof caseSchema>;

/** What a stage without an exit is asked; every stage but the last of each foot wants one. */
export function stagesWithoutExit(stages: readonly CaseStage[]): CaseStage[] {
  return stages.filter(
    ({ exit, feet }, at) =>
      exit.length === 0 &&
      feet.some((limb) => stages.slice(at + 1).some((later) => later.feet.includes(limb))),
  );
}

/** The stages that one foot goes through, in order. */
export const stagesOf = ({ stages }: Pick<Case, "stages">, limb: Limb): CaseStage[] =>
  stages.filter(({ feet }) => feet.includes(limb));

/** "Sore heels" with the farrier's own words after it. */
export const caseName = ({ kind, title }: Pick<Case, "kind" | "title">): string =>
  title === "" ? kind.charAt(0).toUpperCase() + kind.slice(1) : title;
