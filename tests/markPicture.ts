import type { Page } from "@playwright/test";
import type { Vector } from "~core/geometry/vector";
import type { MarkedPhoto } from "~core/photo/truePhoto";
import { tapOrder } from "~core/suggest/suggest";
import { expect } from "./round";

/** Taps the true places of all corners and marks, one after the other, as the prompts ask; `most` of them, beginning with number `from`; `again`: the marks alone. */
export async function markAll(
  page: Page,
  truth: MarkedPhoto,
  marks: readonly string[],
  { tap = false, most = Number.POSITIVE_INFINITY, from = 0, again = false } = {},
): Promise<void> {
  const pane = page.locator(".picture-svg");
  await expect(pane).toBeVisible();
  await pane.scrollIntoViewIfNeeded();
  const corners = truth.scale.kind === "card" ? truth.scale.corners : [truth.scale.a, truth.scale.b];
  const asked = again ? marks : tapOrder(truth.view).filter((mark) => marks.includes(mark));
  const places = [...(again ? [] : corners), ...asked.map((mark) => truth.points[mark] as Vector)];
  for (const [index, at] of places.slice(0, most).entries()) {
    if (index < from) continue;
    await expect(page.getByRole("region", { name: "Next mark" })).toContainText(
      `${index + 1} of ${places.length}`,
    );
    await tapAt(page, truth, at, tap);
  }
}

/** Taps the true place of one mark. */
export const placeMark = (page: Page, truth: MarkedPhoto, mark: string, tap = false): Promise<void> =>
  tapAt(page, truth, truth.points[mark] as Vector, tap);

async function tapAt(page: Page, truth: MarkedPhoto, at: Vector, tap: boolean): Promise<void> {
  const pane = page.locator(".picture-svg");
  await pane.scrollIntoViewIfNeeded();
  const box = await pane.boundingBox();
  if (!box) throw new Error("no picture");
  const scale = Math.min(box.width / truth.width, box.height / truth.height);
  const x = box.x + (box.width - truth.width * scale) / 2 + at[0] * scale;
  const y = box.y + (box.height - truth.height * scale) / 2 + at[1] * scale;
  if (tap) await page.touchscreen.tap(x, y);
  else await page.mouse.click(x, y);
}
