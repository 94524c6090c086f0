import { describe, expect, test } from "@jest/globals";
import type { STAGES } from "../constants/stages";
import { CAUTIONS, cautionsAt, cautionsForKind } from "./cautions";

/** Read aloud: about 150 words a minute. */
const WORDS_IN_TEN_SECONDS = 25;

describe("cautions", () => {
  test("each line can be read aloud in ten seconds", () => {
    for (const { title, lines } of CAUTIONS)
      for (const line of lines)
        expect([title, line.split(" ").length <= WORDS_IN_TEN_SECONDS]).toEqual([title, true]);
  });

  test("the steps that can hurt have theirs: arriving, watching, pulling, trimming, fire, nails", () => {
    const named = (stage: (typeof STAGES)[number]) => cautionsAt(stage).map(({ id }) => id);
    expect(named("arrive")).toEqual(["horse"]);
    expect(named("watch")).toEqual(["vet"]);
    expect(named("read")).toEqual(["body"]);
    expect(named("trim")).toEqual(["body", "foot"]);
    expect(named("shoe")).toEqual(["fire"]);
    expect(named("set")).toEqual(["body", "nail", "fire", "chemicals"]);
  });

  test("donkeys, draught horses and minis have theirs at arrival, a riding horse has none", () => {
    const ids = (kind: "horse" | "donkey" | "heavy" | "pony", massKg: number) =>
      cautionsForKind({ kind, massKg }).map(({ id }) => id);
    expect([ids("donkey", 180), ids("heavy", 900), ids("pony", 120)]).toEqual([
      ["kinds"],
      ["kinds"],
      ["kinds"],
    ]);
    expect([ids("horse", 500), ids("pony", 320)]).toEqual([[], []]);
  });

  test("who may do this, and when to call the vet, are said plainly and without theatre", () => {
    const text = (id: string) => CAUTIONS.find((one) => one.id === id)?.lines.join(" ") ?? "";
    expect(text("who")).toContain("registered or licensed");
    expect(text("vet")).toContain("laminitis");
    expect(CAUTIONS.flatMap(({ lines }) => lines).join("")).not.toContain("!");
  });

  test("no two share an id", () => {
    expect(new Set(CAUTIONS.map(({ id }) => id)).size).toBe(CAUTIONS.length);
  });
});
