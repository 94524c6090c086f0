import { describe, expect, test } from "@jest/globals";
import { flagOfFind, openFlags, RED_FLAG_ADVICE, RED_FLAG_NAMES, RED_FLAGS } from "../caution/redFlags";
import { footOrder } from "../foot/order";
import {
  FIND_KIND_NAMES,
  FIND_KINDS,
  thinnestWear,
  WEAR_SECTOR_NAMES,
  WEAR_SECTORS,
  wornSide,
} from "../foot/wear";
import { wearAgreement } from "./wearAgreement";
import { onlyThisOne, pairSeen, seenAtBoth, watchingChange } from "./compareLooks";
import { landingOf, leavingOf, leavingSide, leavingWord } from "./watching";

describe("landing and leaving", () => {
  test.each([
    [[2, 60], "flat"],
    [[0, 110], "toe"],
    [[0, 5], "heel"],
    [[50, 63], "lateral"],
    [[-50, 63], "medial"],
    [[40, 20], "lateral heel"],
    [[-35, 100], "medial toe"],
  ] as const)("tapped at %j it lands %s", (at, word) => {
    expect(landingOf(at).word).toBe(word);
  });

  test("dragged straight ahead it leaves over the toe, beyond 10 degrees over a toe quarter, never backwards", () => {
    expect(leavingOf([0, 130])).toBe(0);
    expect(leavingOf([67, 130])).toBeCloseTo(45, 9);
    expect(leavingOf([-30, 20])).toBe(-90);
    expect([leavingSide(9), leavingSide(-12)]).toEqual([undefined, "medial"]);
    expect(leavingWord(20)).toBe("over the lateral toe quarter");
  });

  test("what changed is one sentence; nothing changed is none", () => {
    const before = {
      lands: [50, 63] as const,
      slide: "twists inwards" as const,
      flight: "straight" as const,
    };
    expect(watchingChange(before, { ...before, lands: [0, 60], slide: "none" })).toBe(
      "Landed lateral, now flat; slide: twists inwards, now none.",
    );
    expect(watchingChange(before, before)).toBe("");
    expect(watchingChange(undefined, before)).toBe("");
  });
});

describe("looks compared", () => {
  const out = { toeDirection: "toe-out", flight: "swings in" } as const;

  test("what both of a pair do, what one does, and where each goes its own way", () => {
    expect(pairSeen({ ...out, slide: "slides on" }, { ...out, slide: "none" })).toEqual({
      both: ["swings in", "toe-out"],
      onlyThis: ["slides on"],
      onlyOther: [],
      unlike: [],
    });
    expect(pairSeen({ flight: "swings in" }, { flight: "swings out" }).unlike).toEqual([
      "swings in here, swings out on its pair",
    ]);
    expect(pairSeen({ lands: [0, 60] }, { lands: [50, 63] }).onlyOther).toEqual(["lands lateral first"]);
    expect(pairSeen(out, undefined).both).toEqual([]);
  });

  test("only what was seen at both is compared; joints and hairline by their own names", () => {
    const before = { deviation: { fetlock: "inwards" }, hairline: { quarterMedial: "pushed up" } } as const;
    const after = { deviation: { fetlock: "inwards" }, hairline: { quarterMedial: "level" } } as const;
    expect(seenAtBoth(before, { ...after, slide: "none" })).toBe(2);
    expect(watchingChange(before, after)).toBe("Hairline at the quarter, medial: pushed up, now level.");
    expect(seenAtBoth(before, undefined)).toBe(0);
  });
});

describe("onlyThisOne", () => {
  test("a toe turned out on one of the pair only is named; on both it is how the horse is built", () => {
    expect(onlyThisOne({ toeDirection: "toe-out" }, { toeDirection: "straight" })).toEqual(["toe-out"]);
    expect(onlyThisOne({ toeDirection: "toe-out" }, { toeDirection: "toe-out" })).toEqual([]);
    expect(onlyThisOne({ flight: "swings in" }, { flight: undefined })).toEqual([]);
    expect(onlyThisOne(undefined, { flight: "straight" })).toEqual([]);
  });
});

