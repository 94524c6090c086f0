import type { FootParameters } from "../foot/parametric/parameters";
import type { VisitFoot } from "./visitFoot";
import type { VisitFacts } from "./findings";
import { footFacts } from "./footFacts";
import { pairOf, SIDES, type Limb } from "../foot/limb";
import type { BoundOverrides } from "../foot/survey/ratios";
import type { HorseInCare } from "../record/horse";
import type { Settings } from "../record/settings";
import { noShoe, type ShoeRecord } from "../shoe/shoeRecord";
import type { Visit } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import { visitPlan } from "./visitPlan";
import type { Wording } from "../foot/wording";
import { adviseShoe, type Advice } from "../shoe/advice/advise";
import { fittedAdvice, madeToFit, type FittedAdvice, type TriedOn } from "../shoe/advice/fitted";
import type { ShoeFacts } from "../shoe/facts";
import {
  breakoverDirection,
  breakoverLenses,
  wearDirection,
  type Breakover,
  type DirectionWays,
} from "../shoe/breakover";
import type { CheckContext, ShoeCheck } from "../shoe/check";
import { shoeChecks } from "../shoe/checks";
import { highSideLeft } from "./highSideOfFoot";
import { nailFreeSectors, type NailFree } from "./nailFree";
import { shoeFactsOf } from "./shoeFacts";
import { hornOf } from "../foot/horn";
import { fitShoe, leastRoll, supportYOf, type Fit } from "../shoe/fit";
import type { FitQuestion } from "../shoe/fitQuestion";
import { footToShoe, type FootToShoe } from "../shoe/shodFoot";
import { ordinaryShoe, type Specification } from "../shoe/specification";

/** The parts of a shoe's record that decide its fit. */
export type ShoeChoice = Pick<ShoeRecord, "spec" | "setting" | "breakover" | "skip" | "kept">;

/** Everything that a visit knows about shoeing one foot. */
export interface VisitShoe {
  limb: Limb;
  facts: VisitFacts;
  toShoe: FootToShoe;
  /** Which foot the shoe is fitted to: nobody shoes an untrimmed foot without knowing it. */
  fittedTo: "measured after the trim" | "as it was cut" | "as it stands";
  shoeFacts: ShoeFacts;
  /** What speaks for which shoe; made to fit this foot by {@link advisedShoes}. */
  advice: Advice;
  tried: TriedOn;
  context: CheckContext;
  breakover: Breakover;
  ways: DirectionWays;
  direction: ReturnType<typeof breakoverDirection>;
  /** A heel that is still high after the cut, in words. */
  heelLeft: string | undefined;
  /** Wall that takes no nail because of what was found in it or how thin it is. */
  nailFree: NailFree[];
}

const mean = (a: number | undefined, b: number | undefined): number => ((a ?? 0) + (b ?? 0)) / 2;

/** Horn of the wall where it was measured, the thickest of it, mm. */
const hornKnown = ({ walls }: VisitFacts): number | undefined => {
  const horns = (["toe", "toeQuarterMedial", "toeQuarterLateral"] as const)
    .map((place) => hornOf(walls[place]))
    .filter((mm) => mm !== undefined);
  return horns.length > 0 ? Math.max(...horns) : undefined;
};

/** What was taken off a foot at this visit: noted cuts, else the agreed plan's, else none. */
const cutsTaken = ({ trim }: VisitFoot) =>
  trim && Object.keys(trim.cuts).length > 0 ? trim.cuts : trim?.plan?.agreed ? trim.plan.cuts : {};

export type Place = { visit: Visit; horse: HorseInCare; feet: Record<Limb, VisitFoot>; limb: Limb };

/** The foot as it was surveyed after its trim; undefined where its sole was not. */
function measuredAgain(
  { visit, horse, feet, limb }: Place,
  settings: Settings,
  wording: Wording,
): VisitFacts | undefined {
  const foot = feet[limb];
  const sole = foot.reading.after?.sole ?? {};
  if (!sole.toe || !sole.wideMedial || !sole.wideLateral || !sole.heelMedial || !sole.heelLateral)
    return undefined;
  return footFacts(
    foot,
    feet[pairOf(limb)],
    {
      visit,
      moment: "after",
      horse,
      noise: noiseOf(settings),
      wording,
      bounds: settings.bounds as BoundOverrides,
    },
    foot.values.after,
  );
}

/** What the checks of a shoe have to know of its horse and foot. */
const checkContext = (
  { footing, thinSole, unsoundWall, prescription }: ShoeFacts,
  nailFree: readonly NailFree[],
  wording: Wording,
): CheckContext => ({
  footing,
  thinSole: thinSole === true,
  toRelieve: nailFree.filter(({ relieve }) => relieve).map(({ sector }) => sector),
  unsoundWall,
  ...(prescription && { prescription }),
  wording,
});

