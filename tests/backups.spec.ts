import { expect, openDemo, ownHorse, test } from "./round";

test("a backup behind a passphrase: too short is refused, a wrong one says so, the right one opens it", async ({
  page,
}) => {
  await openDemo(page, "/files");
  await page.getByText("Back up behind a passphrase").click();
  await expect(page.getByText("Whoever forgets the passphrase has lost the file")).toBeVisible();
  await page.getByLabel("Passphrase", { exact: true }).fill("short");
  await page.getByRole("button", { name: "Back up, sealed" }).click();
  await expect(page.getByRole("alert")).toContainText("At least 10 letters");
  await page.getByLabel("Passphrase", { exact: true }).fill("anvil rasp clench");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Back up, sealed" }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^plumbline-.*\.sealed$/);
  await page.getByLabel("Choose a backup file").setInputFiles(await file.path());
  await page.getByLabel("Its passphrase").fill("anvil rasp clinch");
  await page.getByRole("button", { name: "Open it" }).click();
  await expect(page.getByRole("alert")).toContainText("This passphrase does not open the file");
  await page.getByLabel("Its passphrase").fill("anvil rasp clench");
  await page.getByRole("button", { name: "Open it" }).click();
  await expect(page.getByText("Every row was read and is sound.")).toBeVisible();
});

test("into a folder by themselves: chosen once, written, read back, told where and when; stopped, what was written stays", async ({
  page,
}) => {
  // The browser's own file system stands in for a folder: its dialog cannot be pressed here.
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle("Backups", { create: true }),
    });
  });
  const names = () =>
    page.evaluate(async () => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("Backups");
      const found: string[] = [];
      for await (const name of (folder as unknown as { keys: () => AsyncIterable<string> }).keys())
        found.push(name);
      return found;
    });
  await ownHorse(page, "Wren");
  await page.goto("/files");
  const panel = page.getByRole("region", { name: "Backups by themselves" });
  await panel.getByRole("button", { name: "Choose a folder" }).click();
  await expect(panel.getByRole("status")).toContainText("Written and read back: plumbline-computer-");
  await expect(panel).toContainText("Last backed up");
  expect(await names()).toHaveLength(1);
  await panel.getByRole("button", { name: "Stop" }).click();
  await expect(panel.getByRole("button", { name: "Choose a folder" })).toBeVisible();
  expect(await names()).toHaveLength(1);
});

test("Today says what stands in this browser alone once it is old, and no longer when it is backed up", async ({
  page,
}) => {
  await ownHorse(page, "Wren");
  await page.goto("/");
  await expect(page.getByText("in this browser alone")).toHaveCount(0);
  await page.evaluate(
    () =>
      new Promise<void>((done, failed) => {
        const opening = indexedDB.open("plumbline");
        opening.onerror = () => failed(opening.error);
        opening.onsuccess = () => {
          const at = Date.now() - 9 * 86_400_000;
          const writing = opening.result.transaction("facts", "readwrite");
          writing
            .objectStore("facts")
            .put({ key: "backup", value: JSON.stringify({ at, act: 0, folder: false }) });
          writing.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
  );
  await page.reload();
  await expect(
    page.getByText(/Last backed up 9 days ago: since then 1 change stands in this browser alone\./),
  ).toBeVisible();
  await page.getByRole("link", { name: "Back up" }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Back up everything" }).click();
  await download;
  await page.goto("/");
  await expect(page.getByRole("heading").first()).toBeVisible();
  await page.waitForLoadState("networkidle");
  await expect(page.getByText("in this browser alone")).toHaveCount(0);
});

test("the browser is asked to keep the records when the first is made, and what it answered is told", async ({
  page,
}) => {
  await page.goto("/files");
  await expect(page.getByText("It is asked to keep yours when your first record is made.")).toBeVisible();
  await ownHorse(page, "Wren");
  await page.goto("/files");
  await expect(
    page.getByText(/^The browser (was asked and did not promise|has promised not to clear)/),
  ).toBeVisible();
});
