import { expect, field, openVisit, test } from "./round";

test("a number is measured again without looking: a pair is kept, the reading stays", async ({ page }) => {
  await openVisit(page, "survey");
  await field(page, "Dorsal angle").fill("50");
  await field(page, "Dorsal angle").press("Enter");
  await field(page, "Dorsal angle").focus();
  await page.getByRole("button", { name: "Dorsal angle: measure it again" }).click();
  const again = page.getByRole("textbox", { name: /^Dorsal angle a second time/ });
  await again.fill("steep");
  await again.press("Enter");
  await expect(page.getByRole("alert")).toContainText("steep");
  await again.fill("51");
  await again.press("Enter");
  await expect(page.getByText("Dorsal angle: 1° apart. 1 of 10 angle pairs.")).toBeVisible();
  await expect(field(page, "Dorsal angle")).toHaveValue("50");
});

test("on a phone the second reading has the number pad to itself, and can be left", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openVisit(page, "survey");
  const press = async (keys: string) => {
    for (const key of keys) await page.getByRole("button", { name: key, exact: true }).click();
  };
  await field(page, "Dorsal angle").fill("50");
  await field(page, "Dorsal angle").blur();
  await field(page, "Dorsal angle").focus();
  await page.getByRole("button", { name: "Dorsal angle: measure it again" }).click();
  const again = page.getByRole("textbox", { name: /^Dorsal angle a second time/ });
  await press("52");
  await expect(again).toHaveValue("52");
  await page.getByRole("button", { name: "Leave it" }).click();
  await expect(field(page, "Dorsal angle")).toHaveValue("50");
  await page.getByRole("button", { name: "Dorsal angle: measure it again" }).click();
  await expect(again).toHaveValue("");
  await press("49");
  await page.getByRole("button", { name: "Keep the pair" }).click();
  await expect(page.getByText("Dorsal angle: 1° apart. 1 of 10 angle pairs.")).toBeVisible();
  await expect(field(page, "Dorsal angle")).toHaveValue("50");
});

test("a length by calliper is measured again in the lane of its own", async ({ page }) => {
  await openVisit(page, "survey");
  await page.goto(`${page.url().split("?")[0]}?foot=LF&way=calliper`);
  await field(page, "Back of sulcus to toe").fill("120");
  await field(page, "Back of sulcus to toe").press("Enter");
  await field(page, "Back of sulcus to toe").focus();
  await page.getByRole("button", { name: "Back of sulcus to toe: measure it again" }).click();
  const again = page.getByRole("textbox", { name: /^Back of sulcus to toe a second time/ });
  await again.fill("122");
  await again.press("Enter");
  await expect(
    page.getByText(/Back of sulcus to toe: 2(\.0)? mm apart. 1 of 10 length pairs./),
  ).toBeVisible();
  await expect(field(page, "Back of sulcus to toe")).toHaveValue("120");
});
