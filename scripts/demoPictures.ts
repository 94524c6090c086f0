// Makes the pictures of the demo round anew: rendered by the core's simulator, encoded by Chromium, kept under
// public/demo with their true marks in demo/pictures.ts. Run it when the demo's feet or the simulator change:
// npm run demo:pictures
import { mkdirSync, writeFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { format, resolveConfig } from "prettier";
import type { Limb } from "~core/foot/limb";
import { footToday } from "~core/visit/feetOfHorse";
import { visitFoot } from "~core/visit/visitFoot";
import type { Moment } from "~core/foot/records/reading";
import type { MeasuredView } from "~core/photo/views";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";
import { makeDemoRound } from "~demo/generate";
import type { DemoPicture } from "~demo/demoPicture";

const DAY = "2026-11-23";
const SHOTS: readonly [horse: string, limb: Limb, view: MeasuredView, back: 1 | 2, moment: Moment][] = [
  ["Oriel", "LF", "rear", 2, "before"],
  ["Oriel", "LF", "rear", 1, "before"],
  ["Oriel", "LF", "rear", 1, "after"],
  ["Oriel", "LF", "sole", 2, "before"],
  ["Oriel", "LF", "sole", 1, "before"],
  ["Major Oak", "LF", "side", 2, "before"],
  ["Major Oak", "LF", "side", 1, "before"],
  ["Major Oak", "LF", "side", 1, "after"],
];
const SIZE = { width: 800, height: 600 };
const QUALITY = 0.8;

const round = makeDemoRound(DAY, 7);
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const page = await browser.newPage();
mkdirSync("public/demo", { recursive: true });
const pictures: DemoPicture[] = [];
for (const [index, [name, limb, view, back, moment]] of SHOTS.entries()) {
  const horse = round.horses.find((one) => one.name === name);
  if (!horse) throw new Error(`no ${name} in the round`);
  const own = <T extends { horseId: string }>(rows: readonly T[]) =>
    rows.filter((row) => row.horseId === horse.id);
  const visit = own(round.visits)
    .filter(({ status }) => status === "signed")
    .at(-back);
  if (!visit) throw new Error(`${name} has no such visit`);
  const records = { ...round, readings: own(round.readings), trims: own(round.trims), photos: [] };
  const foot = visitFoot(visit, limb, records);
  const reading = foot.reading[moment];
  const { foot: drawn } = footToday(horse, limb, foot.values[moment], foot.last, {
    side: reading?.side,
    rear: reading?.rear,
  });
  const scene = sceneOf(drawn, view);
  const camera = aimAt(scene, {
    slantDeg: 3 + index,
    azimuthDeg: 70 * index,
    rollDeg: 1.5 - 0.5 * index,
    distanceMm: 1500 + 60 * index,
    focal35: 150,
    ...SIZE,
  });
  const pixels = renderScene(scene, camera, 11 + index);
  const raw = Buffer.from(pixels.buffer, pixels.byteOffset, pixels.byteLength).toString("base64");
  const encoded = await page.evaluate(
    async ({ raw, width, height, quality }) => {
      const bytes = Uint8ClampedArray.from(atob(raw), (one) => one.charCodeAt(0));
      const canvas = new OffscreenCanvas(width, height);
      canvas.getContext("2d")?.putImageData(new ImageData(bytes, width), 0, 0);
      const blob = await canvas.convertToBlob({ type: "image/jpeg", quality });
      const kept = new Uint8Array(await blob.arrayBuffer());
      return btoa(Array.from(kept, (one) => String.fromCharCode(one)).join(""));
    },
    { raw, ...SIZE, quality: QUALITY },
  );
  const file = `foot-${index + 1}.jpg`;
  writeFileSync(`public/demo/${file}`, Buffer.from(encoded, "base64"));
  const { points, scale, focalPx } = truthInPicture(scene, camera, true);
  const tidy = ([x, y]: readonly [number, number]): [number, number] => [
    Math.round(x * 10) / 10,
    Math.round(y * 10) / 10,
  ];
  if (scale.kind !== "card") throw new Error("no card");
  pictures.push({
    file,
    horse: name,
    limb,
    view,
    back,
    moment,
    ...SIZE,
    focalPx: Math.round(focalPx ?? 0),
    scale: { ...scale, corners: scale.corners.map(tidy) as DemoPicture["scale"]["corners"] },
    points: Object.fromEntries(
      Object.entries(points).flatMap(([mark, at]) => (at ? [[mark, tidy(at)]] : [])),
    ),
  });
  console.log(file, name, limb, view, moment);
}
await browser.close();
const source = `import type { DemoPicture } from "./demoPicture";

/** Made by scripts/demoPictures.ts; not written by hand. */
export const PICTURES: readonly DemoPicture[] = ${JSON.stringify(pictures)};
`;
writeFileSync(
  "demo/pictures.ts",
  await format(source, { ...(await resolveConfig("demo/pictures.ts")), parser: "typescript" }),
);
