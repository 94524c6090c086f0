import { z } from "zod";
import { limbField } from "../foot/limbField";
import { dateField, finite, idField, prose } from "../schema/fields";
import { FILM_VIEWS, TAKEN_QUESTIONS } from "./filmMarks";

const pixel = z.tuple([finite, finite]);

/** A radiograph of one foot: its picture's scale, how it was taken, and the landmarks placed on it. */
export const filmSchema = z.strictObject({
  id: idField,
  horseId: idField,
  limb: limbField,
  view: z.enum(FILM_VIEWS),
  /** The day it was taken. */
  date: dateField,
  pictureId: idField,
  /** Of the kept picture, px; marks are in its pixels. */
  width: z.int().min(1).max(20_000),
  height: z.int().min(1).max(20_000),
  /** Drawn from a made-up foot: shows no real one. */
  standIn: z.boolean().default(false),
  scale: z
    .discriminatedUnion("kind", [
      /** Something of known length beside the foot, its ends marked: the beam's magnification is in it. */
      z.strictObject({
        kind: z.literal("marker"),
        mm: z
          .number()
          .min(1, { error: "A marker has a length, in mm." })
          .max(500, { error: "No longer than 500 mm." }),
      }),
      /** Pixel spacing at the detector, and how much the beam enlarges the foot on it, 1 where nobody knows. */
      z.strictObject({
        kind: z.literal("spacing"),
        mmPerPx: z.number().positive().max(10),
        magnification: z.number().min(1).max(3).default(1),
        from: z.enum(["file", "typed"]),
      }),
    ])
    .optional(),
  points: z.record(z.string().max(40), pixel).default({}),
  /** Where the marks of a stand-in truly lie: what a hand that practises is held against. */
  truth: z.record(z.string().max(40), pixel).optional(),
  taken: z.partialRecord(z.enum(TAKEN_QUESTIONS), z.enum(["yes", "no"])).default({}),
  /** What of the picture's greys is shown, 0 black to 1 white, and whether turned over. */
  shown: z
    .strictObject({ low: z.number().min(0).max(1), high: z.number().min(0).max(1), invert: z.boolean() })
    .default({ low: 0, high: 1, invert: false }),
  note: prose.default(""),
});
export type Film = z.infer<typeof filmSchema>;
export type FilmScale = NonNullable<Film["scale"]>;
