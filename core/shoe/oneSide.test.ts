import { describe, expect, test } from "@jest/globals";
import { facts } from "./shoe.fixture";
import { lastOneSideInWords, oneSideOf } from "./oneSide";
import type { ShoeFacts } from "./facts";

const mm = (more: Partial<ShoeFacts>) => oneSideOf(facts(more))?.mm;
const both: Partial<ShoeFacts> = { landsOn: "lateral", wornOn: "lateral" };

describe("how much more on one side", () => {
  test("one step of 3 mm for what lands and wears there, two where the limb leans much and more says so", () => {
    expect(mm({ landsOn: "lateral" })).toBe(3);
    expect(mm({ ...both, limbDeviationDeg: 3 })).toBe(3);
    expect(mm({ ...both, limbDeviationDeg: 6 })).toBe(6);
    expect(mm({ landsOn: "lateral", limbDeviationDeg: 6 })).toBe(3);
    expect(mm({ landsOn: "lateral", halfWidthMm: -5, limbDeviationDeg: 6 })).toBe(6);
  });

  test("nothing from nothing, and nothing from signs that contradict each other", () => {
    expect(mm({})).toBeUndefined();
    expect(mm({ landsOn: "lateral", wornOn: "medial" })).toBeUndefined();
  });

  test("what it did last time counts: a step more, the same, or off again", () => {
    const last = (landsNow: "lateral" | "medial" | "level") =>
      mm({ ...both, lastOneSide: { side: "lateral", mm: 3, landsNow } });
    expect(last("lateral")).toBe(6);
    expect(last("level")).toBe(3);
    expect(last("medial")).toBeUndefined();
    // Of another side it says nothing.
    expect(mm({ ...both, lastOneSide: { side: "medial", mm: 3, landsNow: "lateral" } })).toBe(3);
    expect(lastOneSideInWords({ lastOneSide: { side: "lateral", mm: 3, landsNow: "level" } })).toBe(
      "last time 3 mm lateral: landing not watched then, level now",
    );
  });

  test("a crushed heel and a cracked quarter are spared, and it says which", () => {
    expect(oneSideOf(facts({ ...both, crushed: ["lateral"] }))?.spared).toBe("crushed");
    expect(oneSideOf(facts({ ...both, crackAt: "lateral" }))?.spared).toBe("cracked");
    expect(oneSideOf(facts({ ...both, crackAt: "medial" }))?.spared).toBeUndefined();
  });
});
