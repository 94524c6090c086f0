import { z } from "zod";
import type { Limb } from "../foot/limb";
import { WEAR_SECTORS } from "../foot/wear";
import { BREAKOVER_LENSES } from "./breakover";
import { foundShoeSchema } from "./foundShoe";
import { NAIL_NOTES } from "./nails";
import { PACKING_STEP_NAMES } from "./packing";
import { PLATE_PRINTS, PRINTS, SET_STEP_NAMES } from "./setSteps";
import {
  BRANCH_ENDS,
  CHANGES_FROM,
  CLIP_PLACES,
  CREASES,
  EDGES,
  HEAD_PATTERNS,
  HEEL_SUPPORTS,
  MATERIALS,
  NAIL_METALS,
  PACKING_WAYS,
  PACKINGS,
  PADS,
  PROFILES,
  SHOE_TYPES,
  STUDS,
  TOE_EDGES,
  TOES,
  TRACTIONS,
} from "./specification";
import { dateField, finite, idField, instantField, line } from "../schema/fields";
import { limbField } from "../foot/limbField";

/** A branch beyond its support, mm; negative = cut short of it. */
const branch = z
  .number()
  .min(-25, { error: "More than 25 mm short is another shoe." })
  .max(40, { error: "Longer than 40 mm is not read." });
const mm = (most: number) => z.number().min(0).max(most);
/** Web of a branch beyond the bar's, mm; negative = drawn narrower. */
const more = z
  .number()
  .min(-15, { error: "More than 15 mm narrower is another bar." })
  .max(20, { error: "More than 20 mm wider is another bar." });

const places = z.array(z.enum(WEAR_SECTORS)).max(WEAR_SECTORS.length);

/** A whole specification of one shoe. */
export const specificationSchema = z.strictObject({
  type: z.enum(SHOE_TYPES),
  width: z
    .number({ error: "Type the web in millimetres or inches." })
    .min(8, { error: "A web under 8 mm holds no nail." })
    .max(80, { error: "Wider than 80 mm is not read." }),
  thickness: z
    .number()
    .min(3, { error: "Thinner than 3 mm bends under the horse." })
    .max(30, { error: "Thicker than 30 mm is not read." }),
  profile: z.enum(PROFILES),
  crease: z.enum(CREASES),
  material: z.enum(MATERIALS),
  toe: z.enum(TOES),
  toeEdge: z.enum(TOE_EDGES),
  support: z.enum(HEEL_SUPPORTS),
  endMedial: z.enum(BRANCH_ENDS),
  endLateral: z.enum(BRANCH_ENDS),
  fullToeMedial: mm(8),
  fullToeLateral: mm(8),
  fullMedial: mm(15),
  fullLateral: mm(15),
  longerMedial: branch,
  longerLateral: branch,
  turn: z
    .number()
    .min(-20, { error: "A shoe is turned by 20 degrees at most." })
    .max(20, { error: "A shoe is turned by 20 degrees at most." }),
  widerMedial: more,
  widerLateral: more,
  outMedial: mm(15),
  outLateral: mm(15),
  changeFrom: z.enum(CHANGES_FROM),
  edges: z.partialRecord(z.enum(WEAR_SECTORS), z.enum(EDGES)),
  unloaded: places,
  clips: z.array(z.enum(CLIP_PLACES)).max(CLIP_PLACES.length),
  nailsMedial: z.int().min(0).max(6),
  nailsLateral: z.int().min(0).max(6),
  pattern: z.enum(HEAD_PATTERNS),
  nailMetal: z.enum(NAIL_METALS),
  traction: z.enum(TRACTIONS),
  studsGood: z.enum(STUDS),
  studsWet: z.enum(STUDS),
  relief: z.boolean(),
  pad: z.enum(PADS),
  riveted: z.boolean(),
  packing: z.enum(PACKINGS),
  packed: z.enum(PACKING_WAYS),
  raise: z
    .strictObject({
      degrees: z.number().min(0.5).max(20),
      cycles: z.int().min(1).max(12),
      exit: line,
    })
    .optional(),
  sideWedge: z
    .strictObject({
      side: z.enum(["medial", "lateral"]),
      degrees: z.number().min(0.5).max(6, { error: "A side wedge of more than 6 degrees is not read." }),
    })
    .optional(),
});

