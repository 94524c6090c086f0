import type { Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import type { Moment, Reading } from "../record/reading";
import type { Trim } from "../record/trim";
import type { Visit } from "../record/visit";
import { footHistory, type FootVisit } from "./horseDue";

/** One foot at one visit: what was measured and cut, and how the visit before left it. */
export interface VisitFoot {
  limb: Limb;
  values: Record<Moment, FootValues>;
  confirmed: Record<Moment, readonly string[]>;
  cuts: Trim["cuts"];
  /** The last visit before this one at which this foot was measured. */
  last?: FootVisit;
}

export function visitFoot(
  visit: Pick<Visit, "id" | "date">,
  limb: Limb,
  readings: readonly Reading[],
  trims: readonly Trim[],
): VisitFoot {
  const here = (moment: Moment) =>
    readings.find((one) => one.visitId === visit.id && one.limb === limb && one.moment === moment);
  const before = here("before");
  const after = here("after");
  const earlier = readings.filter((one) => one.visitId !== visit.id && one.date <= visit.date);
  const last = footHistory(earlier, limb).findLast(({ before: b, after: a }) => measured(b) || measured(a));
  return {
    limb,
    values: { before: before?.values ?? {}, after: after?.values ?? {} },
    confirmed: { before: before?.confirmed ?? [], after: after?.confirmed ?? [] },
    cuts: trims.find((one) => one.visitId === visit.id && one.limb === limb)?.cuts ?? {},
    ...(last && { last }),
  };
}

const measured = (values: FootValues | undefined): boolean =>
  values !== undefined && Object.keys(values).length > 0;
