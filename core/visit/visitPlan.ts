import { lensesOf, type FrontLens, type LensChoice } from "../foot/lens";
import type { VisitFoot } from "./visitFoot";
import type { VisitFacts } from "./findings";
import { footFacts, type FactsContext } from "./footFacts";
import { pairOf, type Limb } from "../foot/limb";
import type { BoundOverrides } from "../foot/survey/ratios";
import { isShod, vetCases, type HorseInCare } from "../record/horse";
import type { Settings } from "../record/settings";
import type { Visit } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import { ok, type Result } from "../result";
import type { Wording } from "../foot/wording";
import { footQuestion, type FootQuestion, type PlanWant } from "../trim/footQuestion";
import { flareLimits, plannedFlares, type FlareLimit } from "../trim/flares";
import type { TrimPlan } from "../trim/question";
import type { Flares } from "../trim/trimRecord";
import { brokenPlaces } from "./nailFree";
import { planStaged, type StagedPlan } from "../trim/stages";

/** What a visit knows of one foot, the question that follows from it, and the plan. */
export interface VisitPlan {
  limb: Limb;
  facts: VisitFacts;
  lenses: LensChoice;
  asked: FootQuestion;
  /** The whole way and this visit's part of it. */
  staged: Result<StagedPlan>;
  /** The plan of this visit: its part, or the whole where that was chosen. */
  plan: Result<TrimPlan>;
  /** What may be dressed besides the toe, and what the plan dresses of it. */
  flares: { limits: readonly FlareLimit[]; planned: Flares };
  /** Without these there is nothing to plan from: the numbers behind every other. Empty when all were measured. */
  missing: readonly PlanWant[];
}

/** Without these a plan would be about another foot. */
const NEEDED = {
  axis: ["dorsalAngle", "pasternAngle", "toeLength"],
  sole: ["dorsalAngle", "toeLength"],
} as const satisfies Record<string, readonly PlanWant[]>;

/** The plan of one foot at a visit, by the lenses that count for it or by another front-to-back lens. */
export function visitPlan(
  {
    visit,
    horse,
    feet,
    limb,
  }: { visit: Visit; horse: HorseInCare; feet: Record<Limb, VisitFoot>; limb: Limb },
  settings: Settings,
  wording: Wording,
  more: Pick<FactsContext, "lastVisit" | "growthPerDay"> & { frontBack?: FrontLens } = {},
): VisitPlan {
  const { frontBack, ...known } = more;
  const foot = feet[limb];
  const facts = footFacts(
    foot,
    feet[pairOf(limb)],
    {
      visit,
      moment: "before",
      horse,
      noise: noiseOf(settings),
      wording,
      bounds: settings.bounds as BoundOverrides,
      ...known,
    },
    foot.values.before,
  );
  const shod = isShod(horse, limb);
  const own = lensesOf(horse, settings.lenses, shod);
  const lenses = frontBack ? { ...own, frontBack } : own;
  const { furtherBack, strictPlane, atOnceWhy } = foot.trim ?? {};
  const asked = footQuestion(facts, {
    shod,
    lenses,
    margins: settings.margins,
    vetPlan: vetCases(horse).length > 0,
    toeOnly: visit.job === "toe only",
    choices: { furtherBack, strictPlane },
  });
  const flares = flareLimits(facts, brokenPlaces(foot.look), vetCases(horse).length > 0);
  const staged = planStaged(asked.question, asked.flexural);
  return {
    limb,
    facts,
    lenses,
    asked,
    staged,
    flares: { limits: flares, planned: plannedFlares(flares) },
    plan: staged.ok ? ok(atOnceWhy === undefined ? staged.value.part : staged.value.whole) : staged,
    missing: NEEDED[lenses.frontBack === "live-sole" ? "sole" : "axis"].filter((want) =>
      asked.assumed.includes(want),
    ),
  };
}
