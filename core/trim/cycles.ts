import type { LensChoice } from "../foot/lens";
import { addDays, type IsoDate } from "../calendar/date";
import { seasonDays, type Hemisphere } from "../calendar/season";
import { cutFoot, growFoot, hairlineTiltDeg } from "../foot/parametric/cut";
import { halvesOf } from "../foot/parametric/halves";
import { trimFootOf, type FootParameters } from "../foot/parametric/parameters";
import { radians } from "../math/angle";
import { ok, type Result } from "../result";
import type { Cuts } from "../foot/parametric/predict";
import { toeDressing } from "./dressing";
import { bestCuts, type TrimQuestion } from "./plan";
import { visitBounds, visitsFor } from "./stages";

/** A foot and how it is kept, for some months ahead. */
export interface CycleQuestion {
  /** As it stands, with the wall above its live sole. */
  foot: FootParameters;
  lenses: LensChoice;
  finish: TrimQuestion["finish"];
  margins?: { shod: number; barefoot: number } | undefined;
  /** Wall at the toe, white line in it, horn outside the foot's own shape, mm in the ground plane. */
  toeWall?: number | undefined;
  whiteLine?: number | undefined;
  outside?: number | undefined;
  holdAxis?: boolean | undefined;
  minToeLength?: number | undefined;
  /** The yardstick for the animal: what has grown over it comes off again, as far as the limits allow. */
  toeTarget: number;
  sulcusDepth?: number | undefined;
  /** Roll still wanted by a sighted lens, deg. */
  sideAngle?: number | undefined;
  /** This foot's own: mm a season-weighted day, deg a day. */
  growthPerDay: number;
  driftPerDay: number;
  from: IsoDate;
  hemisphere: Hemisphere;
  weeks: number;
}

/** A foot at one moment of the simulation. */
export interface CycleMoment {
  day: number;
  /** Just before a trim, just after it, or the last day. */
  at: "before" | "after" | "end";
  dorsalAngle: number;
  axis: number;
  frontShare: number;
  toeLength: number;
  /** Horn taken since the start: height off the bearing surface, mean of toe and heels, mm. */
  removed: number;
}

/** One interval kept for the whole time. */
export interface CycleRun {
  everyWeeks: number;
  trims: number;
  moments: readonly CycleMoment[];
  /** The foot on the last day, before it would be trimmed again. */
  last: FootParameters;
  /** Furthest from a straight axis after the first trim, signed, and longest toe after it. */
  worst: { axis: number; toeLength: number };
}

/**
 * The foot trimmed by its lenses at once and then every `everyWeeks` weeks, growing between at its own pace with the
 * season: each trim is the plan within the limits of that day, with the toe brought back towards its yardstick as one
 * more aim, three millimetres like a degree, or a foot kept straight would grow longer and longer. The wall above the live sole grows with the horn; a
 * dressed wall gets its thickness back while half a toe's length grows down (assumption); a roll by a sighted lens is
 * done once. An estimate from mean rates: no chance, no wear by the ground beyond what the growth already has taken off.
 */
export function runCycles(question: CycleQuestion, everyWeeks: number): Result<CycleRun> {
  const days = question.weeks * 7;
  let foot = question.foot;
  let removed = 0;
  let dressed = 0;
  let sideAngle = question.sideAngle ?? 0;
  let trims = 0;
  const moments: CycleMoment[] = [];
  const note = (day: number, at: CycleMoment["at"]) => moments.push({ day, at, ...momentOf(foot), removed });
  for (let day = 0; ;) {
    const isEnd = day >= days;
    note(day, isEnd ? "end" : "before");
    if (isEnd) break;
    const plan = cutsOfVisit(trimQuestion(question, foot, dressed, sideAngle));
    if (!plan.ok) return plan;
    const cuts = plan.value;
    const cut = cutFoot(foot, cuts);
    if (!cut.ok) return cut;
    foot = cut.value.foot;
    trims++;
    removed += (cuts.toe + (cuts.heelMedial + cuts.heelLateral) / 2) / 2;
    dressed += cuts.dress;
    sideAngle -= cut.value.predicted.roll;
    note(day, "after");
    const next = Math.min(days, day + everyWeeks * 7);
    const hornMm =
      question.growthPerDay *
      seasonDays(addDays(question.from, day), addDays(question.from, next), question.hemisphere);
    const grown = growFoot(foot, { hornMm, driftDeg: question.driftPerDay * (next - day) });
    if (!grown.ok) return grown;
    const back = Math.min(dressed, (dressedInAll(question) * hornMm) / (foot.toeLengthMm / 2));
    dressed -= back;
    foot = {
      ...grown.value,
      toeRunMm: grown.value.toeRunMm + back / Math.sin(radians(grown.value.dorsalAngleDeg)),
    };
    day = next;
  }
  const later = moments.slice(1);
  const axis = later.reduce((worst, one) => (Math.abs(one.axis) > Math.abs(worst) ? one.axis : worst), 0);
  return ok({
    everyWeeks,
    trims,
    moments,
    last: foot,
    worst: { axis, toeLength: Math.max(...later.map(({ toeLength }) => toeLength)) },
  });
}

