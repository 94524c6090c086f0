import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import {
  capAfterFound,
  didNotLast,
  foundEffects,
  foundGave,
  foundInWords,
  foundShoeSchema,
  gaveInWords,
  SHOE_STATES,
} from "./foundShoe";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });

describe("the shoe as found", () => {
  test("every state but the ordinary one moves something and says so; the ordinary one is silent", () => {
    expect(foundEffects({ state: "as it was nailed" }, true)).toEqual([]);
    for (const state of SHOE_STATES.slice(1))
      expect(foundEffects({ state }, false).length).toBeGreaterThan(0);
    expect(foundEffects(undefined, true)).toEqual([]);
  });

  test("one that did not last until its day shortens the next stretch by a week, never under two", () => {
    expect(didNotLast({ state: "loose" }, true)).toBe(true);
    expect(didNotLast({ state: "loose" }, false)).toBe(false);
    expect(didNotLast({ state: "bent" }, true)).toBe(false);
    expect(foundEffects({ state: "lost" }, true).filter(({ moves }) => moves === "window")).toHaveLength(1);
    expect([capAfterFound(6, false), capAfterFound(6, true), capAfterFound(2, false)]).toEqual([5, 6, 2]);
  });

  test("what it gave: breakover ahead of the centre of rotation, branch behind it, its raise", () => {
    const gave = foundGave({ lengthMm: 132, breakoverMm: 8, wedgeDeg: 3 }, { front: 66 });
    expect(gave).toEqual({ raiseDeg: 3, front: 58, support: 66 });
    expect(gaveInWords(gave, wording)).toBe(
      "raised 3.0°; 58 mm ahead of the centre of rotation, 66 mm behind it (47 : 53)",
    );
    expect(foundGave({ lengthMm: 132 }, {})).toEqual({});
    expect(gaveInWords({}, wording)).toBe("");
  });

  test("one line of what was found; what was not looked at is left out", () => {
    expect(
      foundInWords(
        {
          type: "heart bar",
          pad: "flat",
          wedgeDeg: 3,
          lengthMm: 132,
          nailsMedial: 3,
          nailsLateral: 2,
          state: "loose",
        },
        wording,
      ),
    ).toBe("heart bar, flat pad, 3.0° wedge, 132 mm long, nails 3 inside, 2 outside, loose");
    expect(foundInWords({ pad: "none" }, wording)).toBe("");
  });

  test("numbers that no shoe has are refused in words", () => {
    const said = (found: object) => foundShoeSchema.safeParse(found).error?.issues[0]?.message;
    expect(said({ wedgeDeg: 35 })).toMatch(/between 0 and 20/);
    expect(said({ lengthMm: 20 })).toMatch(/no shoe/);
    expect(said({ nailsMedial: 9 })).toMatch(/6 nails/);
    expect(said({ nailsLateral: 2.5 })).toMatch(/whole number/);
  });
});
