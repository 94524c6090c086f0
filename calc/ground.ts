import { z } from "zod";
import { planOnGround, USUAL_GROUND } from "~core/ground/groundModel";
import { plainFoot } from "~core/ground/plan";
import { GROUND_SHOES, plainPlan, USUAL_SHOE } from "~core/ground/shoePlan";
import { fail, ok } from "~core/result";
import { finite } from "~core/schema/fields";
import { angle, calculator, mm, positive } from "./parts";

const share = finite.describe("part of the load");
const kPa = finite.describe("kPa");
const orUsual = (value: number) => `${value} unless given`;

export const ground = calculator({
  about:
    "What a shoe does on a ground: a simplified model for comparing shoes, never for foretelling a patient.",
  input: z.strictObject({
    foot: z.strictObject({
      length: positive.describe("mm, heels to toe"),
      width: positive.describe("mm"),
      heelWidth: positive.optional().describe("mm; 0.68 x width unless given"),
    }),
    shoe: z.strictObject({
      kind: z.enum(GROUND_SHOES),
      web: positive.optional().describe(`mm; ${orUsual(USUAL_SHOE.webMedial)}`),
      webLateral: positive.optional().describe("mm; as web unless given"),
      thickness: positive.optional().describe(`mm; ${orUsual(USUAL_SHOE.thickness)}`),
      heelExtension: finite.min(0).optional().describe("mm behind the heels; 0 unless given"),
      barBehind: positive
        .optional()
        .describe(`mm that an egg bar reaches behind the heels; ${orUsual(USUAL_SHOE.barBehind)}`),
    }),
    frog: z
      .strictObject({
        recess: finite
          .optional()
          .describe(`mm above the foot's bearing plane; ${orUsual(USUAL_GROUND.recess)}`),
        filled: z.boolean().optional().describe("pad and compound, flush with the shoe's ground surface"),
      })
      .optional(),
    ground: z.strictObject({ stiffness: positive.describe("N/mm3") }),
    load: z.strictObject({
      newtons: positive,
      x: finite.optional().describe("mm to lateral of the midline"),
      lead: finite.optional().describe("mm ahead of the centre of rotation"),
    }),
    spring: positive
      .optional()
      .describe(`the limb's own resistance, N mm per degree; ${orUsual(USUAL_GROUND.spring)}`),
  }),
  output: z.strictObject({
    sink: mm.describe("mm, at the load's point"),
    pitch: angle.describe("+ = steeper, the toe lower"),
    roll: angle.describe("+ = lateral lower"),
    share: z.strictObject({
      toe: share,
      middle: share,
      heel: share,
      medial: share,
      lateral: share,
      frog: share,
      sole: share,
    }),
    peak: kPa.describe("kPa, on the ground"),
    hoof: z.strictObject({ toePeak: kPa, heelPeak: kPa }).describe("kPa, of the shoe on the wall's border"),
    lever: z.strictObject({ front: mm, support: mm }).describe("from the centre of rotation, after the tilt"),
    residual: finite.describe("of force and moments, as a part of the load"),
    iterations: z.int(),
  }),
  run: ({ foot, shoe, frog = {}, ground: on, load, spring = USUAL_GROUND.spring }) => {
    const { kind, web = USUAL_SHOE.webMedial, webLateral = web, thickness = USUAL_SHOE.thickness } = shoe;
    const { heelExtension = USUAL_SHOE.heelExtension, barBehind = USUAL_SHOE.barBehind } = shoe;
    if (foot.heelWidth !== undefined && foot.heelWidth > foot.width)
      return fail(
        "out-of-order",
        "foot.heelWidth",
        "The heels lie further apart than the foot is wide.",
        foot.heelWidth,
      );
    const plan = plainPlan(
      plainFoot(foot),
      { kind, webMedial: web, webLateral, thickness, heelExtension, barBehind },
      { recess: frog.recess ?? USUAL_GROUND.recess, filled: frog.filled ?? false },
      USUAL_GROUND.gridMm,
    );
    if (!plan.ok) return plan;
    const found = planOnGround(plan.value, {
      stiffness: on.stiffness,
      load: { newtons: load.newtons, x: load.x ?? 0, lead: load.lead ?? 0 },
      spring,
    });
    if (!found.ok) return found;
    const { sink, pitch, roll, share: shares, peak, hoof, lever, residual, iterations } = found.value;
    const { toePeak, heelPeak } = hoof;
    return ok({
      sink,
      pitch,
      roll,
      share: shares,
      peak,
      hoof: { toePeak, heelPeak },
      lever,
      residual,
      iterations,
    });
  },
});
