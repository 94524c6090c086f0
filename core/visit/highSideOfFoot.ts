import {
  highSide,
  sideThatIsHigh,
  wouldSettle,
  witnessesAgree,
  type HighSide,
  type WitnessName,
} from "../foot/highSide";
import type { Side } from "../foot/limb";
import { presentFinds, sideOfFind } from "../foot/records/look";
import { wornSide } from "../foot/wear";
import { landingOf } from "../gait/watching";
import { pushedUpSide } from "../gait/movementRules";
import type { VisitFacts } from "./findings";

/** A sign without a number, and the side it speaks for. */
export interface PlainSign {
  name: string;
  /** With the words medial and lateral in it. */
  says: string;
  side: Side;
}

/** Which heel side stands higher: the verdict of the numbers, and beside it the signs without one. */
export interface HighSideOfFoot {
  verdict: HighSide | undefined;
  /** The side that is high beyond its doubt. */
  high: Side | undefined;
  agree: boolean;
  signs: PlainSign[];
  settle: WitnessName | undefined;
}

/** Heels apart over the width where their places were not marked. Assumption, as drawn feet have it. */
const HEELS_APART_PART = 0.66;
/** And where the width is not known either, mm of a foot of size 1. */
const HEELS_APART_MM = 84;
const USUAL_WALL_DEG = 50;
/** Half widths that differ by less than this say nothing, mm. */
const FLARE_SAYS_MM = 6;

const other = (side: Side): Side => (side === "medial" ? "lateral" : "medial");
const pair = (medial: number | undefined, lateral: number | undefined) =>
  medial === undefined || lateral === undefined ? undefined : { medial, lateral };

/** The verdict on one foot from everything that was measured and seen of it. */
export function highSideOfFoot(facts: VisitFacts): HighSideOfFoot {
  const { measures, survey, walls, rear, heights, look, watching } = facts;
  const { heelHalfWidth: half } = survey;
  const width = survey.width ?? measures.width;
  const heelsApart =
    half.medial !== undefined && half.lateral !== undefined
      ? half.medial + half.lateral
      : width === undefined
        ? HEELS_APART_MM
        : HEELS_APART_PART * width;
  const quarters = pair(heights.wallToeQuarterMedial, heights.wallToeQuarterLateral);
  const verdict = highSide({
    heelsApart,
    k: survey.k,
    wallAbove: pair(walls.heelMedial?.above, walls.heelLateral?.above),
    heelHeight: pair(measures.heelHeightMedial, measures.heelHeightLateral),
    hairlineTilt: rear.hairlineTilt,
    heelForward: pair(survey.heelForward.medial, survey.heelForward.lateral),
    barBend: pair(survey.barBend.medial, survey.barBend.lateral),
    toeQuarterLength: quarters && { ...quarters, wallAngle: measures.dorsalAngle ?? USUAL_WALL_DEG },
  });
  const signs: PlainSign[] = [];
  const pushed = pushedUpSide(watching);
  if (pushed)
    signs.push({
      name: "Hairline, standing",
      says: `pushed up on the ${pushed}: that side is the tall one`,
      side: pushed,
    });
  /** The side that lands or wears is as a rule worn down; on a sheared foot, hairline pushed up over it, it is the tall one. */
  const loaded = (name: string, side: Side, seen: string) =>
    signs.push(
      side === pushed
        ? { name, says: `${seen}, hairline pushed up over it: the tall one`, side }
        : { name, says: `${seen}: worn down as a rule, and the other grown long`, side: other(side) },
    );
  const landing = watching?.lands && landingOf(watching.lands).side;
  if (landing) loaded("Landing", landing, `lands on the ${landing} side`);
  const worn = look && wornSide(look.wear);
  if (worn) loaded("Wear", worn, `the ${worn} branch is worn`);
  if (look?.cleft && look.cleft !== "upright") {
    const leans: Side = look.cleft === "to medial" ? "medial" : "lateral";
    signs.push({ name: "Cleft", says: `leans to ${leans}, away from the loaded side`, side: other(leans) });
  }
  const forward = (["medial", "lateral"] as const).filter((side) => look?.tubules?.[side] === "run forward");
  const [only] = forward;
  if (only && forward.length === 1)
    signs.push({ name: "Tubules", says: `run forward in the ${only} quarter: it carries more`, side: only });
  const flare =
    survey.halfWidth.medial === undefined || survey.halfWidth.lateral === undefined
      ? 0
      : survey.halfWidth.lateral - survey.halfWidth.medial;
  if (Math.abs(flare) > FLARE_SAYS_MM * (survey.k ?? 1)) {
    const wide: Side = flare > 0 ? "lateral" : "medial";
    signs.push({
      name: "Half widths",
      says: `wider to ${wide}: the steep side stands higher`,
      side: other(wide),
    });
  }
  for (const [, find] of presentFinds(look)) {
    const side = find.kind === "crack" ? sideOfFind(find) : undefined;
    if (side) signs.push({ name: "Crack", says: `on the ${side} side: it carries more`, side });
  }
  return {
    verdict,
    high: verdict && sideThatIsHigh(verdict),
    agree: !verdict || witnessesAgree(verdict),
    signs,
    settle: wouldSettle(verdict),
  };
}
