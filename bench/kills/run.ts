// Kills the browser at moments of chance while somebody types, fills in forms, plans, drags, ticks, paints, takes photographs, restores, puts two
// devices together or opens an older store, and looks at what is there afterwards: node --import tsx bench/kills/run.ts
// [how many] [seed] [kind ...]. Wants a build and the stores of the tests.
import { seededRandom } from "../../core/math/random";
import { readBackup } from "../../core/record/backup";
import { writeBackup } from "../../core/record/backupText";
import { TABLE_NAMES, type Records } from "../../core/record/tables";
import { serve } from "../../scripts/serve.mjs";
import { PORT } from "../../playwright.config";
import { chooseDemo } from "../../tests/stores";
import { killable } from "./browser";
import {
  bringIn,
  drag,
  fortyMore,
  forms,
  paint,
  photographs,
  plan,
  prepared,
  tick,
  typeAway,
  type Chance,
} from "./doings";
import { halves, hasWitness, leaveWitness, look, losses, settle, type Acts, type Found } from "./found";
import { chooseRound, halfMigrated, isOlder, OWN, putOlder } from "./older";

const [count = 1000, seed = 1] = process.argv.slice(2, 4).map(Number);
const HANDS = { type: typeAway, drag, tick, paint, photographs, forms, plan };
const KINDS = [
  "type",
  "type",
  "drag",
  "tick",
  "paint",
  "photographs",
  "forms",
  "forms",
  "plan",
  "restore",
  "merge",
  "migrate",
] as const;
type Kind = (typeof KINDS)[number];
const asked = KINDS.filter((kind) => process.argv.length < 5 || process.argv.slice(4).includes(kind));

const random = seededRandom(seed);
const below = (most: number) => Math.floor(random() * most);
const chance: Chance = { below, pick: (list) => list[below(list.length)] as (typeof list)[number] };

// The round of the tests lies in the store of their address.
const { server, address } = await serve(PORT, "build/client");
const browser = killable(address);
const opened = async () => {
  const context = await browser.open();
  return { context, page: context.pages()[0] ?? (await context.newPage()) };
};
/** Work goes on until the browser is killed at a moment of chance; when that was. */
async function killedWhile(work: Promise<unknown>, afterMs: number): Promise<number> {
  let trouble: unknown;
  const ended = work.catch((error: unknown) => (trouble = error));
  await new Promise((done) => setTimeout(done, afterMs));
  // What fails before the kill is a fault of this bench: it would look for nothing.
  if (trouble !== undefined) throw trouble;
  const at = Date.now();
  await browser.kill();
  await ended;
  return at;
}

const numbers = (records: Records) => TABLE_NAMES.map((name) => records[name].length).join();

const acts: Acts = new Map();
/** The store that everything is done in, put in as the tests have it. */
async function begin(): Promise<Found> {
  await browser.begin();
  const { context, page } = await opened();
  await chooseDemo(page, true);
  await leaveWitness(page);
  await prepared(page);
  const found = await look(page);
  await context.close();
  return found;
}
let before = await begin();

const tried = new Map<string, number>();
let [lookedFor, broken, thrownAway] = [0, 0, 0];
const tell = () =>
  `${[...tried].map(([kind, of]) => `${kind} ${of}`).join(", ")}: ${lookedFor} things older than a second looked for, ${broken} faults, ${thrownAway} stores thrown away by the browser`;
for (let one = 0; one < count; one++) {
  const kind: Kind = chance.pick(asked);
  const mark = `kill-${seed}-${one}`;
  const wrong: string[] = [];
  let said: string = kind;
  const { context, page } = await opened();
  if (kind === "migrate") {
    await putOlder(page, before.records);
    await killedWhile(page.goto("/", { waitUntil: "commit" }), 200 + below(3200));
    await context.close().catch(() => undefined);
    const after = await opened();
    const found = await look(after.page, OWN);
    said = isOlder(found) ? "migrate, before its end" : "migrate, after its end";
    wrong.push(...halfMigrated(found));
    // What was broken off is done when it is opened again. The browser keeps that choice late: it may be gone.
    await chooseRound(after.page, "own");
    await after.page.goto("/");
    await after.page.getByRole("link", { name: "Horses" }).first().waitFor({ timeout: 30_000 });
    const again = await look(after.page, OWN);
    wrong.push(...halfMigrated(again), ...halves(again));
    if (isOlder(again)) wrong.push("the migration was not done at the next start");
    await chooseRound(after.page, "demo");
    await after.context.close();
  } else {
    const file = kind === "restore" || kind === "merge" ? writeBackup(fortyMore(before.records, mark)) : "";
    if (file !== "" && !readBackup(file).ok) throw new Error("the file of this bench is not sound");
    let killedAt: number;
    if (kind === "restore" || kind === "merge") {
      await bringIn(page, file, kind === "restore" ? "Restore it" : "Put together");
      killedAt = await killedWhile(Promise.resolve(), below(1500));
    } else {
      // A fortnight takes seconds to plan.
      const afterMs = (kind === "plan" ? 6000 : 1500) + below(2500);
      killedAt = await killedWhile(HANDS[kind](page, Date.now() + afterMs + 5000, acts, chance), afterMs);
    }
    await context.close().catch(() => undefined);
    const after = await opened();
    const found = await look(after.page);
    const witnessed = await hasWitness(after.page);
    await after.context.close();
    if (!witnessed) {
      // A browser does so with a store that it finds damaged: all that was in it is one fault, and it begins anew.
      thrownAway += 1;
      console.log(`${one} ${kind}: the browser has thrown its store away`);
      tried.set(kind, (tried.get(kind) ?? 0) + 1);
      acts.clear();
      before = await begin();
      continue;
    }
    const whole = found.records.visits.filter(({ id }) => id.startsWith(mark)).length;
    if (kind === "restore" && whole === 40) acts.clear();
    if (file !== "") said = `${kind}, ${whole === 0 ? "before" : "after"} its end`;
    const lost = losses(found, acts, killedAt);
    lookedFor += lost.lookedFor;
    wrong.push(...lost.wrong, ...halves(found));
    if (file !== "" && whole !== 0 && whole !== 40) wrong.push(`half a ${kind}: ${whole} of 40 visits`);
    if (found.records.horses.length !== before.records.horses.length)
      wrong.push(`horses were lost or doubled: ${numbers(before.records)}, then ${numbers(found.records)}`);
    settle(found, acts);
    before = found;
  }
  tried.set(said, (tried.get(said) ?? 0) + 1);
  for (const text of wrong) console.log(`${one} ${kind}: ${text}`);
  broken += wrong.length;
  if (one % 10 === 9) console.log(`${one + 1} kills (${tell()})`);
}
console.log(`${count} kills: ${tell()}`);
browser.away();
server.close();
process.exitCode = broken + thrownAway > 0 ? 1 : 0;
