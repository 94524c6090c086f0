// Installs what is missing, with nothing but Node itself: npm packages by the lock file, Chromium from Debian.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const STAMP = "node_modules/.installed-lock";
const CHROMIUM = "/usr/bin/chromium";

/** Runs a command with its output shown; true when it ended well. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { stdio: "inherit", ...options }).status === 0;
}

/** Starts a command beside others: its output comes whole when it has ended; true when it ended well. */
export const start = (command, args) =>
  new Promise((ended) => {
    const running = spawn(command, args, { stdio: ["ignore", "pipe", "pipe"] });
    const said = [];
    for (const stream of [running.stdout, running.stderr]) stream.on("data", (part) => said.push(part));
    running.on("error", (error) => {
      console.error(error.message);
      ended(false);
    });
    running.on("close", (code) => {
      process.stdout.write(Buffer.concat(said));
      ended(code === 0);
    });
  });

/** `npm ci`, unless the packages of this very lock file are there. */
export function installPackages() {
  const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  if (existsSync(STAMP) && readFileSync(STAMP, "utf8") === lock) return;
  console.log("Installing the packages …");
  if (!run("npm", ["ci", "--no-audit", "--no-fund"])) throw new Error("npm ci failed");
  writeFileSync(STAMP, lock);
}

/** Debian's Chromium, for the end-to-end tests. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log("Installing Chromium …");
  const asRoot = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, "apt-get", ...args];
    return run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } });
  };
  apt("update", "-q");
  if (!apt("install", "-q", "-y", "--no-install-recommends", "chromium"))
    throw new Error("Chromium could not be installed: apt-get install chromium");
}
