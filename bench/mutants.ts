// The long form of core/sheet/mutants.test.ts: node --import tsx bench/mutants.ts [how many] [seed].
import { attack } from "../core/sheet/mutants.fixture";

const [count = 10_000, seed = 1_000_000] = process.argv.slice(2).map(Number);
const { tried, taken, refused, slowestMs, broken } = attack(count, seed, () => performance.now());
console.log(`${tried} files: ${taken} taken, ${refused} refused, slowest ${Math.round(slowestMs)} ms`);
for (const one of broken) console.log(one);
process.exitCode = broken.length > 0 ? 1 : 0;
