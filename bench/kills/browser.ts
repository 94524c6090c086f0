import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type BrowserContext } from "@playwright/test";
import { CHROMIUM } from "../../playwright.config";
import { copyProfile } from "../../tests/stores";

/** A browser with one profile, which can be opened, killed as by a power cut, and opened again. */
export interface Killable {
  open: () => Promise<BrowserContext>;
  /** Begins again with the round that the tests begin with. */
  begin: () => Promise<void>;
  /** Kills all of it and waits until none of it is left. */
  kill: () => Promise<void>;
  /** The profile is taken away. */
  away: () => void;
}

export function killable(address: string): Killable {
  const profile = mkdtempSync(join(tmpdir(), "kills-"));
  return {
    async begin() {
      rmSync(profile, { recursive: true, force: true });
      await copyProfile(profile);
    },
    async open() {
      // What a killed browser leaves to say that it is running.
      for (const name of ["SingletonLock", "SingletonCookie", "SingletonSocket"])
        rmSync(join(profile, name), { force: true });
      const made = await chromium.launchPersistentContext(profile, {
        ...CHROMIUM,
        baseURL: address,
        serviceWorkers: "block",
      });
      // The TypeScript runner marks inner functions with a helper that the page does not have.
      await made.addInitScript("globalThis.__name = (made) => made");
      return made;
    },
    async kill() {
      while (spawnSync("pkill", ["-9", "-f", `user-data-dir=${profile}`]).status === 0)
        await new Promise((ended) => setTimeout(ended, 100));
    },
    away: () => {
      rmSync(profile, { recursive: true, force: true });
    },
  };
}
