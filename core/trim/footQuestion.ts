import type { LensChoice } from "../foot/lens";
import { TOE_UNDER_MM, UNMEASURED_ABOVE_MM } from "../constants/trim";
import { sideAimOf } from "../balance/footAims";
import { lengthSd, type FootFacts } from "../foot/findings/facts";
import { cautiousAbove, estimatedAbove } from "../foot/wallEstimate";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { trimFootOf } from "../foot/parametric/parameters";
import type { WallPlace } from "../foot/survey/walls";
import { clubBy } from "../foot/findings/compareRules";
import { HANGS_FROM_MM } from "../foot/frogPlane";
import type { QuarterWall } from "./limits";
import { isFlexural } from "./stages";
import { toeOutside, type ToeOutside } from "./toeOutside";
import { planTrim } from "./plan";
import type { TrimQuestion } from "./question";
import { NO_CUT, type Cuts } from "../foot/parametric/predict";

/** What a plan wants to know of a foot, by what a hand measures in one go. */
export const PLAN_WANTS = [
  "aboveToe",
  "aboveHeelMedial",
  "aboveHeelLateral",
  "toeWall",
  "sulcusDepth",
  "sideAngle",
  "dorsalAngle",
  "pasternAngle",
  "toeLength",
  "heelAngle",
  "soleSurvey",
] as const;
export type PlanWant = (typeof PLAN_WANTS)[number];

/** With the words medial and lateral in them, to be put in the user's own terms. */
export const PLAN_WANT_NAMES: Record<PlanWant, string> = {
  aboveToe: "wall above the live sole at the toe",
  aboveHeelMedial: "wall above the live sole at the medial heel",
  aboveHeelLateral: "wall above the live sole at the lateral heel",
  toeWall: "thickness of the toe wall",
  sulcusDepth: "depth of the sulcus beside the frog",
  sideAngle: "the foot from behind",
  dorsalAngle: "dorsal angle",
  pasternAngle: "pastern angle",
  toeLength: "toe length",
  heelAngle: "heel angle",
  soleSurvey: "the sole: toe, heels and centre of rotation",
};

/** The question that a foot's facts put to the plan, and what in it is a cautious guess. */
export interface FootQuestion {
  question: TrimQuestion;
  assumed: readonly PlanWant[];
  outside: ToeOutside;
  /** True where the foot may be flexural: the vet is asked before its heels come down. */
  flexural: boolean;
}

/** What a practitioner has decided otherwise than the plan would, for one foot at one visit. */
export interface TrimChoices {
  /** The toe is taken further back than the foot's own shape, as far as the horn that has to stay. */
  furtherBack?: boolean | undefined;
  /** The plane of the live sole as it is, whatever it costs the axis. */
  strictPlane?: boolean | undefined;
}

export interface PlanContext {
  shod: boolean;
  lenses: LensChoice;
  /** The user's own margins of wall, mm. */
  margins: { shod: number; barefoot: number };
  /** True where a vet's plan allows what else is the vet's. */
  vetPlan?: boolean | undefined;
  /** True on a short visit between two full trims: the heels stay as they are. */
  toeOnly?: boolean | undefined;
  choices?: TrimChoices | undefined;
}

const QUARTERS = [
  ["quarterMedial", "wideMedial"],
  ["quarterLateral", "wideLateral"],
  ["toeQuarterMedial", "toeQuarterMedial"],
  ["toeQuarterLateral", "toeQuarterLateral"],
] as const satisfies [WallPlace, keyof ReturnType<typeof soleLandmarks>][];

/**
 * A foot's facts as a question to the plan. Walls that nobody measured count as very little, so that a plan without
 * them takes very little; at the toe chalk and step give an estimate that is taken instead. The toe is kept from being
 * cut under its yardstick less 6 mm, and is dressed only by what is sure to stand outside its own shape.
 */
