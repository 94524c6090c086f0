import type { IsoDate } from "../calendar/date";
import type { FootOutlook } from "../cycle/horseDue";
import type { FrontLens } from "../foot/lens";
import type { Settings } from "../record/settings";
import { runCycles } from "../trim/cycles";
import type { KeptQuestion } from "../trim/kept";
import { stageRowThatEnds, type StageRow } from "../trim/stageRow";
import type { VisitPlan } from "./visitPlan";

/** What is known of how a foot will go on. */
export type Pace = Pick<FootOutlook, "growth" | "drift">;

/** A foot as it stands at a visit and how it is kept, for whatever looks ahead of it. */
export function keptOf(
  { facts, asked: { question }, lenses }: Pick<VisitPlan, "facts" | "asked" | "lenses">,
  pace: Pace,
  from: IsoDate,
  settings: Pick<Settings, "margins" | "hemisphere">,
): KeptQuestion {
  const { toe, heelMedial, heelLateral } = question.above;
  return {
    foot: { ...facts.drawn, wallAboveSoleMm: { toe, medial: heelMedial, lateral: heelLateral } },
    lenses,
    finish: question.finish,
    margins: settings.margins,
    toeWall: question.toeWall,
    whiteLine: question.whiteLine,
    outside: question.outside,
    holdAxis: question.holdAxis,
    minToeLength: question.minToeLength,
    toeTarget: facts.target.toeLengthMm,
    sulcusDepth: question.sulcusDepth,
    sideAngle: question.sideAngle,
    growthPerDay: pace.growth.perDay,
    driftPerDay: pace.drift.perDay,
    from,
    hemisphere: settings.hemisphere,
  };
}

/** The stages of a plan that asks too much of one visit, by this foot's own growth; undefined where one visit does. */
export function visitStages(
  planned: VisitPlan,
  pace: Pace,
  from: IsoDate,
  settings: Pick<Settings, "margins" | "hemisphere">,
): StageRow | undefined {
  if (!planned.staged.ok || planned.staged.value.visits === 1) return undefined;
  const row = stageRowThatEnds(
    keptOf(planned, pace, from, settings),
    planned.staged.value.part.handCuts,
    planned.asked.flexural,
  );
  return row.ok ? row.value : undefined;
}

/** Weeks between trims, and how far ahead, in which a raise is followed until the axis is straight by itself. */
const RAISE = { everyWeeks: 5, aheadWeeks: 52, straightDeg: 1 };

/**
 * Weeks until a foot kept by a lens stands straight without a raise: the first trim that leaves it less than a degree
 * broken back. Undefined where that is not within a year. An estimate from mean rates.
 */
export function weeksOfRaise(
  planned: VisitPlan,
  lens: FrontLens,
  pace: Pace,
  from: IsoDate,
  settings: Pick<Settings, "margins" | "hemisphere">,
): number | undefined {
  const kept = keptOf({ ...planned, lenses: { ...planned.lenses, frontBack: lens } }, pace, from, settings);
  const run = runCycles({ ...kept, weeks: RAISE.aheadWeeks }, RAISE.everyWeeks);
  if (!run.ok) return undefined;
  const straight = run.value.moments.find(({ at, axis }) => at === "after" && axis > -RAISE.straightDeg);
  return straight && Math.round(straight.day / 7);
}
