import { z } from "zod";
import { finite } from "~core/schema/fields";
import { cutList } from "~core/forge/cutlist/cutList";
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
    if (!found.ok) return found;
    const { rule, outline: byOutline, cutInches, cutMm, fromMark } = found.value;
    return ok({ rule, ...(byOutline && { outline: byOutline }), cutInches, cutMm, fromMark });
  },
});

const length = positive.describe("mm");

export const cutlist = calculator({
  about: "Pieces cut from the fewest new bars, proven.",
  input: z.strictObject({
    barLength: length,
    kerf: z.number().min(0).describe("what the blade takes, mm"),
    pieces: z.array(z.strictObject({ length, count: z.int().min(0), label: z.string().optional() })),
    offcuts: z.array(length).optional().describe("used before new bars, and not counted"),
  }),
  output: z.strictObject({
    bars: z.array(
      z.strictObject({
        stock: mm,
        pieces: z.array(mm),
        offcut: mm.describe("0 where the rest is narrower than the blade: the bar is used up"),
      }),
    ),
    count: z.int().describe("new bars"),
    lowerBound: z.int().describe("fewer new bars than this cannot do"),
    optimal: z.boolean().describe("false only where the time for the proof ran out"),
  }),
  run: (question, { solve }) => cutList(question, solve),
});
