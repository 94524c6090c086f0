import { describe, expect, test } from "@jest/globals";
import { FRONT_LENSES } from "../foot/lens";
import { seededRandom } from "../math/random";
import { answerInWords, axisCostInWords, heldInWords } from "./choiceWords";
import { planTrim } from "./plan";
import { saidStops } from "./planWords";
import { anyQuestion, BROKEN_BACK, planned, plainWording as wording } from "./trim.fixture";

/** So little to cut that dressing would help. */
const SHORT = { toe: 3, heelMedial: 3, heelLateral: 3 };

describe("what a plan costs is said", () => {
  test("no plan under any lens makes a broken-back axis worse in silence (400 seeded feet, every lens)", () => {
    const random = seededRandom(64);
    let worse = 0;
    for (let index = 0; index < 400; index++) {
      const asked = anyQuestion(random);
      for (const frontBack of FRONT_LENSES) {
        const found = planTrim({ ...asked, frontBack });
        if (!found.ok) throw new Error(found.issues[0]?.message);
        const { foot } = found.value.question;
        const before = foot.dorsalAngle - foot.pasternAngle;
        const { axis } = found.value.predicted;
        if (before >= 0 || axis > before - 0.5) continue;
        worse++;
        expect(axisCostInWords(found.value, found.value.cuts, wording)).toMatch(/^This cut costs \d/);
      }
    }
    expect(worse).toBeGreaterThan(20);
  });

  test("a shod foot gets it back from the shoe, a bare one from time; a cut that straightens costs nothing", () => {
    const low = { frontBack: "live-sole", above: { toe: 2, heelMedial: 8, heelLateral: 8 } } as const;
    const shod = planned(low);
    expect(axisCostInWords(shod, shod.cuts, wording)).toMatch(
      /costs 3\.\d° of the axis.*The shoe has to give it back/,
    );
    const bare = planned({ ...low, finish: "barefoot" });
    expect(axisCostInWords(bare, bare.cuts, wording)).toContain("but time");
    expect(axisCostInWords(planned(), planned().cuts, wording)).toBeUndefined();
  });

  test("held heels say what the strict plane would take and cost", () => {
    const held = planned({
      frontBack: "live-sole",
      holdAxis: true,
      above: { toe: 4, heelMedial: 8, heelLateral: 8 },
    });
    expect(heldInWords(held, wording)).toBe(
      "The plane of the live sole would take 4 mm more off the heels and cost 2.0° of the axis.",
    );
    expect(heldInWords(planned(), wording)).toBeUndefined();
  });

  test("two answers to the low heel: heel, support, degrees, and for how long it is raised", () => {
    const plan = planned({
      frontBack: "heels-back",
      above: { toe: 6, heelMedial: 6, heelLateral: 6 },
    });
    expect(answerInWords({ lens: "heels-back", plan }, 26, wording)).toMatch(
      /^Heels back: 5\.5 mm off the heels, support \+\d+ mm, axis [+−]\d\.\d°, then a raise of \d\.\d° for about 6 months\.$/,
    );
    expect(answerInWords({ lens: "heels-back", plan }, undefined, wording)).toContain("for more than a year");
    const straight = planned({ foot: { ...BROKEN_BACK.foot, pasternAngle: 50 } });
    expect(answerInWords({ lens: "straight-axis", plan: straight }, 0, wording)).toContain("then no raise");
  });

  test("that a straight wall is not dressed is no stop worth saying; what its horn stops is", () => {
    expect(saidStops(planned({ outside: 0, toeWall: 20, above: SHORT }))).not.toContain("dress");
    expect(saidStops(planned({ outside: 3, toeWall: 20, above: SHORT }))).toContain("dress");
    expect(saidStops(planned({ toeWall: 10, above: SHORT }))).toContain("dress");
  });
});
