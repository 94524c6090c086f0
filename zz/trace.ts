import loadHighs from "highs";
import { highsSolver } from "../core/math/programme";
import { planRounds } from "../core/rounds/plan";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, seconds, ...seeds] = process.argv.slice(2).map(Number);
const solve = highsSolver(await loadHighs());
for (const seed of seeds) {
  const from = performance.now();
  const elapsed = () => (performance.now() - from) / 1000;
  let n=0;
  const found = planRounds((madeUp as any)(seed, yards, jobs, days), solve, { seconds, elapsed, report: (b) => { if (process.env.V) console.log("  ", elapsed().toFixed(2), b.objective.toFixed(2), b.bound.toFixed(2), (b.gap*100).toFixed(2)); } });
  if (!found.ok) throw 1;
  const b = found.value;
  console.log(seed, elapsed().toFixed(2)+"s", b.objective.toFixed(2), b.bound.toFixed(2), (b.gap*100).toFixed(2)+"%", "drive", b.days.reduce((s,d)=>s+d.drive,0).toFixed(0), "left", b.left.length);
}
