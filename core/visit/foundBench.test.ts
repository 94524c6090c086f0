import { describe, expect, test } from "@jest/globals";
import { ordinaryShoe } from "../shoe/specification";
import { notedOf, specOfFound } from "./foundBench";

const last = {
  ...ordinaryShoe("LF", 520),
  type: "straight bar" as const,
  raise: { degrees: 3, cycles: 2, exit: "level" },
};

describe("the shoe as it was found", () => {
  test("is as it was nailed on where nothing else was seen", () => {
    expect(specOfFound(undefined, last)).toEqual(last);
    expect(specOfFound({ state: "loose" }, last)).toEqual(last);
  });

  test("what was seen stands over the record: another shoe takes its raise and pad with it", () => {
    const other = specOfFound({ type: "egg bar" }, last);
    expect(other).toMatchObject({ type: "egg bar", pad: "none" });
    expect(other.raise).toBeUndefined();
    expect(specOfFound({ type: "straight bar", wedgeDeg: 5 }, last).raise?.degrees).toBe(5);
    expect(specOfFound({ wedgeDeg: 0 }, last).raise).toBeUndefined();
  });

  test("a breakover tells its edge, and nails are as they were counted", () => {
    const edges = [1, 4, 10].map((breakoverMm) => specOfFound({ breakoverMm }, last).toeEdge);
    expect(edges).toEqual(["plain", "eased", "rolled"]);
    expect(specOfFound({ nailsMedial: 2, nailsLateral: 4 }, last)).toMatchObject({
      nailsMedial: 2,
      nailsLateral: 4,
    });
  });

  test("of a shoe of which only the kind was noted nothing else is known; a shoe on record is known whole", () => {
    expect([...notedOf({ type: "plain" }, undefined)]).toEqual(["type"]);
    expect([...notedOf({ type: "egg bar", nailsMedial: 3, nailsLateral: 3 }, last)]).toEqual([
      "type",
      "nails",
    ]);
    expect([...notedOf({ nailsMedial: 3 }, undefined)]).toEqual([]);
    expect(notedOf({ type: "straight bar" }, last).size).toBe(8);
    expect(notedOf(undefined, last).has("mass")).toBe(true);
  });
});
