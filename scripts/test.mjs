// Everything a change has to pass, from nothing: install, types, lint, unit tests, build, end-to-end in Chromium.
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { installChromium, installPackages, run, start } from "./install.mjs";

const RESULTS = "test-results/summary";
let passed = 0;
let failed = 0;
const count = (ok) => (ok ? passed++ : failed++);

installPackages();
installChromium();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

console.log("\n— types and lint");
// What the routes' types are made of has to stand first; each of the two then keeps one core busy.
run("npx", ["react-router", "typegen"]);
for (const ok of await Promise.all(["types", "lint"].map((what) => start("npm", ["run", "-s", what]))))
  count(ok);

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