/** How a shoe was come by. */
export const CHOSEN_FROM = ["adviser", "last time", "own", "prescription", "the other foot"] as const;

/** What one foot was shod with at a visit: its specification, its fit, its nails, and how it was set. */
export const shoeSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  date: dateField,
  /** What was on the foot when the horse came. */
  found: foundShoeSchema.optional(),
  spec: specificationSchema.optional(),
  from: z.enum(CHOSEN_FROM).optional(),
  /** Width and length of the wanted shoe as they were measured at the horse: the steel is cut by them. */
  measured: z
    .strictObject({
      widthMm: z
        .number()
        .min(40, { error: "Width of the shoe: at least 40 mm." })
        .max(260, { error: "Width of the shoe: no more than 260 mm." })
        .optional(),
      lengthMm: z
        .number()
        .min(40, { error: "Length of the shoe: at least 40 mm." })
        .max(320, { error: "Length of the shoe: no more than 320 mm." })
        .optional(),
    })
    .optional(),
  /** Why it differs from what was advised, in one line. */
  because: line.default(""),
  /** False where the two shoes of a pair differ on purpose. */
  alike: z.boolean().default(true),
  setting: z
    .strictObject({
      back: z.number().min(-30).max(30),
      turn: z.number().min(-20).max(20),
      fullerMedial: z.number().min(-8).max(15),
      fullerLateral: z.number().min(-8).max(15),
    })
    .default({ back: 0, turn: 0, fullerMedial: 0, fullerLateral: 0 }),
  breakover: z
    .strictObject({
      lens: z.enum(BREAKOVER_LENSES).optional(),
      /** Mm back from the toe, where a hand put it. */
      fromToe: z.number().min(0).max(80).optional(),
      /** Deg to lateral, where a hand turned it. */
      direction: z.number().min(-45).max(45).optional(),
      /** Deg to lateral, found by tipping the hanging foot until a level on it reads true. */
      levelLine: z.number().min(-45).max(45).optional(),
    })
    .default({}),
  /** Wall that takes no nail, parts of the outline from the toe. */
  skip: z
    .record(
      idField,
      z.strictObject({
        side: z.enum(["medial", "lateral"]),
        from: z.number().min(0).max(1),
        to: z.number().min(0).max(1),
      }),
    )
    .default({}),
  /** Checks that are kept as they are, each with a line of why. */
  kept: z.record(z.string().max(40), line).default({}),
  /** Nails by side and number from the toe (`medial1`): what was noted, and where it came out. */
  nails: z
    .record(
      z.string().regex(/^(medial|lateral)[1-6]$/),
      z.strictObject({ note: z.enum(NAIL_NOTES).optional(), exitMm: mm(60).optional() }),
    )
    .default({}),
  /** Hot fits in order, `1` the first: what the print said, by sector. Each costs horn. */
  hotFits: z
    .record(z.string().regex(/^[1-9]$/), z.partialRecord(z.enum(WEAR_SECTORS), z.enum(PRINTS)))
    .default({}),
  /** How the plate met the frog at each try. */
  platePrints: z.record(z.string().regex(/^[1-9]$/), z.enum(PLATE_PRINTS)).optional(),
  /** Why a thin sole was fitted hot all the same. */
  hotOnThin: line.optional(),
  ticks: z.partialRecord(z.enum([...SET_STEP_NAMES, ...PACKING_STEP_NAMES]), z.literal(true)).default({}),
  compound: z
    .strictObject({
      minutesAt20: z.number().min(0.5).max(240),
      /** Until it bears, at 20 degrees, where the label says it. */
      bearsAt20: z.number().min(0.5).max(600).optional(),
      /** True where one batch serves the other foot of the pair as well. */
      bothFeet: z.literal(true).optional(),
      celsius: finite.min(-30).max(50),
      /** When it was mixed; its time runs by the clock, whatever the screen does. */
      mixedAt: instantField.optional(),
    })
    .optional(),
});
export type ShoeRecord = z.infer<typeof shoeSchema>;

