import { readFileSync } from "node:fs";
import { answer, wantsInput } from "./answer";

const args = process.argv.slice(2);
const { stdout, stderr, exitCode } = answer(args, wantsInput(args) ? readFileSync(0, "utf8") : "");
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = exitCode;
