import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import {
  answerExit,
  EXIT_TESTS,
  exitInWords,
  exitTestSchema,
  type ExitFacts,
  type ExitTest,
} from "./exitTests";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const facts = (more: Partial<ExitFacts>): ExitFacts => ({ stood: [], shoeings: 0, ...more });
const film = (more: object) => ({
  film: { palmarAngle: 5, capsuleRotation: 0, soleDepth: 15, date: "2026-11-01", ...more },
});

describe("exit tests", () => {
  test.each<[ExitTest, Partial<ExitFacts>, string, string]>([
    [
      { kind: "heels like wall", within: 5 },
      { dorsalAngle: 50, heelAngle: 45 },
      "met",
      "Heels 5.0° flatter than the wall",
    ],
    [{ kind: "heels like wall", within: 5 }, { dorsalAngle: 50, heelAngle: 44.5 }, "not yet", "5.5° flatter"],
    [{ kind: "heels like wall", within: 5 }, { dorsalAngle: 50, heelAngle: 56 }, "not yet", "6.0° steeper"],
    [{ kind: "heels like wall", within: 5 }, { dorsalAngle: 50 }, "not measured", "not measured"],
    [{ kind: "axis straight", within: 2 }, { axis: -2 }, "met", "−2.0°"],
    [{ kind: "axis straight", within: 2 }, { axis: 2.5 }, "not yet", "+2.5°"],
    [{ kind: "axis like pair", within: 3 }, { axis: -4, pairAxis: -1 }, "met", "3.0° off"],
    [{ kind: "axis like pair", within: 3 }, { axis: -4 }, "not measured", ""],
    [{ kind: "frog on ground", within: 3 }, { frogGap: 3 }, "met", "3 mm"],
    [{ kind: "frog on ground", within: 3 }, { frogGap: 8 }, "not yet", "8 mm off"],
    [{ kind: "white line under", under: 4 }, { whiteLine: 4 }, "not yet", "4 mm"],
    [{ kind: "white line under", under: 4 }, { whiteLine: 3.5 }, "met", ""],
    [{ kind: "sole depth", least: 15 }, film({}), "met", "radiograph"],
    [{ kind: "sole depth", least: 15 }, film({ soleDepth: undefined }), "not measured", ""],
    [{ kind: "palmar angle", from: 3, to: 8 }, film({ palmarAngle: 8.2 }), "not yet", "8"],
    [{ kind: "palmar angle", from: 3, to: 8 }, film({}), "met", ""],
    [{ kind: "capsule rotation", within: 2 }, film({ capsuleRotation: 4 }), "not yet", "+4.0°"],
    [{ kind: "capsule rotation", within: 2 }, {}, "not measured", ""],
    [{ kind: "grown down", least: 30 }, { defect: { below: 31 } }, "met", ""],
    [{ kind: "grown down", least: 30 }, { defect: { gone: true } }, "met", "Grown out"],
    [{ kind: "defect under", under: 15 }, { defect: { length: 15 } }, "not yet", ""],
    [{ kind: "defect under", under: 15 }, {}, "not measured", ""],
    [{ kind: "stands on it", visits: 2 }, { stood: [false, true, true] }, "met", "2 times in a row"],
    [{ kind: "stands on it", visits: 2 }, { stood: [true, true, false] }, "not yet", "0 times"],
    [{ kind: "stands on it", visits: 2 }, {}, "not measured", ""],
    [{ kind: "shoeings", least: 3 }, { shoeings: 2 }, "not yet", "2 of 3"],
    [{ kind: "shoeings", least: 3 }, { shoeings: 3 }, "met", ""],
    [{ kind: "vet agrees" }, {}, "not yet", "not said so"],
    [{ kind: "vet agrees" }, { vetAgreed: "2026-11-01" }, "met", "2026-11-01"],
  ])("%j on %j is %s: “%s”", (exit, known, state, says) => {
    const answer = answerExit(exit, facts(known), wording);
    expect(answer.state).toBe(state);
    expect(answer.says).toContain(says);
  });

  test("every kind is offered with bounds that its own schema takes, and has words", () => {
    for (const { start } of Object.values(EXIT_TESTS)) {
      expect(exitTestSchema.safeParse(start).success).toBe(true);
      expect(exitInWords(start, wording).length).toBeGreaterThan(8);
    }
  });
});