describe("wear", () => {
  test("the thinnest sectors and the worn side", () => {
    const wear = {
      heelLateral: "thin",
      quarterLateral: "thin",
      toe: "worn",
      quarterMedial: "untouched",
    } as const;
    expect(thinnestWear(wear)).toEqual({ sectors: ["quarterLateral", "heelLateral"], state: "thin" });
    expect(wornSide(wear)).toBe("lateral");
    expect(thinnestWear({})).toBeUndefined();
  });

  test("landing, wear and breakover agree or are asked about", () => {
    const wear = {
      quarterLateral: "thin",
      quarterMedial: "worn",
      toeQuarterLateral: "thin",
      toeQuarterMedial: "worn",
    } as const;
    expect(wearAgreement(wear, { lands: [50, 63], leaves: 25 })).toEqual({ agrees: true, disagreements: [] });
    expect(wearAgreement(wear, { lands: [-50, 63] })?.disagreements[0]).toContain(
      "the lateral branch is the thinner one",
    );
    expect(wearAgreement(wear, { lands: [0, 63] })?.agrees).toBe(false);
    expect(wearAgreement(wear, { leaves: -30 })?.disagreements).toHaveLength(1);
    expect(wearAgreement(wear, undefined)).toBeUndefined();
    expect(wearAgreement({}, { leaves: -30 })).toBeUndefined();
  });
});

describe("red flags", () => {
  test("a raised flag stays open until it has an answer and a word of why", () => {
    const raised = { note: "", because: "" };
    expect(openFlags({ lame: raised })).toEqual(["lame"]);
    expect(openFlags({ lame: { ...raised, answer: "told the vet" } })).toEqual(["lame"]);
    expect(openFlags({ lame: { ...raised, answer: "told the vet", because: "rang at ten" } })).toEqual([]);
    expect(openFlags({})).toEqual([]);
  });

  test("a puncture or a discharge raises its flag by itself, a bruise does not", () => {
    expect([flagOfFind("puncture"), flagOfFind("discharge"), flagOfFind("bruise")]).toEqual([
      "puncture",
      "discharge",
      undefined,
    ]);
  });
});

describe("order of feet", () => {
  test("fronts first; the sore foot first when one hurts, hinds still last among the rest", () => {
    expect(footOrder(undefined).order).toEqual(["LF", "RF", "LH", "RH"]);
    expect(footOrder("RF").order).toEqual(["RF", "LF", "LH", "RH"]);
    expect(footOrder("LH").order).toEqual(["LH", "LF", "RF", "RH"]);
    expect(footOrder("RH").order).toEqual(["RH", "LF", "RF", "LH"]);
    expect(footOrder("LH").why).toContain("sore foot first");
  });
});

describe("what is put into words", () => {
  test("every red flag has its question and what to do at once", () => {
    for (const flag of RED_FLAG_NAMES) {
      expect(RED_FLAGS[flag].length).toBeGreaterThan(5);
      expect(RED_FLAG_ADVICE[flag]).toMatch(/\.$/);
    }
  });

  test("every find has a name, and only a puncture or a discharge calls the vet by itself", () => {
    const calling = FIND_KIND_NAMES.filter((kind) => flagOfFind(kind) !== undefined);
    expect(calling).toEqual(["puncture", "discharge"]);
    expect(FIND_KIND_NAMES.every((kind) => FIND_KINDS[kind].length > 3)).toBe(true);
  });

  test("wear names every sector once, medial before lateral round the toe", () => {
    expect(WEAR_SECTORS.map((sector) => WEAR_SECTOR_NAMES[sector])).toHaveLength(7);
    expect(WEAR_SECTORS.indexOf("toe")).toBe(3);
    expect(WEAR_SECTORS.slice(0, 3).every((sector) => sector.endsWith("Medial"))).toBe(true);
  });
});
