import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { wordingFor } from "../foot/wording";
import type { CheckContext } from "./check";
import { shoeChecks } from "./checks";
import { fitShoe, supportYOf } from "./fit";
import { halfWidthAt, outlineThrough, roundTheToe, widestOf } from "./outline";
import { fitQuestion, shodFoot } from "./shoe.fixture";
import { knotsOf } from "./shoe.fixture";
import { openChecks } from "../visit/visitShoe";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const context: CheckContext = { footing: [], thinSole: false, wording };
const check = (id: string, question = fitQuestion(), more: Partial<CheckContext> = {}) => {
  const found = shoeChecks(fitShoe(question), { ...context, ...more }).find((one) => one.id === id);
  if (!found) throw new Error(`no check ${id}`);
  return found;
};
const foot = shodFoot();
const [heelY] = [foot.knots.heel.lateral[1]];

describe("fitShoe", () => {
  test("tight from the toe to the widest part, fuller towards the heel", () => {
    const { outer } = fitShoe(fitQuestion({ support: "heel" }));
    const full = (y: number) => halfWidthAt(outer.lateral, y) - halfWidthAt(foot.outline.lateral, y);
    expect(full(foot.knots.toeQuarter.lateral[1])).toBeLessThan(1);
    expect(full(heelY + 20)).toBeGreaterThan(1.2);
    expect(full(heelY + 20)).toBeLessThan(full(heelY + 6));
  });

  test.each([
    ["heel", heelY],
    ["frog", 0],
    ["long", -22 * foot.k],
  ] as const)("by the lens %s both branches end at their support", (support, y) => {
    const fit = fitShoe(fitQuestion({ support }));
    expect(supportYOf(support, heelY, foot.k)).toBeCloseTo(Math.min(y, heelY), 9);
    expect(fit.endY.medial).toBeCloseTo(y, 6);
    expect(fit.endY.lateral).toBeCloseTo(y, 6);
  });

  test("a longer branch is that much longer, the other stays", () => {
    const fit = fitShoe(fitQuestion({ longerMedial: 6 }));
    expect(fit.endY.medial).toBeCloseTo(-6, 6);
    expect(fit.endY.lateral).toBeCloseTo(0, 6);
  });

  test("set back it breaks over that much further back; the heels keep their support", () => {
    const at = (back: number) =>
      fitShoe(fitQuestion({}, { setting: { back, turn: 0, fuller: { medial: 0, lateral: 0 } } }));
    expect(at(0).breaksAtY - at(6).breaksAtY).toBeCloseTo(6, 9);
    expect(at(6).front).toBeCloseTo(at(0).front - 6, 9);
    expect(at(6).endY.medial).toBeCloseTo(0, 6);
    expect(at(6).support).toBeCloseTo(at(0).support, 6);
  });

  test("two ways to the same breakover: rolled toe or set back, same at the ground", () => {
    const rolled = fitShoe(fitQuestion({ toeEdge: "rolled" }, { breakover: { fromToe: 9, direction: 0 } }));
    const back = fitShoe(
      fitQuestion(
        {},
        {
          breakover: { fromToe: 9, direction: 0 },
          setting: { back: 9.5, turn: 0, fuller: { medial: 0, lateral: 0 } },
        },
      ),
    );
    expect(rolled.breaksAtY).toBeCloseTo(back.breaksAtY, 6);
  });

  test("fuller on one side moves that side only, from the toe quarter back", () => {
    const fit = fitShoe(
      fitQuestion({}, { setting: { back: 0, turn: 0, fuller: { medial: 0, lateral: 4 } } }),
    );
    const plain = fitShoe(fitQuestion());
    expect(widestOf(fit.outer).lateral[0] - widestOf(plain.outer).lateral[0]).toBeCloseTo(4, 0);
    expect(widestOf(fit.outer).medial[0]).toBeCloseTo(widestOf(plain.outer).medial[0], 6);
    expect(fit.toeY).toBeCloseTo(plain.toeY, 1);
  });

  test("under a pad it stands 3 mm fuller behind the widest part", () => {
    const [bare, pad] = [fitShoe(fitQuestion()), fitShoe(fitQuestion({ pad: "flat" }))];
    expect(halfWidthAt(pad.outer.lateral, 20) - halfWidthAt(bare.outer.lateral, 20)).toBeCloseTo(3, 0);
    expect(pad.toeY).toBeCloseTo(bare.toeY, 6);
  });

  test("a turned shoe mirrors its turn", () => {
    const turned = (turn: number) =>
      roundTheToe(
        fitShoe(fitQuestion({}, { setting: { back: 0, turn, fuller: { medial: 0, lateral: 0 } } })).outer,
      );
    const [one, other] = [turned(5), turned(-5)];
    const top = (line: typeof one) => line.reduce((best, point) => (point[1] > best[1] ? point : best));
    expect(top(one)[0]).toBeCloseTo(-top(other)[0], 6);
    expect(top(one)[0]).toBeGreaterThan(1);
  });

  test("a raise of 3 degrees over the length of the shoe is its height at the heel", () => {
    const fit = fitShoe(fitQuestion({ raise: { degrees: 3, cycles: 2, exit: "level" } }));
    expect(fit.raiseMm).toBeCloseTo(Math.tan((3 * Math.PI) / 180) * fit.length, 9);
  });

  test("wider or thicker steel is heavier, light metal about a third of it", () => {
    const grams = (spec: Parameters<typeof fitQuestion>[0]) => fitShoe(fitQuestion(spec)).mass;
    expect(grams({ width: 26 })).toBeGreaterThan(grams({}));
    expect(grams({ thickness: 12 })).toBeGreaterThan(grams({}));
    expect(grams({ material: "aluminium" }) / grams({})).toBeCloseTo(2.7 / 7.85, 6);
    expect(grams({ type: "straight bar" })).toBeGreaterThan(grams({}));
    expect(grams({ type: "bare" })).toBe(0);
  });

  test("the shoe never reaches outside its own fullness of the foot: any setting that a hand can make", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 30, noNaN: true }),
        fc.double({ min: -15, max: 15, noNaN: true }),
        fc.double({ min: -4, max: 12, noNaN: true }),
        (back, turn, lateral) => {
          const fit = fitShoe(fitQuestion({}, { setting: { back, turn, fuller: { medial: 0, lateral } } }));
          for (const [x, y] of roundTheToe(fit.outer))
            expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
          expect(fit.endY.medial).toBeCloseTo(0, 6);
          expect(fit.mass).toBeGreaterThan(100);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("shoeChecks", () => {
  test("an ordinary shoe on an ordinary foot is in order", () => {
    expect(shoeChecks(fitShoe(fitQuestion()), context).filter(({ ok }) => !ok)).toEqual([]);
  });

  test("widest on widest holds to 4 mm, and says by how much it does not", () => {
    const set = (back: number) =>
      fitQuestion({}, { setting: { back, turn: 0, fuller: { medial: 0, lateral: 0 } } });
    expect(check("widest").ok).toBe(true);
    expect(check("widest", set(9))).toMatchObject({ ok: false, impossible: false });
    expect(check("widest", set(9)).text).toContain("Widest of the shoe 9 mm from the widest");
  });

  test("a toe quarter that stands out is named with its side", () => {
    const question = fitQuestion({}, { setting: { back: 0, turn: 0, fuller: { medial: -4, lateral: 0 } } });
    const behind = check("quarters", { ...question, setting: { ...question.setting, back: 8 } });
    expect(behind.ok).toBe(false);
    expect(behind.text).toMatch(/medial one is short by/);
  });

  test("a branch shorter than its support is said with its reason, and can be kept with a line of why", () => {
    const fit = fitShoe(fitQuestion({ support: "heel" }));
    const short = shoeChecks(
      { ...fit, supportY: { medial: fit.endY.medial - 7, lateral: fit.endY.lateral } },
      context,
    );
    const heels = short.find(({ id }) => id === "heels");
    expect(heels).toMatchObject({ ok: false, impossible: false });
    expect(heels?.text).toBe("The medial branch ends 7 mm short of its support.");
    expect(openChecks(short, {}).map(({ id }) => id)).toContain("heels");
    expect(openChecks(short, { heels: "treads it off" }).map(({ id }) => id)).not.toContain("heels");
    expect(openChecks(short, { heels: "  " }).map(({ id }) => id)).toContain("heels");
  });

  test("a branch that was cut short by hand ends short, and the check says by how much", () => {
    const heels = check("heels", fitQuestion({ longerLateral: -9 }));
    expect(heels.ok).toBe(false);
    expect(heels.text).toBe("The lateral branch ends 9 mm short of its support.");
  });

  test("a shoe set back carries its last nails behind the widest part: asked, with the reason", () => {
    const set = (back: number) =>
      check("behind", fitQuestion({}, { setting: { back, turn: 0, fuller: { medial: 0, lateral: 0 } } }));
    expect(set(0).ok).toBe(true);
    expect(set(7)).toMatchObject({ ok: false, impossible: false });
    expect(set(7).text).toMatch(
      /^The last nail of the lateral side stands [67](\.5)? mm behind the widest part/,
    );
    expect(check("behind", fitQuestion({ nailsMedial: 0, nailsLateral: 0 })).ok).toBe(true);
  });

  test("three millimetres on one side are said with what they cost, six and every sum beyond 8 mm are asked about", () => {
    const out = (mm: number, more = {}) => check("stands-out", fitQuestion({ outLateral: mm, ...more }));
    expect(out(0).text).toBe("Heels stand out 3 mm medial (3 mm fullness), 3 mm lateral (3 mm fullness).");
    expect(out(3)).toMatchObject({ ok: true });
    expect(out(3).text).toBe(
      "Heels stand out 3 mm medial (3 mm fullness), 6 mm lateral (3 mm fullness, 3 mm more on this side). More on the lateral side: its lever from the midline grows from 65 mm to 69 mm.",
    );
    expect(out(6).ok).toBe(false);
    // With a pad it is one sum, and the sum is judged.
    const padded = out(3, { pad: "flat" });
    expect(padded.ok).toBe(false);
    expect(padded.text).toContain(
      "9 mm lateral (3 mm fullness, 3 mm room for the pad, 3 mm more on this side)",
    );
    expect(out(2, { pad: "flat" }).ok).toBe(true);
  });

  test("a hind shoe three millimetres inside the heel is not in order, nor a fore one", () => {
    for (const limb of ["LF", "LH"] as const) {
      const own = shodFoot(limb);
      const inside = fitQuestion(
        { fullLateral: 0 },
        {
          foot: own,
          setting: { back: 0, turn: 0, fuller: { medial: 0, lateral: -3 } },
        },
      );
      const found = check("heel-cover", inside);
      expect([limb, found.ok]).toEqual([limb, false]);
      expect(found.text).toMatch(/^The lateral heel stands [23](\.5)? mm outside the shoe\.$/);
      expect(check("heel-cover", fitQuestion({}, { foot: own })).ok).toBe(true);
    }
  });

  test("fore and hind taper each in their own way", () => {
    const tapers = (["LF", "LH"] as const).map((limb) => {
      const { toeQuarter, heel } = knotsOf(limb);
      return toeQuarter.lateral[0] - heel.lateral[0];
    });
    expect(tapers[0]).toBeGreaterThan(tapers[1] ?? 0);
    // A hind foot as narrow at its heels as a fore one is contracted.
    const hind = shodFoot("LH");
    const narrow = {
      ...hind,
      knots: { ...hind.knots, heel: { medial: [-34, 4], lateral: [34, 4] } },
    } as typeof hind;
    const question = fitQuestion({}, { foot: { ...narrow, outline: outlineThrough(narrow.knots) } });
    expect(check("heels-in", question).ok).toBe(false);
    expect(check("heels-in", question).text).toContain("a sound hind foot");
    expect(check("heels-in", fitQuestion({}, { foot: hind })).ok).toBe(true);
  });

  test("what stands out further back on purpose is no shift of the widest part", () => {
    const wide = fitQuestion({ fullMedial: 6, fullLateral: 6, outLateral: 2, pad: "flat" });
    expect(check("widest", wide).ok).toBe(true);
  });

  test("a place that is to bear nothing has its gap, or the check says that it touches", () => {
    const relieve = { toRelieve: ["quarterLateral"] as const };
    expect(check("unloaded", fitQuestion(), relieve)).toMatchObject({
      ok: false,
      text: "The wall is to bear nothing at lateral quarter, and this shoe touches there.",
    });
    expect(check("unloaded", fitQuestion({ unloaded: ["quarterLateral"] }), relieve).ok).toBe(true);
  });

  test("steel that cannot be: no wall for a clip, a pad and a wedge that no nail reaches through", () => {
    const noWall = { unsoundWall: ["toe"] as const };
    expect(check("clips", fitQuestion({ clips: ["toe"] }), noWall)).toMatchObject({
      ok: false,
      impossible: true,
    });
    expect(check("clips", fitQuestion({ clips: ["side medial"] }), noWall).ok).toBe(true);
    const high = { thickness: 14, pad: "flat" as const, raise: { degrees: 16, cycles: 1, exit: "the vet" } };
    expect(check("pad-nails", fitQuestion(high))).toMatchObject({ ok: false, impossible: true });
    expect(check("pad-nails", fitQuestion(high)).mend).toContain("raise in the shoe itself");
    expect(check("pad-nails", fitQuestion({ pad: "flat" })).ok).toBe(true);
  });

  test("a wedge under one side is asked first: can the trim do it", () => {
    expect(check("side-wedge", fitQuestion({ sideWedge: { side: "medial", degrees: 2 } }))).toMatchObject({
      ok: false,
      impossible: false,
      name: "Can the trim do it?",
    });
  });

  test("a hole past the web is refused: no line of why helps", () => {
    const thick = { ...foot, horn: { toe: 10, quarter: 9 } };
    const checks = shoeChecks(fitShoe(fitQuestion({ width: 9 }, { foot: thick })), context);
    const holes = checks.find(({ id }) => id === "holes");
    expect(holes).toMatchObject({ ok: false, impossible: true });
    expect(openChecks(checks, { holes: "because" }).map(({ id }) => id)).toContain("holes");
  });

  test("a web that closes the shoe over the frog is refused", () => {
    expect(check("web", fitQuestion({ width: 58 }))).toMatchObject({ ok: false, impossible: true });
    expect(check("web").ok).toBe(true);
  });

  test("an egg bar on firm ground, a raise without an exit: asked, with the reason", () => {
    const egg = fitQuestion({ type: "egg bar" });
    expect(check("egg-firm", egg, { footing: ["road"] }).text).toContain("lever behind the foot");
    expect(check("egg-firm", egg, { footing: ["soft arena"] }).ok).toBe(true);
    expect(check("raise-exit", fitQuestion({ raise: { degrees: 3, cycles: 2, exit: "" } })).ok).toBe(false);
    expect(
      check("raise-exit", fitQuestion({ raise: { degrees: 3, cycles: 2, exit: "heel within 5°" } })).ok,
    ).toBe(true);
  });

  test("what contradicts the prescription is named field by field", () => {
    const prescription = { type: "straight bar", toeEdge: "rolled", raiseDeg: 3 } as const;
    const against = check("prescription", fitQuestion(), { prescription });
    expect(against.ok).toBe(false);
    expect(against.text).toBe(
      "shoe: prescribed straight bar, here plain; toe’s ground edge: prescribed rolled, here plain; raise: prescribed 3.0°, here 0.0°.",
    );
    const follows = fitQuestion(
      { type: "straight bar", toeEdge: "rolled", raise: { degrees: 3, cycles: 1, exit: "vet" } },
      { breakover: { fromToe: 8, direction: 0 } },
    );
    expect(check("prescription", follows, { prescription }).ok).toBe(true);
    const bare = shoeChecks(fitShoe(fitQuestion({ type: "bare" })), { ...context, prescription });
    expect(bare.map(({ id, ok }) => [id, ok])).toEqual([["prescription", false]]);
  });

  test("a plain toe does not reach a mark 10 mm back, a rolled one does", () => {
    const at = { breakover: { fromToe: 10, direction: 0 } };
    expect(check("breakover", fitQuestion({}, at)).ok).toBe(false);
    expect(check("breakover", fitQuestion({ toeEdge: "rolled" }, at)).ok).toBe(true);
    expect(check("breakover", fitQuestion({ toeEdge: "eased" }, at)).ok).toBe(false);
  });

  test("a thin sole wants relief, a concave section or a pad", () => {
    const thin = { thinSole: true };
    expect(check("sole", fitQuestion(), thin).ok).toBe(false);
    for (const spec of [{ relief: true }, { profile: "concave" }, { pad: "flat" }] as const)
      expect(check("sole", fitQuestion(spec), thin).ok).toBe(true);
  });
});
