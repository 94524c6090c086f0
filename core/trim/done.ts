import { OWN_BIAS_FEET } from "../constants/trim";
import type { FootValues } from "../foot/measures";
import type { Walls } from "../foot/survey/walls";
import { CUT_NAMES, FLARE_PLACES, type AgreedPlan, type FlarePlace } from "./trimRecord";
import { changeSince, type Change } from "../repeatability/change";
import { sdOfSmallestChange, type Noise } from "../repeatability/repeatability";
import type { Wording } from "../foot/wording";
import { counted } from "../units/counted";

/** What a plan and the measuring after it can both tell. */
export const DONE_MEASURES = ["toeLength", "heelMedial", "heelLateral", "dorsalAngle"] as const;
export type DoneMeasure = (typeof DONE_MEASURES)[number];

/** One measure as planned and as measured again; the change is measured minus planned. */
export interface PlannedDone extends Change {
  measure: DoneMeasure;
  planned: number;
  measured: number;
}

const MEASURED = {
  toeLength: "toeLength",
  heelMedial: "heelHeightMedial",
  heelLateral: "heelHeightLateral",
  dorsalAngle: "dorsalAngle",
} as const;

/**
 * The foot measured after the trim against what its plan should have left; what was not measured again is left out.
 * Only a difference beyond the noise of a repeated measure is real: the plan starts from a reading, too.
 */
export function plannedAgainstDone(plan: AgreedPlan, after: FootValues, noise: Noise): PlannedDone[] {
  return DONE_MEASURES.flatMap((measure) => {
    const key = MEASURED[measure];
    const measured = after[key]?.value;
    if (measured === undefined) return [];
    const planned = plan.leaves[key];
    const within = measure === "dorsalAngle" ? noise.angleDeg : noise.lengthMm;
    return [{ measure, planned, measured, ...changeSince(measured, planned, within) }];
  });
}

/** A wall dressed at a place: how thick it should have been left, and how thick it is. */
export interface FlareDone extends Change {
  place: FlarePlace;
  planned: number;
  measured: number;
}

/** Walls measured after dressing against what the plan should have left; places not measured both times are left out. */
export function flaresAgainstDone(
  plan: Pick<AgreedPlan, "flares">,
  walls: { before: Walls; after: Walls },
  noise: Noise,
): FlareDone[] {
  return FLARE_PLACES.flatMap((place) => {
    const dressed = plan.flares?.[place];
    const [was, measured] = [walls.before[place]?.thickness, walls.after[place]?.thickness];
    if (dressed === undefined || was === undefined || measured === undefined) return [];
    const planned = was - dressed;
    return [{ place, planned, measured, ...changeSince(measured, planned, noise.lengthMm) }];
  });
}

/** "More came off the outside heel than planned: 3.5 mm." One sentence a real difference, one when there is none. */
export function plannedDoneInWords(rows: readonly PlannedDone[], wording: Wording): string[] {
  if (rows.length === 0) return [];
  const real = rows.filter((row) => row.real);
  if (real.length === 0) return ["Done as planned, as far as measuring can tell."];
  return real.map(({ measure, difference }) =>
    measure === "dorsalAngle"
      ? `The foot stands ${wording.angle(Math.abs(difference))} ${difference > 0 ? "steeper" : "shallower"} than planned.`
      : wording.inOwnWords(
          `${difference < 0 ? "More" : "Less"} came off the ${DONE_PLACE[measure]} than planned: ${wording.length(Math.abs(difference))}.`,
        ),
  );
}

const DONE_PLACE = {
  toeLength: CUT_NAMES.toe,
  heelMedial: CUT_NAMES.heelMedial,
  heelLateral: CUT_NAMES.heelLateral,
} as const;

/** A habit of the hand: what it takes beyond its plans, on average. */
export interface OwnBias {
  measure: DoneMeasure;
  feet: number;
  /** Taken beyond the plan: mm more off; for the angle degrees steeper. */
  mean: number;
  /** Half the 95 % interval of the mean. */
  within: number;
}

/** Below this a habit is nothing that a hand could mend, mm or deg. */
const WORTH_SAYING = 0.5;

/**
 * A practitioner's own bias over the feet that were planned and measured again. Said only from eight feet on, when the
 * mean lies outside its 95 % interval and is worth half a millimetre or degree. The spread of one foot is that of the
 * sample, but never less than the noise of measuring before and after (root two times the within-subject sd).
 *
 * Source: mean and normal interval; the floor keeps a few lucky feet from passing for a habit.
 */
export function ownBias(feet: readonly (readonly PlannedDone[])[], noise: Noise): OwnBias[] {
  return DONE_MEASURES.flatMap((measure) => {
    const isAngle = measure === "dorsalAngle";
    const errors = feet.flatMap((rows) =>
      rows
        .filter((row) => row.measure === measure)
        .map(({ difference }) => (isAngle ? difference : -difference)),
    );
    const n = errors.length;
    if (n < OWN_BIAS_FEET.value) return [];
    const mean = errors.reduce((sum, one) => sum + one, 0) / n;
    const sample = Math.sqrt(errors.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1));
    const floor = Math.SQRT2 * sdOfSmallestChange(isAngle ? noise.angleDeg : noise.lengthMm);
    const within = (1.96 * Math.max(sample, floor)) / Math.sqrt(n);
    return Math.abs(mean) > Math.max(within, WORTH_SAYING) ? [{ measure, feet: n, mean, within }] : [];
  });
}

/** "You take 1 mm more at the inside heel than planned (34 feet, give or take 0.3 mm)." */
export function biasInWords({ measure, feet, mean, within }: OwnBias, wording: Wording): string {
  const size =
    measure === "dorsalAngle"
      ? wording.angle
      : (mm: number) => (wording.unit === "mm" ? `${mm.toFixed(1)} mm` : wording.cut(mm));
  const sure = `(${counted(feet, "foot", "feet")}, give or take ${size(within)})`;
  if (measure === "dorsalAngle")
    return `Your feet end ${size(Math.abs(mean))} ${mean > 0 ? "steeper" : "shallower"} than planned ${sure}.`;
  return wording.inOwnWords(
    `You take ${size(Math.abs(mean))} ${mean > 0 ? "more" : "less"} at the ${DONE_PLACE[measure]} than planned ${sure}.`,
  );
}
