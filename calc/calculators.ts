import { z } from "zod";
import { FRONT_LENSES, SIDE_LENSES } from "~core/foot/lens";
import { footDue } from "~core/cycle/due";
import { toeGrowth } from "~core/cycle/growth";
import { readLateral, type LateralPoints } from "~core/foot/lateral";
import type { FreeMarks } from "~core/foot/survey/frame";
import {
  isOptional,
  MARK_FACTS,
  SURVEY_MARKS,
  type OPTIONAL_MARKS,
  type SurveyMark,
} from "~core/foot/survey/marks";
import { readSurvey } from "~core/foot/survey/survey";
import { rectifyCard } from "~core/photo/rectify";
import { dateField, finite } from "~core/schema/fields";
import { limbField } from "~core/foot/limbField";
import { repeatability } from "~core/repeatability/repeatability";
import { ok } from "~core/result";
import { planTrim, type TrimQuestion } from "~core/trim/plan";
import { predictTrim, type TrimFoot } from "~core/foot/parametric/predict";
import { formatLength, inchesFromMm, parseLength } from "~core/units/length";
import { angle, calculator, hemisphere, mm, point, positive, rate, type Calculator } from "./parts";
import { cutlist, stock } from "./forge";
import { findings, frog, herd, highside } from "./judgement";
import { rounds } from "./rounds";
import { breakover, mass, nails, setting } from "./shoe";

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

const lateralMarks = [
  "groundA",
  "groundB",
  "toe",
  "wallMid",
  "wallHigh",
  "hairlineToe",
  "hairlineHeel",
  "heel",
  "pasternLow",
  "pasternHigh",
] as const satisfies (keyof LateralPoints)[];

const lateral = calculator({
  about: "A side view read from its landmarks.",
  input: z.strictObject({
    limb: limbField,
    mmPerPx: positive.optional(),
    points: z.strictObject(
      Object.fromEntries(lateralMarks.map((name) => [name, point])) as Record<
        (typeof lateralMarks)[number],
        typeof point
      >,
    ),
  }),
  output: z.strictObject({
    dorsalAngle: angle,
    dish: angle,
    pasternAngle: angle,
    axis: angle,
    heelAngle: angle,
    underrun: z.boolean().describe("heel shallower than the dorsal wall by more than 5 degrees"),
    hairlineAngle: angle,
    toeLength: mm,
    heelLength: mm,
    bearingLength: mm,
    pasternLineFromToe: mm.describe("mm along the ground from the toe, negative = behind it"),
  }),
  run: ({ points, mmPerPx }) => readLateral(points, mmPerPx),
});

const surveyMark = (mark: SurveyMark) =>
  isOptional(mark) ? point.optional().describe(MARK_FACTS[mark].find) : point.describe(MARK_FACTS[mark].find);
const bothSides = z.strictObject({ medial: mm, lateral: mm });

const survey = calculator({
  about:
    "A sole surveyed from its landmarks, in any orientation, y up or down: the marks say which side is lateral.",
  input: z.strictObject({
    limb: limbField,
    mmPerPx: positive.optional(),
    points: z.strictObject(
      Object.fromEntries(SURVEY_MARKS.map((mark) => [mark, surveyMark(mark)])) as {
        [Mark in SurveyMark]: Mark extends (typeof OPTIONAL_MARKS)[number]
          ? z.ZodOptional<typeof point>
          : typeof point;
      },
    ),
  }),
  output: z.strictObject({
    sulcus: mm,
    trueApex: mm,
    frogStretch: finite,
    frogWidthRatio: finite.describe("difference in x of the frog's widest points over the sulcus"),
    footLength: mm,
    width: mm,
    widthToLength: finite,
    k: finite.describe("width / 127 mm fore, / 120 mm hind"),
    cor: z.strictObject({
      widest: mm,
      apex: mm,
      bars: mm.optional(),
      diagonals: mm.optional().describe("missing where the diagonals run side by side"),
      median: mm,
      spread: mm,
    }),
    front: mm,
    back: mm,
    support: mm,
    toeExcess: mm,
    frontShare: finite.describe("front / (front + support)"),
    coffinTip: mm,
    breakover: mm,
    heelForward: bothSides,
    heelDifference: mm,
    halfWidth: bothSides,
    heelHalfWidth: bothSides,
    barBend: bothSides.optional().describe("distance, never negative; only with both bars"),
    drift: z.strictObject({ lateral: mm, toe: mm }).optional(),
  }),
  run: ({ limb, points, mmPerPx }) => readSurvey(points as FreeMarks, limb, mmPerPx),
});

const rectify = calculator({
  about: "Points of a picture made true in the plane of a card seen in it.",
  input: z.strictObject({
    card: z.strictObject({
      width: positive,
      height: positive,
      corners: z
        .tuple([point, point, point, point])
        .describe("top-left, top-right, bottom-right, bottom-left of the card, in pixels"),
    }),
    points: z.record(z.string(), point),
  }),
  output: z.strictObject({
    points: z.record(z.string(), point).describe("mm, origin at the card's top-left corner, y down"),
    homography: z.array(finite).length(9).describe("picture to mm, row by row, the last number 1"),
    slant: angle.describe("acos of smaller over larger singular value at the card's centre"),
    residual: mm.describe(
      "rms of the four corners, mm; four corners fix the map exactly, so it is rounding only",
    ),
  }),
  run: ({ card, points }) => {
    const found = rectifyCard(card);
    if (!found.ok) return found;
    const { homography, slantDeg, residualMm, toMm } = found.value;
    return ok({
      points: Object.fromEntries(Object.entries(points).map(([name, at]) => [name, [...toMm(at)]])),
      homography: [...homography],
      slant: slantDeg,
      residual: residualMm,
    });
  },
});

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

const predict = calculator({
  about: "What four cuts do to a foot.",
  input: z.strictObject({ foot: footInput, cuts: cutsInput }),
  output: predicted,
  run: ({ foot, cuts }) => predictTrim(foot as TrimFoot, cuts),
});

const trim = calculator({
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
    toeWall: height.optional(),
    dressMax: height.optional(),
    minToeLength: height.optional(),
    sulcusDepth: height.optional(),
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
        "what holds the cut back: toe, heelMedial, heelLateral, dress, minToeLength; for the live sole, the plane itself",
      ),
    shoe: z.strictObject({
      elevate: angle.describe("only while the axis is still broken back"),
      heelRaise: mm.describe("over the bearing length before the trim"),
      breakoverBack: mm,
      heelExtension: mm.describe("from the heel after the trim to the back of the central sulcus"),
    }),
  }),
  run: (input) => {
    const found = planTrim(input as TrimQuestion);
    if (!found.ok) return found;
    const { cuts, objective, predicted: after, remaining, stoppedBy, shoe } = found.value;
    return ok({
      cuts: { ...cuts },
      objective,
      predicted: after,
      remaining,
      limits: [...stoppedBy],
      shoe,
    });
  },
});

const growth = calculator({
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

const due = calculator({
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
  cutlist,
  growth,
  due,
  rounds,
  highside,
  frog,
  findings,
  herd,
  repeatability: repeats,
};

/** True for the calculators that solve a programme. */
export const wantsSolver = (name: string | undefined): boolean => name === "cutlist" || name === "rounds";
