import type { Programme, Solver } from "~core/math/programme";
import { costOf } from "~core/rounds/board";
import { goodAssignment } from "~core/rounds/improve";
import { roundsNumbers, type RoundsNumbers } from "~core/rounds/numbers";
import type { RoundsQuestion } from "~core/rounds/question";

/**
 * The plain way, to be measured against: one programme with a variable for each job on each day, each yard on each day and
 * each way from a yard to the next on each day; a flow from home to the yards keeps the tours whole (Gavish and Graves 1978).
 */
function plainModel({ kinds, kindOf, yards, have, home, between, stopMinutes }: RoundsNumbers): Programme {
  const cost: number[] = [];
  const most = new Map<number, number>();
  const rows: Programme["rows"][number][] = [];
  const variable = (own: number, limit = 1) => {
    cost.push(own);
    most.set(cost.length - 1, limit);
    return cost.length - 1;
  };
  const jobs = kindOf.flatMap((kind) => kinds[kind] ?? []);
  const left = jobs.map((job) => variable(job.left));
  const done = jobs.map(({ onDay }) =>
    onDay.map((own) => variable(Number.isFinite(own) ? own : 0, +Number.isFinite(own))),
  );
  jobs.forEach((_, job) =>
    rows.push({
      terms: [[left[job] ?? 0, 1], ...(done[job] ?? []).map((one): [number, number] => [one, 1])],
      sense: "=",
      bound: 1,
    }),
  );
  // Home is the place after the last yard.
  const places = [...yards.keys(), yards.length];
  const way = (from: number, to: number) =>
    from === yards.length
      ? (home[to] ?? 0)
      : to === yards.length
        ? (home[from] ?? 0)
        : (between[from]?.[to] ?? 0);
  have.forEach((minutes, day) => {
    const visited = yards.map(() => variable(0));
    const arcs = places.flatMap((from) =>
      places
        .filter((to) => to !== from)
        .map((to) => ({ from, to, used: variable(way(from, to)), flow: variable(0, yards.length) })),
    );
    jobs.forEach(({ yard }, job) =>
      rows.push({
        terms: [
          [done[job]?.[day] ?? 0, 1],
          [visited[yard] ?? 0, -1],
        ],
        sense: "<=",
        bound: 0,
      }),
    );
    for (const yard of yards.keys()) {
      const at: [number, number] = [visited[yard] ?? 0, -1];
      const into = arcs.filter(({ to }) => to === yard);
      const from = arcs.filter((arc) => arc.from === yard);
      rows.push({
        terms: [...into.map(({ used }): [number, number] => [used, 1]), at],
        sense: "=",
        bound: 0,
      });
      rows.push({
        terms: [...from.map(({ used }): [number, number] => [used, 1]), at],
        sense: "=",
        bound: 0,
      });
      rows.push({
        terms: [
          ...into.map(({ flow }): [number, number] => [flow, 1]),
          ...from.map(({ flow }): [number, number] => [flow, -1]),
          at,
        ],
        sense: "=",
        bound: 0,
      });
    }
    rows.push({
      terms: arcs.filter(({ from }) => from === yards.length).map(({ used }): [number, number] => [used, 1]),
      sense: "<=",
      bound: 1,
    });
    for (const { flow, used } of arcs)
      rows.push({
        terms: [
          [flow, 1],
          [used, -yards.length],
        ],
        sense: "<=",
        bound: 0,
      });
    rows.push({
      terms: [
        ...jobs.map((job, index): [number, number] => [done[index]?.[day] ?? 0, job.minutes]),
        ...visited.map((one): [number, number] => [one, stopMinutes]),
        ...arcs.map(({ from, to, used }): [number, number] => [used, way(from, to)]),
      ],
      sense: "<=",
      bound: minutes,
    });
  });
  return { cost, rows, whole: true, most };
}

/** What the plain model comes to in so many seconds: the cost of its plan, if it has one, and whether it is proven. */
export function plainPlan(
  question: RoundsQuestion,
  solve: Solver,
  seconds: number,
): { objective?: number | undefined; proven: boolean } {
  const programme = plainModel(roundsNumbers(question));
  const found = solve(programme, { seconds });
  if (found.kind === "infeasible") throw new Error("all left out is a plan");
  const { values } = found;
  return {
    objective: values && values.reduce((sum, value, at) => sum + value * (programme.cost[at] ?? 0), 0),
    proven: found.kind === "optimal",
  };
}

/** What a good simple heuristic comes to: dearest jobs first, each where it costs least, then moved and swapped to rest. */
export function simplePlan(question: RoundsQuestion): number {
  const numbers = roundsNumbers(question);
  return costOf(numbers, goodAssignment(numbers, 0));
}
