import type { FootParameters } from "../foot/parametric/parameters";
import { landingOf } from "../gait/watching";
import type { VisitFoot } from "./visitFoot";
import type { VisitFacts } from "./findings";
import { footFacts } from "./footFacts";
import { pairOf, SIDES, type Limb } from "../foot/limb";
import type { BoundOverrides } from "../foot/survey/ratios";
import { presentFinds, sideOfFind, type Find } from "../foot/records/look";
import { wornSide } from "../foot/wear";
import { isShod, type Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import { noShoe, type ShoeRecord } from "../shoe/shoeRecord";
import type { Visit } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import { visitPlan } from "./visitPlan";
import type { Wording } from "../foot/wording";
import { adviseShoe, type Advice } from "../shoe/advice/advise";
import { NO_LIFE, type ShoeFacts } from "../shoe/facts";
import {
  breakoverDirection,
  breakoverLenses,
  wearDirection,
  type Breakover,
  type DirectionWays,
} from "../shoe/breakover";
import type { ShoeCheck } from "../shoe/check";
import { shoeChecks } from "../shoe/checks";
import { highSideLeft } from "./highSideOfFoot";
import { nailFreeSectors, type NailFree } from "./nailFree";
import { fitShoe, LEAST_ROLL_MM, supportYOf, type Fit, type FitQuestion } from "../shoe/fit";
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
  advice: Advice;
  breakover: Breakover;
  ways: DirectionWays;
  direction: ReturnType<typeof breakoverDirection>;
  /** A heel that is still high after the cut, in words. */
  heelLeft: string | undefined;
  /** Wall that takes no nail because of what was found in it or how thin it is. */
  nailFree: NailFree[];
}

/** A pastern flatter than this is long and sloping, deg. Assumption, from ordinary feet. */
const SLOPING_DEG = 48;
/** A frog wider than this over its sulcus is a big one. Assumption. */
const BIG_FROG = 1.2;
/** Heels that lie further forward than this part of the sulcus have run forward. Source: trade practice. */
const RUN_FORWARD = 0.4;
/** Limb that leans more than this deviates, deg. Assumption. */
const DEVIATES_DEG = 2.5;
const THIN_SULCUS_MM = 10;
/** A quarter lies between these, mm ahead of the back of the sulcus on a foot of size 1. */
const QUARTER_Y: readonly [number, number] = [25, 92];

/** What the adviser is told about one foot, from the horse's page, the visit's watching and finding, and its survey. */
export function shoeFactsOf(
  { horse, visit, foot, facts }: { horse: Horse; visit: Visit; foot: VisitFoot; facts: VisitFacts },
  breakoverBack: number,
): ShoeFacts {
  const { limb } = facts;
  const life = horse.life ?? NO_LIFE;
  const finds = presentFinds(foot.look).map(([, find]) => find);
  const has = (kind: (typeof finds)[number]["kind"]) => finds.some((one) => one.kind === kind);
  const inQuarter = ({ wall, at: [, y] }: Find): boolean =>
    wall ? wall.startsWith("quarter") : y > QUARTER_Y[0] && y < QUARTER_Y[1];
  const crack = finds.find((find) => find.kind === "crack" && inQuarter(find) && sideOfFind(find));
  const off =
    facts.side.heelAngle === undefined || facts.measures.dorsalAngle === undefined
      ? 0
      : facts.measures.dorsalAngle - facts.side.heelAngle;
  const forward = facts.ratios.find(({ name }) => name === "heelsForward");
  const { watching } = facts;
  const pastern = facts.measures.pasternAngle;
  const prescribed =
    horse.prescription && horse.prescription.feet.includes(limb) && horse.prescription.until >= visit.date
      ? horse.prescription
      : undefined;
  return {
    ...life,
    limb,
    kind: horse.kind,
    massKg: horse.massKg,
    keptBare: !isShod(horse, limb),
    landsOn: watching?.lands && landingOf(watching.lands).side,
    wornOn: foot.look && wornSide(foot.look.wear),
    crushed: [
      ...new Set([
        ...finds.flatMap((find) => (find.kind === "crushed heel" ? (sideOfFind(find) ?? []) : [])),
        ...SIDES.filter((side) => foot.look?.heelHorn?.[side] === "crushed"),
      ]),
    ],
    lowHeels: off > 5,
    bigFrog: has("stretched frog") || (facts.survey.frogWidthRatio ?? 0) >= BIG_FROG,
    slopingPastern: pastern !== undefined && pastern < SLOPING_DEG,
    crackAt: crack && sideOfFind(crack),
    thinSole: facts.sulcusDepthMm !== undefined && facts.sulcusDepthMm < THIN_SULCUS_MM,
    poorWall: has("cavity"),
    whiteLineSeparated: has("white line"),
    heelsRunForward: forward !== undefined && forward.value > RUN_FORWARD,
    deviates: Math.abs(facts.rear.limbDeviation ?? 0) > DEVIATES_DEG,
    toeDirection: watching?.toeDirection,
    base: watching?.base,
    breakoverBack,
    ...(prescribed && { prescription: prescribed }),
  };
}

/** What was taken off a foot at this visit: noted cuts, else the agreed plan's, else none. */
const cutsTaken = ({ trim }: VisitFoot) =>
  trim && Object.keys(trim.cuts).length > 0 ? trim.cuts : trim?.plan?.agreed ? trim.plan.cuts : {};

export type Place = { visit: Visit; horse: Horse; feet: Record<Limb, VisitFoot>; limb: Limb };

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
  const shoeFacts = shoeFactsOf({ horse, visit, foot, facts }, breakover.chosen.fromToe);
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
    breakover,
    ways,
    direction: breakoverDirection(ways),
    // A foot measured again after its trim is judged as it is.
    heelLeft: highSideLeft(again ?? facts, again ? {} : cuts, wording),
    nailFree: nailFreeSectors(foot.look, facts, foot.trim?.floats),
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
export const standingSpec = (shoe: VisitShoe, foot: VisitFoot, massKg: number): Specification =>
  foot.shoe?.spec ?? foot.lastShoe?.spec ?? shoe.advice.proposals[0]?.spec ?? ordinaryShoe(shoe.limb, massKg);

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
  const fromToe =
    breakover.fromToe ?? byLens ?? Math.max(shoe.breakover.chosen.fromToe, LEAST_ROLL_MM[spec.toe]);
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
  const { prescription } = shoe.shoeFacts;
  return {
    drawn: shoe.toShoe.drawn,
    spec,
    fit,
    fromToe,
    directionDeg,
    checks: shoeChecks(fit, {
      footing: shoe.shoeFacts.footing,
      thinSole: shoe.shoeFacts.thinSole,
      ...(prescription && { prescription }),
      wording,
    }),
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
