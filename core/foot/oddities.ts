import type { Wording } from "./wording";
import { MEASURE_FACTS, MEASURES, type FootValues } from "./measures";

/** Something plausible but odd: kept, and asked about once. The code stays the same while the fact does. */
export interface Oddity {
  code: string;
  measure: keyof typeof MEASURE_FACTS;
  question: string;
}

/** An axis beyond this is asked about. Assumption: a pastern seldom stands so far off; a mark is often wrong. */
const ODD_AXIS_DEG = 12;

/**
 * What to ask about a reading, given the last one of the same foot: an axis beyond 12 degrees either way, and any
 * measure that moved by 15 mm or 8 degrees or more since.
 */
export function oddities(values: FootValues, last: FootValues | undefined, wording: Wording): Oddity[] {
  const found: Oddity[] = [];
  const { dorsalAngle, pasternAngle } = values;
  if (dorsalAngle && pasternAngle) {
    const axis = dorsalAngle.value - pasternAngle.value;
    if (Math.abs(axis) > ODD_AXIS_DEG)
      found.push({
        code: `axis ${axis.toFixed(1)}`,
        measure: "pasternAngle",
        question: `The axis would be ${wording.angle(axis)}. Was the horse square and the foot loaded?`,
      });
  }
  for (const measure of MEASURES) {
    const now = values[measure];
    const before = last?.[measure];
    if (!now || !before) continue;
    const facts = MEASURE_FACTS[measure];
    const change = now.value - before.value;
    if (Math.abs(change) < facts.oddChange) continue;
    const size = facts.kind === "angle" ? wording.angle(Math.abs(change)) : wording.length(Math.abs(change));
    found.push({
      code: `${measure} ${now.value.toFixed(1)}`,
      measure,
      question: `${wording.measure(measure)}: ${size} ${change > 0 ? "more" : "less"} than last time. Right foot, right unit?`,
    });
  }
  return found;
}
