import { addDays, type IsoDate } from "~core/calendar/date";
import { jobByMeasures, computedFor } from "~core/forge/anvil/job";
import { normalDraw, type Random } from "~core/math/random";
import { firstForging, type Forged, type Steel } from "~core/forge/forgeRecord";
import { DEFAULT_SETTINGS } from "~core/record/settings";

/** What the demo's hand takes beyond rule and outline, and how much it scatters, mm: an upset a little too eager. */
const HABIT_MM = 7;
const SCATTER_MM = 2;
const SHOES = 9;
/** One shoe a week, heats getting fewer as the hand learns. */
const EVERY_DAYS = 7;
const FIRST_HEATS = 13;

/** Shoes in the demo round's log of the forge: one hand with a habit, which the log is to find. */
export function forgedLog(today: IsoDate, random: Random): Forged[] {
  const { measures } = firstForging();
  const job = jobByMeasures(measures);
  return Array.from({ length: SHOES }, (_, index): Forged => {
    const came = {
      width: Math.round(measures.width + normalDraw(random, 0, 3)),
      length: Math.round(measures.length + normalDraw(random, 0, 3)),
    };
    const computed = computedFor(job, came, DEFAULT_SETTINGS) ?? 0;
    const { spec } = job;
    return {
      id: `demo-forged-${index + 1}`,
      date: addDays(today, -EVERY_DAYS * (SHOES - index)),
      name: "",
      end: measures.end,
      type: spec.type,
      width: spec.width,
      thickness: spec.thickness,
      material: spec.material,
      stock: Math.round(computed + normalDraw(random, HABIT_MM, SCATTER_MM)),
      shoeWidth: came.width,
      shoeLength: came.length,
      computed,
      heats: {
        planned: 9,
        taken: Math.max(9, Math.round(FIRST_HEATS - index * 0.45 + normalDraw(random, 0, 0.5))),
        seconds: Math.round(2400 - index * 95 + normalDraw(random, 0, 60)),
      },
    };
  });
}

/** What lies on the demo round's rack. */
export const rack = (): Steel[] =>
  [640, 410].map((lengthMm, index) => ({
    id: `demo-offcut-${index + 1}`,
    role: "offcut",
    width: 22,
    thickness: 10,
    material: "steel",
    lengthMm,
    count: 1,
    label: "",
  }));
