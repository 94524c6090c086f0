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
import { daysBetween } from "~core/calendar/date";
import { greyPixels } from "~core/radiograph/dicom";
import { writeDicom } from "~core/radiograph/dicomWriter";
import { drawFilm } from "~core/radiograph/drawFilm";
import type { FilmView } from "~core/radiograph/filmMarks";
import { filmTruth, shotOf } from "~core/radiograph/filmShot";
import { filmScene, ORDINARY_INSIDE, type Inside } from "~core/radiograph/standInFilm";
import { project } from "~core/simulator/camera";
import { defectOnSide, paintPatch } from "~core/simulator/patch";
import type { DemoFilm } from "~demo/demoFilm";
import { makeDemoRound } from "~demo/generate";
import type { DemoPicture } from "~demo/demoPicture";

const DAY = "2026-11-23";
/** A resected quarter as it grows down, eight months long: below the hairline by so much a day. */
const RESECTED = {
  horse: "Mossback",
  limb: "LF" as Limb,
  visits: 7,
  belowMm: 6,
  perDayMm: 0.24,
  lengthMm: 38,
  widthMm: 22,
};
/** Two dates of a laminitis: the bone turns back and the sole thickens. */
const FILMED: readonly {
  horse: string;
  limb: Limb;
  view: FilmView;
  back: number;
  daysAfter: number;
  inside: Partial<Inside>;
}[] = [
  ...(["LF", "RF"] as const).flatMap((limb, at) => [
    {
      horse: "Damson",
      limb,
      view: "lateral" as const,
      back: 4,
      daysAfter: 2,
      inside: {
        palmarAngleDeg: 12 - at,
        rotationDeg: 8 - 1.5 * at,
        soleMm: 8 + at,
        dorsalMm: 17,
        breakoverMm: 0,
      },
    },
    {
      horse: "Damson",
      limb,
      view: "lateral" as const,
      back: 1,
      daysAfter: 11,
      inside: {
        palmarAngleDeg: 8.5 - at,
        rotationDeg: 4.8 - 1.5 * at,
        soleMm: 12 + at,
        dorsalMm: 15.5,
        breakoverMm: 8,
      },
    },
  ]),
  {
    horse: "Damson",
    limb: "LF",
    view: "front",
    back: 1,
    daysAfter: 11,
    inside: { tiltDeg: 1, spaceDifferenceMm: 0.3 },
  },
];
const SHOTS: readonly [horse: string, limb: Limb, view: MeasuredView, back: number, moment: Moment][] = [
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
/** A horse's foot as it stood at its nth last visit, and that visit's day. */
function footAt(name: string, limb: Limb, back: number, moment: Moment) {
  const horse = round.horses.find((one) => one.name === name);
  if (!horse) throw new Error(`no ${name} in the round`);
  const own = <T extends { horseId: string }>(rows: readonly T[]) =>
    rows.filter((row) => row.horseId === horse.id);
  const visit = own(round.visits)
    .filter(({ status }) => status === "signed")
    .at(-back);
  if (!visit) throw new Error(`${name} has no such visit`);
  const records = { ...round, readings: own(round.readings), trims: own(round.trims), photos: [], films: [] };
  const foot = visitFoot(visit, limb, records);
  const reading = foot.reading[moment];
  const { foot: drawn } = footToday(horse, limb, foot.values[moment], foot.last, {
    side: reading?.side,
    rear: reading?.rear,
  });
  return { drawn, date: visit.date };
}
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const page = await browser.newPage();
/** RGBA pixels as a JPEG, base64, encoded by the browser. */
async function jpegOf(pixels: Uint8ClampedArray, width: number, height: number): Promise<string> {
  const raw = Buffer.from(pixels.buffer, pixels.byteOffset, pixels.byteLength).toString("base64");
  return page.evaluate(
    async ({ raw, width, height, quality }) => {
      const bytes = Uint8ClampedArray.from(atob(raw), (one) => one.charCodeAt(0));
      const canvas = new OffscreenCanvas(width, height);
      canvas.getContext("2d")?.putImageData(new ImageData(bytes, width), 0, 0);
      const blob = await canvas.convertToBlob({ type: "image/jpeg", quality });
      const kept = new Uint8Array(await blob.arrayBuffer());
      return btoa(Array.from(kept, (one) => String.fromCharCode(one)).join(""));
    },
    { raw, width, height, quality: QUALITY },
  );
}
const tidy = ([x, y]: readonly [number, number]): [number, number] => [
  Math.round(x * 10) / 10,
  Math.round(y * 10) / 10,
];
mkdirSync("public/demo", { recursive: true });
const pictures: DemoPicture[] = [];
for (const [index, [name, limb, view, back, moment]] of SHOTS.entries()) {
  const { drawn } = footAt(name, limb, back, moment);
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
  const encoded = await jpegOf(pixels, SIZE.width, SIZE.height);
  const file = `foot-${index + 1}.jpg`;
  writeFileSync(`public/demo/${file}`, Buffer.from(encoded, "base64"));
  const { points, scale, focalPx } = truthInPicture(scene, camera, true);
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
const firstDay = footAt(RESECTED.horse, RESECTED.limb, RESECTED.visits, "before").date;
for (let back = RESECTED.visits; back >= 1; back--) {
  const { horse, limb, lengthMm, widthMm } = RESECTED;
  const { drawn, date } = footAt(horse, limb, back, "before");
  const scene = sceneOf(drawn, "side");
  const index = RESECTED.visits - back;
  const camera = aimAt(scene, {
    slantDeg: 2 + (index % 3),
    azimuthDeg: 50 * index,
    rollDeg: 1 - 0.3 * index,
    distanceMm: 1500,
    focal35: 150,
    ...SIZE,
  });
  const belowMm = RESECTED.belowMm + RESECTED.perDayMm * daysBetween(firstDay, date);
  const { marks, outline } = defectOnSide(drawn, { belowMm, lengthMm, widthMm }, scene.toWorld, 5);
  const pixels = renderScene(scene, camera, 31 + index);
  const seen = outline.map((point) => project(camera, point));
  paintPatch(
    pixels,
    SIZE.width,
    SIZE.height,
    seen.map(([x, y]) => [x, y] as const),
    7,
  );
  const file = `defect-${index + 1}.jpg`;
  writeFileSync(`public/demo/${file}`, Buffer.from(await jpegOf(pixels, SIZE.width, SIZE.height), "base64"));
  const { scale, focalPx } = truthInPicture(scene, camera, true);
  if (scale.kind !== "card") throw new Error("no card");
  pictures.push({
    file,
    horse,
    limb,
    view: "defect",
    back,
    moment: "before",
    ...SIZE,
    focalPx: Math.round(focalPx ?? 0),
    scale: { ...scale, corners: scale.corners.map(tidy) as DemoPicture["scale"]["corners"] },
    points: Object.fromEntries(
      Object.entries(marks).map(([mark, point]) => {
        const [x, y] = project(camera, point);
        return [mark, tidy([x, y])];
      }),
    ),
  });
  console.log(file, horse, date, belowMm.toFixed(0));
}

const films: DemoFilm[] = [];
for (const [index, { horse, limb, view, back, daysAfter, inside }] of FILMED.entries()) {
  const { drawn } = footAt(horse, limb, back, "after");
  const scene = filmScene(drawn, { ...ORDINARY_INSIDE, ...inside }, view);
  const shot = shotOf(drawn, { mmPerPx: 0.22, turnDeg: 1 - 0.5 * index, magnification: 1.04 });
  const film = drawFilm(scene, shot, 40 + index);
  const pixels = greyPixels({
    ...film,
    pixels: { kind: "grey", values: film.values, low: 0, high: 65_535, inverted: false },
  });
  const file = `film-${index + 1}.jpg`;
  writeFileSync(`public/demo/${file}`, Buffer.from(await jpegOf(pixels, film.width, film.height), "base64"));
  films.push({
    file,
    horse,
    limb,
    view,
    back,
    daysAfter,
    width: film.width,
    height: film.height,
    markerMm: scene.markerMm,
    points: Object.fromEntries(
      Object.entries(filmTruth(scene, shot))
        .filter(([name]) => !name.endsWith("Tack"))
        .map(([name, at]) => [name, tidy(at)]),
    ),
  });
  if (index === 0)
    writeFileSync(
      "public/demo/film.dcm",
      writeDicom(
        {
          ...drawFilm(scene, { ...shot, mmPerPx: 0.45 }, 40),
          mmPerPx: 0.45,
          magnification: shot.magnification,
          date: DAY,
          description: "Stand-in, no real foot",
          bits: 8,
        },
        "1",
      ),
    );
  console.log(file, horse, limb, view);
}
await browser.close();
/** A list as a source file of the demo, formatted as the rest. */
async function writeSource(
  path: string,
  type: string,
  from: string,
  name: string,
  list: unknown,
): Promise<void> {
  const source = `import type { ${type} } from "./${from}";

/** Made by scripts/demoPictures.ts; not written by hand. */
export const ${name}: readonly ${type}[] = ${JSON.stringify(list)};
`;
  writeFileSync(path, await format(source, { ...(await resolveConfig(path)), parser: "typescript" }));
}
await writeSource("demo/pictures.ts", "DemoPicture", "demoPicture", "PICTURES", pictures);
await writeSource("demo/films.ts", "DemoFilm", "demoFilm", "FILMS", films);