/** One foot at a visit, ready to be shod: the foot after its trim, what speaks for which shoe, breakover by its lenses. */
export function visitShoe(place: Place, settings: Settings, wording: Wording): VisitShoe {
  const { visit, horse, feet, limb } = place;
  const foot = feet[limb];
  const { facts } = visitPlan(place, settings, wording);
  const again = measuredAgain(place, settings, wording);
  const cuts = cutsTaken(foot);
  const toShoe = again ? footToShoe(again, {}) : footToShoe(facts, cuts, foot.trim?.flares);
  const { knots, corY, k } = toShoe.foot;
  const supportY = Math.min(...SIDES.map((side) => supportYOf("frog", knots.heel[side][1], k)));
  const breakover = breakoverLenses({
    toeY: knots.toe[1],
    corY,
    supportY,
    ...(toShoe.pasternLineY !== undefined && { pasternLineFromToe: toShoe.pasternLineY - knots.toe[1] }),
    ...(toShoe.coffinTipY !== undefined && { coffinTipY: toShoe.coffinTipY }),
  });
  const ways: DirectionWays = {
    watched: facts.watching?.leaves,
    wear: wearDirection(foot.look?.wear),
    levelLine: foot.shoe?.breakover.levelLine,
  };
  const direction = breakoverDirection(ways);
  const nailFree = nailFreeSectors(foot.look, facts, foot.trim?.floats);
  const shoeFacts = shoeFactsOf({
    horse,
    visit,
    foot,
    facts,
    nailFree,
    hornMm: hornKnown(facts),
    breakoverBack: breakover.chosen.fromToe,
    ...(direction.known && { breakoverTurnDeg: direction.deg }),
    ...(facts.measures.pasternAngle !== undefined && {
      axisDeg: toShoe.drawn.dorsalAngleDeg - toShoe.drawn.pasternAngleDeg,
    }),
    heelCutMm: mean(cuts.heelMedial, cuts.heelLateral),
  });
  return {
    limb,
    facts,
    toShoe,
    fittedTo: again
      ? "measured after the trim"
      : Object.keys(cuts).length > 0
        ? "as it was cut"
        : "as it stands",
    shoeFacts,
    advice: adviseShoe(shoeFacts),
    tried: {
      foot: toShoe.foot,
      breakover: { fromToe: breakover.chosen.fromToe, direction: direction.deg },
      skip: [...Object.values(foot.shoe?.skip ?? {}), ...nailFree],
    },
    context: checkContext(shoeFacts, nailFree, wording),
    breakover,
    ways,
    direction,
    // A foot measured again after its trim is judged as it is.
    heelLeft: highSideLeft(again ?? facts, again ? {} : cuts, wording),
    nailFree,
  };
}

/** A choice with its fit worked out: what every drawing and number of the shoe bench shows. */
export interface ShoeBench {
  /** The foot that it is fitted to. */
  drawn: FootParameters;
  spec: Specification;
  fit: Fit;
  checks: ShoeCheck[];
  fromToe: number;
  directionDeg: number;
}

/** The specification that stands: what was chosen, else the last shoe of this foot, else what is advised first. */
export function standingSpec(shoe: VisitShoe, foot: VisitFoot, massKg: number): Specification {
  const kept = foot.shoe?.spec ?? foot.lastShoe?.spec;
  if (kept) return kept;
  const [first] = shoe.advice.proposals;
  if (!first) return ordinaryShoe(shoe.limb, massKg);
  return first.prescribed ? first.spec : madeToFit(first.spec, shoe.tried, shoe.context);
}

/** The advice with every shoe made to fit this foot, and what each of them breaks. */
export const advisedShoes = ({ advice, tried, context }: VisitShoe): FittedAdvice =>
  fittedAdvice(advice, tried, context);

/** Fit, nails, mass and checks of a choice on this foot; worked out anew at every change. */
export function fitChoice(
  shoe: VisitShoe,
  choice: ShoeChoice,
  spec: Specification,
  wording: Wording,
): ShoeBench {
  const { breakover } = choice;
  const byLens = breakover.lens === undefined ? undefined : shoe.breakover.fromToe[breakover.lens];
  // A toe that is eased at all brings its breakover back by what the easing takes.
  const fromToe = breakover.fromToe ?? byLens ?? Math.max(shoe.breakover.chosen.fromToe, leastRoll(spec));
  const directionDeg = breakover.direction ?? shoe.direction.deg;
  const { back, turn, fullerMedial, fullerLateral } = choice.setting;
  const question: FitQuestion = {
    foot: shoe.toShoe.foot,
    spec,
    setting: { back, turn, fuller: { medial: fullerMedial, lateral: fullerLateral } },
    breakover: { fromToe, direction: directionDeg },
    skip: [...Object.values(choice.skip), ...shoe.nailFree],
  };
  const fit = fitShoe(question);
  return {
    drawn: shoe.toShoe.drawn,
    spec,
    fit,
    fromToe,
    directionDeg,
    checks: shoeChecks(fit, { ...shoe.context, wording }),
  };
}

/** What of the checks still wants an answer: not in order, and not kept with a line of why. */
export const openChecks = (checks: readonly ShoeCheck[], kept: ShoeRecord["kept"]): ShoeCheck[] =>
  checks.filter(({ ok, impossible, id }) => !ok && (impossible || !kept[id]?.trim()));

export const NO_CHOICE: ShoeChoice = noShoe();

/** The shoe of a foot as it stands: what was chosen for it and how it is set, or the last or advised one as it comes. */
export function standingBench(place: Place, settings: Settings, wording: Wording): ShoeBench {
  const foot = place.feet[place.limb];
  const shoe = visitShoe(place, settings, wording);
  const spec = standingSpec(shoe, foot, place.horse.massKg);
  return fitChoice(shoe, foot.shoe ?? NO_CHOICE, spec, wording);
}
