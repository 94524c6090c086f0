import loadHighs from "highs";
import { programmeText } from "../core/math/programme";
import { roundsNumbers, bitCount } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const highs = await loadHighs();
const [yards, jobs, days, seconds, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const ub = costOf(N, goodAssignment(N, 10000));
  const cost: number[] = []; const rows: any[] = []; const most = new Map<number,number>();
  const D = N.have.length, Y = N.yards.length, K = N.kinds.length;
  const kk = N.kinds.map((k) => k.onDay.map((c) => { cost.push(c - k.left); most.set(cost.length-1, k.jobs.length); return cost.length-1; }));
  let base = N.kinds.reduce((s,k)=>s+k.left*k.jobs.length,0);
  N.kinds.forEach((k,i)=>rows.push({terms: kk[i]!.map(v=>[v,1]), sense:"<=", bound:k.jobs.length}));
  for (let d=0; d<D; d++) {
    const w: [number,number][] = []; const caps: [number,number][] = []; const has: [number,number][][] = Array.from({length:Y},()=>[]);
    for (let m=1;m<1<<Y;m++){ const cap = N.have[d]! - N.stopMinutes*bitCount(m) - N.tour(m).minutes; if (cap<25) continue;
      cost.push(N.tour(m).minutes); const v=cost.length-1; w.push([v,1]); caps.push([v,-cap]); for(let y=0;y<Y;y++) if(m&(1<<y)) has[y]!.push([v,-1]); }
    rows.push({terms:w,sense:"<=",bound:1});
    rows.push({terms:[...caps, ...N.kinds.map((k,i)=>[kk[i]![d]!,k.minutes])],sense:"<=",bound:0});
    N.kinds.forEach((k,i)=>rows.push({terms:[[kk[i]![d]!,1],...has[k.yard]!.map(([v,c])=>[v,c*k.jobs.length])],sense:"<=",bound:0}));
  }
  for (const whole of [false,true]) {
    const t=performance.now();
    const text = programmeText({cost,rows,whole,most});
    const r:any = highs.solve(text,{output_flag:false, mip_rel_gap:0, time_limit:seconds});
    console.log(seed, whole, r.Status, (base+r.ObjectiveValue).toFixed(1), "heur", ub.toFixed(1), ((performance.now()-t)/1000).toFixed(1)+"s");
  }
}
