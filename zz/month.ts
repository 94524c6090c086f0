import { relaxedPlan } from "../core/rounds/relaxed";
import { freshLoads, divedPlan } from "../core/rounds/dive";
import { LoadTable } from "../core/rounds/table";
import { roundsNumbers } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { loadFrom } from "../core/rounds/loads";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, met_, ...seeds] = process.argv.slice(2).map(Number) as any;
for (const seed of seeds) {
  const from = performance.now(); const el=()=>((performance.now() - from)/1000).toFixed(1);
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const table = new LoadTable();
  const met = (dd: number[]) => { for (let day=0; day<days; day++) { const counts=new Map<number,number>(); let mask=0; dd.forEach((one,job)=>{ if (one!==day) return; const k=N.kindOf[job]!; counts.set(k,(counts.get(k)??0)+1); mask|=1<<N.kinds[k]!.yard; }); if (mask) table.addNew(loadFrom(N, day, mask, [...counts])); } };
  const g = goodAssignment(N, met_, { met });
  console.log(seed, "good", costOf(N,g).toFixed(1), el(), table.count);
  const nothing = { limits: [], prices: N.kinds.map(({ left }: any) => left), active: [...Array(table.count).keys()] };
  let it=0;
  const fresh = freshLoads(N, table);
  const r = relaxedPlan(N, table, nothing, { fresh: (p)=>{it++; return fresh(p);} });
  console.log("root", r.cost.toFixed(1), el(), "its", it, table.count);
  const loads = divedPlan(N, table, r, () => false);
  const dd: number[] = N.kindOf.map(() => N.have.length);
  const next = N.kinds.map(() => 0);
  for (const { day, taken } of loads) for (const [kind, count] of taken) for (let i = 0; i < count; i++) { const job = N.kinds[kind]!.jobs[next[kind]!++]; if (job !== undefined) dd[job] = day; }
  console.log("  dived", costOf(N, dd).toFixed(1), el(), loads.length);
  for (const k of [2000, 20000]) { const g = goodAssignment(N, k, {start: dd}); console.log("  improved", k, costOf(N, g).toFixed(1), el()); }
}
