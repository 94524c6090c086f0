import { cp, readFile, writeFile } from "node:fs/promises";
import { spawn, type ChildProcess } from "node:child_process";
import { once } from "node:events";
import { expect, openDemo, test, TODAY } from "./round";

/** A server of its own, so that it can be taken away. */
async function start(directory: string): Promise<{ server: ChildProcess; address: string }> {
  const script = `import { serve } from "./scripts/serve.mjs"; console.log((await serve(Number(process.argv[1]), process.argv[2])).address);`;
  const server = spawn("node", ["--input-type=module", "-e", script, "0", directory]);
  const [line] = (await once(server.stdout, "data")) as [Buffer];
  return { server, address: line.toString().trim() };
}

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

test("with the server gone it opens, and when a new version is there it says so and changes over", async ({
  browser,
}, info) => {
  const directory = info.outputPath("client");
  await cp("build/client", directory, { recursive: true });
  const { server, address } = await start(directory);
  const context = await browser.newContext();
  const page = await context.newPage();
  try {
    await page.goto(address);
    await page.evaluate(ready);
    await page.reload();
    await expect(page.getByRole("heading", { name: "No horses here yet" })).toBeVisible();

    const worker = await readFile(`${directory}/offline.js`, "utf8");
    await writeFile(`${directory}/offline.js`, `${worker}\n// the next version\n`);
    for (const ending of ["gz", "br"]) await writeFile(`${directory}/offline.js.${ending}`, "");
    server.kill();
    await once(server, "exit");
    await page.reload();
    await expect(page.getByRole("heading", { name: "No horses here yet" })).toBeVisible();
  } finally {
    server.kill();
    await context.close();
  }
});

test("an unknown address leads back, and offers the export", async ({ page }) => {
  await page.goto("/nowhere/at/all");
  await expect(page.getByRole("heading", { name: "This page is not there" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Export a backup" })).toBeVisible();
  await page.goto("/horses/nobody");
  await expect(page.getByText("There is no such horse in this round.")).toBeVisible();
});
