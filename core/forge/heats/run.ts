import type { Forging } from "../forgeRecord";
import type { HeatPlan } from "./operation";
import { heatsIn } from "./plan";

export type HeatRun = NonNullable<Forging["run"]>;

/** A running sheet at its first step, its clock begun. */
export const begunRun = (now: string): HeatRun => ({ at: 0, since: now, taken: { "0": 1 }, seconds: {} });

/** The time since the last instant put to the step that is worked on. */
function booked(run: HeatRun, now: string): Record<string, number> {
  if (!run.since) return run.seconds;
  const gone = Math.max(0, (Date.parse(now) - Date.parse(run.since)) / 1000);
  const key = String(run.at);
  return { ...run.seconds, [key]: Math.min(86_400, (run.seconds[key] ?? 0) + gone) };
}

/**
 * The sheet one step on or back, its time booked; undefined before the first step and after the end. The first visit of
 * a step counts as one time in the fire, going back and forth counts none. Past the last step the clock stops.
 */
export function steppedRun(run: HeatRun, plan: HeatPlan, by: 1 | -1, now: string): HeatRun | undefined {
  const at = run.at + by;
  if (at < 0 || at > plan.length) return undefined;
  const key = String(at);
  const next: HeatRun = { at, since: now, taken: run.taken, seconds: booked(run, now) };
  if (at === plan.length) {
    delete next.since;
    return next;
  }
  return { ...next, taken: { ...run.taken, [key]: run.taken[key] ?? 1 } };
}

/** The same step once more in the fire. */
export const againRun = (run: HeatRun, now: string): HeatRun => ({
  ...run,
  since: now,
  seconds: booked(run, now),
  taken: { ...run.taken, [String(run.at)]: Math.min(20, (run.taken[String(run.at)] ?? 1) + 1) },
});

/** Heats planned and taken, and the seconds over all steps. */
export function runCounts(run: HeatRun, plan: HeatPlan): { planned: number; taken: number; seconds: number } {
  return {
    planned: heatsIn(plan),
    taken: plan.reduce(
      (sum, { kind }, index) => sum + (kind === "heat" ? (run.taken[String(index)] ?? 0) : 0),
      0,
    ),
    seconds: Object.values(run.seconds).reduce((sum, seconds) => sum + seconds, 0),
  };
}
