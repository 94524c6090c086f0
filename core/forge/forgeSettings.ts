import { z } from "zod";
import { FORGE_KINDS } from "./kinds";
import { TRADE_ALLOWANCES } from "./stock";

const allowanceField = z
  .number()
  .min(0, { error: "No less than nothing." })
  .max(120, { error: "No more than 120 mm." });

const stepField = z
  .number()
  .min(100, { error: "A step lies between 100 and 600 mm." })
  .max(600, { error: "A step lies between 100 and 600 mm." });

/** How this user cuts steel, mm. */
export const forgeSettingsSchema = z.strictObject({
  allowances: z.strictObject({
    toe: z.tuple([allowanceField, allowanceField, allowanceField]),
    wideLess: allowanceField,
    bump: allowanceField,
    stretch: allowanceField,
    /** Sums of width and length at which the toe's allowance steps up; the trade's where there are none. */
    steps: z
      .tuple([stepField, stepField])
      .refine(([first, second]) => first < second, { error: "The first step lies below the second." })
      .optional(),
  }),
  /** Bump and stretch kept for a kind of shoe, where they are not the general ones. */
  kinds: z
    .partialRecord(
      z.enum(FORGE_KINDS),
      z.strictObject({ bump: allowanceField.optional(), stretch: allowanceField.optional() }),
    )
    .optional(),
  barLength: z
    .number()
    .min(300, { error: "A bar is at least 300 mm long." })
    .max(12_000, { error: "No bar is longer than 12 m." }),
  kerf: z.number().min(0, { error: "0 for a shear." }).max(15, { error: "No blade takes more than 15 mm." }),
  /** Offcuts shorter than this are scrap. */
  leastOffcut: z.number().min(0).max(2000),
});
export type ForgeSettings = z.infer<typeof forgeSettingsSchema>;

export const DEFAULT_FORGE: ForgeSettings = {
  allowances: {
    toe: [...TRADE_ALLOWANCES.toe],
    wideLess: TRADE_ALLOWANCES.wideLess,
    bump: TRADE_ALLOWANCES.bump,
    stretch: TRADE_ALLOWANCES.stretch,
  },
  barLength: 3000,
  kerf: 2,
  leastOffcut: 150,
};
