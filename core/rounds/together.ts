import type { RoundsJob, RoundsPlan, RoundsQuestion } from "./question";

/**
 * Jobs that go together as one job each, and a plan for those told in the jobs that were asked about. Jobs stay apart
 * where no day is long enough for all of them, and where they are pinned to different days: there a hand has decided.
 */
export function joined(question: RoundsQuestion): {
  question: RoundsQuestion;
  apart: (plan: RoundsPlan) => RoundsPlan;
} {
  const longest = Math.max(0, ...question.days.map(({ minutes }) => minutes));
  const groups = new Map<string, RoundsJob[]>();
  for (const job of question.jobs) {
    const key = JSON.stringify(job.with === undefined ? [job.id] : [job.yard, job.with, "together"]);
    groups.set(key, [...(groups.get(key) ?? []), job]);
  }
  const jobs = [...groups.values()].flatMap((parts) => {
    const [first] = parts;
    const pins = new Set(parts.flatMap(({ only }) => only ?? []));
    const minutes = parts.reduce((sum, part) => sum + part.minutes, 0);
    if (!first || parts.length === 1 || pins.size > 1 || minutes > longest) return parts;
    const [only] = pins;
    return [{ ...first, minutes, parts, ...(only !== undefined && { only }) }];
  });
  const partsOf = new Map(jobs.map((job) => [job.id, (job.parts ?? [job]).map(({ id }) => id)]));
  const each = (ids: readonly string[]) => ids.flatMap((id) => partsOf.get(id) ?? []);
  return {
    question: { ...question, jobs },
    apart: (plan) => ({
      ...plan,
      days: plan.days.map((day) => ({
        ...day,
        stops: day.stops.map(({ yard, jobs: ids }) => ({ yard, jobs: each(ids) })),
      })),
      left: each(plan.left),
    }),
  };
}
