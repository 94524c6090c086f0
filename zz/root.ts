import { relaxedPlan } from "../core/rounds/relaxed";
import { freshLoads } from "../core/rounds/dive";
import { LoadTable } from "../core/rounds/table";
import { roundsNumbers } from "../core/rounds/numbers";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, ...seeds] = process.argv.slice(2).map(Number) as any;
for (const seed of seeds) {
  const from = performance.now();
  const numbers = roundsNumbers(madeUp(seed, yards, jobs, days));
  const table = new LoadTable();
  let it=0, fr=0;
  const fresh = freshLoads(numbers, table);
  const nothing = { limits: [], prices: numbers.kinds.map(({ left }: any) => left), active: [...Array(table.count).keys()] };
  const r = relaxedPlan(numbers, table, nothing, { fresh: (p) => { const t=performance.now(); const f = fresh(p); it++; fr+=performance.now()-t; if (process.env.V) console.log(it, ((performance.now() - from)/1000).toFixed(2), f.length); return f; } });
  console.log(seed, numbers.kinds.length, ((performance.now() - from)/1000).toFixed(1), r.cost.toFixed(1), table.count, "its", it, "fresh s", (fr/1000).toFixed(1));
}
const G=globalThis as any; console.log(G.PN, (G.PD/G.PN).toFixed(3), (G.PF/G.PN).toFixed(3))
