import { halvesOf } from "../foot/parametric/halves";
import type { FootParameters } from "../foot/parametric/parameters";
import { ok, type Result } from "../result";
import { addDays } from "../calendar/date";
import { seasonDays } from "../calendar/season";
import {
  cutsOfVisit,
  growKept,
  questionOf,
  startOf,
  trimKept,
  type KeptFoot,
  type KeptQuestion,
} from "./kept";

/** A foot and how it is kept, for some months ahead. */
export interface CycleQuestion extends KeptQuestion {
  weeks: number;
  /** A short visit for the toe alone half way between two full trims, while horn grows faster than on average. */
  toeOnlyBetween?: boolean | undefined;
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
  /** Visits for the toe alone between them. */
  toeOnly: number;
  moments: readonly CycleMoment[];
  /** The foot on the last day, before it would be trimmed again. */
  last: FootParameters;
  /** Furthest from a straight axis after the first trim, signed, and longest toe after it. */
  worst: { axis: number; toeLength: number };
}

/**
 * The foot trimmed by its lenses at once and then every `everyWeeks` weeks, growing between at its own pace with the
 * season: each trim is the plan within the limits of that day and within what one visit takes, with the toe brought
 * back towards its yardstick as one more aim, three millimetres like a degree, or a foot kept straight would grow longer
 * and longer. The wall above the live sole grows with the horn; a roll by a sighted lens is done once. An estimate from
 * mean rates: no chance, no wear by the ground beyond what the growth already has taken off.
 */
export function runCycles(question: CycleQuestion, everyWeeks: number): Result<CycleRun> {
  const days = question.weeks * 7;
  let now = startOf(question);
  let removed = 0;
  let [trims, toeOnly] = [0, 0];
  const moments: CycleMoment[] = [];
  const note = (day: number, at: CycleMoment["at"]) =>
    moments.push({ day, at, ...momentOf(now.foot), removed });
  for (let day = 0; ;) {
    const isEnd = day >= days;
    note(day, isEnd ? "end" : "before");
    if (isEnd) break;
    const plan = cutsOfVisit({ ...questionOf(question, now), toeAim: question.toeTarget });
    if (!plan.ok) return plan;
    const { cuts } = plan.value;
    const cut = trimKept(now, cuts);
    if (!cut.ok) return cut;
    now = cut.value.after;
    trims++;
    removed += (cuts.toe + (cuts.heelMedial + cuts.heelLateral) / 2) / 2;
    note(day, "after");
    const next = Math.min(days, day + everyWeeks * 7);
    const between = toeOnlyDay(question, day, next);
    for (const to of between === undefined ? [next] : [between, next]) {
      const grown = growKept(question, now, day, to);
      if (!grown.ok) return grown;
      now = grown.value;
      day = to;
      if (to !== between) continue;
      const short = trimToe(question, now);
      if (!short.ok) return short;
      now = short.value;
      toeOnly++;
      note(day, "after");
    }
  }
  const later = moments.slice(1);
  const axis = later.reduce((worst, one) => (Math.abs(one.axis) > Math.abs(worst) ? one.axis : worst), 0);
  return ok({
    everyWeeks,
    trims,
    toeOnly,
    moments,
    last: now.foot,
    worst: { axis, toeLength: Math.max(...later.map(({ toeLength }) => toeLength)) },
  });
}

/** An interval shorter than this leaves no room for a visit between, days. */
const ROOM_DAYS = 21;

/** The day of a visit for the toe alone between two full trims, if one is wanted and horn grows fast there. */
function toeOnlyDay(
  { toeOnlyBetween, from, hemisphere }: CycleQuestion,
  day: number,
  next: number,
): number | undefined {
  const middle = Math.round((day + next) / 2);
  if (!toeOnlyBetween || next - day < ROOM_DAYS) return undefined;
  const [before, after] = [addDays(from, day), addDays(from, next)];
  return seasonDays(before, after, hemisphere) > next - day ? middle : undefined;
}

/** The foot after a visit for the toe alone. */
function trimToe(question: CycleQuestion, now: KeptFoot): Result<KeptFoot> {
  const plan = cutsOfVisit({
    ...questionOf(question, now),
    toeAim: question.toeTarget,
    heelMax: 0,
    toeOnly: true,
  });
  if (!plan.ok) return plan;
  const cut = trimKept(now, plan.value.cuts);
  return cut.ok ? ok(cut.value.after) : cut;
}

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
