import loadHighs from "highs";
import { addDays } from "~core/calendar/date";
import { roundForecast, type ForecastHorse } from "~core/cycle/workload";
import { roster } from "~core/cycle/roster";
import { LIMBS } from "~core/foot/limb";
import { highsSolver } from "~core/math/programme";
import { seededRandom } from "~core/math/random";
import type { Horse } from "~core/record/horse";
import { nothingRead, type Reading } from "~core/foot/records/reading";
import { DEFAULT_ROUNDS, DEFAULT_SETTINGS } from "~core/record/settings";
import { blankVisit, type Visit } from "~core/record/visit";
import type { Yard } from "~core/record/yard";
import type { Placed } from "~core/rounds/layout";
import { moveCosts } from "~core/rounds/moveCosts";
import { planRounds } from "~core/rounds/plan";
import { planning } from "~core/rounds/planning";
import type { RoundsQuestion } from "~core/rounds/question";
import type { Place } from "~core/rounds/travel";
import { median } from "./core";

const MONDAY = "2026-11-23";

/**
 * A made-up round: yards strewn over some 40 by 50 km, horses dealt among them, trims, fronts and full sets, some
 * difficult, due about when their yard is; nine-hour days. No two seeds are alike, and most leave little room.
 */
export function madeUp(seed: number, yards: number, jobs: number, days: number): RoundsQuestion {
  const random = seededRandom(seed);
  const span = Math.ceil((days * 7) / 5);
  const places = Array.from({ length: yards }, (_, index) => ({
    id: `y${index}`,
    at: [54 + (random() - 0.5) * 0.5, -2 + (random() - 0.5) * 0.8] as Place,
  }));
  return {
    home: [54, -2],
    speedKmh: 50,
    stopMinutes: 15,
    days: Array.from({ length: days }, (_, index) => ({
      date: addDays(MONDAY, Math.floor(index / 5) * 7 + (index % 5)),
      minutes: 540,
    })),
    yards: places,
    jobs: Array.from({ length: jobs }, (_, index) => {
      const yard = Math.floor(random() * yards);
      const kind = random();
      const minutes = kind < 0.5 ? 25 : kind < 0.8 ? 45 : 75;
      const due = Math.floor(((yard * 7919) % span) + (random() - 0.5) * 10);
      const weight = random();
      return {
        id: `j${index}`,
        yard: `y${yard}`,
        minutes: Math.round(minutes * (random() < 0.15 ? 1.3 : 1)),
        due: addDays(MONDAY, due),
        windowStart: addDays(MONDAY, due - 7),
        weight: weight < 0.1 ? 2 : weight < 0.2 ? 1.5 : 1,
      };
    }),
  };
}

/** Rounds planned one after the other: seconds and gap of each. */
export async function timeRounds(
  seeds: readonly number[],
  yards: number,
  jobs: number,
  days: number,
  seconds: number,
): Promise<{ seconds: number; gap: number }[]> {
  const solve = highsSolver(await loadHighs());
  return seeds.map((seed) => {
    const from = performance.now();
    const elapsed = () => (performance.now() - from) / 1000;
    const found = planRounds(madeUp(seed, yards, jobs, days), solve, { seconds, elapsed });
    if (!found.ok) throw new Error(found.issues[0]?.message);
    return { seconds: elapsed(), gap: found.value.gap };
  });
}

/** Half a year of 400 horses with four feet and eight visits each, ms: what runs in the worker. */
export function timeForecast(): number {
  const random = seededRandom(8);
  const horses = Array.from({ length: 400 }, (_, index): ForecastHorse => {
    const readings = Array.from({ length: 8 }, (_visit, visit) =>
      LIMBS.flatMap((limb) =>
        (["before", "after"] as const).map((moment): Reading => ({
          id: `${index}.${visit}.${limb}.${moment}`,
          visitId: `${index}.${visit}`,
          horseId: String(index),
          limb,
          moment,
          date: addDays(MONDAY, -42 * (8 - visit)),
          ...nothingRead(),
          values: {
            toeLength: { value: (moment === "before" ? 90 : 79) + 2 * random(), source: "calliper" },
            dorsalAngle: { value: 50 + random(), source: "gauge" },
            pasternAngle: { value: 50 + random(), source: "gauge" },
          },
        })),
      ),
    ).flat();
    return {
      horse: madeHorse(index, "y"),
      last: addDays(MONDAY, -42),
      next: { due: addDays(MONDAY, index % 42) },
      minutes: 75,
      readings,
    };
  });
  const runs = Array.from({ length: 7 }, () => {
    const from = performance.now();
    roundForecast(horses, DEFAULT_SETTINGS, DEFAULT_ROUNDS.week, MONDAY, 26);
    return performance.now() - from;
  });
  return median(runs);
}

const madeHorse = (index: number, yardId: string): Horse => ({
  id: `h${index}`,
  yardId,
  name: `Horse ${index}`,
  kind: "cob",
  massKg: 500,
  use: "riding",
  finish: "full set",
  habits: "",
  notes: "",
});

/** What it costs to move a horse to every day of a month with 160 horses, ms: slowest of many. */
export function timeMoveCosts(): number {
  const random = seededRandom(21);
  const yards = Array.from({ length: 25 }, (_, index): Yard => ({
    id: `y${index}`,
    name: `Yard ${index}`,
    person: "",
    phone: "",
    access: "",
    at: [54 + (random() - 0.5) * 0.5, -2 + (random() - 0.5) * 0.8],
  }));
  const horses = Array.from({ length: 160 }, (_, index) => madeHorse(index, `y${index % 25}`));
  const visits = horses.map(({ id }, index): Visit => ({
    id: `v${index}`,
    horseId: id,
    date: addDays(MONDAY, -35),
    status: "signed",
    ...blankVisit(),
    next: {
      due: addDays(MONDAY, index % 28),
      windowStart: addDays(MONDAY, (index % 28) - 7),
      reason: "cap",
      day: 42,
    },
  }));
  const plan = planning(roster(horses, yards, visits), { ...DEFAULT_ROUNDS, home: [54, -2] }, [], MONDAY, 28);
  const open = plan.days.filter(({ minutes }) => minutes > 0);
  const placed: Placed = Object.fromEntries(
    plan.jobs.map(({ horse, yard }) => [
      horse.id,
      open[Number(yard.id.slice(1)) % open.length]?.date ?? MONDAY,
    ]),
  );
  const runs = plan.jobs.slice(0, 60).map(({ horse }) => {
    const from = performance.now();
    moveCosts(plan, placed, [horse.id]);
    return performance.now() - from;
  });
  return Math.max(...runs);
}
