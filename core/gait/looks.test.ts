import { describe, expect, test } from "@jest/globals";
import { forTheVet, freeLookId, isWatched, looksOfVisit, watchingAt, wrongLookDay } from "./looks";

describe("looks of a visit", () => {
  test("four that every visit has room for, and as many more as are taken, in the order of the work", () => {
    const taken = {
      "more-2": { time: "later day", date: "2026-12-20" },
      "more-1": { time: "later day", date: "2026-12-01" },
      "more-3": { time: "shoes off", gait: "trot" },
      before: { gait: "walk" },
    } as const;
    expect(looksOfVisit(taken).map(({ id }) => id)).toEqual([
      "before",
      "shoes-off",
      "more-3",
      "hinds-done",
      "after",
      "more-1",
      "more-2",
    ]);
    expect(looksOfVisit(taken)[0]).toMatchObject({ time: "as it came", gait: "walk", more: false });
    expect(freeLookId(taken)).toBe("more-4");
    expect(freeLookId({})).toBe("more-1");
  });

  test("a later look lies between the visit and today", () => {
    expect(wrongLookDay("2026-11-01", "2026-11-02", "2026-11-29")).toMatch(/Before the visit/);
    expect(wrongLookDay("2026-12-01", "2026-11-02", "2026-11-29")).toMatch(/In the future/);
    expect(wrongLookDay("2026-11-29", "2026-11-02", "2026-11-29")).toBeUndefined();
  });

  test("findings before the trim stand on how it came, filled up from the look with the shoes off", () => {
    const came = { lands: [40, 60], deviation: {}, hairline: { quarterMedial: "low" } } as const;
    const bare = { lands: [0, 60], slide: "none", hairline: { quarterLateral: "level" } } as const;
    expect(watchingAt({ before: came, "shoes-off": bare }, "before")).toEqual({
      lands: [40, 60],
      slide: "none",
      deviation: {},
      hairline: { quarterMedial: "low", quarterLateral: "level" },
    });
    expect(watchingAt({ "shoes-off": bare }, "before")).toEqual(bare);
    expect(watchingAt({ "shoes-off": bare }, "after")).toBeUndefined();
    expect(watchingAt({ after: bare }, "after")).toEqual(bare);
  });

  test("an empty record was not watched; one tap is enough", () => {
    expect(isWatched({ deviation: {}, hairline: {} })).toBe(false);
    expect(isWatched({ tracks: "short of it" })).toBe(true);
    expect(isWatched({ hairline: { quarterMedial: "level" } })).toBe(true);
  });

  test("a nodding head and a hiking hip are the vet’s, with the gait", () => {
    expect(forTheVet({ head: "nods", hip: "hikes", gait: "trot" })).toBe("head nods, hip hikes, at trot");
    expect(forTheVet({ head: "steady", hip: "level" })).toBeUndefined();
  });
});
