import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, test } from "@jest/globals";
import { Ajv2020 } from "ajv/dist/2020";
import { writeBackup, makeBackup } from "../record/backupText";
import { records } from "../record/records.fixture";
import { publishedSchemas } from "./formats";

const FOLDER = "docs/formats";
const page = readFileSync("docs/formats.md", "utf8");

/** As a stranger would check a file: with the published schema and a library. */
function checker(name: string) {
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  return ajv.compile(JSON.parse(readFileSync(`${FOLDER}/${name}.schema.json`, "utf8")) as object);
}

describe("published formats", () => {
  test("the schemas in the docs are those of the code, and the page names each", () => {
    for (const [name, schema] of Object.entries(publishedSchemas())) {
      expect(JSON.parse(readFileSync(`${FOLDER}/${name}.schema.json`, "utf8"))).toEqual(
        JSON.parse(JSON.stringify(schema)),
      );
      expect(page).toContain(`formats/${name}.schema.json`);
    }
  });

  test("a backup fits the published schema, with and without a history; one with a foreign key or a wrong number does not", () => {
    const fits = checker("backup");
    const text = (change: (made: ReturnType<typeof makeBackup>) => void = () => undefined) => {
      const made = makeBackup(records(), "2026-11-23T08:00:00Z");
      change(made);
      return JSON.parse(writeBackup(made)) as unknown;
    };
    expect([fits(text()), fits.errors]).toEqual([true, null]);
    const history = {
      device: { id: "a", name: "Phone" },
      devices: { a: "Phone" },
      seen: { a: 3 },
      stamps: [{ key: "visits/v", made: ["a", 1, 1000] as [string, number, number] }],
    };
    expect(fits(text((made) => (made.history = history)))).toBe(true);
    expect(fits(text((made) => Object.assign(made.records.horses[0]!, { colour: "bay" })))).toBe(false);
    expect(fits(text((made) => (made.records.horses[0]!.massKg = 9)))).toBe(false);
    expect(fits({ ...(text() as object), format: "other" })).toBe(false);
  });

  test("the reader on the page reads a backup, alone and outside the application", () => {
    const code = /```js\n([\s\S]*?)```/.exec(page)?.[1] ?? "";
    const folder = mkdtempSync(join(tmpdir(), "formats-"));
    writeFileSync(join(folder, "reader.mjs"), code);
    writeFileSync(join(folder, "backup.json"), writeBackup(makeBackup(records(), "2026-11-23T08:00:00Z")));
    const said = execFileSync(process.execPath, [join(folder, "reader.mjs"), join(folder, "backup.json")], {
      env: {},
      encoding: "utf8",
    });
    expect(said).toBe("Dunlin: LF 91.5 mm\n");
  });
});
