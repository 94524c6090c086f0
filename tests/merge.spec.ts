import { readFile } from "node:fs/promises";
import type { BrowserContext, Page } from "@playwright/test";
import { expect, field, openVisit, test, TODAY } from "./round";

const SURVEY = `/visits/demo-yard-1-horse-1-${TODAY}/survey?foot=LF`;

/** A device of its own, with the demo round in it, called by a name. */
async function device(another: () => Promise<BrowserContext>, name: string): Promise<Page> {
  const page = await (await another()).newPage();
  await openVisit(page, "survey");
  await page.goto("/files");
  const called = page.getByRole("region", { name: "This device" }).getByRole("textbox");
  await called.fill(name);
  await called.press("Enter");
  await expect(page.getByText(/^Kept/).first()).toBeVisible();
  await page.reload();
  await expect(called).toHaveValue(name);
  return page;
}

async function backup(page: Page): Promise<string> {
  await page.goto("/files");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Back up everything" }).click();
  return (await download).path();
}

async function compare(page: Page, file: string) {
  await page.goto("/files");
  await page.getByLabel("Choose a backup file").setInputFiles(file);
  await page.getByRole("button", { name: "Compare with what is here" }).click();
}

async function measure(page: Page, name: string, value: string) {
  await page.goto(SURVEY);
  await field(page, name).fill(value);
  await field(page, name).press("Enter");
  await expect(page.getByText(/^Kept/).first()).toBeVisible();
}

test("a phone's and a laptop's week are put together with one toe length in question, and both agree afterwards", async ({
  another,
}) => {
  const [phone, laptop] = [await device(another, "Phone"), await device(another, "Laptop")];
  await measure(phone, "Toe length", "98");
  await measure(phone, "Width", "129");
  await measure(laptop, "Toe length", "96");
  await measure(laptop, "Dorsal angle", "49");
  const file = await backup(phone);
  await compare(laptop, file);
  const look = laptop.getByRole("region", { name: "Bring in a backup" });
  await expect(look.getByRole("heading", { name: "One place was changed on both" })).toBeVisible();
  const asked = look.getByRole("group", { name: /left fore, before the trim.*: toe length/ });
  await expect(asked.getByRole("radio", { name: /96 mm.*here.*later/ })).toBeChecked();
  // The phone's is taken, though it was typed earlier.
  await asked.getByRole("radio", { name: /98 mm.*Phone/ }).check();
  await look.getByRole("button", { name: "Put together" }).click();
  await expect(laptop.getByRole("status").filter({ hasText: "Put together." })).toBeVisible();
  const aside = laptop.getByRole("region", { name: "Set aside" });
  await aside.getByText(/1 set aside/).click();
  await expect(aside.getByRole("listitem")).toContainText("96 mm");
  // Back to the phone: nothing is asked again.
  await compare(phone, await backup(laptop));
  await expect(phone.getByRole("heading", { name: /changed on both/ })).toHaveCount(0);
  await phone.getByRole("button", { name: "Put together" }).click();
  await expect(phone.getByRole("status").filter({ hasText: "Put together." })).toBeVisible();
  const held = async (page: Page) => {
    await page.goto(SURVEY);
    return Promise.all(["Toe length", "Width", "Dorsal angle"].map((name) => field(page, name).inputValue()));
  };
  expect(await held(phone)).toEqual(["98", "129", "49"]);
  expect(await held(laptop)).toEqual(["98", "129", "49"]);
  const records = async (page: Page) => {
    const { records: all } = JSON.parse(await readFile(await backup(page), "utf8")) as {
      records: Record<string, { id: string }[]>;
    };
    return Object.fromEntries(
      Object.entries(all).map(([name, rows]) => [name, [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))]),
    );
  };
  expect(await records(phone)).toEqual(await records(laptop));
  // The same file once more changes nothing.
  await compare(laptop, file);
  await expect(laptop.getByText("Nothing in it is new here.")).toBeVisible();
  await phone.context().close();
  await laptop.context().close();
});

test("what changes here while the comparison is looked at is not overwritten: it is compared anew", async ({
  another,
}) => {
  const [phone, laptop] = [await device(another, "Phone"), await device(another, "Laptop")];
  await measure(phone, "Width", "129");
  await compare(laptop, await backup(phone));
  await expect(laptop.getByRole("button", { name: "Put together" })).toBeVisible();
  const other = await laptop.context().newPage();
  await measure(other, "Toe length", "96");
  await laptop.getByRole("button", { name: "Put together" }).click();
  await expect(laptop.getByText("Something was changed here in the meantime.")).toBeVisible();
  await laptop.getByRole("button", { name: "Put together" }).click();
  await expect(laptop.getByRole("status").filter({ hasText: "Put together." })).toBeVisible();
  await laptop.goto(SURVEY);
  await expect(field(laptop, "Toe length")).toHaveValue("96");
  await expect(field(laptop, "Width")).toHaveValue("129");
  await phone.context().close();
  await laptop.context().close();
});
