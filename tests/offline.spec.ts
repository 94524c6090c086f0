import { cp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { spawn, type ChildProcess } from "node:child_process";
import { once } from "node:events";
import type { Browser, BrowserContext, TestInfo } from "@playwright/test";
import { expect, openDemo, test, TODAY } from "./round";

test.use({ serviceWorkers: "allow" });

/** A server of its own, so that it can be taken away. */
async function start(directory: string, port = 0): Promise<{ server: ChildProcess; address: string }> {
  const script = `import { serve } from "./scripts/serve.mjs"; console.log((await serve(Number(process.argv[1]), process.argv[2])).address);`;
  const server = spawn("node", ["--input-type=module", "-e", script, String(port), directory]);
  const [line] = (await once(server.stdout, "data")) as [Buffer];
  return { server, address: line.toString().trim() };
}

/** A copy of the build with a server of its own, and a browser for it. */
interface Own {
  directory: string;
  context: BrowserContext;
  served: { server: ChildProcess; address: string };
}

/** Works with a copy that may be changed and a server that may be taken away; both are gone afterwards. */
async function withOwn(browser: Browser, info: TestInfo, work: (own: Own) => Promise<void>): Promise<void> {
  const directory = info.outputPath("client");
  await cp("build/client", directory, { recursive: true });
  const own: Own = { directory, context: await browser.newContext(), served: await start(directory) };
  try {
    await work(own);
  } finally {
    own.served.server.kill();
    await own.context.close();
  }
}
/** The same address served anew. */
const startAgain = ({ directory, served }: Own) => start(directory, Number(new URL(served.address).port));

const ready = () =>
  navigator.serviceWorker.ready.then(
    () =>
      navigator.serviceWorker.controller !== null ||
      new Promise((done) => navigator.serviceWorker.addEventListener("controllerchange", () => done(true))),
  );

test("after the first load every address opens without the network, deep links too", async ({
  page,
  context,
}) => {
  await openDemo(page);
  await page.evaluate(ready);
  await context.setOffline(true);
  for (const [address, heading] of [
    ["/horses/demo-yard-1-horse-1", "Bramble"],
    [`/visits/demo-yard-1-horse-1-${TODAY}/arrive`, "Bramble"],
    ["/files", "Files"],
    ["/cautions", "Cautions"],
    ["/settings", "Settings"],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole("heading", { name: heading }).first()).toBeVisible();
  }
});

test("with the server gone it opens; when a new version is there it says so, and changes over when told", async ({
  browser,
}, info) =>
  withOwn(browser, info, async (own) => {
    const { directory, served } = own;
    const page = await own.context.newPage();
    const empty = page.getByRole("heading", { name: "No horses here yet" });
    await page.goto(served.address);
    await page.evaluate(ready);
    served.server.kill();
    await once(served.server, "exit");
    await page.reload();
    await expect(empty).toBeVisible();

    const index = await readFile(`${directory}/index.html`, "utf8");
    const worker = await readFile(`${directory}/offline.js`, "utf8");
    await writeFile(
      `${directory}/index.html`,
      index.replace("<title>Plumbline", "<title>The next Plumbline"),
    );
    await writeFile(
      `${directory}/offline.js`,
      worker.replace(/("?url"?:"index\.html","?revision"?:")[^"]*/, "$1next"),
    );
    for (const name of ["index.html", "offline.js"])
      for (const ending of ["gz", "br"]) await rm(`${directory}/${name}.${ending}`, { force: true });
    own.served = await startAgain(own);
    await page.reload();
    await expect(page.getByText("A new version of Plumbline is ready.")).toBeVisible({ timeout: 20_000 });
    expect(await page.content()).not.toContain("The next Plumbline");
    const loadedAnew = page.waitForEvent("load");
    await page.getByRole("button", { name: "Change over now" }).click();
    await loadedAnew;
    const text = await page.evaluate(() => fetch("/").then((response) => response.text()));
    expect(text).toContain("The next Plumbline");
    await expect(empty).toBeVisible();
    await expect(page.getByText("A new version of Plumbline is ready.")).toBeHidden();
  }));

test("another tab does not load anew by itself when one changes over: what is half typed stays, and the rest of its version is still there", async ({
  browser,
}, info) =>
  withOwn(browser, info, async (own) => {
    const { directory, served, context } = own;
    const [page, other] = [await context.newPage(), await context.newPage()];
    await page.goto(served.address);
    await page.evaluate(ready);
    await other.goto(`${served.address}/horses/new`);
    await other.getByRole("textbox", { name: "Notes" }).fill("likes apples");
    // The next version has another page, and no longer the part that this one loads when something is looked for.
    const finder =
      (await readdir(`${directory}/assets`)).find((name) => /^CommandFinder-.*\.js$/.test(name)) ?? "";
    const worker = await readFile(`${directory}/offline.js`, "utf8");
    const next = worker
      .replace(/("?url"?:"index\.html","?revision"?:")[^"]*/, "$1next")
      .replace(new RegExp(`\\{"?url"?:"assets/${finder}","?revision"?:null\\},?`), "");
    expect(next.length).toBeLessThan(worker.length - 20);
    await writeFile(`${directory}/offline.js`, next);
    for (const name of ["offline.js", `assets/${finder}`])
      for (const ending of ["", ".gz", ".br"])
        if (name !== "offline.js" || ending !== "")
          await rm(`${directory}/${name}${ending}`, { force: true });
    served.server.kill();
    // Its port is free once it is gone.
    await once(served.server, "exit");
    own.served = await startAgain(own);
    await page.reload();
    await page.getByRole("button", { name: "Change over now" }).click({ timeout: 20_000 });
    await expect(other.getByText("Plumbline has changed over in another tab.")).toBeVisible({
      timeout: 20_000,
    });
    await expect(other.getByRole("textbox", { name: "Notes" })).toHaveValue("likes apples");
    await other.locator("body").press("Control+k");
    await expect(other.getByRole("combobox").or(other.getByRole("searchbox")).first()).toBeVisible();
    await other.keyboard.press("Escape");
    await other.getByRole("button", { name: "Load anew" }).click();
    await expect(other.getByText("Plumbline has changed over in another tab.")).toBeHidden();
  }));

test("the browser finds nothing that keeps it from being installed, on a phone and on a laptop", async ({
  page,
}) => {
  await page.goto("/");
  await page.evaluate(ready);
  const session = await page.context().newCDPSession(page);
  const { installabilityErrors } = await session.send("Page.getInstallabilityErrors");
  // A window without a profile's pages on the disk cannot install anything, whatever the page.
  expect(installabilityErrors.filter(({ errorId }) => errorId !== "in-incognito")).toEqual([]);
  const { errors, data = "{}" } = await session.send("Page.getAppManifest");
  expect(errors).toEqual([]);
  const manifest = JSON.parse(data) as { icons: { src: string; sizes: string; purpose?: string }[] };
  for (const { src } of manifest.icons) {
    const answer = await page.request.get(src);
    expect([src, answer.status()]).toEqual([src, 200]);
  }
  const sizes = manifest.icons.map(({ sizes: one }) => one);
  expect(sizes).toEqual(expect.arrayContaining(["192x192", "512x512"]));
  expect(manifest.icons.some(({ purpose }) => purpose?.includes("maskable"))).toBe(true);
});

test("an unknown address leads back, and offers the export", async ({ page }) => {
  await page.goto("/nowhere/at/all");
  await expect(page.getByRole("heading", { name: "This page is not there" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Export a backup" })).toBeVisible();
  await page.goto("/horses/nobody");
  await expect(page.getByText("There is no such horse in this round.")).toBeVisible();
});
