import { relaxedPlan } from "../core/rounds/master";
import { loadsInReach } from "../core/rounds/reach";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, reach, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  let from = performance.now();
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(N, 1000), ub = costOf(N, a);
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60});
  const t0=((performance.now() - from)/1000).toFixed(1); 
  for (const g of reach ? [5, 10,20,30,40,50] : [ub - r.bound]) {
  from = performance.now();
  const f = loadsInReach(N, {prices: r.prices, limits: []}, g, 2e6);
  console.log(seed, t0, "ub", ub.toFixed(1), "lb", r.bound.toFixed(1), "own", f?.bound.toFixed(1), "gap", g.toFixed(1), "loads", f?.table.count, ((performance.now() - from)/1000).toFixed(2)+"s");
  }
}
