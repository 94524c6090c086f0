import { z } from "zod";
import { DEFAULT_LENSES, FRONT_LENSES, SIDE_LENSES } from "../foot/lens";
import { CAP_KINDS } from "../constants/due";
import { TRIM_MARGIN_MM } from "../constants/trim";
import { CUT_ORDERS } from "../trim/trimRecord";
import { DEFAULT_FORGE, forgeSettingsSchema } from "../forge/forgeSettings";
import { MOST_PAIRS, pairSchema } from "../foot/records/pairs";
import { lensField } from "../photo/photoRecord";
import { timeField } from "../schema/fields";

const marginField = z
  .number()
  .min(0, { error: "No less than 0 mm." })
  .max(10, { error: "No more than 10 mm." });

const dayMinutes = z
  .number()
  .min(0, { error: "No less than 0 minutes." })
  .max(960, { error: "No day has more than 16 hours." });

/** Where the rounds start, how fast they go, and which days are worked. */
const roundsSettingsSchema = z.strictObject({
  /** Latitude and longitude of home, degrees; no rounds are planned without. */
  home: z.tuple([z.number().min(-90).max(90), z.number().min(-180).max(180)]).optional(),
  speedKmh: z.number().min(5, { error: "At least 5 km/h." }).max(130, { error: "No more than 130 km/h." }),
  /** Getting in, unloading, tea: minutes at each yard. */
  stopMinutes: z.number().min(0).max(120, { error: "No more than 120 minutes." }),
  /** When the van leaves home. */
  leaves: timeField,
  /** Minutes that can be worked from Monday to Sunday, home to home; 0 is a day off. */
  week: z.tuple([dayMinutes, dayMinutes, dayMinutes, dayMinutes, dayMinutes, dayMinutes, dayMinutes]),
});
export type RoundsSettings = z.infer<typeof roundsSettingsSchema>;

export const DEFAULT_ROUNDS: RoundsSettings = {
  speedKmh: 50,
  stopMinutes: 15,
  leaves: "07:30",
  week: [540, 540, 540, 540, 540, 0, 0],
};

/** How this hand works down to a line: the order of its cuts, and what its nippers leave for the rasp, mm. */
const sheetSettingsSchema = z.strictObject({
  order: z.enum(CUT_ORDERS),
  raspMm: z.number().min(0, { error: "No less than 0 mm." }).max(5, { error: "No more than 5 mm." }),
});
export const DEFAULT_SHEET: z.infer<typeof sheetSettingsSchema> = { order: "heels first", raspMm: 1.5 };

/** How this user reads, and the limits that are theirs to set. One row. */
export const settingsSchema = z.strictObject({
  id: z.literal("settings"),
  unit: z.enum(["mm", "in"]).default("mm"),
  fraction: z.union([z.literal(8), z.literal(16), z.literal(32)]).default(16),
  leftRight: z.enum(["left-right", "near-off"]).default("left-right"),
  side: z.enum(["medial-lateral", "inside-outside"]).default("inside-outside"),
  theme: z.enum(["paper", "barn"]).default("paper"),
  hemisphere: z.enum(["north", "south"]).default("north"),
  toeOverMm: z
    .number()
    .min(3, { error: "At least 3 mm." })
    .max(40, { error: "No more than 40 mm." })
    .default(14),
  axisLimitDeg: z
    .number()
    .min(1, { error: "At least 1°." })
    .max(15, { error: "No more than 15°." })
    .default(5),
  /** Own caps in weeks by use; the trade's values where there is none. */
  capWeeks: z.partialRecord(z.enum(CAP_KINDS), z.number().min(1).max(16)).default({}),
  lenses: z
    .strictObject({
      frontBack: z.enum(FRONT_LENSES),
      bare: z.enum(FRONT_LENSES),
      side: z.enum(SIDE_LENSES),
    })
    .default(DEFAULT_LENSES),
  /** Wall left standing above the live sole, mm, for feet that are shod and feet that go bare. */
  margins: z
    .strictObject({ shod: marginField, barefoot: marginField })
    .default({ shod: TRIM_MARGIN_MM.shod.value, barefoot: TRIM_MARGIN_MM.barefoot.value }),
  /** Own bounds between steady, drifting and act, by name; the house's where there is none. */
  bounds: z
    .record(
      z.string().max(40),
      z
        .tuple([z.number().min(0), z.number().min(0)])
        .refine(([drifting, act]) => drifting <= act, { error: "Drifting must begin before act does." }),
    )
    .default({}),
  /** Measures taken twice: what one's own noise comes from. */
  pairs: z.array(pairSchema).max(MOST_PAIRS).default([]),
  /** The lens of this device's camera, from pictures of the printed card. */
  cameraLens: lensField.optional(),
  sheet: sheetSettingsSchema.default(DEFAULT_SHEET),
  forge: forgeSettingsSchema.default(DEFAULT_FORGE),
  rounds: roundsSettingsSchema.default(DEFAULT_ROUNDS),
  /** Cautions that were read, by where they stand and what they were about. */
  cautionsRead: z.array(z.string().max(120)).default([]),
});
export type Settings = z.infer<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Settings = settingsSchema.parse({ id: "settings" });
