import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import type { Page } from "@playwright/test";

/** Gzipped script that a page asks for until the network is quiet, bytes. */
export async function scriptBytes(page: Page, address: string, directory: string): Promise<number> {
  const asked = new Set<string>();
  page.on("request", (request) => {
    if (request.resourceType() === "script") asked.add(new URL(request.url()).pathname);
  });
  await page.goto(address, { waitUntil: "networkidle" });
  const files = new Set(readdirSync(directory, { recursive: true }).map(String));
  return [...asked]
    .map((path) => path.slice(1))
    .filter((path) => files.has(path))
    .reduce((sum, path) => sum + gzipSync(readFileSync(join(directory, path)), { level: 9 }).length, 0);
}

/** From a click on a link to the frame after its target stands in the page, ms. */
export const clickThrough = (page: Page, link: string, target: string): Promise<number> =>
  page.evaluate(
    ([selector, wanted]) =>
      new Promise<number>((done) => {
        const from = performance.now();
        document.querySelector<HTMLElement>(selector)?.click();
        const look = () =>
          document.querySelector(wanted)
            ? requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)))
            : requestAnimationFrame(look);
        look();
      }),
    [link, target] as const,
  );

/** From a keystroke in the toe's field to the drawing laid out anew, ms. */
export const keystrokes = (page: Page, count: number): Promise<number[]> =>
  page.evaluate(async (times) => {
    const input = document.querySelector<HTMLInputElement>("input[id$='-toeLength']");
    const drawing = document.querySelector(".pictures svg:last-of-type .horn");
    if (!input || !drawing) throw new Error("no survey on this page");
    const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set;
    const taken: number[] = [];
    for (let index = 0; index < times; index++) {
      const before = drawing.getAttribute("d");
      const from = performance.now();
      write?.call(input, String(80 + (index % 20)));
      input.dispatchEvent(new Event("input", { bubbles: true }));
      while (drawing.getAttribute("d") === before) await Promise.resolve();
      drawing.getBoundingClientRect();
      taken.push(performance.now() - from);
      await new Promise((next) => setTimeout(next, 20));
    }
    return taken;
  }, count);

/**
 * Drags a handle of a drawing, the toe's unless another is named, to and fro; ms from each pointer event to the drawing and the numbers laid out
 * anew. `drawn` is the line of that drawing that has to move, in its `attribute`, `way` 1 for down.
 */
export const dragging = (
  page: Page,
  count: number,
  picture: string,
  drawn: string,
  way: 1 | -1,
  mark = "toe",
  attribute = "d",
): Promise<number[]> =>
  page.evaluate(
    async ([times, where, line, down, name, moves]) => {
      const field = document.querySelector<SVGRectElement>(`${where} .handle-field`);
      const handle = document.querySelector<SVGGElement>(`${where} [data-mark="${name}"] .handle-dot`);
      const outline = document.querySelector(`${where} ${line}`);
      if (!field || !handle || !outline) throw new Error("no handles on this page");
      const box = handle.getBoundingClientRect();
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      const send = (type: string, dy: number) =>
        field.dispatchEvent(
          new PointerEvent(type, {
            bubbles: true,
            pointerId: 1,
            clientX: x,
            clientY: y + dy * down,
            pointerType: "mouse",
          }),
        );
      field.setPointerCapture = () => undefined;
      send("pointerdown", 0);
      send("pointermove", 8);
      const taken: number[] = [];
      for (let index = 0; index < times; index++) {
        const before = outline.getAttribute(moves);
        const from = performance.now();
        send("pointermove", 10 + (index % 2) * 6 + index / 50);
        // A pointer's move is drawn in a task of its own: wait in tasks, and not for ever.
        const { port1, port2 } = new MessageChannel();
        const task = () =>
          new Promise<void>((done) => {
            port1.onmessage = () => done();
            port2.postMessage(0);
          });
        while (outline.getAttribute(moves) === before && performance.now() - from < 2000) await task();
        document.querySelector(".ledger, .plan-table, .checks, .film-numbers")?.getBoundingClientRect();
        outline.getBoundingClientRect();
        taken.push(performance.now() - from);
        await new Promise((next) => setTimeout(next, 15));
      }
      return taken;
    },
    [count, picture, drawn, way, mark, attribute] as const,
  );

/** Half a year at eight intervals, as long as it took in its worker, ms; each time in a worker of its own. */
export async function timeMonths(page: Page, address: string, times: number): Promise<number[]> {
  const taken: number[] = [];
  for (let index = 0; index < times; index++) {
    await page.goto(address);
    await page.locator(".cycles-line").first().waitFor();
    taken.push(
      ...(await page.evaluate(() =>
        performance.getEntriesByName("months ahead").map(({ duration }) => duration),
      )),
    );
  }
  return taken;
}

/** A 12-megapixel JPEG chosen as a photograph: ms until it can be marked, and the longest that the page stood still. */
export async function chooseLargePicture(page: Page): Promise<{ readyMs: number; frozenMs: number }> {
  const jpeg = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(4000, 3000);
    const context = canvas.getContext("2d");
    if (!context) throw new Error("no canvas");
    for (let index = 0; index < 3000; index++) {
      context.fillStyle = `hsl(${(index * 47) % 360} 30% ${30 + (index % 40)}%)`;
      context.fillRect((index * 613) % 4000, (index * 419) % 3000, 90, 70);
    }
    const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.92 });
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  await page.evaluate(() => {
    const watch = { last: performance.now(), worst: 0 };
    (globalThis as unknown as { watch: typeof watch }).watch = watch;
    setInterval(() => {
      const now = performance.now();
      watch.worst = Math.max(watch.worst, now - watch.last - 10);
      watch.last = now;
    }, 10);
  });
  // By its path: a buffer would be unpacked by the page itself, and that would be measured too.
  const file = join(mkdtempSync(join(tmpdir(), "bench-")), "large.jpg");
  writeFileSync(file, Buffer.from(jpeg));
  const from = performance.now();
  await page.locator('input[aria-label="Take or choose: sole"]').setInputFiles(file);
  await page.locator(".picture-svg image").waitFor();
  const readyMs = performance.now() - from;
  const frozenMs = await page.evaluate(
    () => (globalThis as unknown as { watch: { worst: number } }).watch.worst,
  );
  return { readyMs, frozenMs };
}

/** A view of practice chosen on the screen, nothing made ahead: ms until its picture can be marked, each time another foot. */
export const practiceReady = (page: Page, times: number): Promise<number[]> =>
  page.evaluate(async (count) => {
    const views = ["sole", "side", "rear"];
    const write = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value")?.set;
    const shown = () => document.querySelector(".picture-svg image")?.getAttribute("href");
    const taken: number[] = [];
    for (let index = 0; index < count; index++) {
      const select = document.querySelector<HTMLSelectElement>('select[aria-label="View"]');
      if (!select) throw new Error("no room on this page");
      const before = shown();
      const from = performance.now();
      write?.call(select, views[index % views.length] ?? "sole");
      select.dispatchEvent(new Event("change", { bubbles: true }));
      while (!shown() || shown() === before) await new Promise((next) => setTimeout(next));
      taken.push(performance.now() - from);
      await new Promise((next) => setTimeout(next, 50));
    }
    return taken;
  }, times);
