import type { VisitFoot } from "./visitFoot";
import type { VisitFacts } from "./findings";
import type { NailFree } from "./nailFree";
import { frogPlane } from "../foot/frogPlane";
import { landingOf } from "../gait/watching";
import { THIN_SOLE_FILM_MM } from "../foot/survey/filmed";
import { SIDES, type Side } from "../foot/limb";
import { presentFinds, sideOfFind, type Find } from "../foot/records/look";
import { wornSide, type WearSector } from "../foot/wear";
import { prescribedFor } from "../case/standing";
import { isShod, type HorseInCare } from "../record/horse";
import type { Visit } from "../record/visit";
import { NO_LIFE, type LastOneSide, type ShoeFacts } from "../shoe/facts";
import { bySide } from "../shoe/specification";

/** A pastern flatter than this is a sloping one, deg. Assumption, from ordinary feet. */
const SLOPING_DEG = 48;
/** Heels flatter than the wall by more than this are low. Source: trade practice. */
const LOW_HEELS_DEG = 5;
/** Heels that lie further forward than this part of the sulcus have run forward. Source: trade practice. */
const RUN_FORWARD = 0.4;
/** A sulcus shallower than this beside the frog tells a thin sole, mm. Source: trade practice. */
const THIN_SULCUS_MM = 10;
/** A quarter lies between these, mm ahead of the back of the sulcus on a foot of size 1. */
const QUARTER_Y: readonly [number, number] = [25, 92];

/** What one foot's shoe is argued from: the horse's page, the visit's watching and finding, its survey, its trim. */
interface ShoeFactsQuestion {
  horse: HorseInCare;
  visit: Visit;
  foot: VisitFoot;
  facts: VisitFacts;
  nailFree: readonly NailFree[];
  hornMm: number | undefined;
  /** Breakover wanted behind the toe, mm, and how far it is turned to lateral, deg, where that is known. */
  breakoverBack: number;
  breakoverTurnDeg?: number;
  /** Dorsal less pastern angle after the trim, where the pastern was measured. */
  axisDeg?: number;
  heelCutMm: number;
}

/** What the adviser is told about one foot. What nobody measured or watched stays missing. */
export function shoeFactsOf({
  horse,
  visit,
  foot,
  facts,
  nailFree,
  hornMm,
  breakoverBack,
  breakoverTurnDeg,
  axisDeg,
  heelCutMm,
}: ShoeFactsQuestion): ShoeFacts {
  const { limb, side, measures, watching, survey } = facts;
  const finds = presentFinds(foot.look).map(([, find]) => find);
  const has = (kind: (typeof finds)[number]["kind"]) => finds.some((one) => one.kind === kind);
  const inQuarter = ({ wall, at: [, y] }: Find): boolean =>
    wall ? wall.startsWith("quarter") : y > QUARTER_Y[0] && y < QUARTER_Y[1];
  const crack = finds.find((find) => find.kind === "crack" && inQuarter(find) && sideOfFind(find));
  const off =
    side.heelAngle === undefined || measures.dorsalAngle === undefined
      ? 0
      : measures.dorsalAngle - side.heelAngle;
  const forward = facts.ratios.find(({ name }) => name === "heelsForward");
  const landsOn = watching?.lands && landingOf(watching.lands).side;
  const wornOn = foot.look && wornSide(foot.look.wear);
  const onSide = landsOn ?? wornOn;
  const { medial, lateral } = survey.halfWidth;
  const prescribed = prescribedFor(horse.cases ?? [], limb, visit.date);
  const last = lastOneSideOf(foot, watching?.lands && (landsOn ?? "level"));
  return {
    ...(horse.life ?? NO_LIFE),
    limb,
    kind: horse.kind,
    massKg: horse.massKg,
    keptBare: !isShod(horse, limb),
    landsOn,
    wornOn,
    crushed: [
      ...new Set([
        ...finds.flatMap((find) => (find.kind === "crushed heel" ? (sideOfFind(find) ?? []) : [])),
        ...SIDES.filter((one) => foot.look?.heelHorn?.[one] === "crushed"),
      ]),
    ],
    lowHeels: off > LOW_HEELS_DEG,
    heelsRunForward: forward !== undefined && forward.value > RUN_FORWARD,
    ...(facts.frogProudMm !== undefined && {
      frogProudMm: frogPlane({ proud: facts.frogProudMm, thickness: 0, heelCut: heelCutMm }).proudAfter,
    }),
    ...(axisDeg !== undefined && axisDeg < 0 && { brokenBackDeg: -axisDeg }),
    slopingPastern: measures.pasternAngle !== undefined && measures.pasternAngle < SLOPING_DEG,
    crackAt: crack && sideOfFind(crack),
    ...(facts.filmed?.soleMm !== undefined
      ? { thinSole: facts.filmed.soleMm < THIN_SOLE_FILM_MM }
      : facts.sulcusDepthMm !== undefined && { thinSole: facts.sulcusDepthMm < THIN_SULCUS_MM }),
    poorWall: has("cavity"),
    whiteLineSeparated: has("white line"),
    hornMm,
    unsoundWall: nailFree.map(({ sector }): WearSector => sector),
    ...(facts.rear.limbDeviation !== undefined && { limbDeviationDeg: Math.abs(facts.rear.limbDeviation) }),
    ...(onSide &&
      medial !== undefined &&
      lateral !== undefined && { halfWidthMm: onSide === "medial" ? medial - lateral : lateral - medial }),
    toeDirection: watching?.toeDirection,
    base: watching?.base,
    breakoverBack,
    ...(breakoverTurnDeg !== undefined && { breakoverTurnDeg }),
    ...(last && { lastOneSide: last }),
    ...(prescribed && { prescription: prescribed }),
  };
}

/** What stood out on one side last time, with how the foot lands now on it; undefined where nothing did. */
function lastOneSideOf(
  { lastShoe, lastWatching }: VisitFoot,
  landsNow: Side | "level" | undefined,
): LastOneSide | undefined {
  const spec = lastShoe?.spec;
  const side = spec && SIDES.find((one) => bySide(spec, "out", one) > 0);
  const landedThen = lastWatching?.lands && (landingOf(lastWatching.lands).side ?? "level");
  return side && { side, mm: bySide(spec, "out", side), landedThen, landsNow };
}
