import { z } from "zod";
import { idField } from "../schema/fields";
import type { Random } from "../math/random";
import { fail, ok, type Result } from "../result";
import { atLevel } from "./level";
import type { Miss } from "./tryRecord";

/** One step of a protocol. */
const stepSchema = z.strictObject({
  id: idField,
  text: z.string().min(1).max(120),
  /** Why it stands where it stands. */
  why: z.string().max(300),
  /** It may change places with the step before it. */
  free: z.boolean().optional(),
});
export type Step = z.infer<typeof stepSchema>;

/** As many as an examination's form has room for. */
export const MOST_STEPS = 40;

/** A protocol: steps in their order, each with its reason. */
export const protocolSchema = z.strictObject({
  id: idField,
  name: z.string().min(1).max(80),
  /** Time that it is allowed, minutes; none without. */
  minutes: z.number().min(1).max(240).optional(),
  steps: z.array(stepSchema).max(MOST_STEPS),
});
export type Protocol = z.infer<typeof protocolSchema>;

const step = (id: string, text: string, why: string, free = false): Step => ({
  id,
  text,
  why,
  ...(free && { free }),
});

/** Map, prepare, trim, choose, fit: the house's order. Source: trade practice. */
export const HOUSE_PROTOCOL: Protocol = {
  id: "house",
  name: "Map, prepare, trim, choose, fit",
  minutes: 5,
  steps: [
    step("stand", "Look at the horse standing square", "What the limb does explains what the foot shows"),
    step("walk", "Watch it walk away and back", "Landing and leaving over are gone once a foot is trimmed"),
    step(
      "ends",
      "Mark both ends of the central sulcus",
      "Everything on the sole is measured from its back end",
    ),
    step("apex", "Mark the true apex, twice the sulcus", "The frog's own point may have been drawn forward"),
    step("widest", "Draw the line of the widest part", "It lies over the centre of rotation as a rule"),
    step("bars", "See where the bars end", "A second witness of the centre, before the bars are cut", true),
    step("halves", "Compare front and back half", "The trim is aimed by it, and by the axis"),
    step("axis", "Read dorsal wall and pastern", "It says whether toe or heel has to come down", true),
    step("chalk", "Explore beside the point of the frog", "Depth of chalk says how much foot there is"),
    step(
      "frog",
      "Take off loose frog and sole only",
      "What is firm protects; what is loose hides the live sole",
    ),
    step("bar-down", "Bars down to the sole", "A standing bar takes load that is the wall's", true),
    step(
      "line",
      "Mark the safety line round the live sole",
      "No cut goes past it; horn that is off does not go back",
    ),
    step("heels", "Bring the heels to their plane", "The back half is the base that the front is set to"),
    step("toe", "Cut the toe to the heels' plane", "Now it follows from heels and live sole, not from habit"),
    step("dress", "Dress only what stands outside its own outline", "A sound straight wall is left alone"),
    step(
      "second",
      "Second look: level, both toe quarters",
      "Taking one side down leaves the other quarter proud",
    ),
    step(
      "choose",
      "Choose the shoe, with its reason",
      "Ground, work and support decide, after the foot is known",
    ),
    step("measure", "Measure width and length of the shoe", "Stock is cut once"),
    step(
      "shape",
      "Shape it, then look at it against the foot",
      "The shoe is fitted to the foot, not the foot to it",
    ),
    step(
      "nail",
      "Nail or set it, and look at each nail",
      "Height and line show whether the wall was sound there",
    ),
    step(
      "finish",
      "Clinch, finish, walk the horse again",
      "What changed is only seen by looking the second time",
    ),
  ],
};

/** Steps that may change places with one another, in order. */
export function groupsOf(steps: readonly Step[]): Step[][] {
  const groups: Step[][] = [];
  for (const one of steps) {
    const last = groups.at(-1);
    if (one.free && last) last.push(one);
    else groups.push([one]);
  }
  return groups;
}

