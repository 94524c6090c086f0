import { describe, expect, test } from "@jest/globals";
import { z } from "zod";
import { wordingFor } from "../foot/wording";
import { quantityAt, sayValue } from "./sayValue";
import { TABLES } from "./schemas";
import type { TableName } from "./tables";

const STYLE = { fraction: 16, leftRight: "left-right", side: "inside-outside" } as const;
const mm = wordingFor({ unit: "mm", ...STYLE });
const inches = wordingFor({ unit: "in", ...STYLE });

interface Shape {
  type?: string;
  anyOf?: Shape[];
  oneOf?: Shape[];
  properties?: Record<string, Shape>;
  additionalProperties?: Shape | boolean;
  propertyNames?: { enum?: string[] };
  items?: Shape | boolean;
  prefixItems?: Shape[];
}

/** The path of every number of a schema; where names are free or a list goes on, one stands for all. */
function numbersIn(shape: Shape, path: readonly string[] = []): string[][] {
  const inner = [...(shape.anyOf ?? []), ...(shape.oneOf ?? [])].flatMap((one) => numbersIn(one, path));
  const named = Object.entries(shape.properties ?? {}).flatMap(([key, one]) =>
    numbersIn(one, [...path, key]),
  );
  const keys = shape.propertyNames?.enum ?? ["any"];
  const free =
    typeof shape.additionalProperties === "object"
      ? keys.flatMap((key) => numbersIn(shape.additionalProperties as Shape, [...path, key]))
      : [];
  const listed = [
    ...(typeof shape.items === "object" ? [shape.items] : []),
    ...(shape.prefixItems ?? []),
  ].flatMap((one) => numbersIn(one, [...path, "0"]));
  const own = shape.type === "number" || shape.type === "integer" ? [[...path]] : [];
  return [...own, ...inner, ...named, ...free, ...listed];
}

const NUMBERS = Object.entries(TABLES).flatMap(([table, schema]) =>
  numbersIn(z.toJSONSchema(schema, { unrepresentable: "any", io: "input" }) as Shape).map(
    (path) => [table as TableName, path] as const,
  ),
);

describe("quantityAt", () => {
  test("every number of every table is found", () => {
    expect(NUMBERS.length).toBeGreaterThan(100);
  });

  test.each(NUMBERS)("%s %j: a name that says its unit means it", (table, path) => {
    const name = path.findLast((step) => !["0", "value", "any"].includes(step)) ?? "";
    const said = quantityAt(table, path);
    if (/Mm$/.test(name)) expect(said).toBe("mm");
    if (/Deg$|[aA]ngle$|degrees/.test(name)) expect(said).toBe("deg");
    if (/Weeks$/.test(name)) expect(said).toBe("weeks");
    if (/[mM]inutes/.test(name)) expect(said).toBe("minutes");
    if (/[sS]econds/.test(name)) expect(said).toBe("seconds");
    if (/Kg$/.test(name)) expect(said).toBe("kg");
    if (/count$|^nails(Medial|Lateral)$|cycles$/.test(name)) expect(said).toBe("count");
  });

  test("lengths are the rule: all that is mm without saying so is a length", () => {
    const silent = NUMBERS.filter(([table, path]) => quantityAt(table, path) === "mm")
      .map(([table, path]) => [table, ...path].join("."))
      .filter((path) => !/Mm(\.|$)/.test(path));
    expect(
      silent.filter((path) => /angle|axis|deg|turn|week|minute|second|hour|speed|mass|home/i.test(path)),
    ).toEqual([]);
  });
});

describe("sayValue", () => {
  test.each([
    ["horses", ["capWeeks"], 8, "8 weeks"],
    ["horses", ["capWeeks"], 1, "1 week"],
    ["settings", ["capWeeks", "riding"], 6, "6 weeks"],
    ["settings", ["axisLimitDeg"], 5, "5.0°"],
    ["settings", ["toeOverMm"], 14, "14 mm"],
    ["settings", ["bounds", "axisDeg"], [5, 12], "5.0° and 12.0°"],
    ["settings", ["bounds", "toeExcess"], [0.06, 0.16], "0.06 and 0.16"],
    ["settings", ["rounds", "speedKmh"], 65, "65 km/h"],
    ["settings", ["rounds", "home"], [54, -2], "54 and -2"],
    ["horses", ["massKg"], 520, "520 kg"],
    ["readings", ["values", "dorsalAngle"], { value: 52.5, source: "gauge" }, "52.5°"],
    ["readings", ["values", "toeLength"], { value: 82, source: "calliper" }, "82 mm"],
    ["readings", ["side", "heelLength"], { value: 40, source: "photo" }, "40 mm"],
    ["readings", ["rear", "hairlineTilt"], { value: 2, source: "photo" }, "2.0°"],
    ["shoes", ["breakover", "levelLine"], 12, "12.0°"],
    ["horses", ["habits"], "Kicks", "“Kicks”"],
    ["horses", ["habits"], "", "nothing"],
    ["horses", ["companionId"], undefined, "nothing"],
    ["horses", [], { id: "h", name: "Bramble" }, "“Bramble”"],
    ["horses", ["life", "work"], ["jumping", "hacking"], "jumping, hacking"],
    ["readings", ["sole"], { toe: {}, frogApex: {} }, "2 entries"],
    ["visits", ["pinned"], true, "yes"],
  ] as const)("%s %j %j is %s", (table, path, value, said) => {
    expect(sayValue(table, path, value, mm)).toBe(said);
  });

  test("lengths in the user’s own unit, a long text cut short", () => {
    expect(sayValue("readings", ["values", "width"], { value: 127 }, inches)).toBe("5 in");
    expect(sayValue("horses", ["notes"], "x".repeat(300), mm)).toHaveLength(62);
  });
});
