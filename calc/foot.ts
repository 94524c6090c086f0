import { z } from "zod";
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
import { finite } from "~core/schema/fields";
import { limbField } from "~core/foot/limbField";
import { ok } from "~core/result";
import { angle, calculator, mm, point, positive } from "./parts";

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

export const lateral = calculator({
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

export const survey = calculator({
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

export const rectify = calculator({
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
