import { z } from "zod";
import { frogPlane } from "~core/foot/frogPlane";
import { highSide, WITNESSES } from "~core/foot/highSide";
import { wordingFor } from "~core/foot/wording";
import { herdRates } from "~core/herd/herd";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { fail, ok } from "~core/result";
import { finite } from "~core/schema/fields";
import { findingsOf } from "~core/visit/findings";
import { oneFootFacts, oneFootSchema } from "~core/visit/oneFoot";
import { angle, calculator, mm, positive } from "./parts";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });

const bothSides = z.strictObject({ medial: mm, lateral: mm }).optional();

export const highside = calculator({
  about: "Which heel side stands higher, by every sign that was measured, and how far they agree.",
  input: z.strictObject({
    heelsApart: positive.describe("mm between the places at which the hairline is read"),
    k: positive.optional().describe("size factor, 1 unless given"),
    wallAbove: bothSides.describe("wall above the live sole at the heels, mm"),
    heelHeight: bothSides.describe("hairline straight down to the ground, mm"),
    hairlineTilt: angle.optional().describe("degrees, + = higher on the lateral side"),
    heelForward: bothSides.describe("each heel ahead of the back of the sulcus, mm"),
    barBend: bothSides.describe("bend of each bar, mm"),
    toeQuarterLength: z
      .strictObject({ medial: mm, lateral: mm, wallAngle: angle })
      .optional()
      .describe("wall at the toe quarters, hairline to ground, mm"),
  }),
  output: z.strictObject({
    witnesses: z.array(z.strictObject({ name: z.enum(WITNESSES), d: mm, sd: mm })),
    mean: mm.describe("mm at the heels, + = lateral high"),
    sd: mm,
    chi2: finite,
    n: z.int(),
  }),
  run: (signs) => {
    const verdict = highSide(signs);
    return verdict
      ? ok(verdict)
      : fail("no-witness", "", "At least one sign is wanted: wall above the sole, heel heights, or another.");
  },
});

export const frog = calculator({
  about: "The frog against the heels' plane: the gap under this shoe, and where the rasp stops.",
  input: z.strictObject({
    proud: z.number().min(-40).max(40).describe("mm past the heels' plane, + = proud"),
    thickness: z.number().min(0).max(60).describe("mm of shoe"),
    pad: z.number().min(0).max(60).optional().describe("mm, 0 unless given"),
    heelCut: z.number().min(0).max(80).optional().describe("mm, 0 unless given"),
  }),
  output: z.strictObject({
    proudAfter: mm.describe("proud + heel cut"),
    gap: mm.describe("to firm ground: thickness + pad - proudAfter, never under 0"),
    touchCut: mm.describe("heel cut at which frog and heels share a plane, never under 0"),
  }),
  run: (question) => ok(frogPlane(question)),
});

export const findings = calculator({
  about: "What a foot says by the table of rules: every finding with its level and evidence.",
  input: oneFootSchema,
  output: z.array(
    z.strictObject({ id: z.string(), level: z.string(), text: z.string(), evidence: z.string() }),
  ),
  run: (question) =>
    ok(
      findingsOf(oneFootFacts(question, GENERAL_NOISE.value, wording)).map(
        ({ id, level, text, evidence }) => ({ id, level, text, evidence }),
      ),
    ),
});

const count = z.int().min(0);

export const herd = calculator({
  about: "How often each finding speaks on a made-up herd, sound or troubled, measured by an ordinary hand.",
  input: z.strictObject({
    kind: z.enum(["sound", "troubled"]),
    n: z.int().min(1).max(5000).describe("feet; of each trouble where they are troubled"),
    seed: z.int().min(0),
    when: z.enum(["fresh", "due"]).describe("fresh from the trim, or at the end of a six-week cycle"),
  }),
  output: z.strictObject({
    feet: count,
    spoke: z.record(z.string(), count).describe("per finding, on how many feet it spoke above steady"),
    withoutAny: count.describe("feet without any finding above steady"),
    troubles: z
      .record(z.string(), z.strictObject({ feet: count, found: count, atLevel: count }))
      .describe("per trouble: feet that have it, found by its finding, and at its right level"),
  }),
  run: (question) => ok(herdRates(question, wording)),
});
