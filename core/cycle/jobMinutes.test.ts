import { describe, expect, test } from "@jest/globals";
import { hasBarOrPad, jobMinutes, jobName, toeOnlyMinutes } from "./jobMinutes";

describe("how long a horse takes, an estimate for the day’s plan", () => {
  test.each([
    ["trim", 25],
    ["fronts", 45],
    ["full set", 75],
  ] as const)("%s: %d minutes", (finish, minutes) => {
    expect(jobMinutes({ finish, habits: "" })).toBe(minutes);
  });

  test("a bar or a pad takes longer, a horse that has to be waited for takes longer again", () => {
    expect(jobMinutes({ finish: "full set", habits: "" }, true)).toBe(95);
    expect(jobMinutes({ finish: "full set", habits: "kicks behind" })).toBe(98);
    expect(jobMinutes({ finish: "full set", habits: "kicks behind" }, true)).toBe(124);
  });

  test("the toes alone are ten minutes, thirteen where it is difficult", () => {
    expect([toeOnlyMinutes({ habits: "" }), toeOnlyMinutes({ habits: "pulls away" })]).toEqual([10, 13]);
  });
});

test("a visit is named by its own job, else by what the horse usually gets", () => {
  expect(jobName({ finish: "fronts" })).toBe("fronts");
  expect(jobName({ finish: "fronts" }, {})).toBe("fronts");
  expect(jobName({ finish: "fronts" }, { job: "toe only" })).toBe("toe only");
});

test("which shoes have a bar or a pad", () => {
  expect(hasBarOrPad({ type: "plain", pad: "none" })).toBe(false);
  expect(hasBarOrPad({ type: "bare", pad: "none" })).toBe(false);
  expect(hasBarOrPad({ type: "sliding plate", pad: "none" })).toBe(false);
  expect(hasBarOrPad({ type: "egg bar", pad: "none" })).toBe(true);
  expect(hasBarOrPad({ type: "plain", pad: "wedge" })).toBe(true);
});
