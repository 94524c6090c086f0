import { z } from "zod";
import { dateField, idField, prose } from "../schema/fields";
import { limbField } from "../foot/limbField";

/** What an owner calls about between visits. */
export const CALL_KINDS = ["lost shoe", "sprung shoe", "abscess", "lame"] as const;
export type CallKind = (typeof CALL_KINDS)[number];

/** How a shoe came off, as far as anybody saw. */
export const LOSS_CAUSES = [
  "not seen",
  "trodden on",
  "caught",
  "deep ground",
  "worn through",
  "wall broke",
] as const;

/** Something that happened between visits, by day and foot. */
export const callSchema = z.strictObject({
  id: idField,
  horseId: idField,
  date: dateField,
  kind: z.enum(CALL_KINDS),
  limb: limbField,
  cause: z.enum(LOSS_CAUSES).default("not seen"),
  /** The shoe was found: it may go on again, and nothing lies in the field to be trodden into. */
  found: z.boolean().default(false),
  note: prose.default(""),
});
export type Call = z.infer<typeof callSchema>;

/** Kinds in which a shoe came off or loose. */
export const isLoss = ({ kind }: Pick<Call, "kind">): boolean =>
  kind === "lost shoe" || kind === "sprung shoe";
/** Kinds that are the vet's first. */
export const isForVet = ({ kind }: Pick<Call, "kind">): boolean => kind === "abscess" || kind === "lame";
