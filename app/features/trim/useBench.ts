import { useMemo, useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import type { FrontLens } from "~core/foot/lens";
import { sameValue } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import { CUTS, type AgreedPlan, type CutName, type Trim } from "~core/trim/trimRecord";
import { worthMeasuring } from "~core/trim/footQuestion";
import { agreedPlan } from "~core/trim/agreed";
import { NO_CUT, type Cuts } from "~core/foot/parametric/predict";
import { visitPlan, type VisitPlan } from "~core/visit/visitPlan";
import { cutFoot } from "~core/foot/parametric/cut";
import type { StageContext } from "~app/stage/stageContext";
import { useHandle } from "~app/ui/useHandle";

/**
 * The plan of this foot by its own lenses and by a second one, if there is one; worked out anew only when its records,
 * lenses or settings change.
 */
function usePlans(context: StageContext, second: FrontLens | undefined) {
  const { visit, file, feet, limb, outlooks } = context;
  const wording = useWording();
  const settings = useSettings();
  const { horse } = file;
  // The records of a horse are read anew after every edit: `file` changes exactly when something may have changed.
  const planBy = (frontBack?: FrontLens): VisitPlan =>
    visitPlan({ visit, horse, feet, limb }, settings, wording, {
      growthPerDay: outlooks[limb].growth.perDay,
      ...(frontBack && { frontBack }),
    });
  /* eslint-disable react-hooks/exhaustive-deps -- feet and outlooks are worked out from `file` and `visit` */
  const own = useMemo(() => planBy(), [visit, file, limb, settings, wording.unit, wording.fraction]);
  const other = useMemo(
    () => second && planBy(second),
    [visit, file, limb, settings, wording.unit, wording.fraction, second],
  );
  /* eslint-enable react-hooks/exhaustive-deps */
  return { own, other };
}

/** The bench of one foot: the lenses' plan, the cuts as the hand has them now, and what becomes of the foot. */
export function useBench(context: StageContext) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save, saveWith } = useEdits();
  const [second, setSecond] = useState<FrontLens | undefined>(undefined);
  const { own, other } = usePlans(context, second);
  // Asked once for the records as they are, not on every frame of a drag.
  const wants = useMemo(() => worthMeasuring(own.asked).filter(({ mm }) => mm >= 0.5), [own]);
  const blank = footPlace("trims", visit, limb, "before");
  const { trim } = feet[limb];
  const label = `${wording.limb(limb)} plan`;
  const planEdit = (now: AgreedPlan | undefined) =>
    footEdit(blank, "trims", trim, { path: ["plan"], now, label });
  const handle = useHandle<AgreedPlan | undefined>(trim?.plan, (now, flushSync) =>
    sameValue(now, trim?.plan) ? undefined : saveWith([planEdit(now)], [], flushSync),
  );
  const standing = handle.value;
  const record: Trim | undefined = trim ?? (standing && { ...(blank as Trim), plan: standing });
  const plan = own.plan.ok ? own.plan.value : undefined;
  const cutsOf = (kept: AgreedPlan | undefined): Cuts => kept?.cuts ?? plan?.handCuts ?? NO_CUT;
  const cuts = cutsOf(standing);
  const { question } = own.asked;
  const planWith = (next: Cuts, agreed: boolean): AgreedPlan | undefined => {
    const same = plan !== undefined && CUTS.every((cut) => next[cut] === plan.handCuts[cut]);
    const made = agreedPlan(own.facts.drawn, question, next, same ? "lenses" : "hand", agreed);
    return made.ok ? made.value : undefined;
  };
  const withCut = (now: AgreedPlan | undefined, cut: CutName, mm: number) =>
    planWith({ ...cutsOf(now), [cut]: mm }, now?.agreed ?? false);
  const keepPlan = (next: AgreedPlan | undefined) => {
    if (next && !sameValue(next, trim?.plan)) void save(planEdit(next));
  };
  const done = cutFoot(own.facts.drawn, cuts);
  return {
    ...own,
    wants,
    plan,
    second: second !== undefined && second !== own.lenses.frontBack ? other : undefined,
    secondLens: second,
    setSecond,
    cuts,
    /** The plan that is kept, by hand or agreed; none while the lenses' own plan stands. */
    kept: standing,
    /** True while the hand has moved a cut away from the lenses' plan. */
    byHand: standing?.by === "hand",
    done,
    /** The record as it is stored, or as it was just sent: what the next edit starts from. */
    trim: record,
    blank,
    /** Moves one cut; kept when it is let go. */
    move: (cut: CutName, mm: number, rest: boolean) =>
      handle.move((now) => withCut(now, cut, Math.max(0, mm)) ?? now, rest),
    /** The edit of a typed cut. */
    cutEdit: (cut: CutName, mm: number) => planEdit(withCut(standing, cut, mm) ?? standing),
    /** All four at once: level down, or the other lens's plan. */
    moveAll: (next: Cuts) => keepPlan(planWith(next, standing?.agreed ?? false)),
    /** The lenses' plan again. */
    reset: () => void save(planEdit(undefined)),
    /** The cuts as they stand become the plan that the sheet is worked from. */
    agree: () => keepPlan(planWith(cuts, true)),
  };
}
export type Bench = ReturnType<typeof useBench>;
