import { describe, expect, test } from "@jest/globals";
import type { Finding } from "../foot/findings/rule";
import { differenceInWords, planDifference } from "./compare";
import {
  cutsInWords,
  leftInWords,
  limitInWords,
  marginInWords,
  ownerWords,
  planReasons,
  shoeInWords,
} from "./planWords";
import { heelStrokes, insteadOfHeel, isConundrum } from "./strokes";
import { BROKEN_BACK, planned, plainWording as wording } from "./trim.fixture";

const finding = (id: string, subject: Finding["subject"]): Finding => ({
  id,
  subject,
  level: "drifting",
  text: "",
  evidence: "",
  next: "",
  speaksFor: "",
});

describe("limits in words", () => {
  test("how much stands above the live sole, and how much of it has to stay", () => {
    const bare = planned({ finish: "barefoot" });
    expect(limitInWords("toe", planned(), wording)).toBe("No more at the toe: 9 mm above live sole.");
    expect(limitInWords("heelLateral", bare, wording)).toBe(
      "No more at the outside heel: 5 mm above live sole, 2 mm of it to stay.",
    );
    const none = planned({ finish: "barefoot", above: { toe: 9, heelMedial: 1.5, heelLateral: 5 } });
    expect(limitInWords("heelMedial", none, wording)).toBe(
      "Nothing to take at the inside heel: 1.5 mm above live sole, 2 mm of it to stay.",
    );
  });

  test("dressing, the least toe length and a quarter each say their own reason", () => {
    expect(limitInWords("dress", planned(), wording)).toBe(
      "No more dressing: the toe wall is 13 mm thick, about 3 mm of it white line, and 6 mm of horn stay.",
    );
    expect(limitInWords("minToeLength", planned({ minToeLength: 80 }), wording)).toBe(
      "The toe is not cut shorter than 80 mm.",
    );
    expect(limitInWords("minToeLength", planned({ minToeLength: 95 }), wording)).toBe(
      "The toe is short as it is (92 mm): it is not shortened.",
    );
    const quarters = [{ name: "quarterMedial", at: [-62, 63] as const, above: 0 }];
    expect(limitInWords("quarterMedial", planned({ quarters }), wording)).toBe(
      "Nothing to take at the inside quarter: 0 mm above live sole.",
    );
  });

  test("a thin sole says why the margin grew, an ordinary one says nothing", () => {
    expect(marginInWords(planned({ sulcusDepth: 8 }), wording)).toBe(
      "Thin sole: the sulcus is only 8 mm deep beside the frog, so 2 mm of wall stay everywhere.",
    );
    expect(marginInWords(planned(), wording)).toBeUndefined();
  });

  test("in inches a cut is told to the thirty-second", () => {
    const inches = { ...wording, cut: (mm: number) => `${Math.round((mm / 25.4) * 32)}/32 in` };
    expect(cutsInWords({ toe: 4, heelMedial: 0, heelLateral: 1.6, dress: 0 }, inches)).toBe(
      "5/32 in off the toe, 2/32 in off the outside heel",
    );
  });
});

describe("what is left, in words", () => {
  const after = (axis: number) => ({ ...planned().predicted, axis });

  test("straight within half a degree, else broken back or forward", () => {
    expect(leftInWords(after(-0.4), wording)).toBe("This trim brings the axis straight.");
    expect(leftInWords(after(-1.7), wording)).toBe("This trim leaves the axis 1.7° broken back.");
    expect(leftInWords(after(2), wording)).toBe("This trim leaves the axis 2.0° broken forward.");
  });

  test("a shod foot hands raise, breakover and extension to the shoe; a bare one is told to come sooner", () => {
    const shoe = { elevate: 2, heelRaise: 4, breakoverBack: 9, heelExtension: 6 };
    expect(shoeInWords(shoe, "shod", wording)).toHaveLength(3);
    expect(shoeInWords({ ...shoe, elevate: 0.3, heelExtension: 0 }, "shod", wording)).toEqual([
      "Bring the breakover back 9 mm.",
    ]);
    expect(shoeInWords(shoe, "barefoot", wording).join()).toContain("sooner");
    expect(
      shoeInWords({ elevate: 0, heelRaise: 0, breakoverBack: 0, heelExtension: 9 }, "barefoot", wording),
    ).toEqual([]);
  });

  test("the owner hears what is the matter, what comes off and what has to wait", () => {
    const plan = planned({ above: { toe: 3, heelMedial: 3, heelLateral: 5 }, toeWall: 6 });
    expect(ownerWords(plan, plan.handCuts, "left fore", wording)).toBe(
      "The left fore stands 4.0° lower than its pastern, reaches 10 mm further ahead of its middle than behind it and is 2 mm higher at the outside heel. Today 3 mm off the toe, 1.5 mm off the outside heel; that stands it 1.1° steeper. 2.9° are left that no trim can give today: the shoe helps for a time, the rest grows.",
    );
  });

  test("the owner hears of flares, and that a part is a part and when the next one is", () => {
    const said = ownerWords(planned(), planned().handCuts, "left fore", wording, {
      flares: { quarterLateral: 3 },
      stages: { of: 3, next: "21 Dec" },
    });
    expect(said).toContain("The wall is dressed from outside, 3 mm off the outside quarter.");
    expect(said).toContain("the whole takes 3 visits, so that it can follow, the next on 21 Dec.");
  });

  test("findings become reasons with what the plan does about each; steady ones (but a broken axis) and those it cannot answer do not", () => {
    const plan = planned();
    const reasons = planReasons(
      [
        finding("broken-back", "axis"),
        finding("underrun", "heels"),
        finding("landing-wear", "movement"),
        { ...finding("toe-right", "toe"), level: "steady" },
        { ...finding("broken-forward", "axis"), level: "steady" },
      ],
      plan,
      plan.handCuts,
      wording,
    );
    expect(reasons.map(({ finding: { id } }) => id)).toEqual(["broken-back", "underrun", "broken-forward"]);
    expect(reasons[0]?.does).toMatch(/^axis −?-?4\.0° → /);
    expect(reasons[1]?.does).toMatch(/bear .* further (back|forward)$/);
  });
});

