import { readFile, writeFile } from "node:fs/promises";
import { expect, openDemo, test } from "./round";

test.use({ serviceWorkers: "allow" });

test("the server compresses, keeps hashed files for ever and asks for the rest anew", async ({ request }) => {
  const page = await request.get("/", { headers: { "accept-encoding": "br" } });
  expect(page.headers()).toMatchObject({
    "cache-control": "no-cache",
    "x-content-type-options": "nosniff",
    "content-encoding": "br",
  });
  const script = /\/assets\/[\w.-]+\.js/.exec(await page.text())?.[0] ?? "";
  const asset = await request.get(script, { headers: { "accept-encoding": "gzip" } });
  expect(asset.headers()).toMatchObject({
    "cache-control": "public, max-age=31536000, immutable",
    "content-encoding": "gzip",
  });
  expect((await request.get("/offline.js")).headers()["cache-control"]).toBe("no-cache");
});

test("a deep address gets the application, a file that is not there gets 404", async ({ request }) => {
  const deep = await request.get("/visits/anything/survey");
  expect([deep.status(), deep.headers()["content-type"]]).toEqual([200, "text/html;charset=utf-8"]);
  expect((await request.get("/assets/nothing.js")).status()).toBe(404);
});

test("the page tells the browser to talk to no other origin", async ({ page }) => {
  await page.goto("/");
  const policy = await page.locator("meta[http-equiv=Content-Security-Policy]").getAttribute("content");
  expect(policy).toContain("default-src 'self'");
  expect(policy).toContain("connect-src 'self'");
  const refused = await page.evaluate(() =>
    fetch("http://127.0.0.1:9/").then(
      () => "answered",
      (error: Error) => error.name,
    ),
  );
  expect(refused).toBe("TypeError");
});

test("the type is bundled: the page's face is loaded from its own address", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "No horses here yet" })).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  const faces = await page.evaluate(() =>
    [...document.fonts]
      .filter(({ status }) => status === "loaded")
      .map(({ family }) => family.replaceAll('"', "")),
  );
  expect(faces).toContain("Archivo Variable");
});

test("text that comes in with a file never runs: it is shown as it was written", async ({ page }, info) => {
  await openDemo(page);
  await page.goto("/files");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Back up everything" }).click();
  const text = await readFile(await (await download).path(), "utf8");
  const evil = "<img src=x onerror=document.title='run'><script>document.title='run'</script>";
  const backup = JSON.parse(text) as {
    records: { horses: { id: string; name: string; notes: string; habits: string }[] };
  };
  Object.assign(backup.records.horses[0] ?? {}, { name: evil, notes: evil, habits: evil });
  const file = info.outputPath("evil.json");
  await writeFile(file, JSON.stringify(backup));
  await page.getByLabel("Choose a backup file").setInputFiles(file);
  await page.getByRole("button", { name: "Restore it" }).click();
  await expect(page.getByText("Restored.")).toBeVisible();
  for (const address of ["/horses", "/", "/horses/demo-yard-1-horse-1"]) {
    await page.goto(address);
    await expect(page.getByText(evil).first()).toBeVisible();
    expect(await page.locator("img").count()).toBe(0);
    expect(await page.title()).not.toBe("run");
  }
});
