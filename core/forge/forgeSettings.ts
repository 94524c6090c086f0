import { z } from "zod";
import { TRADE_ALLOWANCES } from "./stock";

const allowanceField = z
  .number()
  .min(0, { error: "No less than nothing." })
  .max(120, { error: "No more than 120 mm." });

/** How this user cuts steel, mm. */
export const forgeSettingsSchema = z.strictObject({
  allowances: z.strictObject({
    toe: z.tuple([allowanceField, allowanceField, allowanceField]),
    wideLess: allowanceField,
    bump: allowanceField,
    stretch: allowanceField,
  }),
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
  allowances: { ...TRADE_ALLOWANCES, toe: [...TRADE_ALLOWANCES.toe] },
  barLength: 3000,
  kerf: 2,
  leastOffcut: 150,
};
