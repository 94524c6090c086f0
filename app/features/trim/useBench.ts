import { useMemo, useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import type { FrontLens } from "~core/foot/lens";
import { sameValue } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import {
  CUTS,
  FLARE_PLACES,
  type AgreedPlan,
  type CutName,
  type FlarePlace,
  type Flares,
  type Trim,
} from "~core/trim/trimRecord";
import { isConundrum } from "~core/trim/strokes";
import { visitStages, weeksOfRaise } from "~core/visit/trimAhead";
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
function usePlans(context: StageContext, chosen: FrontLens | "none" | undefined) {
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
  // The two answers to a low, run-forward heel stand side by side without being asked for.
  const second =
    chosen === "none"
      ? undefined
      : (chosen ??
        (own.lenses.frontBack === "straight-axis" && isConundrum(own.asked.question.foot)
          ? "heels-back"
          : undefined));
  const other = useMemo(
    () => second && planBy(second),
    [visit, file, limb, settings, wording.unit, wording.fraction, second],
  );
  /* eslint-enable react-hooks/exhaustive-deps */
  return { own, other, second };
}

/** The bench of one foot: the lenses' plan, the cuts as the hand has them now, and what becomes of the foot. */
export function useBench(context: StageContext) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save, saveWith } = useEdits();
  const settings = useSettings();
  const [chosenSecond, setSecond] = useState<FrontLens | "none" | undefined>(undefined);
  const { own, other, second } = usePlans(context, chosenSecond);
  const pace = context.outlooks[limb];
  // Asked once for the records as they are, not on every frame of a drag.
  const wants = useMemo(() => worthMeasuring(own.asked).filter(({ mm }) => mm >= 0.5), [own]);
  const stages = useMemo(
    () => visitStages(own, pace, visit.date, settings),
    [own, pace, visit.date, settings],
  );
  const raise = useMemo(
    () =>
      second === undefined
        ? undefined
        : {
            own: weeksOfRaise(own, own.lenses.frontBack, pace, visit.date, settings),
            second: weeksOfRaise(own, second, pace, visit.date, settings),
          },
    [own, second, pace, visit.date, settings],
  );
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
  const flaresOf = (kept: AgreedPlan | undefined): Flares =>
    kept ? (kept.flares ?? {}) : own.flares.planned;
  const [, next] = stages?.stages ?? [];
  const stage =
    stages && next && trim?.atOnceWhy === undefined
      ? { of: stages.stages.length, next: next.date }
      : undefined;
  const planWith = (cutsNow: Cuts, agreed: boolean, flares: Flares): AgreedPlan | undefined => {
    const same =
      plan !== undefined &&
      CUTS.every((cut) => cutsNow[cut] === plan.handCuts[cut]) &&
      FLARE_PLACES.every((place) => (flares[place] ?? 0) === (own.flares.planned[place] ?? 0));
    const made = agreedPlan(own.facts.drawn, question, cutsNow, same ? "lenses" : "hand", agreed, {
      flares,
      ...(stage && { stage }),
    });
    return made.ok ? made.value : undefined;
  };
  const withCut = (now: AgreedPlan | undefined, cut: CutName, mm: number) =>
    planWith({ ...cutsOf(now), [cut]: mm }, now?.agreed ?? false, flaresOf(now));
  const choiceEdits = (path: "furtherBack" | "strictPlane" | "atOnceWhy", now: string | true | undefined) => [
    footEdit(blank, "trims", trim, { path: [path], now, label }),
    // A plan that was moved by hand before stands on another limit.
    ...(trim?.plan ? [planEdit(undefined)] : []),
  ];
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
    setSecond: (lens: FrontLens | undefined) => setSecond(lens ?? "none"),
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
    moveAll: (all: Cuts) => keepPlan(planWith(all, standing?.agreed ?? false, flaresOf(standing))),
    /** Dressing besides the toe, as the hand has it now. */
    flaresNow: flaresOf(standing),
    flareEdit: (place: FlarePlace, mm: number) =>
      planEdit(planWith(cuts, standing?.agreed ?? false, { ...flaresOf(standing), [place]: mm }) ?? standing),
    stages,
    /** This visit's place in them, while the plan is a part. */
    stage,
    raise,
    /** Something of this foot decided otherwise than the plan would; the plan is worked out anew. */
    choose: (path: "furtherBack" | "strictPlane" | "atOnceWhy", now: string | true | undefined) =>
      save(...choiceEdits(path, now)),
    choiceEdits: (path: "furtherBack" | "strictPlane" | "atOnceWhy", now: string | true | undefined) =>
      choiceEdits(path, now),
    /** The lenses' plan again. */
    reset: () => void save(planEdit(undefined)),
    /** The cuts as they stand become the plan that the sheet is worked from. */
    agree: () => keepPlan(planWith(cuts, true, flaresOf(standing))),
  };
}
export type Bench = ReturnType<typeof useBench>;
