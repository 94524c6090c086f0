import { relaxedPlan } from "../core/rounds/master";
import { loadsInReach } from "../core/rounds/reach";
import { tightPlan, dearness, leastDear, slimmed } from "../core/rounds/tight";
import { cutsPassed } from "../core/rounds/cuts";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, reach, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  let from = performance.now(); const el=()=>((performance.now() - from)/1000).toFixed(2);
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(N, 10000), ub = costOf(N, a);
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60});
  const g = reach || ub - r.bound;
  const t0=el();
  const f = loadsInReach(N, r.prices, pool.loads, g, 2e6)!;
  console.log(seed, t0, "ub", ub.toFixed(1), "lb", r.bound.toFixed(1), "own", f?.bound.toFixed(1), "gap", g.toFixed(1), "loads", f?.table.count, el());
  const start = { limits: [], prices: r.prices, active: leastDear(N, f.table, dearness(N, f.table, {prices:r.prices, limits:[]}), 60, 1e9)};
  let P = tightPlan(N, f.table, start);
  for (let k=0;k<40;k++){
    if (P.cost >= Math.min(ub, f.bound+g) - 1e-6) break;
    const cuts=cutsPassed(N, f.table, P);
    if(!cuts.length) break;
    const c0=P.cost;
    P = tightPlan(N, f.table, slimmed(N, f.table, P), cuts);
    console.log("  ", k, el(), "cost", P.cost.toFixed(2), "cuts", P.limits.length, "parts", P.parts.length);
    if (P.cost-c0 < 0.02*(ub-P.cost)) break;
  }
}