/** The cuts of one visit: the best plan, or where it asks too much at once the best within what one visit takes. */
function cutsOfVisit(question: TrimQuestion): Result<Cuts> {
  const whole = bestCuts(question);
  if (!whole.ok) return whole;
  const bounds = visitBounds(question.foot);
  if (visitsFor(question.foot, whole.value.cuts, bounds) === 1) return ok(whole.value.cuts);
  const part = bestCuts({ ...question, atOnce: bounds, upTo: whole.value.cuts });
  return part.ok ? ok(part.value.cuts) : part;
}

/** Wall that dressing may take in all, mm at right angles to it. */
const dressedInAll = ({ foot, toeWall, whiteLine, outside }: CycleQuestion): number =>
  toeDressing({ foot: trimFootOf(foot), ...given({ toeWall, whiteLine, outside }) }).most;

function trimQuestion(
  question: CycleQuestion,
  foot: FootParameters,
  dressed: number,
  sideAngle: number,
): TrimQuestion {
  const {
    lenses,
    finish,
    margins,
    toeWall,
    whiteLine,
    outside,
    holdAxis,
    minToeLength,
    sulcusDepth,
    toeTarget,
  } = question;
  const gone = dressed / Math.sin(radians(foot.dorsalAngleDeg));
  const { toe, medial, lateral } = foot.wallAboveSoleMm;
  return {
    foot: trimFootOf(foot),
    finish,
    above: { toe: Math.max(0, toe), heelMedial: Math.max(0, medial), heelLateral: Math.max(0, lateral) },
    ...lenses,
    // The foot of months ahead has no other witness than its own wall.
    side: lenses.side === "every-witness" ? "even-sole" : lenses.side,
    toeAim: toeTarget,
    sideAngle: lenses.side === "level-hairline" ? hairlineTiltDeg(foot) : sideAngle,
    ...given({
      margins,
      toeWall: toeWall === undefined ? undefined : Math.max(whiteLine ?? 0, toeWall - gone),
      whiteLine,
      outside: outside === undefined ? undefined : outside - gone,
      holdAxis,
      minToeLength,
      sulcusDepth,
    }),
  };
}

/** The keys that have a value. */
const given = <T extends object>(values: T) =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as {
    [Key in keyof T]?: Exclude<T[Key], undefined>;
  };

const momentOf = (foot: FootParameters) => ({
  dorsalAngle: foot.dorsalAngleDeg,
  axis: foot.dorsalAngleDeg - foot.pasternAngleDeg,
  frontShare: halvesOf(foot).frontShare,
  toeLength: foot.toeLengthMm,
});

/** Every interval from 1 to 8 weeks. */
export const CYCLE_WEEKS = [1, 2, 3, 4, 5, 6, 7, 8] as const;

export function compareCycles(question: CycleQuestion): Result<CycleRun[]> {
  const runs: CycleRun[] = [];
  for (const weeks of CYCLE_WEEKS) {
    const run = runCycles(question, weeks);
    if (!run.ok) return run;
    runs.push(run.value);
  }
  return ok(runs);
}

/**
 * The longest interval at which this foot, kept like that, never passes the limits that make it due: toe over its
 * target or over what the first trim left, axis beyond its limit or 3 degrees worse than the first trim left it.
 * Undefined when even a week is too long.
 */
export function longestInterval(
  runs: readonly CycleRun[],
  limits: { toeTarget: number; toeOver: number; axisLimit: number; axisWorse: number },
): number | undefined {
  const keeps = ({ moments, worst }: CycleRun): boolean => {
    const first = moments.find(({ at }) => at === "after");
    if (!first) return false;
    const toeLimit = Math.max(limits.toeTarget, first.toeLength) + limits.toeOver;
    const back = Math.min(-limits.axisLimit, first.axis - limits.axisWorse);
    const forward = Math.max(limits.axisLimit, first.axis + limits.axisWorse);
    return (
      worst.toeLength <= toeLimit &&
      moments.slice(1).every(({ axis }) => axis >= back - 1e-9 && axis <= forward + 1e-9)
    );
  };
  return runs
    .filter(keeps)
    .reduce<number | undefined>((longest, { everyWeeks }) => Math.max(longest ?? 0, everyWeeks), undefined);
}
