import { readFileSync } from "node:fs";
import loadHighs from "highs";
import { highsSolver, type Solver } from "~core/math/programme";
import { answer, wantsInput } from "./answer";
import { wantsSolver } from "./calculators";

const args = process.argv.slice(2);
const solve: Solver | undefined = wantsSolver(args[0]) ? highsSolver(await loadHighs()) : undefined;
const { stdout, stderr, exitCode } = answer(
  args,
  wantsInput(args) ? readFileSync(0, "utf8") : "",
  ...(solve ? [{ solve, seconds: () => performance.now() / 1000 }] : []),
);
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = exitCode;
