import type { HeatPlan, HeatStep } from "./operation";

const kept = (plan: readonly HeatStep[]): HeatPlan => plan.filter(({ ops }) => ops.length > 0);

/** Where an operation stands: number of its step and its place in it; undefined where it is in none. */
const placeOf = (plan: HeatPlan, id: string): { step: number; at: number } | undefined => {
  const step = plan.findIndex(({ ops }) => ops.includes(id));
  return step === -1 ? undefined : { step, at: plan[step]?.ops.indexOf(id) ?? 0 };
};

/**
 * The plan with one operation a place earlier (`by` -1) or later (1). At the edge of its heat it goes over into the
 * neighbour, or past it where that is of another kind (cold work, a fire).
 */
export function movedBy(plan: HeatPlan, id: string, by: -1 | 1): HeatPlan {
  const place = placeOf(plan, id);
  const own = place && plan[place.step];
  if (!place || !own) return plan;
  const to = place.at + by;
  const rest = own.ops.filter((op) => op !== id);
  if (to >= 0 && to < own.ops.length) {
    const ops = [...rest.slice(0, to), id, ...rest.slice(to)];
    return plan.map((step) => (step === own ? { ...step, ops } : step));
  }
  const neighbour = plan[place.step + by];
  if (!neighbour) return plan;
  if (neighbour.kind === own.kind)
    return kept(
      plan.map((step) =>
        step === own
          ? { ...step, ops: rest }
          : step === neighbour
            ? { ...step, ops: by < 0 ? [...step.ops, id] : [id, ...step.ops] }
            : step,
      ),
    );
  const alone: HeatStep = { kind: own.kind, ops: [id] };
  return kept(
    plan.flatMap((step) =>
      step === own
        ? [{ ...step, ops: rest }]
        : step === neighbour
          ? by < 0
            ? [alone, step]
            : [step, alone]
          : [step],
    ),
  );
}

/** The plan with a new heat beginning at this operation: what came before it in its heat stays behind. */
export function splitAt(plan: HeatPlan, id: string): HeatPlan {
  const place = placeOf(plan, id);
  if (!place || place.at === 0) return plan;
  return plan.flatMap((step, index) =>
    index === place.step
      ? [
          { ...step, ops: step.ops.slice(0, place.at) },
          { ...step, ops: step.ops.slice(place.at) },
        ]
      : [step],
  );
}
