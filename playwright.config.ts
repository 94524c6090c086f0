import { defineConfig } from "@playwright/test";

/** What the tests are served on; a store belongs to its address. */
export const PORT = 4391;
/** Set by `npm run pictures`: takes the pictures in docs/screenshots instead of testing. */
const PICTURES = process.env["PICTURES"] !== undefined;

/** The real interface in the system's Chromium, against the production build. */
export const CHROMIUM = {
  executablePath: "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

export default defineConfig({
  testDir: "tests",
  projects: [
    { name: "stores", testMatch: "stores.setup.ts" },
    {
      name: "screens",
      dependencies: ["stores"],
      testMatch: PICTURES ? "pictures.spec.ts" : "*.spec.ts",
      testIgnore: PICTURES ? [] : ["pictures.spec.ts"],
    },
  ],
  workers: 2,
  fullyParallel: true,
  timeout: PICTURES ? 240_000 : 180_000,
  // Only to end what hangs: what is quick enough is measured by the bench.
  expect: { timeout: 60_000 },
  forbidOnly: true,
  reporter: "list",
  use: {
    baseURL: `http://localhost:${PORT}`,
    launchOptions: CHROMIUM,
    viewport: { width: 1280, height: 800 },
    timezoneId: "Europe/London",
    locale: "en-GB",
    // The offline copy is laid in by the tests that are about it; in all others it would only cost time.
    serviceWorkers: "block",
  },
  webServer: {
    command: "node scripts/serve.mjs",
    env: { PORT: String(PORT) },
    url: `http://localhost:${PORT}`,
    reuseExistingServer: false,
  },
});
