import { describe, expect, test } from "@jest/globals";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const under = (folder: string, ending: RegExp): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => ending.test(name))
    .map((name) => join(folder, name));

const sheets = under("app", /\.css$/).map((path) => ({ path, css: readFileSync(path, "utf8") }));
const source = under("app", /\.tsx?$/)
  .filter((path) => !path.endsWith("tokens.test.ts"))
  .map((path) => readFileSync(path, "utf8"))
  .join("\n");

/** Inside drawings a length is the drawing's own. */
const features = sheets.filter(({ path }) => !path.startsWith(join("app", "drawing")));

describe("the style sheets", () => {
  test("space and radius come from the scales; a hair of 1 px and room for a fixed bar do not", () => {
    const strays = features.flatMap(({ path, css }) =>
      [...css.matchAll(/^\s*((?:padding|margin|gap|row-gap|column-gap|border-radius)[a-z-]*): ([^;]*);/gm)]
        .filter(([, , value = ""]) =>
          [...value.matchAll(/(?<![\w.-])-?([\d.]+)px/g)].some(([, px]) => Number(px) > 1 && Number(px) < 60),
        )
        .map(([, property, value]) => `${path}: ${property}: ${value}`),
    );
    expect(strays).toEqual([]);
  });

  test("type comes from the seven sizes, inside drawings from the four; the scale card is printed at its true size", () => {
    const strays = sheets
      .filter(({ path }) => !path.endsWith("card.css"))
      .flatMap(({ path, css }) =>
        [...css.matchAll(/^\s*font-size: ([^;]*);/gm)]
          .filter(
            ([, value = ""]) =>
              !/^var\(--(type|drawn)-[a-z]+\)$/.test(value) && !/^(inherit|[\d.]+em)$/.test(value),
          )
          .map(([, value]) => `${path}: ${value}`),
      );
    expect(strays).toEqual([]);
  });

  test("hold no class that no screen uses", () => {
    const classes = new Set(
      sheets.flatMap(({ css }) => [...css.matchAll(/\.([a-z][\w-]*)/g)].map(([, name]) => name ?? "")),
    );
    const dead = [...classes].filter((name) => {
      if (name.startsWith("ant-") || source.includes(name)) return false;
      // A name that is put together: `lane-note-${level}`.
      const parts = name.split("-");
      return !parts.some((_, at) => at > 0 && source.includes(`${parts.slice(0, at).join("-")}-\${`));
    });
    expect(dead).toEqual([]);
  });
});
