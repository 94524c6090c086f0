// One command to look around: installs, builds, serves, and prints the address that opens with the demo round.
import { spawn } from "node:child_process";
import { installPackages, run } from "./install.mjs";

installPackages();
if (!run("npm", ["run", "-s", "build"])) process.exit(1);
const { serve } = await import("./serve.mjs");
const { address } = await serve(Number(process.env.PORT ?? 0));
const page = `${address}/?round=demo`;
console.log(`\nPlumbline with the demo round: ${page}\nStop with Ctrl-C.`);
if (process.env.DISPLAY && !process.env.CI)
  spawn("xdg-open", [page], { stdio: "ignore", detached: true })
    .on("error", () => undefined)
    .unref();
