import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { ordinaryFoot } from "../foot/parametric/fit";
import { corYOf, meanHeelY } from "../foot/parametric/parameters";
import { DEFAULT_SETTINGS } from "../record/settings";
import { aimInWords, frontAim, sideAim } from "./lenses";
import { DEFAULT_LENSES, FRONT_LENSES, LENS_FACTS, lensesOf, SIDE_LENSES } from "../foot/lens";

describe("lensesOf", () => {
  test("shod feet by the straight axis, bare ones by the live sole, unless the user says otherwise", () => {
    expect(lensesOf({}, DEFAULT_LENSES, true)).toEqual({ frontBack: "straight-axis", side: "even-sole" });
    expect(lensesOf({}, DEFAULT_LENSES, false)).toEqual({ frontBack: "live-sole", side: "even-sole" });
    expect(lensesOf({}, { ...DEFAULT_LENSES, bare: "even-halves" }, false).frontBack).toBe("even-halves");
  });

  test("what was chosen for the horse counts for all its feet, each lens by itself", () => {
    const horse = { lenses: { frontBack: "even-halves" } } as const;
    expect(lensesOf(horse, DEFAULT_LENSES, false)).toEqual({ frontBack: "even-halves", side: "even-sole" });
    expect(lensesOf({ lenses: { side: "square-limb" } }, DEFAULT_LENSES, true)).toEqual({
      frontBack: "straight-axis",
      side: "square-limb",
    });
  });
});

test("every lens says its aim, when it is strong and when it is weak", () => {
  for (const lens of [...FRONT_LENSES, ...SIDE_LENSES]) {
    const { name, aim, strong, weak } = LENS_FACTS[lens];
    for (const words of [name, aim, strong, weak]) expect(words).toMatch(/^[A-Z]/);
  }
});

describe("frontAim", () => {
  const wording = wordingFor(DEFAULT_SETTINGS);
  const ordinary = ordinaryFoot("LF", { massKg: 500, kind: "horse" });
  const foot = { ...ordinary, dorsalAngleDeg: 46, pasternAngleDeg: 50 };
  const nothing = { angles: false, walls: {}, sole: false };
  const said = (...asked: Parameters<typeof frontAim>) => aimInWords(frontAim(...asked), wording);

  test("straight axis: the wall at the pastern's angle; both angles are wanted", () => {
    const aim = frontAim("straight-axis", foot, { ...nothing, angles: true });
    expect([aim.dorsalAngleDeg, aim.off?.value]).toEqual([50, -4]);
    expect(aimInWords(aim, wording)).toBe("dorsal against pastern −4.0°");
    expect(frontAim("straight-axis", foot, nothing)).toEqual({
      lens: "straight-axis",
      wants: "dorsal and pastern angle",
    });
  });

  test("even halves: as much ahead of the centre of rotation as behind; an estimate until the sole is surveyed", () => {
    const measured = frontAim("even-halves", foot, { ...nothing, sole: true });
    const guessed = frontAim("even-halves", foot, nothing);
    expect(measured.toeY).toBeCloseTo(2 * corYOf(foot) - meanHeelY(foot), 9);
    expect(guessed.off?.value).toBe(measured.off?.value);
    expect([measured.estimated, guessed.estimated]).toEqual([undefined, true]);
    const run = { ...foot, toeRunMm: foot.toeRunMm + 10 };
    const by = frontAim("even-halves", run, nothing).off?.value ?? NaN;
    expect(by).toBeCloseTo((measured.off?.value ?? NaN) + 10, 9);
  });

  test("live sole: the plane through wall above the sole at toe and heels, and how it turns the wall", () => {
    const walls = { toe: { above: 6 }, heelMedial: { above: 2 }, heelLateral: { above: 4 } };
    const aim = frontAim("live-sole", foot, { ...nothing, walls });
    expect(aim.plane).toEqual({ toe: 6, heel: 3 });
    expect(aim.dorsalAngleDeg).toBeGreaterThan(46);
    expect(said("live-sole", foot, { ...nothing, walls })).toBe("wall above the live sole 6 mm");
    const worn = { toe: { above: -2 }, heelMedial: { above: -3 } };
    expect(said("live-sole", foot, { ...nothing, walls: worn })).toBe("wall above the live sole 2 mm under");
    expect(frontAim("live-sole", foot, { ...nothing, walls: { toe: { above: 6 } } }).wants).toBe(
      "wall above the live sole at toe and heels",
    );
  });

  test("heels back: how far the heels lie ahead of the back of the sulcus, whatever stands above the live sole", () => {
    const walls = { toe: { above: 6 }, heelMedial: { above: 2 }, heelLateral: { above: 4 } };
    const run = { ...foot, heelRunMm: 14, curlMm: { medial: 0, lateral: 2 } };
    const aim = frontAim("heels-back", run, { angles: true, walls, sole: true });
    expect(aim).toEqual({
      lens: "heels-back",
      off: {
        value: meanHeelY(run),
        unit: "mm",
        words: "heels ahead of the sulcus’s back",
        below: "behind it",
      },
    });
    expect(aimInWords(aim, wording)).toBe("heels ahead of the sulcus’s back 15 mm");
    expect(said("heels-back", { ...foot, heelRunMm: -3 }, { ...nothing, sole: true })).toBe(
      "heels ahead of the sulcus’s back 3 mm behind it",
    );
    expect(frontAim("heels-back", run, { ...nothing, walls }).wants).toBe("both heels, on the sole");
  });
});

describe("sideAim", () => {
  const known = { limb: "LF" as const, walls: {}, heelsApartMm: 60 };

  test("even sole: the side with more wall above the sole comes down", () => {
    const walls = { heelMedial: { above: 2 }, heelLateral: { above: 5 } };
    expect(sideAim("even-sole", { ...known, walls }).rollDeg).toBeCloseTo(2.862, 3);
    const other = { heelMedial: { above: 5 }, heelLateral: { above: 2 } };
    expect(sideAim("even-sole", { ...known, walls: other }).rollDeg).toBeCloseTo(-2.862, 3);
  });

  test("square to limb rolls against the limb's line, level hairline with the hairline, every witness as they agree", () => {
    expect(sideAim("square-limb", { ...known, limbDeviationDeg: 3 }).rollDeg).toBe(-3);
    expect(sideAim("level-hairline", { ...known, hairlineTiltDeg: 1.5 }).rollDeg).toBe(1.5);
    expect(sideAim("every-witness", { ...known, verdictDeg: -2 }).rollDeg).toBe(-2);
  });

  test("without its measure each says what it wants and no angle", () => {
    for (const lens of SIDE_LENSES) {
      const aim = sideAim(lens, known);
      expect([aim.rollDeg, aim.wants !== undefined]).toEqual([undefined, true]);
    }
  });
});
