import { daysBetween } from "../../calendar/date";
import type { VisitFoot } from "../../cycle/visitFoot";
import { leftWith } from "../../cycle/horseDue";
import type { Look } from "../../record/look";
import type { Moment, Reading } from "../../record/reading";
import type { Visit } from "../../record/visit";
import type { Watching } from "../../gait/watching";
import type { Noise } from "../../repeatability/repeatability";
import type { Wording } from "../../units/wording";
import type { Limb } from "../limb";
import type { FootValues, Measure, RearMeasure, SideMeasure } from "../measures";
import type { BoundOverrides } from "../survey/ratios";
import { footRatios, type Ratio } from "../survey/ratios";
import { presentOutline, undistortedOutline, type UndistortedOutline } from "../survey/outline";
import { knownSize, surveyOfRecord } from "../survey/record";
import type { SolarMarks } from "../survey/frame";
import type { SoleSurvey } from "../survey/survey";
import { ringDate, type Walls } from "../survey/walls";
import { footToday } from "../parametric/feetOfHorse";
import { fitFoot } from "../parametric/fit";
import type { FootParameters } from "../parametric/parameters";
import { toeTarget, type ToeYardstick } from "../toeYardstick";
import type { Issue } from "../../result";
import type { TrimPlan } from "../../trim/plan";
import type { Horse } from "../../record/horse";

/** What is known of one foot at one moment, in plain numbers; what was not measured is missing. */
export interface FootState {
  limb: Limb;
  measures: Partial<Record<Measure, number>>;
  side: Partial<Record<SideMeasure, number>>;
  rear: Partial<Record<RearMeasure, number>>;
  marks: SolarMarks;
  survey: SoleSurvey;
  walls: Walls;
  ratios: readonly Ratio[];
  /** Marks that make no foot, named; they are left out of the survey. */
  issues: readonly Issue[];
  watching?: Watching | undefined;
  look?: Look | undefined;
}

/** All that the rules look at: this foot now, what it is held against, and how to say it. */
export interface FootFacts extends FootState {
  moment: Moment;
  /** The foot as it is drawn: what was measured, filled up with a guess, and the names of the guesses. */
  drawn: FootParameters;
  guessed: readonly Measure[];
  /** The foot that it is held against, drawn dashed. */
  ghost?: FootParameters | undefined;
  outline?: UndistortedOutline | undefined;
  sulcusDepthMm?: number | undefined;
  sulcusState?: Reading["sulcusState"];
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
  horn?: Visit["horn"];
  target: ToeYardstick;
  noise: Noise;
  wording: Wording;
  bounds: BoundOverrides;
  /** The trim that was worked out for it, on the trim bench. */
  plan?: TrimPlan | undefined;
}

export interface FactsContext {
  visit: Visit;
  moment: Moment;
  horse: Horse;
  noise: Noise;
  wording: Wording;
  bounds: BoundOverrides;
  /** The visit before this one, signed. */
  lastVisit?: Pick<Visit, "date" | "next"> | undefined;
  growthPerDay?: number | undefined;
}

const numbers = <Name extends string>(
  values: Partial<Record<Name, { value: number } | undefined>>,
): Partial<Record<Name, number>> =>
  Object.fromEntries(
    Object.entries(values).flatMap(([name, measured]) =>
      measured ? [[name, (measured as { value: number }).value]] : [],
    ),
  ) as Partial<Record<Name, number>>;

/** One foot's state from a kept reading; `values` may be newer than the record, as they are typed. */
export function footState(
  limb: Limb,
  reading: Reading | undefined,
  values: FootValues,
  knownK: number | undefined,
  bounds: BoundOverrides,
): FootState {
  const { marks, survey, issues } = surveyOfRecord(reading?.sole ?? {}, limb, knownK);
  const measures = numbers(values);
  const side = numbers(reading?.side ?? {});
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
    },
    bounds,
  );
  return { limb, measures, side, rear: numbers(reading?.rear ?? {}), marks, survey, walls, ratios, issues };
}

/**
 * The facts of one foot at one moment. Before the trim it is held against how the last visit left it, after the trim
 * against before it. `typed` are the values of the fast lane, perhaps newer than the record.
 */
export function footFacts(
  foot: VisitFoot,
  pair: VisitFoot,
  context: FactsContext,
  typed: FootValues,
): FootFacts {
  const { moment, visit, horse, bounds } = context;
  const reading = foot.reading[moment];
  const before = foot.reading.before;
  const k = knownSize([...foot.surveys, ...(moment === "after" && before ? [before] : [])]);
  const state = footState(foot.limb, reading, typed, k, bounds);
  const lastSurvey = foot.surveys.at(-1);
  const sinceTrim =
    lastSurvey?.moment === "after" && lastSurvey.date === foot.last?.date ? lastSurvey : undefined;
  const last =
    moment === "after"
      ? before && footState(foot.limb, before, foot.values.before, k, bounds)
      : foot.last && footState(foot.limb, sinceTrim, leftWith(foot.last), k, bounds);
  const pairReading = pair.reading[moment];
  const pairState =
    pairReading && footState(pair.limb, pairReading, pair.values[moment], knownSize(pair.surveys), bounds);
  const asLeft = leftWith(foot.last);
  const base =
    moment === "before" ? foot.last : { date: visit.date, before: { ...asLeft, ...foot.values.before } };
  const { foot: drawn, guessed } = footToday(horse, foot.limb, typed, base, {
    survey: state.survey,
    side: reading?.side,
    rear: reading?.rear,
    walls: reading?.walls,
  });
  const compared = moment === "before" ? asLeft : foot.values.before;
  // Halves are only laid over halves that were come by in the same way.
  const alike = state.survey.front !== undefined;
  const ghost =
    Object.keys(compared).length > 0
      ? fitFoot(compared, drawn, {
          survey: alike ? last?.survey : undefined,
          side: moment === "after" ? before?.side : undefined,
        }).foot
      : undefined;
  const outline = undistortedOutline(presentOutline(drawn, state.marks), state.walls, reading?.trace);
  const { growthPerDay, lastVisit } = context;
  return {
    ...state,
    moment,
    drawn,
    guessed,
    ghost,
    outline,
    watching: foot.watching[moment],
    look: foot.look,
    sulcusDepthMm: reading?.sulcusDepthMm,
    sulcusState: reading?.sulcusState,
    rings: Object.values(reading?.rings ?? {}).map((ring) => ({
      ...ring,
      day: growthPerDay === undefined ? undefined : ringDate(ring, growthPerDay, visit.date),
    })),
    last,
    earlier: lastSurvey && {
      state: footState(foot.limb, lastSurvey, lastSurvey.values, k, bounds),
      date: lastSurvey.date,
    },
    lastName: moment === "after" ? "before the trim" : "the last trim",
    pair: pairState && { ...pairState, watching: pair.watching[moment], look: pair.look },
    daysOver: lastVisit?.next && daysBetween(lastVisit.next.due, visit.date),
    horn: visit.horn,
    target: toeTarget(horse),
    noise: context.noise,
    wording: context.wording,
    bounds,
  };
}
