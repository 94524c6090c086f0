import { relaxedPlan } from "../core/rounds/master";
import { LoadPool } from "../core/rounds/pool";
import { roundsNumbers, bitCount } from "../core/rounds/numbers";
import { goodAssignment, costOf } from "../core/rounds/improve";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  let from = performance.now();
  const N = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(N, 10000), ub = costOf(N, a);
  const pool = new LoadPool();
  const r = relaxedPlan(N, pool, [], {elapsed: () => (performance.now() - from)/1000, seconds: 60});
  const gap = ub - r.bound;
  const t0=((performance.now() - from)/1000).toFixed(1); from = performance.now();
  const K=N.kinds.length; let count=0, nodes=0; const per:number[]=[];
  for (let d=0; d<N.have.length; d++) { let c0=count;
    const mu = r.prices[K+d]!;
    for (let m=1; m<1<<N.yards.length; m++) {
      const tour=N.tour(m).minutes; const cap=N.have[d]!+1e-9-N.stopMinutes*bitCount(m)-tour; if(cap<=0) continue;
      const need = tour - mu - gap; // sum worth >= need
      const ks:{w:number,min:number,n:number,y:number}[]=[];
      N.kinds.forEach((k,i)=>{ if(m&(1<<k.yard) && k.onDay[d]!<1e9) for (let x=0;x<1;x++) ks.push({w:r.prices[i]!-k.onDay[d]!,min:k.minutes,n:k.jobs.length,y:k.yard}); });
      ks.sort((a,b)=>b.w/b.min-a.w/a.min);
      // suffix yard coverage
      const suf=new Array(ks.length+1).fill(0); for(let i=ks.length-1;i>=0;i--) suf[i]=suf[i+1]|(1<<ks[i]!.y);
      const go=(i:number, left:number, sum:number, seen:number)=>{
        nodes++; if(count>3e6) return;
        if ((seen|suf[i])!==m) return;
        // fractional bound
        let b=sum, l=left; for(let j=i;j<ks.length && ks[j]!.w>0;j++){const t=ks[j]!; const mm=t.min*t.n; if(mm<=l){b+=t.w*t.n;l-=mm}else{b+=t.w*l/t.min;break}}
        if(b<need) return;
        if(i===ks.length){ count++; return; }
        const t=ks[i]!;
        for(let c=0;c<=t.n && c*t.min<=left;c++) go(i+1,left-c*t.min,sum+c*t.w,c?seen|(1<<t.y):seen);
      };
      go(0,cap,0,0);
    }
    per.push(count-c0);
  }
  console.log(seed, t0, "ub", ub.toFixed(1), "lb", r.bound.toFixed(1), "gap", gap.toFixed(1), "loads", count, per.join(","), "nodes", nodes, ((performance.now() - from)/1000).toFixed(2)+"s");
}
