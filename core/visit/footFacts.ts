import { daysBetween } from "../calendar/date";
import { leftWith } from "../cycle/horseDue";
import { footState, type FootState } from "../foot/findings/facts";
import { withFilm } from "../foot/survey/filmed";
import type { FootValues } from "../foot/measures";
import { fitFoot } from "../foot/parametric/fit";
import { presentOutline, undistortedOutline } from "../foot/parametric/surveyedOutline";
import type { Moment } from "../foot/records/reading";
import type { BoundOverrides } from "../foot/survey/ratios";
import { rearByHand, sideByHand } from "../foot/records/byHand";
import { knownSize } from "../foot/records/keptSurvey";
import { ringDate } from "../foot/survey/walls";
import { watchingAt } from "../gait/looks";
import { toeTarget } from "../foot/toeYardstick";
import type { Wording } from "../foot/wording";
import type { Horse } from "../record/horse";
import type { Visit } from "../record/visit";
import type { Noise } from "../repeatability/repeatability";
import { footToday } from "./feetOfHorse";
import type { VisitFacts } from "./findings";
import type { VisitFoot } from "./visitFoot";

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

/**
 * The facts of one foot at one moment. Before the trim it is held against how the last visit left it, after the trim
 * against before it. `typed` are the values of the fast lane, perhaps newer than the record.
 */
export function footFacts(
  foot: VisitFoot,
  pair: VisitFoot,
  context: FactsContext,
  typed: FootValues,
): VisitFacts {
  const { moment, visit, horse, bounds } = context;
  const reading = foot.reading[moment];
  const before = foot.reading.before;
  const { noise } = context;
  const target = toeTarget(horse);
  const knownK = knownSize([...foot.surveys, ...(moment === "after" && before ? [before] : [])]);
  const known = { knownK, noise, bounds, toeTargetMm: target.toeLengthMm };
  // A radiograph stands for the estimates, then as now: what is compared is come by in one way.
  const filmed = <State extends FootState | undefined>(own: State): State =>
    own && { ...own, survey: withFilm(own.survey, foot.filmed) };
  const state = filmed(footState(foot.limb, reading, typed, known));
  const lastSurvey = foot.surveys.at(-1);
  const sinceTrim =
    lastSurvey?.moment === "after" && lastSurvey.date === foot.last?.date ? lastSurvey : undefined;
  const last =
    moment === "after"
      ? before && filmed(footState(foot.limb, before, foot.values.before, known))
      : foot.last && filmed(footState(foot.limb, sinceTrim, leftWith(foot.last), known));
  const pairReading = pair.reading[moment];
  const pairState =
    pairReading &&
    footState(pair.limb, pairReading, pair.values[moment], { ...known, knownK: knownSize(pair.surveys) });
  const asLeft = leftWith(foot.last);
  const base =
    moment === "before" ? foot.last : { date: visit.date, before: { ...asLeft, ...foot.values.before } };
  const { foot: drawn, guessed } = footToday(horse, foot.limb, typed, base, {
    survey: state.survey,
    side: sideByHand(typed, reading?.side),
    rear: rearByHand(reading, state.survey, state.measures.width),
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
    filmed: foot.filmed,
    drawn,
    guessed,
    ghost,
    outline,
    watching: watchingAt(foot.watching, moment),
    look: foot.look,
    sulcusDepthMm: reading?.sulcusDepthMm,
    sulcusState: reading?.sulcusState,
    chalkMm: reading?.chalkMm,
    stepMm: reading?.stepMm,
    frogProudMm: reading?.frogProudMm,
    rings: Object.values(reading?.rings ?? {}).map((ring) => ({
      ...ring,
      day: growthPerDay === undefined ? undefined : ringDate(ring, growthPerDay, visit.date),
    })),
    last,
    earlier: lastSurvey && {
      state: filmed(footState(foot.limb, lastSurvey, lastSurvey.values, known)),
      date: lastSurvey.date,
    },
    lastName: moment === "after" ? "before the trim" : "the last trim",
    pair: pairState && { ...pairState, watching: watchingAt(pair.watching, moment), look: pair.look },
    daysOver: lastVisit?.next && daysBetween(lastVisit.next.due, visit.date),
    horn: visit.horn,
    target,
    noise,
    wording: context.wording,
    bounds,
  };
}