describe("two lenses on one foot", () => {
  test("beyond 2 degrees or 5 mm of front half they disagree, up to it they do not", () => {
    const foot = planned().predicted;
    const other = (change: object) => planDifference(foot, { ...foot, ...change });
    expect(other({ dorsalAngle: foot.dorsalAngle + 2 }).disagree).toBe(false);
    expect(other({ dorsalAngle: foot.dorsalAngle - 2.1 }).disagree).toBe(true);
    expect(other({ front: foot.front + 5.1 }).disagree).toBe(true);
  });

  test("how they differ is said in cuts, and when they disagree why one might choose either", () => {
    const straight = { lens: "straight-axis", plan: planned() } as const;
    const sole = {
      lens: "live-sole",
      plan: planned({ frontBack: "live-sole", above: { toe: 3, heelMedial: 5, heelLateral: 7 } }),
    } as const;
    const said = differenceInWords(straight, sole, wording);
    expect(said.how).toMatch(/^The lenses disagree\. Live sole would take .* more inside heel/);
    expect(said.why?.[0]).toMatch(/^Straight axis\. Strong: .* Weak: /);
    expect(differenceInWords(straight, straight, wording)).toEqual({
      how: "Straight axis would take the same.",
    });
  });
});

describe("the conundrum of the low heel", () => {
  test("each stroke lowers the angle and moves the bearing point back, both at once", () => {
    const strokes = heelStrokes(BROKEN_BACK.foot, 4);
    expect(strokes.map(({ mm }) => mm)).toEqual([0, 1, 2, 3, 4]);
    for (const [index, stroke] of strokes.slice(1).entries()) {
      expect(stroke.dorsalAngle).toBeLessThan(strokes[index]?.dorsalAngle ?? 0);
      expect(stroke.backMm).toBeGreaterThan(strokes[index]?.backMm ?? 0);
    }
  });

  test("it is one on a broken-back foot with more front than support, and none on a straight or short one", () => {
    const { foot } = BROKEN_BACK;
    expect(isConundrum(foot)).toBe(true);
    expect(isConundrum({ ...foot, pasternAngle: 48, heelAngle: 45 })).toBe(false);
    // Straight, and its heel underrun by ten degrees: the same question.
    expect(isConundrum({ ...foot, pasternAngle: 48 })).toBe(true);
    expect(isConundrum({ ...foot, toeY: 110 })).toBe(false);
  });

  test("instead: a toe cut steepens, dressing only shortens the front, a raise turns the foot about its toe, the frog shares", () => {
    const [toe, dress, raise, frog] = insteadOfHeel(BROKEN_BACK.foot, 2);
    expect(toe?.angleDeg).toBeCloseTo((Math.atan(2 / 116) * 180) / Math.PI, 9);
    expect(dress).toMatchObject({ angleDeg: 0 });
    expect(dress?.frontMm).toBeCloseTo(-2 / Math.sin((48 * Math.PI) / 180), 9);
    expect(raise?.angleDeg).toBe(4);
    expect(raise?.frontMm).toBeLessThan(0);
    expect((raise?.frontMm ?? 0) + (raise?.supportMm ?? 0)).toBeCloseTo(
      116 * (Math.cos((4 * Math.PI) / 180) - 1),
      9,
    );
    expect(frog).toMatchObject({ angleDeg: 0, frontMm: 0, supportMm: 0 });
  });
});
