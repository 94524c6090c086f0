import type { Random } from "../math/random";
import type { Assignment } from "./improve";
import { bitCount, roundsNumbers, type RoundsNumbers } from "./numbers";
import type { RoundsQuestion } from "./question";
import { placesOf } from "./tour";

/** With so few yards some days are planned as well as can be in little time. */
export const FEW_YARDS = 9;
/** Days that are planned anew together. */
const MOST_DAYS = 5;
/** How far apart by chance two days may seem that lie near each other, minutes. */
const SWAY = 25;

/** Some days of a round as a round of their own, with what stands on them and what was left out. */
export interface Part {
  question: RoundsQuestion;
  numbers: RoundsNumbers;
  assigned: Assignment;
  /** The whole round's assignment again, with these days planned so. */
  whole: (assigned: Assignment) => Assignment;
}

/**
 * A day by chance and those that go near where it goes, as long as they go to few yards in all: small
 * enough to be planned as well as can be (one part at a time, Taillard and Voss 2002).
 */
export function partOf(
  question: RoundsQuestion,
  numbers: RoundsNumbers,
  assigned: Assignment,
  random: Random,
): Part {
  const out = numbers.have.length;
  const masks = numbers.have.map(() => 0);
  let left = 0;
  assigned.forEach((day, job) => {
    const bit = 1 << (numbers.kinds[numbers.kindOf[job] ?? 0]?.yard ?? 0);
    if (day === out) left |= bit;
    else masks[day] = (masks[day] ?? 0) | bit;
  });
  const seed = Math.floor(random() * out);
  const from = placesOf(masks[seed] ?? 0);
  const apart = (day: number) =>
    Math.min(
      ...placesOf(masks[day] ?? 0).flatMap((to) => from.map((yard) => numbers.between[yard]?.[to] ?? 0)),
      SWAY,
    );
  const others = [...numbers.have.keys()]
    .filter((day) => day !== seed)
    .map((day) => ({ day, apart: apart(day) + SWAY * random() }))
    .sort((a, b) => a.apart - b.apart);
  const days = [seed];
  let mask = left | (masks[seed] ?? 0);
  for (const { day } of others) {
    const more = mask | (masks[day] ?? 0);
    if (days.length === MOST_DAYS || bitCount(more) > FEW_YARDS) continue;
    days.push(day);
    mask = more;
  }
  days.sort((a, b) => a - b);
  const jobs = [...assigned.keys()].filter((job) => {
    const day = assigned[job] ?? out;
    return day === out || days.includes(day);
  });
  const part: RoundsQuestion = {
    ...question,
    days: days.flatMap((day) => question.days[day] ?? []),
    jobs: jobs.flatMap((job) => question.jobs[job] ?? []),
  };
  return {
    question: part,
    numbers: roundsNumbers(part),
    assigned: jobs.map((job) => {
      const at = days.indexOf(assigned[job] ?? out);
      return at === -1 ? days.length : at;
    }),
    whole: (found) => {
      const next = [...assigned];
      jobs.forEach((job, index) => {
        next[job] = days[found[index] ?? days.length] ?? out;
      });
      return next;
    },
  };
}
