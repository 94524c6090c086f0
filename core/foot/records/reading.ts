import { z } from "zod";
import type { Limb } from "../limb";
import { HEIGHT_MEASURES, MEASURES, REAR_MEASURES, SIDE_MEASURES, SOURCES } from "../measures";
import { SURVEY_MARKS } from "../survey/marks";
import { SULCUS_STATES, WALL_PLACES } from "../survey/walls";
import { dateField, finite, idField } from "../../schema/fields";
import { limbField } from "../limbField";

export const MOMENTS = ["before", "after"] as const;
export type Moment = (typeof MOMENTS)[number];

const measuredSchema = z.strictObject({ value: finite, source: z.enum(SOURCES) });
const millimetres = z.number().min(0).max(300).optional();

/** What was measured on one foot, before or after the trim; each value with its source. */
export const readingSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  moment: z.enum(MOMENTS),
  date: dateField,
  values: z.partialRecord(z.enum(MEASURES), measuredSchema).default({}),
  /** Marks of the sole in the solar frame, mm: each coordinate by itself, as a calliper takes them. */
  sole: z
    .partialRecord(
      z.enum(SURVEY_MARKS),
      z.strictObject({ x: measuredSchema.optional(), y: measuredSchema.optional() }),
    )
    .default({}),
  walls: z
    .partialRecord(
      z.enum(WALL_PLACES),
      z.strictObject({ thickness: millimetres, above: millimetres, whiteLine: millimetres }),
    )
    .default({}),
  /** Edge of the live sole as it was traced, solar frame, mm, medial heel round the toe to lateral heel. */
  trace: z
    .array(z.tuple([finite, finite]))
    .max(60)
    .default([]),
  /** Depth of the collateral sulcus beside the point of the frog, below a straightedge, mm. */
  sulcusDepthMm: millimetres,
  sulcusState: z.enum(SULCUS_STATES).optional(),
  rings: z
    .record(idField, z.strictObject({ toeMm: z.number().min(0).max(250), heelMm: millimetres }))
    .default({}),
  side: z.partialRecord(z.enum(SIDE_MEASURES), measuredSchema).default({}),
  rear: z.partialRecord(z.enum(REAR_MEASURES), measuredSchema).default({}),
  /** Hairline to the ground and wall along itself, at toe quarters and quarters. */
  heights: z.partialRecord(z.enum(HEIGHT_MEASURES), measuredSchema).optional(),
  /** What was pared at the point of the frog before the surface turned even and waxy, mm. */
  chalkMm: z.number().min(0).max(25).optional(),
  /** How far the wall at the toe stands past the sole beside it as it is now, mm. */
  stepMm: z.number().min(0).max(25).optional(),
  /** How far the frog at its widest stands past the heels' plane, mm: + proud, - lies in. */
  frogProudMm: z.number().min(-40).max(40).optional(),
  /** Oddities that were asked about and kept. */
  confirmed: z.array(z.string().max(80)).default([]),
});
export type Reading = z.infer<typeof readingSchema>;
export type SoleRecord = Reading["sole"];

/** The parts of a reading in which nothing was measured yet. */
export const nothingRead = () => ({
  values: {},
  sole: {},
  walls: {},
  trace: [],
  rings: {},
  side: {},
  rear: {},
  confirmed: [],
});

export const readingId = (visitId: string, limb: Limb, moment: Moment): string =>
  `${visitId}.${limb}.${moment}`;
