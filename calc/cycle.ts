import { z } from "zod";
import { footDue } from "~core/cycle/due";
import { toeGrowth } from "~core/cycle/growth";
import { dateField, finite } from "~core/schema/fields";
import { ok } from "~core/result";
import { angle, calculator, hemisphere, positive, rate } from "./parts";

export const growth = calculator({
  about: "Toe growth a season-weighted day, learned from a foot's cycles.",
  input: z.strictObject({
    shod: z.boolean(),
    hemisphere,
    measureSd: positive.optional().describe("within-subject sd of toe length, mm; 1.1 unless given"),
    visits: z.array(z.strictObject({ date: dateField, toeBefore: positive, toeAfter: positive })),
  }),
  output: z.strictObject({ perDay: finite, sd: finite, observations: z.int() }),
  run: ({ shod, visits, ...context }) =>
    toeGrowth(
      visits.map(({ date, toeBefore, toeAfter }) => ({ date, before: toeBefore, after: toeAfter })),
      { shod, hemisphere: context.hemisphere ?? "north", measureSd: context.measureSd ?? 1.1 },
    ),
});

export const due = calculator({
  about: "When a foot is due again, and why. A limit is passed when it is strictly exceeded.",
  input: z.strictObject({
    last: dateField,
    toeLength: positive,
    toeTarget: positive,
    toeOver: z.number().min(0).optional(),
    dorsalAngle: angle,
    pasternAngle: angle,
    axisLimit: z.number().min(0).optional(),
    axisWorse: z.number().min(0).optional(),
    growth: rate,
    drift: rate,
    hemisphere,
    capWeeks: positive.max(520),
  }),
  output: z.strictObject({
    due: dateField,
    windowStart: dateField,
    reason: z.enum(["toe", "axis", "cap"]),
    day: z.int().describe("days from last to due"),
  }),
  run: ({ toeOver, axisLimit, axisWorse, hemisphere: side, ...question }) =>
    ok(
      footDue({
        ...question,
        ...(toeOver !== undefined && { toeOver }),
        ...(axisLimit !== undefined && { axisLimit }),
        ...(axisWorse !== undefined && { axisWorse }),
        ...(side !== undefined && { hemisphere: side }),
      }),
    ),
});
