import loadHighs from "highs";
import { highsSolver } from "../core/math/programme";
import { relaxedPlan, wholePlan } from "../core/rounds/master";
import { loadsInReach } from "../core/rounds/reach";
import { tightPlan, dearness, leastDear, slimmed, narrowed, type TightPlan } from "../core/rounds/tight";
import { cutsPassed, limitsOver } from "../core/rounds/cuts";
import { branched, dived } from "../core/rounds/tree";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const solve = highsSolver(await loadHighs());
const [yards, jobs, days, MOST, seconds, ...seeds] = process.argv.slice(2).map(Number) as any;
for (const seed of seeds) {
  let from = performance.now(); const el=()=>((performance.now() - from)/1000).toFixed(2);
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(N, 10000); let ub = costOf(N, a);
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60}, {quick:true});
  console.log(seed, el(), "ub", ub.toFixed(1), "root", r.cost.toFixed(1));
  let T: any; 
  const costLoads = (loads: readonly number[]) => { const days=new Set(); const done = N.kinds.map(()=>0); let c=0; for (const l of loads) { days.add(T.day[l]); c+=T.cost[l]!; for (let at=T.from[l]!; at<T.from[l+1]!; at++) done[T.kind[at]!]! += T.times[at]!; } if (days.size<loads.length || N.kinds.some((k,i)=>done[i]!>k.jobs.length)) return 1e9; return c + N.kinds.reduce((s,k,i)=>s+k.left*(k.jobs.length-done[i]!),0); };
  const offer = (loads: readonly number[]) => { const c = costLoads(loads); if (c<ub) { ub=c; } console.log("   offered", c.toFixed(2), ub.toFixed(2), el()); };
  let plan: Pick<TightPlan,"prices"|"limits"|"cost"> = { prices: r.prices, limits: [], cost: r.cost };
  let bound = -1e9;
  for (let round=0; round<12 && Number(el())<seconds; round++) {
    let reach = Math.min(ub - plan.cost, days>10? 40: 1e9); let got; 
    const gap = reach;
    const cap = MOST;
    for (;;) { got = loadsInReach(N, plan, reach, cap); if (got) break; reach *= 0.7; console.log('   shrink', el()); if (reach<0.01) break;} if (!got) break;
    T = got.table; bound = Math.max(bound, got.bound);
    console.log(" round", round, el(), "bound", got.bound.toFixed(2), "lp was", plan.cost.toFixed(2), "reach", reach.toFixed(1), "of", gap.toFixed(1), "loads", T.count);
    const bare = { limits: limitsOver(N, T, plan.limits.map(l=>l.rows!)), prices: plan.prices };
    let P: TightPlan = tightPlan(N, T, { ...bare, active: leastDear(N, T, dearness(N, T, bare), 60, 1e9) });
    console.log("    lp", P.cost.toFixed(2), el());
    const c00=P.cost;
    for (let k=0;k<8;k++){
      const cuts=cutsPassed(N, T, P);
      if(!cuts.length) break;
      const c0=P.cost;
      P = slimmed(N,T,tightPlan(N, T, slimmed(N, T, P), cuts));
      if (process.env.V) console.log("      cut", k, el(), P.cost.toFixed(2), P.limits.length, P.parts.length);
      if (P.cost-c0 < 0.03*(ub-P.cost)) break;
    }
    console.log("    cut lp", P.cost.toFixed(2), "limits", P.limits.length, "parts", P.parts.length, el());
    offer(dived(N, T, P, () => false));
    const least = leastDear(N, T, dearness(N, T, P), days>10?100:200, ub - P.cost);
    const w = 0 as any || days>10 ? undefined : wholePlan(N, least.map(l=>T.load(N,l)), solve, 3);
    if (w) { const c=w.reduce((s,l)=>s+l.cost,0)+N.kinds.reduce((s,k,i)=>s+k.left*(k.jobs.length-w.reduce((q,l)=>q+(l.taken.find(([z])=>z===i)?.[1]??0),0)),0); console.log("    highs", least.length, c.toFixed(2), el()); if (c<ub) ub=c; }
    plan = P;
    if (P.cost > ub - 1e-6) break;
  }
}
