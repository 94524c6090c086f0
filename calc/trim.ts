import { z } from "zod";
import { FRONT_LENSES, SIDE_LENSES } from "~core/foot/lens";
import { finite } from "~core/schema/fields";
import { ok } from "~core/result";
import type { TrimQuestion } from "~core/trim/question";
import { planStaged } from "~core/trim/stages";
import { predictTrim, type TrimFoot } from "~core/foot/parametric/predict";
import { angle, calculator, mm, point } from "./parts";

const cutNames = ["toe", "heelMedial", "heelLateral", "dress"] as const;
const footInput = z.strictObject({
  dorsalAngle: angle,
  pasternAngle: angle,
  heelAngle: angle,
  toeLength: mm,
  toeY: mm,
  heelMedial: point,
  heelLateral: point,
  corY: mm,
  corHeight: z.number().min(0).optional(),
});
const cutsInput = z.strictObject(
  Object.fromEntries(cutNames.map((name) => [name, z.number().min(0)])) as Record<
    (typeof cutNames)[number],
    z.ZodNumber
  >,
);
const predicted = z.strictObject({
  dorsalAngle: angle,
  axis: angle,
  roll: angle.describe("positive = lateral lowered"),
  toeY: mm,
  heelY: mm,
  corY: mm,
  front: mm,
  support: mm,
  toeLength: mm,
});
const height = z.number().min(0);

export const predict = calculator({
  about: "What four cuts do to a foot.",
  input: z.strictObject({ foot: footInput, cuts: cutsInput }),
  output: predicted,
  run: ({ foot, cuts }) => predictTrim(foot as TrimFoot, cuts),
});

export const trim = calculator({
  about: "The cuts that come nearest to two lenses within what may be cut.",
  input: z.strictObject({
    foot: footInput,
    finish: z.enum(["shod", "barefoot"]),
    above: z
      .strictObject({ toe: height, heelMedial: height, heelLateral: height })
      .describe("wall above the live sole, mm"),
    frontBack: z.enum(FRONT_LENSES),
    side: z.enum(SIDE_LENSES),
    sideAngle: angle
      .optional()
      .describe("positive = the lateral side is high; for square-limb and level-hairline, 0 unless given"),
    toeWall: height
      .optional()
      .describe("outside of live sole to outside of wall at the toe, mm in the ground plane"),
    whiteLine: height.optional().describe("its part of toeWall; 3 mm unless given"),
    outside: height
      .optional()
      .describe(
        "horn outside the foot's own shape at the toe, mm in the ground plane; live-sole dresses only where it is given",
      ),
    dressMax: height.optional().describe("mm at right angles to the wall"),
    minToeLength: height.optional(),
    sulcusDepth: height.optional(),
    holdAxis: z
      .boolean()
      .optional()
      .describe(
        "live-sole: both heels come down alike less far, so that it leaves no axis further broken back; false unless given",
      ),
    atOnce: z
      .boolean()
      .optional()
      .describe(
        "true: the cuts are this visit's part, at most 10 mm off a heel (8 on a foot over 8 degrees broken forward), 6 mm more off one than the other, 5 degrees of turn, and nowhere more than the whole; false, unless given: the whole",
      ),
  }),
  output: z.strictObject({
    cuts: z
      .strictObject(Object.fromEntries(cutNames.map((name) => [name, mm])) as Record<string, typeof mm>)
      .describe("exact, not rounded"),
    objective: finite.describe("for the live sole, which is not weighed, that of a straight axis"),
    predicted,
    remaining: z.strictObject({
      axis: angle,
      frontMinusSupport: mm,
      roll: angle.describe("after minus target"),
    }),
    limits: z
      .array(z.string())
      .describe(
        "what holds the cut back: toe, heelMedial, heelLateral, dress, minToeLength, axis (heels held), atOnce; for the live sole, the plane itself",
      ),
    shoe: z.strictObject({
      elevate: angle.describe("only while the axis is still broken back"),
      heelRaise: mm.describe("over the bearing length before the trim"),
      breakoverBack: mm,
      heelExtension: mm.describe("from the heel after the trim to the back of the central sulcus"),
    }),
    stages: z
      .int()
      .min(1)
      .optional()
      .describe(
        "visits that the whole takes within those bounds, without what grows between; only with atOnce",
      ),
  }),
  run: ({ atOnce = false, ...input }) => {
    const found = planStaged(input as TrimQuestion, undefined, true);
    if (!found.ok) return found;
    const { whole, part, visits } = found.value;
    const { cuts, objective, predicted: after, remaining, stoppedBy, shoe } = atOnce ? part : whole;
    return ok({
      ...(atOnce && { stages: visits }),
      cuts: { ...cuts },
      objective,
      predicted: after,
      remaining,
      limits: [...stoppedBy],
      shoe,
    });
  },
});
