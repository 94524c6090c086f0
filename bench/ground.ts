import type { Page } from "@playwright/test";
import { compareOnGround, sensitivityOf, sweepGrounds, type GroundQuestion } from "~core/ground/compare";
import { fitQuestion } from "~core/shoe/shoe.fixture";
import { median } from "./core";

/** Four shoes on one foot, a web of its own each time, so that no plan is kept from the time before. */
const question = (run: number): GroundQuestion => ({
  foot: { corHeight: 47 },
  shoes: [
    { id: "on", name: "on", question: fitQuestion({ width: 20 + run / 100 }) },
    { id: "egg", name: "egg", question: fitQuestion({ type: "egg bar", width: 20 + run / 100 }) },
    { id: "heart", name: "heart", question: fitQuestion({ type: "heart bar", width: 20 + run / 100 }) },
    { id: "concave", name: "concave", question: fitQuestion({ profile: "concave", width: 20 + run / 100 }) },
  ],
  standing: { stiffness: 0.02, load: { newtons: 2600, x: 0, lead: 2 }, spring: 1500 },
});

const timed = (times: number, work: (run: number) => unknown): number =>
  median(
    Array.from({ length: times }, (_, run) => {
      const from = performance.now();
      work(run);
      return performance.now() - from;
    }).slice(2),
  );

/** Four shoes fitted, planned and stood on soft ground: finely, coarsely, and over seven grounds; ms. */
export const timeGround = () => ({
  fine: timed(14, (run) => compareOnGround(question(run), 2)),
  coarse: timed(14, (run) => compareOnGround(question(run), 5)),
  sweep: timed(8, (run) => {
    const plans = new Map();
    sweepGrounds(question(run), 4, plans);
    sensitivityOf(question(run), 4, plans);
  }),
});

/** From a press of an arrow on the ground's slider to the first and to the settled picture, ms. */
export async function groundRedraws(page: Page, times: number): Promise<{ first: number; settled: number }> {
  await page.evaluate(() => {
    const columns = document.querySelector(".ground-columns");
    if (!columns) throw new Error("no ground on this page");
    const seen: { at: number; grid: string | null }[] = [];
    const watch = new MutationObserver(() =>
      seen.push({ at: performance.now(), grid: columns.getAttribute("data-grid") }),
    );
    watch.observe(columns, { attributes: true, attributeFilter: ["data-grid"] });
    addEventListener("keydown", () => seen.push({ at: performance.now(), grid: "pressed" }), true);
    Object.assign(globalThis, { groundSeen: seen });
  });
  await page.getByRole("slider", { name: "Ground, hard to soft" }).focus();
  const all: [number, number][] = [];
  for (let index = 0; index < times; index++) {
    await page.keyboard.press(index % 2 ? "ArrowLeft" : "ArrowRight");
    await page.waitForTimeout(600);
    const seen = await page.evaluate(() =>
      (globalThis as unknown as { groundSeen: { at: number; grid: string | null }[] }).groundSeen.splice(0),
    );
    const pressed = seen.find(({ grid }) => grid === "pressed")?.at ?? Number.NaN;
    const shown = seen.filter(({ grid }) => grid !== "pressed" && grid !== null);
    all.push([(shown[0]?.at ?? Number.NaN) - pressed, (shown.at(-1)?.at ?? Number.NaN) - pressed]);
  }
  return { first: median(all.map(([first]) => first)), settled: median(all.map(([, settled]) => settled)) };
}
