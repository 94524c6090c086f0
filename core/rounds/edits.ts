import type { IsoDate } from "../calendar/date";
import type { Edit } from "../record/edit";
import { blankVisit, type Visit } from "../record/visit";
import { changedDays, layOut, type Placed } from "./layout";
import type { Planning } from "./planning";

/**
 * The edits that make the records say what is placed: visits planned, moved to their day and time, or taken off. Times
 * change only on days to which a horse comes or that one leaves, and on those that are to be timed `anew`; a pinned visit
 * keeps its hour there too. Ids of new visits are handed in.
 */
export function placedEdits(
  plan: Planning,
  placed: Placed,
  newId: () => string,
  label: string,
  anew: readonly IsoDate[] = [],
): Edit[] {
  const timed = new Set([...changedDays(plan, placed), ...anew]);
  const times = new Map(
    layOut(plan, placed, anew).days.flatMap(({ date, stops }) =>
      timed.has(date)
        ? stops.flatMap(({ jobs }) => jobs.map(({ job, at }) => [job.horse.id, at] as const))
        : [],
    ),
  );
  return plan.jobs.flatMap(({ horse, coming, on }): Edit[] => {
    const date = placed[horse.id];
    const at = times.get(horse.id) ?? coming?.at;
    const visit = on === undefined ? undefined : coming;
    const edit = (id: string, path: string[], was: unknown, now: unknown): Edit => ({
      table: "visits",
      id,
      path,
      was,
      now,
      label,
    });
    if (!visit) {
      if (date === undefined) return [];
      const id = newId();
      const made: Visit = {
        id,
        horseId: horse.id,
        date,
        status: "planned",
        ...blankVisit(),
        ...(at && { at }),
      };
      return [edit(id, [], undefined, made)];
    }
    if (date === undefined) return [edit(visit.id, [], visit, undefined)];
    return [
      ...(visit.date === date ? [] : [edit(visit.id, ["date"], visit.date, date)]),
      ...(visit.at === at ? [] : [edit(visit.id, ["at"], visit.at, at)]),
    ];
  });
}

/** The edits that say when the vet comes to a horse on its day, or that none comes: pinned to it, the day's times anew. */
export function vetEdits(plan: Planning, placed: Placed, horseId: string, at: string | undefined): Edit[] {
  const job = plan.jobs.find(({ horse }) => horse.id === horseId);
  const visit = job?.coming;
  if (!job || !visit || job.on === undefined) return [];
  const label = `vet at ${job.horse.name}`;
  const edit = (path: "vetAt" | "pinned", now: unknown): Edit => ({
    table: "visits",
    id: visit.id,
    path: [path],
    was: visit[path],
    now,
    label,
  });
  const then = {
    ...plan,
    jobs: plan.jobs.map((one) =>
      one === job ? { ...one, coming: { ...visit, vetAt: at, pinned: false } } : one,
    ),
  };
  return [
    edit("vetAt", at),
    ...(at !== undefined && !visit.pinned ? [edit("pinned", true)] : []),
    ...placedEdits(then, placed, () => "", label, [job.on]),
  ];
}
