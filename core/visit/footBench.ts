import { sideAimOf } from "../balance/footAims";
import { aimInWords, frontAim, type FrontAim, type SideAim } from "../balance/lenses";
import { LENS_FACTS, lensesOf, type FrontLens, type LensChoice } from "../foot/lens";
import { MEASURES, type FootValues } from "../foot/measures";
import { cutFoot } from "../foot/parametric/cut";
import { corYOf, type FootParameters } from "../foot/parametric/parameters";
import { boneOutline, filledMarks } from "../foot/parametric/surveyedOutline";
import { noiseOf } from "../foot/records/pairs";
import type { Moment, Reading } from "../foot/records/reading";
import type { BoundOverrides } from "../foot/survey/ratios";
import type { Wording } from "../foot/wording";
import { isShod, type Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import { signedBefore, type Visit } from "../record/visit";
import { findingsOf } from "./findings";
import { footFacts } from "./footFacts";
import type { VisitFoot } from "./visitFoot";

/** A foot as its records have it, and what is typed of it or dragged and not kept yet. */
export interface FootBenchQuestion {
  visit: Visit;
  moment: Moment;
  horse: Horse;
  /** All of the horse's. */
  visits: readonly Visit[];
  foot: VisitFoot;
  pair: VisitFoot;
  /** The reading of that moment with what is typed; where none was kept yet, the blank one with it. */
  reading: Reading;
  /** The measures of the fast lane with what is typed. */
  typed: FootValues;
  /** mm a day. */
  growthPerDay?: number | undefined;
  /** Laid over the first lens. */
  second?: FrontLens | undefined;
}

/** One lens held against the foot, with what it says in words. */
export interface BenchAim extends FrontAim {
  name: string;
  second: boolean;
  said: string | undefined;
}

/**
 * What the survey shows of one foot at one moment of a visit: its facts and findings, what each lens aims at, what the
 * sole is drawn with, and after the trim the foot as it was agreed.
 */
export function footBench(question: FootBenchQuestion, settings: Settings, wording: Wording) {
  const { visit, moment, horse, visits, foot, pair, reading, typed, growthPerDay, second } = question;
  const facts = footFacts(
    { ...foot, reading: { ...foot.reading, [moment]: reading } },
    pair,
    {
      visit,
      moment,
      horse,
      noise: noiseOf(settings),
      wording,
      bounds: settings.bounds as BoundOverrides,
      lastVisit: signedBefore(visits, visit),
      growthPerDay,
    },
    typed,
  );
  const { drawn, ghost, guessed, marks, survey, measures, walls, last } = facts;
  const surveyed = survey.front !== undefined && survey.support !== undefined;
  const lenses: LensChoice = lensesOf(horse, settings.lenses, isShod(horse, foot.limb));
  const measured = {
    angles: measures.dorsalAngle !== undefined && measures.pasternAngle !== undefined,
    walls,
    sole: surveyed,
  };
  const chosen = [lenses.frontBack, ...(second && second !== lenses.frontBack ? [second] : [])];
  const aims = chosen.map((lens, index): BenchAim => {
    const aim = frontAim(lens, drawn, measured);
    return { ...aim, name: LENS_FACTS[lens].name, second: index === 1, said: aimInWords(aim, wording) };
  });
  const sideways: SideAim = sideAimOf(facts, lenses.side);
  const corY = survey.cor?.median;
  // A lens aims at the drawn foot; the sole is drawn about the centre of rotation as it was surveyed.
  const corShift = corY === undefined ? 0 : corY - corYOf(drawn);
  const { coffinTip, k } = survey;
  const bone =
    coffinTip !== undefined && k !== undefined && corY !== undefined
      ? boneOutline({ coffinTip, cor: corY, k })
      : undefined;
  return {
    facts,
    findings: findingsOf(facts),
    lenses,
    aims,
    sideways,
    surveyed,
    /** Nothing of the side view was measured. */
    unmeasured: guessed.length === MEASURES.length,
    /** Where each mark lies, those that were not measured as the drawn foot has them. */
    marksAt: filledMarks(drawn, marks),
    sole: {
      marks,
      corY,
      shape: facts.outline && { outline: facts.outline, bone },
      aims: aims.flatMap(({ name, second: isSecond, toeY }) =>
        toeY === undefined ? [] : [{ y: toeY + corShift, name: name.toLowerCase(), second: isSecond }],
      ),
      ghostMarks: surveyed ? last?.marks : undefined,
      ghostCorY: surveyed ? last?.survey.cor?.median : undefined,
    },
    agreed: moment === "after" ? agreedFoot(foot, ghost) : undefined,
  };
}

/** The foot as it came with the cuts that were agreed: what was to come out. */
function agreedFoot({ trim }: VisitFoot, came: FootParameters | undefined): FootParameters | undefined {
  const plan = trim?.plan;
  if (!plan?.agreed || !came) return undefined;
  const done = cutFoot(came, plan.cuts);
  return done.ok ? done.value.foot : undefined;
}
