import { daysBetween } from "../calendar/date";
import { capAfterFound, didNotLast, foundEffects } from "../shoe/foundShoe";
import { capWeeksOf, horseOutlook } from "../cycle/horseDue";
import { arrivalEffects, capAfterArrival } from "../caution/arrival";
import { readAxis } from "../foot/axis";
import { LIMBS, type Limb } from "../foot/limb";
import type { FootValues, Measure } from "../foot/measures";
import { noiseOf } from "../foot/records/pairs";
import type { Reading } from "../foot/records/reading";
import { lengthInField, type Wording } from "../foot/wording";
import { change } from "../record/change";
import type { Edit } from "../record/edit";
import type { HorseInCare } from "../record/horse";
import type { Settings } from "../record/settings";
import type { HorseDue, Visit } from "../record/visit";
import type { CutName } from "../trim/trimRecord";
import { nextDue } from "./nextDue";
import type { VisitFoot } from "./visitFoot";
import { counted } from "../units/counted";

/** One foot as it leaves, in words; undefined parts were not measured or noted. */
export interface SignedFoot {
  limb: Limb;
  /** Nothing was measured and nothing noted. */
  untouched: boolean;
  /** "44.0° → 48.5°", a dash where one of them is missing. */
  dorsalAngle: string;
  toeLength: string;
  /** The axis that is left, "–" without both angles after the trim. */
  axis: string;
  /** Medial heel, lateral heel, toe, dressing, in the field's own unit; undefined where nothing was noted. */
  taken: string | undefined;
  /** When this foot by itself comes due. */
  due: { due: string; reason: HorseDue["reason"] } | undefined;
}

/** What a visit is signed off with: when to come back and which foot says so, and each foot as it leaves. */
export interface SignOff {
  next: HorseDue;
  capWeeks: number;
  /** What was told on arrival and moves the window. */
  window: string[];
  /** "LF grows 1.9 mm a week (12 cycles)". */
  growth: string[];
  feet: SignedFoot[];
  /** Not measured after the trim. */
  unmeasured: Limb[];
}

const TAKEN = ["heelMedial", "heelLateral", "toe", "dress"] as const satisfies CutName[];
const DASH = "–";

/**
 * The sign-off of a visit from its feet and the readings up to its day. A signed visit keeps the due day that it was
 * signed with.
 */
export function signOff(
  {
    visit,
    horse,
    feet,
    due,
    standing,
  }: {
    visit: Visit;
    horse: HorseInCare;
    feet: Record<Limb, VisitFoot>;
    /** The day for which the visit before was signed. */
    due?: string | undefined;
    /** What the visit before was signed with; a visit for the toes alone leaves it as it is. */
    standing?: HorseDue | undefined;
  },
  readings: readonly Reading[],
  settings: Settings,
  wording: Wording,
): SignOff {
  // Against the day that the visit before was signed with.
  const beforeItsDay = due !== undefined && visit.date < due;
  const lasted = !LIMBS.some((limb) => didNotLast(feet[limb].shoe?.found, beforeItsDay));
  const capWeeks = capAfterFound(capAfterArrival(capWeeksOf(horse, settings), visit.arrival), lasted);
  const told = { ...horse, capWeeks };
  const outlooks = horseOutlook(
    told,
    readings.filter(({ date }) => date <= visit.date),
    settings,
  );
  const noise = noiseOf(settings);
  return {
    next:
      visit.status === "signed" && visit.next
        ? visit.next
        : visit.job === "toe only" && standing && standing.due > visit.date
          ? { ...standing, day: daysBetween(visit.date, standing.due) }
          : nextDue({ visit, horse: told, feet, outlooks, settings }, wording),
    capWeeks,
    window: [
      ...arrivalEffects(visit.arrival),
      ...LIMBS.flatMap((limb) => foundEffects(feet[limb].shoe?.found, beforeItsDay)),
    ].flatMap(({ moves, says }, at, all) =>
      moves === "window" && all.findIndex((one) => one.says === says) === at ? [says] : [],
    ),
    growth: outlooks.map(
      ({ growth, limb }) =>
        `${limb} grows ${(growth.perDay * 7).toFixed(1)} mm a week (${growth.observations ? counted(growth.observations, "cycle") : "general value"})`,
    ),
    unmeasured: LIMBS.filter((limb) => Object.keys(feet[limb].values.after).length === 0),
    feet: LIMBS.map((limb): SignedFoot => {
      const { values, cuts } = feet[limb];
      const outlook = outlooks.find((one) => one.limb === limb);
      const due = outlook?.question?.last === visit.date ? outlook.due : undefined;
      return {
        limb,
        untouched: [values.before, values.after, cuts].every((one) => Object.keys(one).length === 0),
        dorsalAngle: beforeAfter(values, "dorsalAngle", wording.angle),
        toeLength: beforeAfter(values, "toeLength", wording.length),
        axis: axisLeft(values.after, noise.angleDeg, wording),
        taken: TAKEN.every((cut) => cuts[cut] === undefined)
          ? undefined
          : TAKEN.map((cut) => {
              const mm = cuts[cut];
              return mm === undefined ? DASH : lengthInField(mm, wording, mm % 1 === 0 ? 0 : 1);
            }).join(" / "),
        due: due && { due: due.due, reason: due.reason },
      };
    }),
  };
}

const beforeAfter = (
  { before, after }: VisitFoot["values"],
  measure: Measure,
  show: (value: number) => string,
): string =>
  [before[measure]?.value, after[measure]?.value]
    .map((value) => (value === undefined ? DASH : show(value)))
    .join(" → ");

function axisLeft(
  { dorsalAngle, pasternAngle }: FootValues,
  angleNoiseDeg: number,
  wording: Wording,
): string {
  if (!dorsalAngle || !pasternAngle) return DASH;
  const axis = readAxis(dorsalAngle.value, pasternAngle.value, angleNoiseDeg);
  return axis.word === "straight" ? "straight" : `${axis.word} ${wording.angle(Math.abs(axis.axisDeg))}`;
}

/** The edits that sign a visit at an instant, with the day that it is due again. */
export const signEdits = (visit: Visit, next: HorseDue, at: string): Edit[] => [
  change("visits", visit, ["status"], "signed", "sign off"),
  change("visits", visit, ["signedAt"], at, "sign off"),
  change("visits", visit, ["next"], next, "sign off"),
];
