import type { Random } from "../math/random";
import { assignmentOf } from "./assigned";
import { costOf, type Assignment } from "./board";
import { goodAssignment } from "./improve";
import type { RoundsNumbers } from "./numbers";
import type { RelaxedPlan } from "./relaxed";
import { SAME } from "./tree";
import type { DayLoad, LoadTable } from "./table";

/** Plans that are kept to breed from, and how many are begun for them. */
const KEPT = 12;
const BEGUN = 18;
/** Rounds of taking out and putting back for each job of a plan that is begun, and of a child. */
const BEGUN_A_JOB = 125;
const CHILD_A_JOB = 25;
/** How dear a change may be at first while a plan is begun, and while a child is bettered: a part of the cost. */
const BEGUN_WARMTH = 0.006;
const CHILD_WARMTH = 0.003;
/** Least and most that a child has from its first parent, as a part of the days. */
const LEAST_SHARE = 0.2;
const MOST_SHARE = 0.8;
/** When so many children in a row were no better than the best, new plans are begun beside so many of the best. */
const MOST_IDLE = 150;
const STAYING = 2;

/** A plan to breed from. */
interface Parent {
  days: Assignment;
  cost: number;
}

/**
 * Good plans for many jobs on many days, one more at each call: some are begun from the relaxed plan, each day's load by
 * the chance of its part, and bettered; then children take some days from one of them and what is left from another, and
 * are bettered in turn (hybrid genetic search, Vidal and others 2012).
 */
export function breeding(
  numbers: RoundsNumbers,
  table: LoadTable,
  root: RelaxedPlan,
  random: Random,
  late: () => boolean,
): () => Assignment {
  let parents: Parent[] = [];
  let [begun, idle, seed] = [0, 0, 0];
  const bettered = (start: Assignment, roundsAJob: number, warmth: number) => {
    const rounds = roundsAJob * numbers.kindOf.length;
    const days = goodAssignment(numbers, rounds, { start, seed: (seed += 1), warmth, late });
    const cost = costOf(numbers, days);
    idle = cost < (parents[0]?.cost ?? Number.POSITIVE_INFINITY) - SAME ? 0 : idle + 1;
    if (parents.some((one) => Math.abs(one.cost - cost) < SAME)) return days;
    parents = [...parents, { days, cost }].sort((a, b) => a.cost - b.cost).slice(0, KEPT);
    return days;
  };
  /** One of two by chance, the better. */
  const parent = (): Parent => {
    const at = () => Math.floor(random() * parents.length);
    return parents[Math.min(at(), at())] as Parent;
  };
  return () => {
    if (idle > MOST_IDLE) {
      parents = parents.slice(0, STAYING);
      [begun, idle] = [0, 0];
    }
    if (begun < BEGUN) {
      begun += 1;
      return bettered(
        assignmentOf(numbers, roundedLoads(numbers, table, root, random)),
        BEGUN_A_JOB,
        BEGUN_WARMTH,
      );
    }
    return bettered(child(numbers, parent().days, parent().days, random), CHILD_A_JOB, CHILD_WARMTH);
  };
}

/** Of each day one of the relaxed plan's loads, by the chance of its part; the days in any order. */
function roundedLoads(
  { have }: RoundsNumbers,
  table: LoadTable,
  { parts }: RelaxedPlan,
  random: Random,
): DayLoad[] {
  const drawn = new Map<number, number>();
  const left = have.map(() => random());
  for (const { load, part } of parts) {
    const day = table.day[load] as number;
    const before = left[day] as number;
    left[day] = before - part;
    if (before >= 0 && before < part) drawn.set(day, load);
  }
  return [...drawn.values()]
    .map((load) => ({ load: table.load(load), turn: random() }))
    .sort((a, b) => a.turn - b.turn)
    .map(({ load }) => load);
}

/** Some days as the one has them, in a row or strewn; the other jobs where the other has them, if that is another day. */
function child({ have }: RoundsNumbers, one: Assignment, other: Assignment, random: Random): Assignment {
  const out = have.length;
  const share = LEAST_SHARE + (MOST_SHARE - LEAST_SHARE) * random();
  const from = Math.floor(random() * out);
  const inRow = random() < 0.5;
  const kept = have.map((_, day) => (inRow ? (day - from + out) % out < share * out : random() < share));
  return one.map((day, job) => {
    if (kept[day]) return day;
    const there = other[job] as number;
    return kept[there] ? out : there;
  });
}
