import { describe, expect, test } from "@jest/globals";
import { addDays } from "../calendar/date";
import { normalDraw, seededRandom } from "../math/random";
import { Z_CENTRAL_80 } from "../math/statistics";
import { forecastFoot, type DueQuestion } from "./due";
import { angleDrift, toeGrowth, type BeforeAfter } from "./growth";
import { seasonDays } from "../calendar/season";

const FEET = 1500;
const CYCLE_DAYS = 42;
const FIRST = "2025-02-03";
const SD = { length: 1.1, angle: 0.54 };

/** Feet with a known truth, each measured with noise at every visit, before and after its trim. */
function simulated(cycles: number, seed: number) {
  const random = seededRandom(seed);
  return Array.from({ length: FEET }, () => {
    const growth = normalDraw(random, 0.28, 0.05);
    const drift = normalDraw(random, -0.059, 0.03);
    const toe: BeforeAfter[] = [];
    const angle: BeforeAfter[] = [];
    let [length, degrees] = [80, 50];
    for (let visit = 0; visit <= cycles; visit++) {
      const date = addDays(FIRST, visit * CYCLE_DAYS);
      if (visit > 0) {
        const from = addDays(date, -CYCLE_DAYS);
        length = 80 + growth * seasonDays(from, date, "north");
        degrees = 50 + drift * CYCLE_DAYS;
      }
      toe.push({
        date,
        before: normalDraw(random, length, SD.length),
        after: normalDraw(random, 80, SD.length),
      });
      angle.push({
        date,
        before: normalDraw(random, degrees, SD.angle),
        after: normalDraw(random, 50, SD.angle),
      });
    }
    return { growth, drift, toe, angle };
  });
}

const share = (inside: boolean[]): number => inside.filter(Boolean).length / inside.length;
const value = <T>(result: { ok: true; value: T } | { ok: false }): T => {
  if (!result.ok) throw new Error("simulated visits are in order");
  return result.value;
};

describe("growth and drift recovered from feet with a known truth", () => {
  test.each([0, 1, 3, 8])(
    "after %d cycles the central 80 %% band holds the truth in 75 to 85 of 100 feet",
    (cycles) => {
      const feet = simulated(cycles, 100 + cycles);
      const within = (truth: number, { perDay, sd }: { perDay: number; sd: number }) =>
        Math.abs(truth - perDay) <= Z_CENTRAL_80 * sd;
      const grown = feet.map(({ growth, toe }) =>
        within(growth, value(toeGrowth(toe, { shod: true, hemisphere: "north", measureSd: SD.length }))),
      );
      const drifted = feet.map(({ drift, angle }) =>
        within(drift, value(angleDrift(angle, { shod: true, measureSd: SD.angle }))),
      );
      for (const covered of [share(grown), share(drifted)]) {
        expect(covered).toBeGreaterThan(0.75);
        expect(covered).toBeLessThan(0.85);
      }
    },
  );

  test("the forecast six weeks on holds the true toe in 75 to 85 of 100 feet, its start measured once", () => {
    const inside = simulated(6, 7).map(({ growth, toe }) => {
      const last = toe.at(-1);
      const learned = value(toeGrowth(toe, { shod: true, hemisphere: "north", measureSd: SD.length }));
      if (!last?.after) throw new Error("measured");
      const question: Omit<DueQuestion, "capWeeks" | "toeTarget"> = {
        last: last.date,
        toeLength: last.after,
        dorsalAngle: 50,
        pasternAngle: 50,
        growth: learned,
        drift: { perDay: -0.059, sd: 0.03 },
      };
      const { toeLength } = forecastFoot(question, CYCLE_DAYS, { toeSd: SD.length, axisSd: 0 });
      const truth = 80 + growth * seasonDays(last.date, addDays(last.date, CYCLE_DAYS), "north");
      return truth >= toeLength.low && truth <= toeLength.high;
    });
    expect(share(inside)).toBeGreaterThan(0.75);
    expect(share(inside)).toBeLessThan(0.85);
  });
});
