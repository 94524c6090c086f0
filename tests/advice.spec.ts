import type { Page } from "@playwright/test";
import { expect, field, openDemo, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
const keepHorse = async (page: Page) => {
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page).toHaveURL(/horses\/demo-yard-1-horse-1$/);
};

test("every rule of the adviser can be read: when, then, because, against, and what supports it", async ({
  page,
}) => {
  await openDemo(page, "/settings");
  await page.getByRole("link", { name: "How a shoe is argued for: every rule" }).click();
  const rule = page.getByRole("row", { name: /^It works on turf Creased/ });
  await expect(rule).toContainText("held soil shears against soil");
  await expect(rule).toContainText(
    "wants section concave, nail holes creased, narrow web on open shoe, frog-support pad",
  );
  await expect(rule).toContainText("common practice; trade practice");
});

test("a prescription stands first and what contradicts it is named; a condition without one sends to the vet", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await page.goto("/horses/demo-yard-1-horse-1/edit");
  await page.getByRole("checkbox", { name: "laminitis" }).click();
  await keepHorse(page);
  await page.goto(`${VISIT}/shoe?foot=LF&view=choose`);
  await expect(page.getByRole("alert")).toContainText("Ask the vet first.");
  await expect(page.getByRole("button", { name: "Take it: Straight bar" })).toBeDisabled();
  await expect(page.getByRole("button", { name: "Take this" })).toBeDisabled();
  await page.goto("/horses/demo-yard-1-horse-1/cases/new");
  await page.getByRole("checkbox", { name: "left fore" }).first().click();
  await field(page, "Prescribed by").fill("the vet");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByText("For which feet?").first()).toBeVisible();
  await page.getByLabel("Until").fill("2026-12-20");
  await page.locator("#prescription_feet").getByRole("checkbox", { name: "left fore" }).click();
  await page.getByText("What it asks of the shoe").first().click();
  await page.getByLabel("Shoe", { exact: true }).click();
  await page.getByTitle("heart bar").click();
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByRole("region", { name: "Prescription" })).toContainText("Until 20 Dec");
  await page.goto(`${VISIT}/shoe?foot=LF&view=choose`);
  await expect(page.getByText("Prescribed by the vet")).toBeVisible();
  await page.getByRole("button", { name: "Take it: Heart bar" }).click();
  await expect(page.getByText("taken", { exact: true })).toBeVisible();
  const specification = page.getByRole("region", { name: "The specification" });
  await specification.getByRole("combobox", { name: "Shoe" }).selectOption("plain");
  await page.getByText("Fit", { exact: true }).click();
  await expect(page.getByRole("region", { name: "Checks" })).toContainText(
    "prescribed heart bar, here plain",
  );
});
