import { relaxedPlan } from "../core/rounds/master";
import { divedPlan } from "../core/rounds/dive";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  const from = performance.now(); const el=()=>(performance.now() - from)/1000;
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const pool = new LoadPool();
  const W = {elapsed: el, seconds: 100};
  const r = relaxedPlan(N, pool, [], W, {quick:true});
  console.log(seed, "root", r.cost.toFixed(1), el().toFixed(1));
  const loads = divedPlan(N, pool.loads, r, W);
  const dd: number[] = N.kindOf.map(() => N.have.length);
  const next = N.kinds.map(() => 0);
  for (const { day, taken } of loads) for (const [kind, count] of taken) for (let i = 0; i < count; i++) { const job = N.kinds[kind]!.jobs[next[kind]!++]; if (job !== undefined) dd[job] = day; }
  console.log("  dived", costOf(N, dd).toFixed(1), el().toFixed(1), loads.length);
  for (const k of [0, 2000, 20000]) { const g = goodAssignment(N, k, {start: dd}); console.log("  improved", k, costOf(N, g).toFixed(1), el().toFixed(1)); }
}
