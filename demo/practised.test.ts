import { describe, expect, test } from "@jest/globals";
import { progressOf, standings, weakest } from "~core/practice/progress";
import { PRACTICE_ROOMS, trySchema } from "~core/practice/tryRecord";
import { practised } from "./practised";

const TODAY = "2026-11-23";
const tries = practised(TODAY, 7);

describe("the practice of the demo", () => {
  test("every room was used, before today, each try valid and following on the level before", () => {
    expect([...new Set(tries.map(({ room }) => room))].sort()).toEqual([...PRACTICE_ROOMS].sort());
    for (const one of tries) {
      expect(trySchema.safeParse(one).success).toBe(true);
      expect(one.date < TODAY).toBe(true);
    }
    for (const room of PRACTICE_ROOMS) {
      const mine = tries.filter((one) => one.room === room);
      mine.slice(1).forEach((one, index) => expect(one.level).toBe(mine[index]?.next));
      expect(mine.map(({ at }) => at)).toEqual([...mine.map(({ at }) => at)].sort());
    }
  });

  test("it shows what got better and what is weakest, and the same seed gives the same", () => {
    const all = standings(tries, "measure");
    expect(all.some(({ change }) => change === "better")).toBe(true);
    expect(weakest(all)?.of).toBe("Hairline at the heel");
    expect(progressOf(tries, "measure").at(-1)?.level).toBeGreaterThan(3);
    expect(practised(TODAY, 7)).toEqual(tries);
  });
});
