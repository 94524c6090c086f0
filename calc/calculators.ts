import { z } from "zod";
import { finite } from "~core/schema/fields";
import { repeatability } from "~core/repeatability/repeatability";
import { ok } from "~core/result";
import { formatLength, inchesFromMm, parseLength } from "~core/units/length";
import { calculator, mm, point, type Calculator } from "./parts";
import { cutlist, stock } from "./forge";
import { findings, frog, herd, highside } from "./judgement";
import { radiograph } from "./film";
import { beat } from "./gait";
import { ground } from "./ground";
import { rounds } from "./rounds";
import { advise, breakover, mass, nails, setting } from "./shoe";

import { growth, due } from "./cycle";
import { lateral, rectify, survey } from "./foot";
import { predict, trim } from "./trim";
const units = calculator({
  about: "A length as it is typed, in millimetres, inches and as it is shown.",
  input: z.strictObject({
    text: z.string(),
    unit: z.enum(["in", "mm"]).describe("the meaning of a bare number and the unit of display"),
    fraction: z
      .int()
      .min(1)
      .max(64)
      .optional()
      .describe("parts of an inch that display is rounded to; 16 unless given"),
  }),
  output: z.strictObject({ mm, inches: finite, display: z.string().describe("rounded, ties up") }),
  run: ({ text, unit, fraction }) => {
    const read = parseLength(text, unit);
    if (!read.ok) return read;
    return ok({
      mm: read.value,
      inches: inchesFromMm(read.value),
      display: formatLength(read.value, unit, fraction ?? 16),
    });
  },
});

const repeats = calculator({
  about: "How much of a change is only the measuring, from pairs of repeated measures.",
  input: z.strictObject({ pairs: z.array(point) }),
  output: z.strictObject({ n: z.int(), sd: finite, smallestChange: finite.describe("2.77 sd") }),
  run: ({ pairs }) => repeatability(pairs),
});

export const CALCULATORS: Readonly<Record<string, Calculator>> = {
  units,
  lateral,
  survey,
  rectify,
  predict,
  trim,
  breakover,
  stock,
  nails,
  mass,
  setting,
  advise,
  radiograph,
  ground,
  cutlist,
  growth,
  due,
  rounds,
  highside,
  frog,
  findings,
  herd,
  beat,
  repeatability: repeats,
};

/** True for the calculators that solve a programme. */
export const wantsSolver = (name: string | undefined): boolean => name === "cutlist" || name === "rounds";
