import type { FootFacts } from "../foot/findings/facts";
import { highSide, sideThatIsHigh, witnessesAgree, type HighSide } from "../foot/highSide";
import type { Side } from "../foot/limb";
import { degrees } from "../math/angle";

/** Heels apart over the width where their places were not marked. Assumption, as drawn feet have it. */
const HEELS_APART_PART = 0.66;
/** And where the width is not known either, mm of a foot of size 1. */
const HEELS_APART_MM = 84;
const USUAL_WALL_DEG = 50;

const pair = (medial: number | undefined, lateral: number | undefined) =>
  medial === undefined || lateral === undefined ? undefined : { medial, lateral };

/** The verdict of everything that was measured on which heel side stands higher. */
export interface HighSideVerdict {
  verdict: HighSide | undefined;
  /** The side that is high beyond its doubt. */
  high: Side | undefined;
  agree: boolean;
  /** Distance between the places at which heel heights are read, mm. */
  heelsApart: number;
}

export function highSideVerdict({ measures, survey, walls, rear, heights }: FootFacts): HighSideVerdict {
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
  return {
    verdict,
    high: verdict && sideThatIsHigh(verdict),
    agree: !verdict || witnessesAgree(verdict),
    heelsApart,
  };
}

/**
 * What the verdict suggests as the target of a trim: degrees by which the lateral side is to come down. Level where neither
 * side is high beyond its doubt: horn is not taken on a guess. Undefined where nothing was measured or the witnesses
 * contradict one another.
 */
export const rollByVerdict = ({ verdict, high, agree, heelsApart }: HighSideVerdict): number | undefined =>
  !verdict || !agree ? undefined : high ? degrees(Math.atan(verdict.mean / heelsApart)) : 0;

/** What of the high side a cut leaves, mm at the heels, + = the lateral one still stands higher; sd as before the cut. */
export const leftAfterCut = (
  { mean }: HighSide,
  { heelMedial, heelLateral }: { heelMedial: number; heelLateral: number },
): number => mean - (heelLateral - heelMedial);
