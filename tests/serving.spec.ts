import { readFile, writeFile } from "node:fs/promises";
import { createServer, type RequestListener } from "node:http";
import type { AddressInfo } from "node:net";
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

test("the build says what it is made of, each with the text of its licence", async ({ request }) => {
  const notices = await (await request.get("/licences.txt")).text();
  for (const name of ["react ", "antd ", "dexie ", "@fontsource/noto-sans ", "libheif-js "])
    expect(notices).toContain(`\n${name}`);
  expect(notices).toContain("GNU LESSER GENERAL PUBLIC LICENSE");
  expect(notices).toContain("SIL OPEN FONT LICENSE");
});

test("the page and every answer tell the browser: no other origin, no script that the build did not write, no frame", async ({
  page,
  request,
}) => {
  const inPage = /content="(default-src[^"]*)"/.exec(await (await request.get("/")).text())?.[1] ?? "";
  const policy = inPage.replaceAll("&#x27;", "'");
  const scripts = /script-src ([^;]*)/.exec(policy)?.[1] ?? "";
  expect(scripts).toContain("'sha256-");
  expect(scripts).not.toMatch(/'unsafe-inline'|'unsafe-eval'/);
  for (const address of ["/", "/offline.js", "/mark.svg", "/visits/anything"]) {
    const headers = (await request.get(address)).headers();
    expect(headers["content-security-policy"]).toBe(`${policy}; frame-ancestors 'none'`);
    expect(headers).toMatchObject({ "x-frame-options": "DENY", "cross-origin-opener-policy": "same-origin" });
    expect(headers["permissions-policy"]).toContain("geolocation=()");
    // Gauges and callipers are read over a serial port.
    expect(headers["permissions-policy"]).toContain("serial=(self)");
  }
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "No horses here yet" })).toBeVisible();
  const tried = await page.evaluate(async () => {
    const fetched = await fetch("http://127.0.0.1:9/").then(
      () => "answered",
      (error: Error) => error.name,
    );
    const script = document.createElement("script");
    script.textContent = "document.title = 'run'";
    document.body.append(script);
    const image = document.createElement("img");
    image.setAttribute("onerror", "document.title = 'run'");
    image.src = "/nothing.png";
    document.body.append(image);
    await new Promise((done) => setTimeout(done, 300));
    return { fetched, title: document.title };
  });
  expect(tried).toEqual({ fetched: "TypeError", title: expect.not.stringContaining("run") });
});

test("a worker is bound by the header of its own file: an address that would answer is not reached", async ({
  browser,
  request,
}) => {
  const listen = async (answer: RequestListener) => {
    const server = createServer(answer);
    await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
    return { server, address: `http://127.0.0.1:${(server.address() as AddressInfo).port}` };
  };
  const stranger = await listen((_, response) => {
    response.setHeader("access-control-allow-origin", "*");
    response.end("here");
  });
  const policy = (await request.get("/")).headers()["content-security-policy"] ?? "";
  // One worker without the header that this server sends, one with it; the page itself is bound by nothing.
  const host = await listen(({ url = "" }, response) => {
    response.setHeader("content-type", url.endsWith(".js") ? "text/javascript" : "text/html");
    if (url === "/bound.js") response.setHeader("content-security-policy", policy);
    response.end(
      url.endsWith(".js")
        ? `fetch("${stranger.address}/").then(() => postMessage("answered"), () => postMessage("refused"))`
        : "<title>host</title>",
    );
  });
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(host.address);
  const asked = (name: string) =>
    page.evaluate(
      (address) =>
        new Promise<string>((done) => {
          const worker = new Worker(address, { type: "module" });
          worker.onmessage = ({ data }) => done(String(data));
          worker.onerror = () => done("did not start");
        }),
      name,
    );
  expect([await asked("/free.js"), await asked("/bound.js")]).toEqual(["answered", "refused"]);
  await context.close();
  host.server.close();
  stranger.server.close();
});

test("inside another page it does not open, and says so where the server's headers are missing", async ({
  page,
  baseURL,
}) => {
  // A host that sends none of the headers.
  await page.route("**/bare", async (route) => {
    const answer = await page.request.get("/");
    await route.fulfill({ contentType: "text/html", body: await answer.text() });
  });
  await page.route("**/outer", (route) =>
    route.fulfill({ contentType: "text/html", body: `<iframe src="${baseURL ?? ""}/bare"></iframe>` }),
  );
  await page.goto("/outer");
  await expect(
    page.frameLocator("iframe").getByText("Plumbline does not open inside another page"),
  ).toBeVisible();
});

test("it can be installed: name, start, and an icon of every size that is there, square and as large as it says", async ({
  page,
  request,
}) => {
  interface Manifest {
    name: string;
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; type: string; purpose: string }[];
    shortcuts: { url: string }[];
  }
  await page.goto("/");
  const link = await page.locator('link[rel="manifest"]').getAttribute("href");
  const manifest = (await (await request.get(link ?? "")).json()) as Manifest;
  expect(manifest).toMatchObject({ name: "Plumbline", start_url: "/", display: "standalone" });
  const touch = (await page.locator('link[rel="apple-touch-icon"]').getAttribute("href")) ?? "";
  const bitmaps = [
    ...manifest.icons.filter(({ type }) => type === "image/png"),
    { src: touch, sizes: "180x180", purpose: "touch" },
  ];
  for (const { src, sizes } of bitmaps) {
    const bytes = await (await request.get(src)).body();
    // Width and height of a PNG stand in its first block.
    expect([src, `${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`]).toEqual([src, sizes]);
  }
  const offered = (purpose: string) =>
    bitmaps.filter((icon) => icon.purpose === purpose).map(({ sizes }) => sizes);
  expect(offered("any")).toEqual(expect.arrayContaining(["192x192", "512x512"]));
  expect(offered("maskable")).toEqual(expect.arrayContaining(["192x192", "512x512"]));
  for (const { url } of manifest.shortcuts) expect((await request.get(url)).status()).toBe(200);
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
  await openDemo(page, "/files");
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
