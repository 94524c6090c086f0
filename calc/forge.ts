import { z } from "zod";
import { finite } from "~core/record/fields";
import { stockLength } from "~core/forge/stock";
import { ok } from "~core/result";
import { calculator, mm, outline, positive } from "./parts";

export const stock = calculator({
  about:
    "Length of stock for a shoe, by the trade's rule and by its outline; what to cut, and where the mark is.",
  input: z.strictObject({
    width: positive,
    length: positive,
    section: z.strictObject({ width: positive, thickness: positive }),
    bump: z.number().min(0).optional().describe("swallowed by upsetting the toe, mm; 12.7 unless given"),
    creased: z.int().min(0).max(2).optional().describe("branches creased with a fuller; 2 unless given"),
    extras: finite.optional().describe("heel checks, widened branch, bar, mm"),
    lateralLonger: finite.optional().describe("outer branch longer than the inner, mm"),
    outline: outline
      .optional()
      .describe(
        "outer edge of the shoe on each side, from the middle of the toe to the heel, joined as given",
      ),
  }),
  output: z.strictObject({
    rule: z.strictObject({ sum: mm, toeAllowance: mm, total: mm }),
    outline: z
      .strictObject({
        centreLine: mm.describe("half the section inside the outer edge, heel to heel"),
        total: mm,
      })
      .optional(),
    cutInches: finite.describe("the longer total, up to the next 1/8 in"),
    cutMm: mm.describe("the longer total, up to the next 5 mm"),
    fromMark: z
      .strictObject({ medial: mm, lateral: mm })
      .describe("that total, not rounded, on each side of the mark"),
  }),
  run: (question) => {
    const found = stockLength(question);
    return found.ok ? ok({ ...found.value }) : found;
  },
});
