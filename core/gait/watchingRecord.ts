import { z } from "zod";
import {
  BASES,
  DEVIATIONS,
  FLIGHTS,
  HAIRLINE_PLACES,
  HAIRLINE_STATES,
  JOINTS,
  SLIDE_REACHES,
  SLIDES,
  TOE_LIFTS,
  TOE_DIRECTIONS,
  TRACKS,
} from "./watching";
import { dateField, finite, idField } from "../schema/fields";
import { limbField } from "../foot/limbField";

/** How one foot was seen to stand and move, at one look. */
export const watchingSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  /** Which look of the visit. */
  look: idField,
  date: dateField,
  toeDirection: z.enum(TOE_DIRECTIONS).optional(),
  base: z.enum(BASES).optional(),
  deviation: z.partialRecord(z.enum(JOINTS), z.enum(DEVIATIONS)).default({}),
  hairline: z.partialRecord(z.enum(HAIRLINE_PLACES), z.enum(HAIRLINE_STATES)).default({}),
  /** Where it lands first, mm on a foot of size 1, solar frame. */
  lands: z.tuple([finite, finite]).optional(),
  /** Direction in which it leaves, deg from straight ahead, positive to lateral. */
  leaves: z.number().min(-90).max(90).optional(),
  slide: z.enum(SLIDES).optional(),
  slideReach: z.enum(SLIDE_REACHES).optional(),
  toeLift: z.enum(TOE_LIFTS).optional(),
  tracks: z.enum(TRACKS).optional(),
  flight: z.enum(FLIGHTS).optional(),
  /** The frame of a clip in which it lands, as a picture. */
  stillId: idField.optional(),
});
export type WatchingRecord = z.infer<typeof watchingSchema>;
