/**
 * The speed promises, each as the ratio of what was measured to what was promised. A ratio up to 1 keeps the promise.
 * Absolute figures are for information: they belong to the machine that they were measured on. All groups take half
 * an hour; `npm run bench -- screens arithmetic` measures the groups that are named.
 */
import { arithmetic, pictures, rounds } from "./groups";
import { histories } from "./merge";
import { printPromises, type Promised } from "./promise";
import { screens } from "./screens";

const GROUPS: Record<string, () => Promised[] | Promise<Promised[]>> = {
  screens,
  arithmetic,
  rounds,
  pictures,
  histories,
};

const asked = process.argv.slice(2);
const strange = asked.filter((name) => !(name in GROUPS));
if (strange.length > 0)
  throw new Error(`No group ${strange.join(", ")}: there are ${Object.keys(GROUPS).join(", ")}`);
for (const [name, measure] of Object.entries(GROUPS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const from = performance.now();
  const rows = await measure();
  console.log(`${name.padEnd(56)} measured       bound    ratio`);
  if (!printPromises(rows)) process.exitCode = 1;
  console.log(`(${Math.round((performance.now() - from) / 1000)} s)\n`);
}