/** A protocol that can be run. Errors, each at its field: no name, no step, a step without words, the same step twice. */
export function checkProtocol(protocol: Protocol): Result<Protocol> {
  if (protocol.name.trim() === "")
    return fail("no-name", "name", "Give the protocol a name: it stands on its form.");
  if (protocol.steps.length === 0)
    return fail(
      "no-steps",
      "steps",
      "A protocol without steps cannot be run. Write the first one: a line that says what is done, such as “Mark the true apex”.",
    );
  const seen = new Set<string>();
  for (const { id, text } of protocol.steps) {
    const said = text.trim().toLowerCase();
    if (said === "")
      return fail("no-words", `steps.${id}`, "Say what is done in this step, or take it away.");
    if (seen.has(said))
      return fail(
        "twice",
        `steps.${id}`,
        "This step stands here twice: nobody could tell which one is done.",
      );
    seen.add(said);
  }
  return ok(protocol);
}

export type StepState = "done" | "out of order" | "missed";

/** How a run went. */
export interface ScoredRun {
  /** Every step in the protocol's order; `where` says of one out of order what it stands before or after. */
  steps: { step: Step; state: StepState; where?: string }[];
  /** The part of the steps that was done in order, 0 to 100. */
  score: number;
  misses: Miss[];
}

/**
 * The longest run of steps that stand in order among those chosen, by index: the others are the fewest that would have
 * to move. `rank` is the group of each; equal ranks may stand either way. Source: longest non-decreasing subsequence.
 */
function longestInOrder(rank: readonly number[]): Set<number> {
  const best: { length: number; from: number }[] = [];
  rank.forEach((mine, index) => {
    let found = { length: 1, from: -1 };
    for (let before = 0; before < index; before++) {
      const one = best[before];
      if (one && (rank[before] as number) <= mine && one.length + 1 > found.length)
        found = { length: one.length + 1, from: before };
    }
    best.push(found);
  });
  let at = best.reduce((top, one, index) => (one.length > (best[top]?.length ?? 0) ? index : top), 0);
  const kept = new Set<number>();
  while (at >= 0 && best[at]) {
    kept.add(at);
    at = best[at]?.from ?? -1;
  }
  return kept;
}

/**
 * Steps as they were chosen, held against the protocol: out of order are the fewest that would have to move for the rest
 * to stand in order; what was never chosen is missed. A step counts once, when it was first chosen; steps that the
 * protocol does not have are not counted.
 */
export function scoreRun({ steps }: Protocol, chosen: readonly string[]): ScoredRun {
  const rankOf = new Map(
    groupsOf(steps).flatMap((group, rank) => group.map(({ id }) => [id, rank] as const)),
  );
  const done = [...new Set(chosen)].filter((id) => rankOf.has(id));
  const ranks = done.map((id) => rankOf.get(id) as number);
  const kept = longestInOrder(ranks);
  const scored = steps.map((one): ScoredRun["steps"][number] => {
    const at = done.indexOf(one.id);
    if (at < 0) return { step: one, state: "missed" };
    if (kept.has(at)) return { step: one, state: "done" };
    const mine = ranks[at] as number;
    const chain = done.map((id, index) => ({ id, index, rank: ranks[index] as number }));
    const later = chain.find(({ index, rank }) => kept.has(index) && index < at && rank > mine);
    const earlier = chain.findLast(({ index, rank }) => kept.has(index) && index > at && rank < mine);
    const other = steps.find(({ id }) => id === (later ?? earlier)?.id);
    return {
      step: one,
      state: "out of order",
      ...(other && { where: `stands ${later ? "before" : "after"} “${other.text}”` }),
    };
  });
  const inOrder = scored.filter(({ state }) => state === "done").length;
  return {
    steps: scored,
    score: scored.length === 0 ? 0 : (100 * inOrder) / scored.length,
    misses: scored.map(({ step: { text }, state }) => ({
      of: text.slice(0, 80),
      unit: "wrong",
      off: state === "done" ? 0 : 1,
    })),
  };
}

/**
 * Steps that are offered to choose the next from, in mixed order: more of them the higher the level, the right one always
 * among them while there is one.
 */
export function offeredSteps(
  random: Random,
  { steps }: Protocol,
  chosen: readonly string[],
  level: number,
): Step[] {
  const left = steps.filter(({ id }) => !chosen.includes(id));
  const many = Math.round(atLevel(level, [3, 9]));
  const [first, ...rest] = left;
  if (!first) return [];
  const mixed = (all: readonly Step[]): Step[] =>
    all
      .map((one) => ({ one, key: random() }))
      .sort((a, b) => a.key - b.key)
      .map(({ one }) => one);
  // Near ones are harder to tell apart than far ones.
  const near = rest.slice(0, Math.max(many, 4));
  return mixed([first, ...mixed(near).slice(0, many - 1)]);
}
