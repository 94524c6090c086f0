import { addDays } from "../calendar/date";
import { seededRandom } from "../math/random";
import type { RoundsQuestion } from "./question";

export const MONDAY = "2026-11-23";
/** A search that is never late. */
export const PATIENT = { seconds: 60, elapsed: () => 0 };

/** A small round by chance: some yards about home, some jobs at each. */
export function smallRound(seed: number, yards = 4, jobs = 7, days = 2): RoundsQuestion {
  const random = seededRandom(seed);
  return {
    home: [54, -2],
    speedKmh: 60,
    stopMinutes: 10,
    days: Array.from({ length: days }, (_, day) => ({
      date: addDays(MONDAY, day),
      minutes: 200 + Math.floor(random() * 120),
    })),
    yards: Array.from({ length: yards }, (_, index) => ({
      id: `y${index}`,
      at: [54 + (random() - 0.5) * 0.4, -2 + (random() - 0.5) * 0.6],
    })),
    jobs: Array.from({ length: jobs }, (_, index) => {
      const due = Math.floor(random() * 9) - 4;
      return {
        id: `j${index}`,
        yard: `y${index % yards}`,
        minutes: [25, 45, 75][Math.floor(random() * 3)] ?? 25,
        windowStart: addDays(MONDAY, due - 7),
        due: addDays(MONDAY, due),
      };
    }),
  };
}
