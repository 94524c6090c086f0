import type { Programme, Solver } from "../math/programme";
import type { RoundsNumbers } from "./numbers";
import type { DayLoad } from "./table";

/** The best plan out of some loads: proven, or as good as was found in time; without loads when all is best left out. */
export interface Whole {
  kind: "best" | "stopped";
  loads: DayLoad[];
}

/** The best whole plan out of some day-loads by a programme over them: a part for each load, no job twice, no day twice. */
export function wholePlan(
  numbers: RoundsNumbers,
  loads: readonly DayLoad[],
  solve: Solver,
  seconds: number,
): Whole {
  const rows = numbers.kinds.map((): [number, number][] => []);
  const days = numbers.have.map((): [number, number][] => []);
  loads.forEach(({ day, taken }, variable) => {
    for (const [kind, count] of taken) rows[kind]?.push([variable, count]);
    days[day]?.push([variable, 1]);
  });
  numbers.kinds.forEach((_, kind) => rows[kind]?.push([loads.length + kind, 1]));
  const programme: Programme = {
    cost: [...loads.map(({ cost }) => cost), ...numbers.kinds.map(({ left }) => left)],
    rows: [
      ...rows.map((terms, kind) => ({
        terms,
        sense: "=" as const,
        bound: numbers.kinds[kind]?.jobs.length ?? 0,
      })),
      ...days.map((terms) => ({ terms, sense: "<=" as const, bound: 1 })),
    ],
    whole: true,
  };
  const found = solve(programme, { seconds });
  // All left out is a plan: there is always one.
  const values = found.kind === "infeasible" ? [] : (found.values ?? []);
  return {
    kind: found.kind === "optimal" ? "best" : "stopped",
    loads: loads.filter((_, index) => (values[index] ?? 0) > 0.5),
  };
}
