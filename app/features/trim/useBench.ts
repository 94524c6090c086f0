import { useMemo, useRef, useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import type { FrontLens } from "~core/foot/lens";
import { footEdit, footPlace } from "~core/record/footRecords";
import { CUTS, type AgreedPlan, type CutName, type Trim } from "~core/trim/trimRecord";
import { agreedPlan } from "~core/trim/agreed";
import { NO_CUT, type Cuts } from "~core/foot/parametric/predict";
import { visitPlan, type VisitPlan } from "~core/visit/visitPlan";
import { cutFoot } from "~core/foot/parametric/cut";
import type { StageContext } from "~app/stage/stageContext";
import { useLive } from "~app/stage/useLive";

/**
 * The plan of this foot by its own lenses and by a second one, if there is one; worked out anew only when its records,
 * lenses or settings change.
 */
function usePlans(context: StageContext, second: FrontLens | undefined) {
  const { visit, file, feet, limb, growth } = context;
  const wording = useWording();
  const settings = useSettings();
  const { horse } = file;
  // The records of a horse are read anew after every edit: `file` changes exactly when something may have changed.
  const planBy = (frontBack?: FrontLens): VisitPlan =>
    visitPlan({ visit, horse, feet, limb }, settings, wording, {
      growthPerDay: growth[limb],
      ...(frontBack && { frontBack }),
    });
  /* eslint-disable react-hooks/exhaustive-deps -- feet and growth are worked out from `file` and `visit` */
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
  const { save, settle } = useEdits();
  const typedDraft = useRef<string | undefined>(undefined);
  const [second, setSecond] = useState<FrontLens | undefined>(undefined);
  const { own, other } = usePlans(context, second);
  const blank = footPlace("trims", visit, limb, "before");
  const { trim } = feet[limb];
  const label = `${wording.limb(limb)} plan`;
  const planEdit = (was: AgreedPlan | undefined, now: AgreedPlan | undefined) =>
    footEdit(blank, "trims", trim, { path: ["plan"], was, now, label });
  const live = useLive<AgreedPlan | undefined>(trim?.plan, (was, now) => {
    const draft = typedDraft.current;
    typedDraft.current = undefined;
    return draft === undefined ? save(planEdit(was, now)) : settle(planEdit(was, now), draft);
  });
  const record: Trim | undefined = trim ?? (live.value && { ...(blank as Trim), plan: live.value });
  const plan = own.plan.ok ? own.plan.value : undefined;
  const cutsOf = (kept: AgreedPlan | undefined): Cuts => kept?.cuts ?? plan?.handCuts ?? NO_CUT;
  const cuts = cutsOf(live.value);
  const { question } = own.asked;
  const planWith = (next: Cuts, agreed: boolean): AgreedPlan | undefined => {
    const same = plan !== undefined && CUTS.every((cut) => next[cut] === plan.handCuts[cut]);
    const made = agreedPlan(own.facts.drawn, question, next, same ? "lenses" : "hand", agreed);
    return made.ok ? made.value : undefined;
  };
  const done = cutFoot(own.facts.drawn, cuts);
  return {
    ...own,
    plan,
    second: second !== undefined && second !== own.lenses.frontBack ? other : undefined,
    secondLens: second,
    setSecond,
    cuts,
    /** The plan that is kept, by hand or agreed; none while the lenses' own plan stands. */
    kept: live.value,
    /** True while the hand has moved a cut away from the lenses' plan. */
    byHand: live.value?.by === "hand",
    done,
    /** The record as it is stored, or as it was just sent: what the next edit starts from. */
    trim: record,
    blank,
    /** Moves one cut; kept when it comes to rest. */
    move: (cut: CutName, mm: number, rest: boolean) =>
      live.move(
        (now) => planWith({ ...cutsOf(now), [cut]: Math.max(0, mm) }, now?.agreed ?? false) ?? now,
        rest,
      ),
    /** A typed cut is kept at once, and its draft is dropped in the same breath. */
    put: (cut: CutName, mm: number, draft: string) => {
      typedDraft.current = draft;
      live.move((now) => planWith({ ...cutsOf(now), [cut]: mm }, now?.agreed ?? false) ?? now, false);
      live.settle();
    },
    /** All four at once: level down, or the other lens's plan. */
    moveAll: (next: Cuts) => {
      live.move((now) => planWith(next, now?.agreed ?? false) ?? now, false);
      live.settle();
    },
    /** The lenses' plan again. */
    reset: () => void save(planEdit(live.value, undefined)),
    /** The cuts as they stand become the plan that the sheet is worked from. */
    agree: () => {
      live.move(() => planWith(cuts, true), false);
      live.settle();
    },
  };
}
export type Bench = ReturnType<typeof useBench>;