export function footQuestion(facts: FootFacts, context: PlanContext): FootQuestion {
  const { shod, lenses, margins, vetPlan = false, toeOnly = false, choices = {} } = context;
  const { drawn, walls, measures, side, survey, sulcusDepthMm } = facts;
  const assumed: PlanWant[] = [];
  const above = (place: WallPlace, want: PlanWant, guess: number): number => {
    const measured = walls[place]?.above;
    if (measured === undefined) assumed.push(want);
    return measured ?? guess;
  };
  const estimate = estimatedAbove(facts.chalkMm, facts.stepMm);
  const heights = {
    toe: above(
      "toe",
      "aboveToe",
      estimate === undefined ? UNMEASURED_ABOVE_MM.toe.value : cautiousAbove(estimate, lengthSd(facts)),
    ),
    heelMedial: above("heelMedial", "aboveHeelMedial", UNMEASURED_ABOVE_MM.heel.value),
    heelLateral: above("heelLateral", "aboveHeelLateral", UNMEASURED_ABOVE_MM.heel.value),
  };
  const landmarks = soleLandmarks(drawn);
  const quarters = QUARTERS.flatMap(([place, mark]): QuarterWall[] => {
    const mm = walls[place]?.above;
    return mm === undefined ? [] : [{ name: place, at: landmarks[mark], above: mm }];
  });
  const aim = sideAimOf(facts, lenses.side);
  if (lenses.side !== "even-sole" && aim.rollDeg === undefined) assumed.push("sideAngle");
  const toeWall = walls.toe?.thickness;
  const outside = toeOutside(facts);
  // Where no sign tells whether the toe is distorted, its wall would; where one does, its wall says how much may go.
  if (toeWall === undefined && (side.dish === undefined || outside.mm > 0)) assumed.push("toeWall");
  if (sulcusDepthMm === undefined) assumed.push("sulcusDepth");
  for (const measure of ["dorsalAngle", "pasternAngle", "toeLength"] as const)
    if (measures[measure] === undefined) assumed.push(measure);
  if (side.heelAngle === undefined) assumed.push("heelAngle");
  if (survey.front === undefined || survey.support === undefined) assumed.push("soleSurvey");
  const dressAsksVet = outside.asksVet && !vetPlan;
  const whiteLine = walls.toe?.whiteLine;
  const foot = trimFootOf(drawn);
  const { frogProudMm } = facts;
  return {
    assumed,
    outside,
    flexural: clubBy(facts) !== undefined || isFlexural(foot),
    question: {
      foot,
      finish: shod ? "shod" : "barefoot",
      above: heights,
      quarters,
      margins,
      frontBack: lenses.frontBack,
      side: lenses.side,
      sideAngle: aim.rollDeg ?? 0,
      minToeLength: Math.max(0, facts.target.toeLengthMm - TOE_UNDER_MM.value),
      holdAxis: !choices.strictPlane,
      ...(toeWall !== undefined && { toeWall }),
      ...(whiteLine !== undefined && { whiteLine }),
      ...(dressAsksVet
        ? { outside: 0, dressAsksVet }
        : !(choices.furtherBack && toeWall !== undefined) && { outside: outside.mm }),
      ...(toeOnly && { toeOnly, heelMax: 0 }),
      // Heels go back as far as the frog still stands clear of the ground: a frog past it carries alone.
      ...(!toeOnly &&
        lenses.frontBack === "heels-back" &&
        frogProudMm !== undefined && { heelMax: Math.max(0, (shod ? HANGS_FROM_MM : 0) - frogProudMm) }),
      ...(sulcusDepthMm !== undefined && { sulcusDepth: sulcusDepthMm }),
    },
  };
}

/** How far each unmeasured thing may plausibly lie from what was taken for it. Assumptions, from ordinary feet. */
const PLAUSIBLE: Record<PlanWant, (question: TrimQuestion) => TrimQuestion[]> = {
  aboveToe: (question) => [1, 9].map((toe) => ({ ...question, above: { ...question.above, toe } })),
  aboveHeelMedial: (question) =>
    [1, 6].map((heelMedial) => ({ ...question, above: { ...question.above, heelMedial } })),
  aboveHeelLateral: (question) =>
    [1, 6].map((heelLateral) => ({ ...question, above: { ...question.above, heelLateral } })),
  toeWall: (question) =>
    [11, 15].map((toeWall) => ({ ...question, toeWall, outside: question.outside || toeWall - 11 })),
  sulcusDepth: (question) => [{ ...question, sulcusDepth: 8 }],
  sideAngle: (question) => [-2, 2].map((by) => ({ ...question, sideAngle: (question.sideAngle ?? 0) + by })),
  dorsalAngle: (question) => withFoot(question, "dorsalAngle", 3),
  pasternAngle: (question) => withFoot(question, "pasternAngle", 3),
  toeLength: (question) => withFoot(question, "toeLength", 5),
  heelAngle: (question) => withFoot(question, "heelAngle", 6),
  soleSurvey: (question) => withFoot(question, "toeY", 6),
};

const withFoot = (
  question: TrimQuestion,
  key: "dorsalAngle" | "pasternAngle" | "toeLength" | "heelAngle" | "toeY",
  by: number,
): TrimQuestion[] =>
  [-by, by].map((sign) => ({ ...question, foot: { ...question.foot, [key]: question.foot[key] + sign } }));

/**
 * What measuring would change: for each thing that was only assumed the largest change of any cut, mm, that a plausible
 * value of it brings, the most telling first. An estimate of what a measurement is worth, not of the foot.
 */
export function worthMeasuring({ question, assumed }: FootQuestion): { want: PlanWant; mm: number }[] {
  const plan = planTrim(question);
  if (!plan.ok) return [];
  const { cuts } = plan.value;
  return assumed
    .map((want) => {
      const changes = PLAUSIBLE[want](question).map((other) => {
        const found = planTrim(other);
        return found.ok ? largestChange(found.value.cuts, cuts) : 0;
      });
      return { want, mm: Math.max(0, ...changes) };
    })
    .sort((a, b) => b.mm - a.mm);
}

const largestChange = (a: Cuts, b: Cuts): number =>
  Math.max(...(Object.keys(NO_CUT) as (keyof Cuts)[]).map((cut) => Math.abs(a[cut] - b[cut])));
