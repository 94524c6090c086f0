// Rounds side by side in one run: our own search, the plain model in HiGHS and a simple heuristic, on ten seeded weeks of 8
// yards and 40 horses and two months of 25 yards and 160: node --import tsx bench/sideBySide.ts [seconds in which a month's
// best plan is looked for, none without].
import loadHighs from "highs";
import { highsSolver } from "~core/math/programme";
import { planRounds } from "~core/rounds/plan";
import { plainPlan, simplePlan } from "./plain";
import { madeUp } from "./rounds";

const [long = 0] = process.argv.slice(2).map(Number);
/** A solver that was stopped by time keeps what it held: each gets its own. */
const solver = async () => highsSolver(await loadHighs());
const timed = <T>(work: (elapsed: () => number) => T): { found: T; took: number } => {
  const from = performance.now();
  const elapsed = () => (performance.now() - from) / 1000;
  return { found: work(elapsed), took: elapsed() };
};
const said = (value: number | undefined) => (value === undefined ? "none" : value.toFixed(1)).padStart(8);

for (const [name, seeds, yards, jobs, days, seconds] of [
  ["week", [1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 8, 40, 5, 20],
  ["month", [1, 2], 25, 160, 20, 55],
] as const) {
  let within = 0;
  for (const seed of seeds) {
    const question = madeUp(seed, yards, jobs, days);
    const ourSolver = await solver();
    const ours = (limit: number) =>
      timed((elapsed) => {
        const plan = planRounds(question, ourSolver, { seconds: limit, elapsed });
        if (!plan.ok) throw new Error(plan.issues[0]?.message);
        return plan.value;
      });
    const { found, took } = ours(seconds);
    if (found.gap === 0 && took <= 5) within += 1;
    const plainSolver = await solver();
    const plain = timed(() => plainPlan(question, plainSolver, seconds));
    const simple = timed(() => simplePlan(question));
    const best = name === "month" && long > 0 ? ours(long).found : undefined;
    console.log(
      `${name} ${String(seed).padStart(2)}: ours ${said(found.objective)}, no plan under ${said(found.bound)} (gap ${(100 * found.gap).toFixed(1)} %), ${took.toFixed(1)} s; ` +
        `plain model ${said(plain.found.objective)}${plain.found.proven ? " proven" : ""}, ${plain.took.toFixed(1)} s; ` +
        `simple ${said(simple.found)}, ${simple.took.toFixed(2)} s` +
        (best ? `; ours in ${long} s ${said(best.objective)}, no plan under ${said(best.bound)}` : ""),
    );
    if (
      plain.found.proven &&
      found.gap === 0 &&
      Math.abs((plain.found.objective ?? 0) - found.objective) > 1e-3
    )
      throw new Error("two proven plans that do not cost the same");
  }
  if (name === "week") console.log(`proven within 5 s: ${within} of ${seeds.length}`);
}
