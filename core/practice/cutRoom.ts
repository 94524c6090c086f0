import { trimFootOf, type FootParameters } from "../foot/parametric/parameters";
import { cutFoot } from "../foot/parametric/cut";
import { NO_CUT, predictTrim, type Cuts, type PredictedFoot } from "../foot/parametric/predict";
import { LENS_FACTS, type FrontLens } from "../foot/lens";
import { toeTarget } from "../foot/toeYardstick";
import { seededRandom } from "../math/random";
import type { Result } from "../result";
import { ok } from "../result";
import { toeOvercut } from "../trim/limits";
import { residuals, trimObjective } from "../trim/objective";
import { planTrim } from "../trim/plan";
import type { TrimPlan, TrimQuestion } from "../trim/question";
import { atLevel } from "./level";
import { practiceFoot } from "./practiceFoot";
import type { Miss } from "./tryRecord";

/** A foot to be trimmed, and what the plan would take. */
export interface CutTask {
  foot: FootParameters;
  question: TrimQuestion;
  plan: TrimPlan;
  /** What the trim is to come near to. */
  aim: string;
  /** What is wrong with the foot, by name; told afterwards. */
  wrong: readonly string[];
}

/** The cuts that are chosen: nothing is dressed, because these feet have a straight front wall. */
export const PRACTICE_CUTS = ["toe", "heelMedial", "heelLateral"] as const;
export type PracticeCut = (typeof PRACTICE_CUTS)[number];
export const CUT_NAMES: Record<PracticeCut, string> = {
  toe: "Toe",
  heelMedial: "Heel, medial",
  heelLateral: "Heel, lateral",
};
/** One step of a rasp, mm. */
export const CUT_STEP_MM = 0.5;
const AIMS: readonly FrontLens[] = ["straight-axis", "even-halves"];
/** Feet that a plan would hardly touch teach nothing: this much horn comes off at least, mm in all. */
const LEAST_WORK_MM = 4;

/** A made-up foot with something to do; the same seed and level give the same one. */
export function cutTask(seed: number, level: number): CutTask {
  for (let trial = 0; ; trial++) {
    const random = seededRandom(seed + 7919 * trial);
    const {
      foot: made,
      massKg,
      wrong,
    } = practiceFoot(random, {
      count: Math.round(atLevel(level, [1, 4])),
      size: atLevel(level, [0.5, 1]),
    });
    const foot: FootParameters = {
      ...made,
      dishDeg: 0,
      wallAboveSoleMm: {
        toe: made.wallAboveSoleMm.toe + atLevel(level, [4, 0]),
        medial: made.wallAboveSoleMm.medial + atLevel(level, [3, -1]),
        lateral: made.wallAboveSoleMm.lateral + atLevel(level, [3, -1]),
      },
    };
    // These feet have a straight front wall: a dish is taken off again.
    const left = wrong.filter((name) => name !== "dished");
    const frontBack = AIMS[Math.floor(random() * AIMS.length)] ?? "straight-axis";
    const question: TrimQuestion = {
      foot: trimFootOf(foot),
      finish: "shod",
      above: {
        toe: foot.wallAboveSoleMm.toe,
        heelMedial: foot.wallAboveSoleMm.medial,
        heelLateral: foot.wallAboveSoleMm.lateral,
      },
      frontBack,
      side: "even-sole",
      outside: 0,
      minToeLength: toeTarget({ kind: "horse", massKg }).toeLengthMm - 6,
    };
    const plan = planTrim(question);
    const work = plan.ok ? plan.value.cuts.toe + plan.value.cuts.heelMedial + plan.value.cuts.heelLateral : 0;
    if (plan.ok && work >= LEAST_WORK_MM)
      return { foot, question, plan: plan.value, aim: LENS_FACTS[frontBack].name, wrong: left };
  }
}

/** What a choice of cuts comes to. */
export interface ScoredCuts {
  /** Places at which more was taken than stands above the live sole, or the toe left too short, mm too much. */
  over: { of: string; mm: number }[];
  /** The part of what the plan mends that these cuts mend too, 0 to 100; 0 where anything was over-cut. */
  score: number;
  misses: Miss[];
  after: PredictedFoot;
  /** On what most was lost against the plan; missing where next to nothing was. */
  lost?: "axis" | "halves" | "level";
  /** The foot as it then stands, to be drawn; missing where no wall is left to draw. */
  foot?: FootParameters;
}

/** The first terms of the plan's sum under the two lenses of this room, in its order. */
const TERMS = ["axis", "halves", "level"] as const;
/** Less than this part of what the plan mends is not worth a word. */
const WORTH_A_WORD = 0.05;

/** A hand is not blamed for less than half a step, mm. */
const BLAME_MM = CUT_STEP_MM / 2;

/**
 * Cuts held against the plan: how much of what the plan makes better in its own sum these make better too. Over-cutting
 * is worth nothing, whatever it mends: horn that is off does not go back. Errors: those of a prediction.
 */
export function scoreCuts(
  { foot, question, plan }: CutTask,
  chosen: Omit<Cuts, "dress">,
): Result<ScoredCuts> {
  const cuts: Cuts = { ...chosen, dress: 0 };
  const after = predictTrim(question.foot, cuts);
  if (!after.ok) return after;
  const { most } = plan.limits;
  const past = toeOvercut(question.foot, plan.limits, cuts);
  const over = [
    ...PRACTICE_CUTS.map((name) => ({ of: CUT_NAMES[name], mm: cuts[name] - most[name] })),
    { of: "Toe length", mm: past },
  ].filter(({ mm }) => mm > BLAME_MM);
  const [none, mine] = [NO_CUT, cuts].map(
    (one) => trimObjective(question, one) ?? Number.POSITIVE_INFINITY,
  ) as [number, number];
  const best = plan.objective;
  const part = none - best < 1e-9 ? (mine - best < 1e-9 ? 1 : 0) : (none - mine) / (none - best);
  const squares = (one: Cuts) => (residuals(question, plan.targetRoll)(one) ?? []).map((term) => term * term);
  const [lostHere, lostThere] = [squares(cuts), squares(plan.cuts)];
  const losses = TERMS.map((name, at) => ({ name, by: (lostHere[at] ?? 0) - (lostThere[at] ?? 0) }));
  const worst = losses.reduce((most, one) => (one.by > most.by ? one : most));
  const shown = cutFoot(foot, cuts);
  return ok({
    over,
    score: over.length > 0 ? 0 : 100 * Math.min(1, Math.max(0, part)),
    misses: PRACTICE_CUTS.map((name) => ({
      of: CUT_NAMES[name],
      unit: "mm",
      off: cuts[name] - plan.cuts[name],
    })),
    after: after.value,
    ...(worst.by > WORTH_A_WORD * (none - best) && { lost: worst.name }),
    ...(shown.ok && { foot: shown.value.foot }),
  });
}
