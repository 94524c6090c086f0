import { relaxedPlan } from "../core/rounds/master";
import { loadsInReach } from "../core/rounds/reach";
import { tightPlan, dearness, leastDear, slimmed, narrowed, type TightPlan } from "../core/rounds/tight";
import { cutsPassed } from "../core/rounds/cuts";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers } from "../core/rounds/numbers";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, reach, seconds, ...seeds] = process.argv.slice(2).map(Number) as any;
for (const seed of seeds) {
  let from = performance.now(); const el=()=>((performance.now() - from)/1000).toFixed(2);
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60}, {quick:true});
  console.log(seed, "root", r.cost.toFixed(1), el());
  const plan = { prices: r.prices, limits: [] };
  const got = loadsInReach(N, plan, reach, 3e6)!;
  const T = got.table, top = got.bound+reach;
  console.log("bound", got.bound.toFixed(2), "top", top.toFixed(1), "loads", T.count, el());
  let P: TightPlan = tightPlan(N, T, { ...plan, active: leastDear(N, T, dearness(N, T, plan), 60, 1e9) });
  console.log("lp", P.cost.toFixed(2), el());
  for (let k=0;k<40 && Number(el())<seconds;k++){
    if (P.cost>=top) break;
    const cuts=cutsPassed(N, T, P);
    if(!cuts.length) break;
    P = tightPlan(N, T, slimmed(N, T, P), cuts);
    P = narrowed(N, T, slimmed(N,T,P), top);
    console.log("  cut", k, el(), P.cost.toFixed(2), "limits", P.limits.length, "active", P.active.length, "parts", P.parts.length, T.count);
  }
}