export const shoeId = (visitId: string, limb: Limb): string => `${visitId}.${limb}.shoe`;

/** The parts of a shoe in which nothing was decided yet. */
export const noShoe = () => ({
  because: "",
  alike: true,
  setting: { back: 0, turn: 0, fullerMedial: 0, fullerLateral: 0 },
  breakover: {},
  skip: {},
  kept: {},
  nails: {},
  hotFits: {},
  ticks: {},
});

const webField = z
  .number({ error: "a number of mm" })
  .min(8, { error: "8 to 80 mm" })
  .max(80, { error: "8 to 80 mm" });

/** How far in from the edge its holes are punched. */
export const HOLES = ["coarse", "fine"] as const;

/** A ready-made shoe of the user's own table. */
export const sizeSchema = z.strictObject({
  id: idField,
  name: line.min(1, { error: "A size needs a name." }),
  feet: z.enum(["fore", "hind", "either"], { error: "fore, hind or either" }),
  width: z
    .number({ error: "a number of mm" })
    .min(40, { error: "40 to 260 mm" })
    .max(260, { error: "40 to 260 mm" }),
  length: z
    .number({ error: "a number of mm" })
    .min(40, { error: "40 to 300 mm" })
    .max(300, { error: "40 to 300 mm" }),
  straight: z
    .number({ error: "a number of mm" })
    .min(80, { error: "80 to 900 mm" })
    .max(900, { error: "80 to 900 mm" }),
  sectionWidth: z
    .number({ error: "a number of mm" })
    .min(8, { error: "8 to 80 mm" })
    .max(80, { error: "8 to 80 mm" }),
  sectionThickness: z
    .number({ error: "a number of mm" })
    .min(3, { error: "3 to 30 mm" })
    .max(30, { error: "3 to 30 mm" }),
  pattern: z.enum(HEAD_PATTERNS, { error: "slim, square or heavy" }),
  /** What it is, as far as the table says; what is not said is taken as an ordinary shoe's. */
  webMedial: webField.optional(),
  webLateral: webField.optional(),
  toe: z.enum(TOES, { error: "round, square or square set under" }).optional(),
  toeEdge: z.enum(TOE_EDGES, { error: "plain, eased, rolled or rockered" }).optional(),
  clips: z
    .array(
      z.enum(CLIP_PLACES, {
        error: "toe, side medial, side lateral, quarter medial or quarter lateral, a plus between",
      }),
    )
    .max(CLIP_PLACES.length)
    .optional(),
  crease: z.enum(CREASES, { error: "stamped or creased" }).optional(),
  material: z.enum(MATERIALS, { error: "steel or aluminium" }).optional(),
  profile: z.enum(PROFILES, { error: "flat or concave" }).optional(),
  holes: z.enum(HOLES, { error: "coarse or fine" }).optional(),
  grams: z
    .number({ error: "a number of grams" })
    .min(20, { error: "20 to 3000 g" })
    .max(3000, { error: "20 to 3000 g" })
    .optional(),
});
export type SizeRow = z.infer<typeof sizeSchema>;

/** A nail of the user's own table. */
export const nailSizeSchema = z.strictObject({
  id: idField,
  name: line.min(1, { error: "A nail needs a name." }),
  pattern: z.enum(HEAD_PATTERNS, { error: "slim, square or heavy" }),
  lengthMm: z
    .number({ error: "a number of mm" })
    .min(20, { error: "20 to 120 mm" })
    .max(120, { error: "20 to 120 mm" }),
});
export type NailRow = z.infer<typeof nailSizeSchema>;

/** What is asked of a foot's shoe by whoever leads its case, as far as it decides the shoe. It outranks the rules of advice. */
export const shoeAsksSchema = z.strictObject({
  type: z.enum(SHOE_TYPES).optional(),
  toe: z.enum(TOES).optional(),
  toeEdge: z.enum(TOE_EDGES).optional(),
  support: z.enum(HEEL_SUPPORTS).optional(),
  pad: z.enum(PADS).optional(),
  raiseDeg: z.number().min(0).max(20, { error: "No more than 20 degrees." }).optional(),
});
