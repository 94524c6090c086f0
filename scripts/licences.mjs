// The licences of everything that the build is made of, as one text.
import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** Names under which packages keep the text of their licence. */
const LICENCE = /^(licen[cs]e|copying|notice)(\.|-|$)/i;

/** One package: its name, version, licence and the text of it. */
function notice(folder) {
  const { name, version, license } = JSON.parse(readFileSync(join(folder, "package.json"), "utf8"));
  const texts = readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isFile() && LICENCE.test(entry.name))
    .map((entry) => readFileSync(join(folder, entry.name), "utf8").trim());
  const kind = typeof license === "string" ? license : "as its text says";
  return { name, version, kind, texts };
}

/** Every package that the application depends on, by name; each text once. */
export function licences() {
  const folders = execFileSync("npm", ["ls", "--omit=dev", "--all", "--parseable"], {
    encoding: "utf8",
    stdio: ["ignore", "pipe", "ignore"],
  })
    .split("\n")
    .slice(1)
    .filter((folder) => folder !== "");
  const said = new Map();
  return [...new Set(folders)]
    .map(notice)
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .map(({ name, version, kind, texts }) => {
      const text = texts.join("\n\n");
      const before = said.get(text);
      if (text !== "" && before === undefined) said.set(text, name);
      const body =
        text === "" ? "(its package holds no text of it)" : before ? `(the text is that of ${before})` : text;
      return `${name} ${version}: ${kind}\n\n${body}\n`;
    })
    .join(`\n${"-".repeat(72)}\n\n`);
}
