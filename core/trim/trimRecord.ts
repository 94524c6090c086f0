import { z } from "zod";
import { FRONT_LENSES, SIDE_LENSES } from "../foot/lens";
import type { Limb } from "../foot/limb";
import { dateField, finite, idField, prose } from "../schema/fields";
import { limbField } from "../foot/limbField";
import { WALL_PLACES, type WallPlace } from "../foot/survey/walls";

/** No hand takes more than this at once, mm. Assumption, wide enough for long neglect. */
export const MOST_CUT_MM = 60;

/** No hand dresses more than this off one place at once, mm. */
export const MOST_FLARE_MM = 25;
/** Nothing is floated further than this, mm. */
export const MOST_FLOAT_MM = 8;

/** No frog or bar loses more than this at once, mm. */
export const MOST_PARED_MM = 20;

const millimetres = z.number().min(0).max(MOST_CUT_MM);
const cut = millimetres.optional();

/** The steps of a trim. Their order on the sheet is the user's own. */
export const SHEET_STEPS = [
  "explore",
  "frog",
  "bars",
  "safety-line",
  "heelMedial",
  "heelLateral",
  "toe",
  "level",
  "dress",
  "flares",
  "float",
  "rocker",
  "finish",
  "second-look",
] as const;
export type SheetStepId = (typeof SHEET_STEPS)[number];

/** Which cuts come first: a matter of school, the user's own to choose. */
export const CUT_ORDERS = ["heels first", "toe first", "quarters first"] as const;
export type CutOrder = (typeof CUT_ORDERS)[number];

/** Where the wall is dressed besides the toe, from the outside, and does not enter the angle. */
export const FLARE_PLACES = [
  "toeQuarterMedial",
  "toeQuarterLateral",
  "quarterMedial",
  "quarterLateral",
] as const satisfies WallPlace[];
export type FlarePlace = (typeof FLARE_PLACES)[number];

/** Mm in the ground plane, by place. */
const flares = z.partialRecord(z.enum(FLARE_PLACES), z.number().min(0).max(MOST_FLARE_MM));
export type Flares = z.infer<typeof flares>;

/** A cut that was decided on, before the first stroke, and what it should leave. */
const agreedPlanSchema = z.strictObject({
  cuts: z.strictObject({
    toe: millimetres,
    heelMedial: millimetres,
    heelLateral: millimetres,
    dress: millimetres,
  }),
  /** As the lenses have it, or moved by hand. */
  by: z.enum(["lenses", "hand"]),
  /** True once the cut sheet was started from it. */
  agreed: z.boolean(),
  /** Dressed besides the toe. */
  flares: flares.optional(),
  /** This is a part: of so many visits, the next of them on a day. */
  stage: z.strictObject({ of: z.int().min(2), next: dateField }).optional(),
  frontBack: z.enum(FRONT_LENSES),
  side: z.enum(SIDE_LENSES),
  finish: z.enum(["shod", "barefoot"]),
  /** Angles deg, lengths mm. */
  leaves: z.strictObject({
    dorsalAngle: finite,
    axis: finite,
    roll: finite,
    front: finite,
    support: finite,
    toeLength: finite,
    heelHeightMedial: finite,
    heelHeightLateral: finite,
  }),
  /** What is left for the shoe: degrees and mm. */
  shoe: z.strictObject({
    elevate: z.number().min(0),
    heelRaise: z.number().min(0),
    breakoverBack: z.number().min(0),
    heelExtension: z.number().min(0),
  }),
});
export type AgreedPlan = z.infer<typeof agreedPlanSchema>;

/** What was taken off one foot, mm; a cut that was not noted is missing, not zero. */
export const trimSchema = z.strictObject({
  id: idField,
  visitId: idField,
  horseId: idField,
  limb: limbField,
  date: dateField,
  cuts: z.strictObject({ toe: cut, heelMedial: cut, heelLateral: cut, dress: cut }).default({}),
  /** Taken by dressing besides the toe. */
  flares: flares.optional(),
  /** Pared off frog and bars, mm. */
  pared: z
    .strictObject({
      frog: z.number().min(0).max(MOST_PARED_MM).optional(),
      bars: z.number().min(0).max(MOST_PARED_MM).optional(),
    })
    .optional(),
  plan: agreedPlanSchema.optional(),
  /** Decided otherwise than the plan would: the toe further back than its own shape, the live sole's plane as it is. */
  furtherBack: z.literal(true).optional(),
  strictPlane: z.literal(true).optional(),
  /** Why all of a large trim is done at once. */
  atOnceWhy: prose.optional(),
  /** Places where the wall is floated so that it bears nothing, mm above the plane of the rest. */
  floats: z.partialRecord(z.enum(WALL_PLACES), z.number().min(0.5).max(MOST_FLOAT_MM)).optional(),
  /** Heels whose front part is eased instead of cut level: over a length, by a depth, mm. */
  rockers: z
    .partialRecord(
      z.enum(["medial", "lateral"]),
      z.strictObject({ lengthMm: z.number().min(5).max(40), depthMm: z.number().min(0.5).max(6) }),
    )
    .optional(),
  /** Steps of the cut sheet that are done. */
  ticks: z.partialRecord(z.enum(SHEET_STEPS), z.literal(true)).default({}),
  /** What was seen where a cut went past its limit, by place. */
  past: z.partialRecord(z.enum(["toe", "heelMedial", "heelLateral", "dress"]), prose).default({}),
});
export type Trim = z.infer<typeof trimSchema>;

/** With the words medial and lateral in them, to be put in the user's own terms. */
export const CUT_NAMES = {
  toe: "toe",
  heelMedial: "medial heel",
  heelLateral: "lateral heel",
  dress: "toe wall",
} as const;
export type CutName = keyof typeof CUT_NAMES;
export const CUTS = Object.keys(CUT_NAMES) as CutName[];

export const trimId = (visitId: string, limb: Limb): string => `${visitId}.${limb}`;
