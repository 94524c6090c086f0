// Everything a change has to pass, from nothing: install, types, lint, unit tests, build, end-to-end in Chromium.
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { installChromium, installPackages, run } from "./install.mjs";

const RESULTS = "test-results/summary";
let passed = 0;
let failed = 0;
const count = (ok) => (ok ? passed++ : failed++);

installPackages();
installChromium();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

console.log("\n— types");
count(run("npm", ["run", "-s", "typecheck"]));
console.log("\n— lint");
count(run("npm", ["run", "-s", "lint"]));

console.log("\n— unit tests");
const unitOk = run("npm", ["run", "-s", "unit", "--", "--json", `--outputFile=${RESULTS}/unit.json`]);
if (existsSync(`${RESULTS}/unit.json`)) {
  const unit = JSON.parse(readFileSync(`${RESULTS}/unit.json`, "utf8"));
  passed += unit.numPassedTests;
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
} else count(unitOk);

console.log("\n— build");
const built = run("npm", ["run", "-s", "build"]);
count(built);

if (built) {
  console.log("\n— end to end");
  const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: `${RESULTS}/e2e.json` };
  const e2eOk = run("npx", ["playwright", "test", "--reporter=list,json"], { env });
  if (existsSync(`${RESULTS}/e2e.json`)) {
    const { stats } = JSON.parse(readFileSync(`${RESULTS}/e2e.json`, "utf8"));
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
    if (!e2eOk && stats.unexpected + stats.flaky === 0) failed++;
  } else count(e2eOk);
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
