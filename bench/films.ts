import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { drawFilm } from "~core/radiograph/drawFilm";
import { writeDicom } from "~core/radiograph/dicomWriter";
import { filmNumbers } from "~core/radiograph/filmNumbers";
import type { Film } from "~core/radiograph/filmRecord";
import { filmScene, ORDINARY_INSIDE } from "~core/radiograph/standInFilm";
import { filmTruth, shotOf } from "~core/radiograph/filmShot";
import { median } from "./core";

const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
const SCENE = filmScene(FOOT, ORDINARY_INSIDE, "lateral");

/** Every number of a film with its band, as for one move of a mark, ms. */
export function timeFilmNumbers(): number {
  const points = filmTruth(SCENE, shotOf(FOOT)) as unknown as Film["points"];
  const film = {
    view: "lateral" as const,
    scale: { kind: "marker" as const, mm: SCENE.markerMm },
    points,
    taken: {},
  };
  return median(
    Array.from({ length: 60 }, () => {
      const from = performance.now();
      filmNumbers(film, 126);
      return performance.now() - from;
    }),
  );
}

/** A 12-megapixel film of 16 bits as DICOM, chosen: ms until it can be marked. */
export async function chooseLargeFilm(page: Page): Promise<number> {
  const { left, right, bottom, top } = SCENE.frame;
  const shot = shotOf(FOOT, { mmPerPx: Math.sqrt(((right - left) * (top - bottom)) / 12e6) });
  const drawn = drawFilm(SCENE, shot, 1);
  const file = join(mkdtempSync(join(tmpdir(), "bench-")), "large.dcm");
  writeFileSync(
    file,
    writeDicom({ ...drawn, mmPerPx: shot.mmPerPx, date: "2026-11-20", description: "Stand-in" }, "9"),
  );
  const from = performance.now();
  await page.locator('input[aria-label="Choose a radiograph"]').setInputFiles(file);
  await page.locator(".picture-svg image").waitFor();
  return performance.now() - from;
}

/** The vet's sheet of the case that is open: ms from the press to its preview, and to its PDF. */
export async function vetSheetMs(page: Page): Promise<number> {
  const from = performance.now();
  await page.getByRole("button", { name: "For the vet" }).click();
  await page.locator(".sheet-preview").waitFor();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save as PDF" }).click(),
  ]);
  await download.path();
  return performance.now() - from;
}
