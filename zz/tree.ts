import { relaxedPlan } from "../core/rounds/master";
import { loadsInReach } from "../core/rounds/reach";
import { tightPlan, dearness, leastDear, slimmed, narrowed } from "../core/rounds/tight";
import { cutsPassed } from "../core/rounds/cuts";
import { branched, dived } from "../core/rounds/tree";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, reach, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  let from = performance.now(); const el=()=>((performance.now() - from)/1000).toFixed(2);
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(N, 10000); let ub = costOf(N, a);
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60});
  const g = reach || ub - r.bound;
  const t0=el();
  const f = loadsInReach(N, r.prices, pool.loads, g, 2e6)!;
  console.log(seed, t0, "ub", ub.toFixed(1), "lb", r.bound.toFixed(1), "own", f?.bound.toFixed(1), "gap", g.toFixed(1), "loads", f?.table.count, el());
  const start = { limits: [], prices: r.prices, active: leastDear(N, f.table, dearness(N, f.table, {prices:r.prices, limits:[]}), 60, 1e9)};
  let P = tightPlan(N, f.table, start);
  const costLoads = (loads: readonly number[]) => { const done = N.kinds.map(()=>0); let c=0; for (const l of loads) { c+=f.table.cost[l]!; for (let at=f.table.from[l]!; at<f.table.from[l+1]!; at++) done[f.table.kind[at]!]! += f.table.times[at]!; } return c + N.kinds.reduce((s,k,i)=>s+k.left*(k.jobs.length-done[i]!),0); };
  const offer = (loads: readonly number[]) => { const c = costLoads(loads); if (c<ub) { ub=c; console.log("   better", ub.toFixed(2), el()); } };
  for (let k=0;k<40;k++){
    if (P.cost >= Math.min(ub, f.bound+g) - 1e-6) break;
    const cuts=cutsPassed(N, f.table, P);
    if(!cuts.length) break;
    const c0=P.cost;
    P = tightPlan(N, f.table, slimmed(N, f.table, P), cuts);
    P = narrowed(N, f.table, slimmed(N, f.table, P), Math.min(ub, f.bound+g));
    console.log("  ", k, el(), "cost", P.cost.toFixed(2), "cuts", P.limits.length, "parts", P.parts.length, "loads", f.table.count);
    if (P.cost-c0 < 0.04*(ub-P.cost)) break;
  }
  offer(dived(N, f.table, P, () => false));
  P = narrowed(N, f.table, P, Math.min(ub, f.bound+g));
  console.log("   dived", el(), f.table.count);
  const v = branched(N, f.table, P, { best: () => ub, offer, late: () => performance.now()-from > 25000, report: () => {} });
  console.log(seed, "done", v.toFixed(2), ub.toFixed(2), el());
}
console.log("DP",(globalThis as any).DP,(globalThis as any).DC,(globalThis as any).DN)
