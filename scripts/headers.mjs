// Prints the headers that a host has to send with the build that is there.
import { readFileSync } from "node:fs";
import { headersFor } from "./policy.mjs";

for (const [name, value] of Object.entries(headersFor(readFileSync("build/client/index.html", "utf8"))))
  console.log(`${name}: ${value}`);
