import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { footQuestion } from "../trim/footQuestion";
import { plainWording } from "../trim/trim.fixture";
import { planStaged } from "../trim/stages";
import { oneFootFacts } from "../visit/oneFoot";
import { measureFoot } from "./measureFoot";
import { soundPair } from "./soundFeet";

const FEET = 200;

describe("the sound herd under the nippers", () => {
  test.each(["fresh", "due"] as const)("%s: nothing is dressed on any of 200 feet", (when) => {
    const random = seededRandom(when === "fresh" ? 71 : 72);
    const dressed: number[] = [];
    for (let index = 0; index < FEET; index++) {
      const pair = soundPair(random, when);
      const facts = oneFootFacts(
        {
          limb: pair.limb,
          horse: { kind: "horse", massKg: pair.massKg },
          reading: measureFoot(random, pair.mine),
          pair: { reading: measureFoot(random, pair.other) },
        },
        GENERAL_NOISE.value,
        plainWording,
      );
      const { question, flexural } = footQuestion(facts, {
        shod: true,
        lenses: { frontBack: "straight-axis", side: "even-sole" },
        margins: { shod: 0, barefoot: 2 },
      });
      const plan = planStaged(question, flexural);
      if (!plan.ok) throw new Error(plan.issues[0]?.message);
      const { dress } = plan.value.whole.cuts;
      if (dress > 0) dressed.push(dress);
      expect(flexural).toBe(false);
    }
    expect(dressed).toEqual([]);
  });
});
