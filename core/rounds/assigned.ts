import type { Assignment } from "./board";
import { loadFrom } from "./loads";
import type { RoundsNumbers } from "./numbers";
import type { DayLoad } from "./table";

/** The loads of an assignment, day by day. */
export function loadsOf(numbers: RoundsNumbers, days: Assignment): DayLoad[] {
  return [...numbers.have.keys()].flatMap((day) => {
    const counts = new Map<number, number>();
    let mask = 0;
    days.forEach((one, job) => {
      const kind = numbers.kindOf[job] ?? 0;
      if (one !== day) return;
      counts.set(kind, (counts.get(kind) ?? 0) + 1);
      mask |= 1 << (numbers.kinds[kind]?.yard ?? 0);
    });
    return mask === 0 ? [] : [loadFrom(numbers, day, mask, [...counts])];
  });
}

/** A day for each job from some loads: of those of one day the first, of those that do a job twice likewise. */
export function assignmentOf(numbers: RoundsNumbers, loads: readonly DayLoad[]): Assignment {
  const days: Assignment = numbers.kindOf.map(() => numbers.have.length);
  const next = numbers.kinds.map(() => 0);
  const filled = new Set<number>();
  for (const { day, taken } of loads) {
    if (filled.has(day)) continue;
    filled.add(day);
    for (const [kind, count] of taken)
      for (let index = 0; index < count; index++) {
        const job = numbers.kinds[kind]?.jobs[next[kind] ?? 0];
        next[kind] = (next[kind] ?? 0) + 1;
        if (job !== undefined) days[job] = day;
      }
  }
  return days;
}
