import type { Side } from "../../foot/limb";

/** What of the shoe an operation works on, and so what has to be in the fire. */
export type HeatPlace = "toe" | Side | "heels" | "whole";

/** One thing that is done to the steel. Words carry medial and lateral, to be put in the user's own terms. */
export interface Operation {
  id: string;
  words: string;
  place: HeatPlace;
  /** Heat the steel must have all through it, degrees C; undefined = done cold. */
  heat?: { fromC: number; toC: number };
  /** What it loses meanwhile, degrees C. */
  cools: number;
  /** What has to be done before, by id. */
  needs: readonly string[];
  /** Looked at before it counts as done. */
  check?: string;
  /** The usual caution at this step. */
  caution?: string;
}

/** One stay in the fire and what is done from it, or work done cold. */
export interface HeatStep {
  kind: "heat" | "cold";
  /** In the order of doing. */
  ops: string[];
}
export type HeatPlan = readonly HeatStep[];

/** Places that one heat can hold together: the toe with one branch, the two heels, or the whole shoe. */
const HOLDS: readonly (readonly HeatPlace[])[] = [
  ["toe", "medial"],
  ["toe", "lateral"],
  ["heels"],
  ["whole", "toe", "medial", "lateral", "heels"],
];
/** A whole shoe is not brought hotter than this evenly, degrees C. Assumption. */
export const WHOLE_AT_MOST_C = 1000;

/** The fire that holds all of these places together, by its number; undefined where none does. */
export function fireFor(places: readonly HeatPlace[]): number | undefined {
  const found = HOLDS.findIndex((held) => places.every((place) => held.includes(place)));
  return found === -1 ? undefined : found;
}
export const WHOLE_FIRE = HOLDS.length - 1;

/** The hottest that steel comes out of this fire, degrees C. */
export const fireAtMost = (fire: number): number =>
  fire === WHOLE_FIRE ? WHOLE_AT_MOST_C : Number.POSITIVE_INFINITY;

/** What is left at most after an operation that finds `leftC` at most, degrees C; undefined where that is too cold. */
export function leftAfter(leftC: number, { heat, cools }: Operation): number | undefined {
  if (!heat) return leftC;
  const left = Math.min(leftC, heat.toC) - cools;
  return left >= heat.fromC ? left : undefined;
}

/**
 * The lowest heat at which these operations can be begun so that each of them finds what it needs, degrees C; or the
 * first that cannot: what went before leaves the steel too cold for it.
 */
export function startOf(ops: readonly Operation[]): { startC: number } | { tooColdFor: string } {
  const fire = fireFor(ops.map(({ place }) => place));
  let left: number = fire === undefined ? Number.POSITIVE_INFINITY : fireAtMost(fire);
  for (const op of ops) {
    const after = leftAfter(left, op);
    if (after === undefined) return { tooColdFor: op.id };
    left = after;
  }
  let need = 0;
  for (const { heat, cools } of [...ops].reverse()) if (heat) need = Math.max(heat.fromC, need) + cools;
  return { startC: need };
}

export type HeatTrouble =
  | { kind: "missing"; op: string }
  | { kind: "before"; op: string; needs: string }
  | { kind: "apart"; op: string }
  | { kind: "too-cold"; op: string }
  | { kind: "cold-in-fire"; op: string };

/** Where a plan breaks a condition: nothing where it can be forged as it stands. */
export function heatTroubles(operations: readonly Operation[], plan: HeatPlan): HeatTrouble[] {
  const byId = new Map(operations.map((op) => [op.id, op]));
  const troubles: HeatTrouble[] = [];
  const done = new Set<string>();
  for (const step of plan) {
    const ops = step.ops.flatMap((id) => byId.get(id) ?? []);
    for (const op of ops) {
      for (const needs of op.needs)
        if (byId.has(needs) && !done.has(needs)) troubles.push({ kind: "before", op: op.id, needs });
      done.add(op.id);
      if ((op.heat === undefined) !== (step.kind === "cold"))
        troubles.push({ kind: "cold-in-fire", op: op.id });
    }
    if (step.kind === "cold" || ops.length === 0) continue;
    const stray = ops.find(
      (_, index) => fireFor(ops.slice(0, index + 1).map(({ place }) => place)) === undefined,
    );
    if (stray) troubles.push({ kind: "apart", op: stray.id });
    else {
      const start = startOf(ops);
      if ("tooColdFor" in start) troubles.push({ kind: "too-cold", op: start.tooColdFor });
    }
  }
  for (const { id } of operations) if (!done.has(id)) troubles.push({ kind: "missing", op: id });
  return troubles;
}
