import { z } from "zod";
import { finite } from "~core/schema/fields";
import { fail, ok } from "~core/result";
import { BREAKOVER_LENSES, breakoverLenses } from "~core/shoe/breakover";
import { shoeMass } from "~core/shoe/mass";
import { LEAST_PITCH_MM } from "~core/shoe/nailMoves";
import { placeNails, WEB_INSIDE_MM } from "~core/shoe/nails";
import { workingMinutes } from "~core/shoe/packing";
import { wordingFor } from "~core/foot/wording";
import { adviseShoe } from "~core/shoe/advice/advise";
import { fittedAdvice } from "~core/shoe/advice/fitted";
import { shoeFactsSchema } from "~core/shoe/factsSchema";
import { ordinaryShodFoot } from "~core/shoe/ordinaryShodFoot";
import { specificationSchema } from "~core/shoe/shoeRecord";
import { MATERIALS } from "~core/shoe/specification";
import { calculator, mm, outline, positive } from "./parts";

const notNegative = z.number().min(0);
const side = z.enum(["medial", "lateral"]);

export const breakover = calculator({
  about: "Where each lens would have the breakover, mm back from the toe, and the one that is chosen.",
  input: z.strictObject({
    toeY: mm,
    corY: mm,
    supportY: mm.describe("where the shoe, or the bare heel, ends"),
    pasternLineFromToe: mm.optional().describe("as the side view gives it: negative = behind the toe"),
    coffinTipY: mm.optional(),
    ahead: finite.optional().describe("ahead of the coffin tip, mm; 6 unless given"),
  }),
  output: z.strictObject({
    fromToe: z
      .strictObject({ pasternLine: mm.optional(), coffinTip: mm.optional(), evenHalves: mm, toe: mm })
      .describe("mm back from the toe, never under 0"),
    chosen: z.strictObject({ lens: z.enum(BREAKOVER_LENSES), fromToe: mm }),
  }),
  run: (question) => {
    if (question.toeY <= question.supportY)
      return fail("out-of-order", "toeY", "The toe must lie ahead of the support.", question.toeY);
    return ok(breakoverLenses(question));
  },
});

const nail = z.strictObject({
  s: mm.describe("mm along the outer edge from the middle of the toe"),
  x: mm.describe("middle of the hole"),
  y: mm.describe("middle of the hole"),
  inset: mm.describe("middle of the hole in from the edge, square to it"),
  moved: mm.optional().describe("along the edge from where it would stand, positive = back"),
});

export const nails = calculator({
  about: "Places of the nails: first at the toe quarter, last at the widest part, the inner one 5 mm ahead.",
  input: z.strictObject({
    outline: outline.describe(
      "outer edge of the shoe on each side, from the middle of the toe to the heel; x positive to lateral",
    ),
    widestY: mm.describe("y of the widest part; no nail behind it"),
    perSide: z.int().min(1).max(6),
    wall: z
      .strictObject({ toe: notNegative, quarter: notNegative })
      .describe(
        "horn that takes a nail, mm: thickness less the white line; between them it follows the edge from the toe to the widest part",
      ),
    fullness: notNegative.optional().describe("shoe beyond the wall, mm; 0 unless given"),
    web: positive,
    skip: z
      .array(z.strictObject({ side, from: z.number().min(0).max(1), to: z.number().min(0).max(1) }))
      .optional()
      .describe(
        "stretches without nails, as parts of that side's outline from the toe; a nail in one is left out",
      ),
    move: z
      .boolean()
      .optional()
      .describe(
        "true: a nail in such a stretch is moved to the nearest sound wall instead; false unless given",
      ),
  }),
  output: z.strictObject({
    medial: z.array(nail),
    lateral: z.array(nail),
    warnings: z
      .array(z.string())
      .describe(
        `a hole past the web or with less than ${WEB_INSIDE_MM} mm of it inside, nails nearer than ${LEAST_PITCH_MM} mm, skipped nails, fewer than two on a side`,
      ),
  }),
  run: (question) => {
    const sides = ["medial", "lateral"] as const;
    const wrong = sides.find(
      (one) => !question.outline[one].slice(1).every(([x]) => (one === "medial" ? x <= 0 : x >= 0)),
    );
    if (wrong)
      return fail(
        "across-midline",
        `outline.${wrong}`,
        `The ${wrong} side crosses the midline: x is positive to lateral.`,
      );
    const { medial, lateral, warnings } = placeNails(question);
    return ok({ medial, lateral, warnings: warnings.map(({ message }) => message) });
  },
});

