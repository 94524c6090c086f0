import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Seen, Stamp } from "../record/stamps";
import { compare, newer, stampAt, together, usualOf, type Held } from "./place";

const at = (device: string, act: number, ms: number): Stamp => [device, act, ms];
const held = (value: unknown, stamp?: Stamp): Held => ({ value, stamp });

describe("stampAt: who touched a place last", () => {
  const [made, changed, gone] = [at("phone", 1, 10), at("laptop", 4, 20), at("phone", 9, 30)];
  const row = { key: "horses/one", made, gone, places: { mass: changed } };
  const places = new Map<string, unknown>([
    ["mass", 430],
    ["name", "Bramble"],
  ]);

  test("its own stamp, else that of the making, else that of the taking away", () => {
    expect(stampAt(row, places, "mass")).toBe(changed);
    expect(stampAt(row, places, "name")).toBe(made);
    expect(stampAt(row, places, "habits")).toBe(gone);
  });

  test("a row older than stamps has none", () => {
    expect(stampAt({ key: "horses/old" }, places, "name")).toBeUndefined();
  });
});

describe("compare: which of two values is the newer one", () => {
  const none: [Seen, Seen] = [{}, {}];

  test("the same value is the same, whoever wrote it when", () => {
    expect(compare(held(48, at("phone", 1, 1)), held(48, at("laptop", 7, 9)), none)).toBe("same");
  });

  test("a device that has seen the other’s act and wrote after it is right, whatever its clock says", () => {
    const [mine, yours] = [held(47, at("phone", 5, 1)), held(48, at("laptop", 7, 999))];
    expect(compare(mine, yours, [{ laptop: 7 }, { phone: 4 }])).toBe("here");
    expect(compare(mine, yours, [{ laptop: 6 }, { phone: 5 }])).toBe("there");
  });

  test("both know of both: the later act counts", () => {
    const [mine, yours] = [held(47, at("phone", 5, 1)), held(48, at("laptop", 7, 999))];
    expect(compare(mine, yours, [{ laptop: 7 }, { phone: 5 }])).toBe("there");
  });

  test("neither knew of the other: it is asked about", () => {
    expect(
      compare(held(47, at("phone", 5, 1)), held(48, at("laptop", 7, 2)), [{ phone: 5 }, { laptop: 7 }]),
    ).toBe("both");
  });

  test("older than stamps on both sides: what one never had is no clash, two values are", () => {
    expect(compare(held(undefined), held(48), none)).toBe("there");
    expect(compare(held(47), held(undefined), none)).toBe("here");
    expect(compare(held(47), held(48), none)).toBe("both");
  });
});

const stamps = fc.option(
  fc.tuple(fc.constantFrom("phone", "laptop", "van"), fc.nat(4), fc.nat(4)).map(([d, n, ms]) => at(d, n, ms)),
  { nil: undefined },
);
const helds = fc.record({ value: fc.constantFrom(undefined, 47, 48, "47"), stamp: stamps });
const seens = fc.dictionary(fc.constantFrom("phone", "laptop", "van"), fc.nat(4));
const turnedRound = { here: "there", there: "here", same: "same", both: "both" } as const;

describe("it does not matter which of two devices is asked (property)", () => {
  test("compare", () => {
    fc.assert(
      fc.property(helds, helds, seens, seens, (mine, yours, here, there) => {
        expect(compare(yours, mine, [there, here])).toBe(turnedRound[compare(mine, yours, [here, there])]);
      }),
    );
  });

  test("usualOf, but for two that are alike in all", () => {
    fc.assert(
      fc.property(helds, helds, (mine, yours) => {
        fc.pre(JSON.stringify([mine, typeof mine.value]) !== JSON.stringify([yours, typeof yours.value]));
        fc.pre(JSON.stringify(mine.stamp) !== JSON.stringify(yours.stamp) || mine.value !== yours.value);
        expect(usualOf(yours, mine)).toBe(turnedRound[usualOf(mine, yours)]);
      }),
    );
  });

  test("newer", () => {
    fc.assert(
      fc.property(stamps, stamps, seens, seens, (a, b, here, there) => {
        expect(newer({ stamp: b, seen: there }, { stamp: a, seen: here })).toEqual(
          newer({ stamp: a, seen: here }, { stamp: b, seen: there }),
        );
      }),
    );
  });

  test("together: each entry once, in one order", () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("a", "b", { id: 1 }, 4)),
        fc.array(fc.constantFrom("b", 4, 5)),
        (a, b) => {
          const both = together(a, b);
          expect(together(b, a)).toEqual(both);
          expect(new Set(both.map((one) => JSON.stringify(one))).size).toBe(both.length);
          for (const one of [...a, ...b]) expect(both).toContainEqual(one);
        },
      ),
    );
    expect(together(undefined, undefined)).toEqual([]);
  });
});
