// Draws the icons of the installed application from the mark, as bitmaps of every size that a device asks for.
import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";

/** Name, size in px, the mark's part of it, rounding of the corners as a part; a masked icon keeps clear of its edge. */
const ICONS = [
  ["icon-48", 48, 1, 0.18],
  ["icon-192", 192, 0.92, 0.18],
  ["icon-512", 512, 0.92, 0.18],
  ["maskable-192", 192, 0.74, 0],
  ["maskable-512", 512, 0.74, 0],
  ["apple-touch-180", 180, 0.84, 0],
];

const mark = readFileSync("public/mark.svg", "utf8");
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const page = await browser.newPage();
for (const [name, size, part, round] of ICONS) {
  await page.setViewportSize({ width: size, height: size });
  await page.setContent(
    `<style>
      html, body { margin: 0; background: transparent }
      div { width: ${size}px; height: ${size}px; background: #F4F0E8; border-radius: ${round * size}px; display: grid; place-items: center }
      svg { width: ${part * size}px; height: ${part * size}px }
    </style><div>${mark}</div>`,
  );
  await page.screenshot({ path: `public/icons/${name}.png`, omitBackground: true });
}
await browser.close();
