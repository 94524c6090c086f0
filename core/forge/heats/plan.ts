import { fail, ok, type Result } from "../../result";
import {
  fireAtMost,
  fireFor,
  leftAfter,
  WHOLE_FIRE,
  type HeatPlan,
  type HeatStep,
  type Operation,
} from "./operation";

/** What a way costs: a heat outweighs any number of whole shoes brought hot for the sake of two ends. */
const HEAT_COSTS = 100;
const WHOLE_COSTS = 1;

/** A way so far: what is done, the step that is under way, and the way before it. */
interface Way {
  done: bigint;
  step: HeatStep;
  /** The fire that the step's places need, and the heat that is left in the steel at most. */
  fire: number;
  leftC: number;
  before?: Way;
}

/** More states than this and the search gives up: no real shoe comes near it. */
const MOST_STATES = 400_000;

/**
 * The fewest heats in which every operation finds what must come before it, the heat it needs, and a fire that holds it:
 * shortest way through all that can be done next, exact. Cold work is gathered and costs nothing. Among equals the one
 * that brings the whole shoe hot least often, then the one that keeps to the given order.
 *
 * Errors: `impossible` where an operation waits for itself, or finds no heat.
 */
export function planHeats(operations: readonly Operation[]): Result<HeatPlan> {
  const bit = new Map(operations.map(({ id }, index) => [id, 1n << BigInt(index)]));
  const needs = operations.map((op) => op.needs.reduce((mask, id) => mask | (bit.get(id) ?? 0n), 0n));
  const all = (1n << BigInt(operations.length)) - 1n;
  const byId = new Map(operations.map((op) => [op.id, op]));
  /** What is left after these from a new fire; undefined where one of them finds too little. */
  const forge = (ids: readonly string[]): { fire: number; leftC: number } | undefined => {
    const ops = ids.flatMap((id) => byId.get(id) ?? []);
    const fire = fireFor(ops.map(({ place }) => place));
    if (fire === undefined) return undefined;
    let leftC = fireAtMost(fire);
    for (const op of ops) {
      const after = leftAfter(leftC, op);
      if (after === undefined) return undefined;
      leftC = after;
    }
    return { fire, leftC };
  };
  const seen = new Set<string>();
  const buckets: Way[][] = [[{ done: 0n, step: { kind: "cold", ops: [] }, fire: 0, leftC: 0 }]];
  for (let cost = 0; cost < buckets.length; cost++) {
    const bucket = (buckets[cost] ??= []);
    while (bucket.length > 0) {
      const way = bucket.pop() as Way;
      if (way.done === all) return ok(stepsOf(way));
      const key = `${way.done}|${way.step.kind}|${way.fire}|${way.leftC}`;
      if (seen.has(key)) continue;
      seen.add(key);
      if (seen.size > MOST_STATES) return fail("impossible", "", "This shoe has too many ways to be forged.");
      // Pushed in reverse so that the given order comes first off the stack.
      for (let index = operations.length - 1; index >= 0; index--) {
        const op = operations[index] as Operation;
        const mine = 1n << BigInt(index);
        if ((way.done & mine) !== 0n || (way.done & (needs[index] ?? 0n)) !== needs[index]) continue;
        const done = way.done | mine;
        if (op.heat === undefined) {
          const step: HeatStep =
            way.step.kind === "cold"
              ? { kind: "cold", ops: [...way.step.ops, op.id] }
              : { kind: "cold", ops: [op.id] };
          const before = way.step.kind === "cold" ? way.before : way;
          bucket.push({ done, step, fire: 0, leftC: 0, ...(before && { before }) });
          continue;
        }
        if (way.step.kind === "heat") {
          const ops = [...way.step.ops, op.id];
          const going = forge(ops);
          if (going) {
            const more = going.fire === WHOLE_FIRE && way.fire !== WHOLE_FIRE ? WHOLE_COSTS : 0;
            (buckets[cost + more] ??= []).push({ ...way, ...going, done, step: { kind: "heat", ops } });
            if (more === 0) continue;
          }
        }
        const anew = forge([op.id]);
        if (anew)
          (buckets[cost + HEAT_COSTS] ??= []).push({
            ...anew,
            done,
            step: { kind: "heat", ops: [op.id] },
            before: way,
          });
      }
    }
  }
  return fail("impossible", "", "There is no order in which this shoe can be forged.");
}

function stepsOf(way: Way): HeatPlan {
  const steps: HeatStep[] = [];
  for (let at: Way | undefined = way; at; at = at.before) if (at.step.ops.length > 0) steps.unshift(at.step);
  return steps;
}

export const heatsIn = (plan: HeatPlan): number => plan.filter(({ kind }) => kind === "heat").length;