export const mass = calculator({
  about: "Grams of a shoe: section times centre line times density, less crease and holes.",
  input: z.strictObject({
    centreLine: positive,
    section: z.strictObject({ width: positive, thickness: positive }),
    material: z.enum(MATERIALS),
    crease: z.strictObject({ width: notNegative, depth: notNegative, length: notNegative }).optional(),
    holes: z
      .strictObject({ count: z.int().min(0), area: notNegative.describe("mm2, through the whole thickness") })
      .optional(),
  }),
  output: z.strictObject({ grams: finite }),
  run: ({ crease, holes, ...bar }) => {
    if (crease && (crease.depth > bar.section.thickness || crease.width > bar.section.width))
      return fail("crease", "crease", "The crease is wider or deeper than the section.", crease);
    return ok({ grams: shoeMass({ ...bar, ...(crease && { crease }), ...(holes && { holes }) }) });
  },
});

export const setting = calculator({
  about: "Working time of a setting compound at a temperature: it halves with every 10 degrees more.",
  input: z.strictObject({ minutesAt20: positive, celsius: finite.min(-60).max(100) }),
  output: z.strictObject({ minutes: finite }),
  run: ({ minutesAt20, celsius }) => ok({ minutes: workingMinutes(minutesAt20, celsius) }),
});

const words = z.array(z.string());

export const advise = calculator({
  about: "A ranked short list of whole shoes, each with reasons both ways; a prescription stands first.",
  input: shoeFactsSchema,
  output: z.array(
    z.strictObject({
      name: z.string(),
      specification: specificationSchema.describe("lengths mm, angles deg"),
      for: words.describe("what speaks for this shoe, the strongest first"),
      against: words.describe("what speaks against it, what it lacks, and its price"),
      cautions: words,
      breaks: words.describe("checks of the fit on an ordinary foot of this size that it breaks"),
      prescribed: z.boolean(),
      ruledOut: z.boolean(),
      disputed: words.describe("what practitioners differ about in it"),
    }),
  ),
  run: (facts) => {
    const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
    const tried = {
      foot: ordinaryShodFoot(facts),
      breakover: { fromToe: facts.breakoverBack, direction: facts.breakoverTurnDeg ?? 0 },
      skip: [],
    };
    const advice = fittedAdvice(adviseShoe(facts), tried, {
      footing: facts.footing,
      thinSole: facts.thinSole === true,
      unsoundWall: facts.unsoundWall,
      ...(facts.prescription && { prescription: facts.prescription }),
      wording,
    });
    return ok(
      advice.proposals.map((one) => ({
        name: one.name,
        specification: one.spec,
        for: one.reasonsFor.map(
          ({ rule, seen }) => `${rule.then}: ${rule.because} (${seen}; ${rule.support})`,
        ),
        against: one.reasonsAgainst.map(({ because, seen, as, rule }) =>
          as === "price" ? because : `${because} (${seen}; ${rule.support})`,
        ),
        cautions: [...(advice.askVet && one.base !== "bare" ? [advice.askVet] : []), ...one.cautions],
        breaks: one.breaks.map(({ text }) => text),
        prescribed: one.prescribed,
        ruledOut: one.ruledOut,
        disputed: one.disputes.map(({ about }) => about),
      })),
    );
  },
});
