import { z } from "zod";
import { WALL_PLACES } from "../survey/walls";
import { FIND_KIND_NAMES, WEAR_SECTORS, WEAR_STATES } from "../wear";
import { dateField, finite, idField, line } from "../../schema/fields";
import type { Side } from "../limb";
import { limbField } from "../limbField";

/** Which way the cleft between the bulbs leans. */
export const CLEFT_LEANS = ["to medial", "upright", "to lateral"] as const;
/** How the horn tubules run in a quarter, from above down. */
export const TUBULE_RUNS = ["straight", "run forward", "bent out"] as const;
/** How a heel's horn stands up. */
export const HEEL_HORN = ["strong", "soft", "crushed"] as const;

const quarters = z.enum(["medial", "lateral"]);

/** What was found when one foot was pulled and cleaned, and how its old shoe was worn. */
export const lookSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  date: dateField,
  wear: z.partialRecord(z.enum(WEAR_SECTORS), z.enum(WEAR_STATES)).default({}),
  /** Each with its place on the sole, mm on a foot of size 1, solar frame. */
  finds: z
    .record(
      idField,
      z.strictObject({
        kind: z.enum(FIND_KIND_NAMES),
        at: z.tuple([finite, finite]),
        note: line.default(""),
        /** Where on the wall, if it is there, and how far below the hairline its upper end lies. */
        wall: z.enum(WALL_PLACES).optional(),
        belowMm: z.number().min(0).max(250).optional(),
        lengthMm: z.number().min(0).max(250).optional(),
        depthMm: z.number().min(0).max(40).optional(),
        /** It has grown out or healed: from here on it is no longer looked for. */
        gone: z.literal(true).optional(),
      }),
    )
    .default({}),
  cleft: z.enum(CLEFT_LEANS).optional(),
  /** Of each quarter. */
  tubules: z.partialRecord(quarters, z.enum(TUBULE_RUNS)).optional(),
  /** Of each heel. */
  heelHorn: z.partialRecord(quarters, z.enum(HEEL_HORN)).optional(),
});
export type Look = z.infer<typeof lookSchema>;
/** One thing found on a foot, as one look has it. */
export type Find = Look["finds"][string];

/** What is there at this look, by id: what had grown out or healed is not. */
export const presentFinds = (look: Look | undefined): [id: string, find: Find][] =>
  Object.entries(look?.finds ?? {}).filter(([, { gone }]) => !gone);

/** Nearer the midline than this a find belongs to neither side, mm on a foot of size 1. Assumption. */
const ASIDE_MM = 20;

/** The side on which a find lies: by its place on the wall where that was chosen, else by where it was tapped. */
export function sideOfFind({ wall, at: [x] }: Pick<Find, "wall" | "at">): Side | undefined {
  if (wall) return wall.endsWith("Medial") ? "medial" : wall.endsWith("Lateral") ? "lateral" : undefined;
  return Math.abs(x) <= ASIDE_MM ? undefined : x > 0 ? "lateral" : "medial";
}
