import type { HornState } from "../horn";
import type { Look } from "../records/look";
import type { Moment, Reading } from "../records/reading";
import { sdOfSmallestChange, type Noise } from "../../repeatability/repeatability";
import type { Wording } from "../wording";
import type { Limb } from "../limb";
import { rearByHand, sideByHand } from "../records/byHand";
import type { FootValues, HeightMeasure, Measure, RearMeasure, SideMeasure } from "../measures";
import type { BoundOverrides } from "../survey/ratios";
import { footRatios, type Ratio } from "../survey/ratios";
import type { UndistortedOutline } from "../parametric/surveyedOutline";
import { surveyOfRecord } from "../records/keptSurvey";
import type { FilmedSole } from "../survey/filmed";
import type { SolarMarks } from "../survey/frame";
import type { SoleSurvey } from "../survey/survey";
import type { Walls } from "../survey/walls";
import type { FootParameters } from "../parametric/parameters";
import type { ToeYardstick } from "../toeYardstick";
import type { Issue } from "../../result";

/** What is known of one foot at one moment, in plain numbers; what was not measured is missing. */
export interface FootState {
  limb: Limb;
  measures: Partial<Record<Measure, number>>;
  side: Partial<Record<SideMeasure, number>>;
  rear: Partial<Record<RearMeasure, number>>;
  heights: Partial<Record<HeightMeasure, number>>;
  marks: SolarMarks;
  survey: SoleSurvey;
  walls: Walls;
  ratios: readonly Ratio[];
  /** Marks that make no foot, named; they are left out of the survey. */
  issues: readonly Issue[];
  look?: Look | undefined;
}

/** All that the rules look at: this foot now, what it is held against, and how to say it. */
export interface FootFacts extends FootState {
  moment: Moment;
  /** The radiograph that centre of rotation and tip are taken off, in place of estimates. */
  filmed?: FilmedSole | undefined;
  /** The foot as it is drawn: what was measured, filled up with a guess, and the names of the guesses. */
  drawn: FootParameters;
  guessed: readonly Measure[];
  /** The foot that it is held against, drawn dashed. */
  ghost?: FootParameters | undefined;
  outline?: UndistortedOutline | undefined;
  sulcusDepthMm?: number | undefined;
  sulcusState?: Reading["sulcusState"];
  /** Pared at the point of the frog before the surface turned even and waxy, mm. */
  chalkMm?: number | undefined;
  /** The wall at the toe past the sole beside it, mm. */
  stepMm?: number | undefined;
  /** The frog past the heels' plane, mm, + = proud. */
  frogProudMm?: number | undefined;
  rings: readonly { toeMm: number; heelMm?: number | undefined; day?: string | undefined }[];
  /** The last survey before this one, whatever came between: what each ratio was, and when. */
  earlier?: { state: FootState; date: string } | undefined;
  /** The same foot as the last visit left it, or before this trim; its survey only if it was made after that trim. */
  last?: FootState | undefined;
  lastName: string;
  /** The other foot of the pair at this visit. */
  pair?: FootState | undefined;
  /** Days past the interval's end, negative before it. */
  daysOver?: number | undefined;
  horn?: HornState | undefined;
  target: ToeYardstick;
  noise: Noise;
  wording: Wording;
  bounds: BoundOverrides;
}

/** Sd of one reading of an angle, deg, and of one length or mark, mm, by this hand. */
export const angleSd = ({ noise }: Pick<FootFacts, "noise">): number => sdOfSmallestChange(noise.angleDeg);
export const lengthSd = ({ noise }: Pick<FootFacts, "noise">): number => sdOfSmallestChange(noise.lengthMm);

const numbers = <Name extends string>(
  values: Partial<Record<Name, { value: number } | undefined>>,
): Partial<Record<Name, number>> =>
  Object.fromEntries(
    Object.entries(values).flatMap(([name, measured]) =>
      measured ? [[name, (measured as { value: number }).value]] : [],
    ),
  ) as Partial<Record<Name, number>>;

/** What a foot's state is worked out with, besides its reading. */
export interface StateContext {
  /** Size factor of a foot that was surveyed before. */
  knownK?: number | undefined;
  noise: Noise;
  bounds: BoundOverrides;
  toeTargetMm?: number | undefined;
}

/** One foot's state from a kept reading; `values` may be newer than the record, as they are typed. */
export function footState(
  limb: Limb,
  reading: Reading | undefined,
  values: FootValues,
  context: StateContext,
): FootState {
  const { knownK, noise, bounds, toeTargetMm } = context;
  const { marks, survey, issues } = surveyOfRecord(reading?.sole ?? {}, limb, knownK);
  const measures = numbers(values);
  const side = numbers(sideByHand(values, reading?.side));
  const walls = reading?.walls ?? {};
  const { heelHeightLateral, heelHeightMedial } = measures;
  const ratios = footRatios(
    survey,
    walls,
    {
      dish: side.dish,
      heelAngle: side.heelAngle,
      dorsalAngle: measures.dorsalAngle,
      heelHeightDifference:
        heelHeightLateral === undefined || heelHeightMedial === undefined
          ? undefined
          : heelHeightLateral - heelHeightMedial,
      toeLength: measures.toeLength,
      toeTarget: toeTargetMm,
    },
    noise,
    bounds,
  );
  return {
    limb,
    measures,
    side,
    rear: numbers(rearByHand(reading, survey, measures.width)),
    heights: numbers(reading?.heights ?? {}),
    marks,
    survey,
    walls,
    ratios,
    issues,
  };
}
