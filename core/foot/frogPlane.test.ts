import { expect, test } from "@jest/globals";
import { frogHangs, frogPlane } from "./frogPlane";
import { chalkSays, frogSays } from "./frogWords";
import { wordingFor } from "./wording";

test("a frog 3 mm in under a 10 mm shoe: 13 mm of air, and a rasp touches it after 3 mm", () => {
  expect(frogPlane({ proud: -3, thickness: 10 })).toEqual({ proudAfter: -3, gap: 13, touchCut: 3 });
});

test("cutting the heels brings the frog nearer by as much; a pad lifts it", () => {
  expect(frogPlane({ proud: -3, thickness: 10, heelCut: 5 })).toEqual({
    proudAfter: 2,
    gap: 8,
    touchCut: 3,
  });
  expect(frogPlane({ proud: 2, thickness: 8, pad: 4 }).gap).toBe(10);
});

test("a frog past the shoe has no gap left, and touches the rasp at once; it hangs by its height", () => {
  expect(frogPlane({ proud: 14, thickness: 8 })).toEqual({ proudAfter: 14, gap: 0, touchCut: 0 });
  expect([frogHangs(9), frogHangs(3), frogHangs(-5)]).toEqual([true, false, false]);
});

test("what follows is said in words: the gap under this shoe, the rasp's stop, and a frog that hangs", () => {
  const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
  expect(frogSays(-3, 10, wording)).toBe(
    "Under this shoe of 10 mm there are 13 mm of air between frog and firm ground: a plate, pad or compound that high just touches. A rasp across the heels touches it after 3 mm: stop there.",
  );
  expect(frogSays(12, 8, wording)).toContain(
    "the frog reaches firm ground. A rasp across the heels touches it at once. It hangs",
  );
  expect(frogSays(-2, 0, wording)).toContain("Bare, it hangs 2 mm above firm ground.");
  expect([chalkSays(0.5), chalkSays(3), chalkSays(8)].map((said) => said.split(":")[0])).toEqual([
    "Even and waxy at once",
    "An ordinary depth of chalk",
    "Deep chalk",
  ]);
});
