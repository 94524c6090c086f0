import { goodAssignment, costOf } from "../core/rounds/improve";
import { roundsNumbers } from "../core/rounds/numbers";
import { madeUp } from "../bench/rounds";
const [yards, jobs, days, rounds, ...seeds] = process.argv.slice(2).map(Number);
for (const seed of seeds) {
  const from = performance.now();
  const numbers = roundsNumbers(madeUp(seed, yards, jobs, days));
  const a = goodAssignment(numbers, rounds);
  console.log(seed, rounds, ((performance.now() - from)/1000).toFixed(1), costOf(numbers, a).toFixed(1));
}
