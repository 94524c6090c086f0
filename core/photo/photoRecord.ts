import { z } from "zod";
import { PHOTO_VIEWS } from "./views";
import { dateField, finite, idField, instantField } from "../schema/fields";
import { limbField } from "../foot/limbField";
import { MOMENTS } from "../foot/records/reading";

const pixel = z.tuple([finite, finite]);

/** A lens: its bend at half a diagonal from the middle, and how sure that is. */
export const lensField = z.strictObject({
  bend: z.number().min(-0.5).max(0.5),
  sd: z.number().min(0).max(0.5),
});

/** A picture of a foot at a visit with its scale and the marks placed on it; the picture itself lies in `pictures`. */
export const photoSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  moment: z.enum(MOMENTS),
  view: z.enum(PHOTO_VIEWS),
  date: dateField,
  takenAt: instantField,
  pictureId: idField,
  /** Size of the kept picture, px; marks are in its pixels. */
  width: z.int().min(1).max(20_000),
  height: z.int().min(1).max(20_000),
  /** Focal length in pixels of the kept picture, from the picture's own data or as guessed. */
  focalPx: z.number().positive().optional(),
  /** True where that is only what such a camera usually has. */
  focalGuessed: z.boolean().optional(),
  /** How the lens bends the picture, from the card's own edges or the device's profile. */
  lens: lensField.optional(),
  /** From the simulated camera: shows no real foot. */
  simulated: z.boolean().default(false),
  scale: z
    .discriminatedUnion("kind", [
      z.strictObject({
        kind: z.literal("card"),
        widthMm: z.number().positive(),
        heightMm: z.number().positive(),
        corners: z.tuple([pixel, pixel, pixel, pixel]),
      }),
      z.strictObject({ kind: z.literal("two-point"), a: pixel, b: pixel, mm: z.number().positive() }),
    ])
    .optional(),
  points: z.record(z.string().max(40), pixel).default({}),
  /** Points that were suggested by the picture itself, taken, and not moved since. */
  suggested: z.array(z.string().max(40)).max(60).optional(),
});
export type Photo = z.infer<typeof photoSchema>;

/** The bytes of a picture, base64; never changed once kept. */
export const pictureSchema = z.strictObject({
  id: idField,
  type: z.enum(["image/jpeg", "image/png", "image/webp"]),
  data: z.base64().max(20_000_000),
});
