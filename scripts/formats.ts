// Writes the JSON Schemas of all exchanged files into docs/formats; a test holds them against the code.
import { writeFileSync } from "node:fs";
import { publishedSchemas } from "../core/sheet/formats";

for (const [name, schema] of Object.entries(publishedSchemas()))
  writeFileSync(`docs/formats/${name}.schema.json`, `${JSON.stringify(schema, null, 1)}\n`);
