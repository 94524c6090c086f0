import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { eachSide } from "../foot/parametric/parameters";
import type { SolarPoint } from "../geometry/vector";
import { seededRandom } from "../math/random";
import { EGG_REACH_MM } from "../shoe/bars";
import { fitShoe } from "../shoe/fit";
import type { ShodFoot } from "../shoe/fitQuestion";
import { ordinaryShodFoot } from "../shoe/ordinaryShodFoot";
import { outlineThrough, type OutlineKnots, type SidedLine } from "../shoe/outline";
import { fitQuestion } from "../shoe/shoe.fixture";
import type { Specification } from "../shoe/specification";
import { fittedPlan, type StandingFoot } from "./fittedPlan";
import { planOnGround, USUAL_GROUND, type GroundAnswer, type GroundPlan, type Standing } from "./groundModel";
import { HELD_LOADS } from "./loads";

type Spec = Partial<Specification>;
const EGG: Spec = { type: "egg bar", support: "heel" };
const STRAIGHT: Spec = { type: "straight bar" };
const HEART: Spec = { type: "heart bar" };
const PADDED: Spec = { pad: "frog support", packing: "setting compound", packed: "injected", riveted: true };

const [CONCRETE, FIRM, WET_TURF, ARENA, DEEP_SAND] = [50, 0.1, 0.05, 0.02, 0.008];
const GRID_MM = 6;

/** Fifty feet as they come: fore and hind, small and big, long toes, one side wider, each with its own load. */
const random = seededRandom(1907);
const between = (low: number, high: number) => low + (high - low) * random();
const FEET = Array.from({ length: 50 }, (_, at) => {
  const whose = { limb: at % 3 === 0 ? "LH" : "LF", kind: "horse", massKg: between(380, 720) } as const;
  const marks = soleLandmarks({
    ...ordinaryFoot(whose.limb, whose),
    toeRunMm: between(-4, 12),
    lateralWiderMm: between(0, 5),
    heelRunMm: between(0, 12),
  });
  const knots: OutlineKnots = {
    toe: marks.toe,
    toeQuarter: { medial: marks.toeQuarterMedial, lateral: marks.toeQuarterLateral },
    wide: { medial: marks.wideMedial, lateral: marks.wideLateral },
    heel: { medial: marks.heelMedial, lateral: marks.heelLateral },
  };
  const foot: ShodFoot = { ...ordinaryShodFoot(whose), knots, outline: outlineThrough(knots) };
  return {
    foot,
    standing: { corHeight: 0.4 * (marks.toe[1] - marks.heelMedial[1]) },
    load: { newtons: between(HELD_LOADS.from, HELD_LOADS.to), lead: between(0, 8) },
  };
});
type Foot = (typeof FEET)[number];

function planned(foot: ShodFoot, spec: Spec, standing: StandingFoot, gridMm = GRID_MM): GroundPlan {
  const plan = fittedPlan(fitShoe(fitQuestion(spec, { foot })), standing, gridMm);
  if (!plan.ok) throw new Error(plan.issues[0]?.message);
  return plan.value;
}
function rest(plan: GroundPlan, stiffness: number, load: Partial<Standing["load"]> = {}): GroundAnswer {
  const found = planOnGround(plan, {
    stiffness,
    load: { newtons: 2500, x: 0, lead: 3, ...load },
    spring: USUAL_GROUND.spring,
  });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
}
/** Each foot in each shoe is planned once. */
const plans = new Map<string, GroundPlan>();
function stood(
  at: number,
  spec: Spec,
  stiffness: number,
  load: Partial<Standing["load"]> = {},
): GroundAnswer {
  const { foot, standing, load: own } = FEET[at] as Foot;
  const key = `${at}${JSON.stringify(spec)}`;
  const plan = plans.get(key) ?? planned(foot, spec, standing);
  plans.set(key, plan);
  return rest(plan, stiffness, { ...own, ...load });
}
const onAll = (holds: (at: number) => boolean): number => FEET.filter((_, at) => holds(at)).length;
const spread = (values: number[]) => Math.max(...values) - Math.min(...values);

describe("what the model has to reproduce, with shoes as they are forged, on fifty feet", () => {
  test("1. on concrete no shoe changes pitch or roll by more than a tenth of a degree against another", () => {
    expect(
      onAll((at) => {
        const all = [{}, EGG, STRAIGHT, HEART, { width: 30 }, PADDED].map((spec) =>
          stood(at, spec, CONCRETE),
        );
        return spread(all.map(({ pitch }) => pitch)) <= 0.1 && spread(all.map(({ roll }) => roll)) <= 0.1;
      }),
    ).toBe(50);
  });

  test("2. in deep sand an egg bar’s heels sink less: at least a degree steeper", () => {
    expect(onAll((at) => stood(at, EGG, DEEP_SAND).pitch - stood(at, {}, DEEP_SAND).pitch >= 1)).toBe(50);
  });

  test("3. with an egg bar and an unfilled frog the frog’s share falls", () => {
    expect(onAll((at) => stood(at, EGG, DEEP_SAND).share.frog < stood(at, {}, DEEP_SAND).share.frog)).toBe(
      50,
    );
  });

  test("4. the egg bar presses the heels of the hoof harder on soft ground", () => {
    expect(
      onAll((at) => stood(at, EGG, DEEP_SAND).hoof.heelPeak > stood(at, {}, DEEP_SAND).hoof.heelPeak),
    ).toBe(50);
  });

  test("5. a wider web sinks less; a concave section of the same web sinks more", () => {
    expect(
      onAll((at) => {
        const plain = stood(at, {}, DEEP_SAND).sink;
        return (
          stood(at, { width: 30 }, DEEP_SAND).sink < plain &&
          stood(at, { profile: "concave" }, DEEP_SAND).sink > plain
        );
      }),
    ).toBe(50);
  });

  test("6. steeper on soft ground shortens the lever in front", () => {
    expect(onAll((at) => stood(at, EGG, DEEP_SAND).lever.front < stood(at, {}, DEEP_SAND).lever.front)).toBe(
      50,
    );
  });

  test("7. a frog pad with compound against the same shoe without, a heart bar against a straight bar: the frog carries, the heels’ load falls", () => {
    expect(
      onAll((at) => {
        const [open, padded, bar, heart] = [{}, PADDED, STRAIGHT, HEART].map(
          (spec) => stood(at, spec, DEEP_SAND).hoof,
        );
        return (
          padded!.frog > open!.frog &&
          padded!.heelPeak < open!.heelPeak &&
          heart!.frog > bar!.frog &&
          heart!.heelPeak < bar!.heelPeak
        );
      }),
    ).toBe(50);
  });

  test("8. bare on soft ground frog and sole carry, more than on concrete", () => {
    expect(
      onAll((at) => {
        const [sand, hard] = [DEEP_SAND, CONCRETE].map((ground) => stood(at, { type: "bare" }, ground).share);
        return sand!.frog + sand!.sole > hard!.frog + hard!.sole + 0.05;
      }),
    ).toBe(50);
  });

  test("9. loaded to one side it sinks there, on wet turf, where its sole hangs free, more with a narrow web, less with more web there; on concrete no shoe differs", () => {
    const roll = (at: number, spec: Spec, ground: number) => stood(at, spec, ground, { x: 8 }).roll;
    expect(
      onAll((at) => {
        const usual = roll(at, {}, WET_TURF);
        return (
          usual > stood(at, {}, WET_TURF).roll &&
          roll(at, { width: 16 }, WET_TURF) > usual &&
          roll(at, { widerLateral: 10 }, WET_TURF) < usual &&
          Math.abs(roll(at, { widerLateral: 10 }, CONCRETE) - roll(at, {}, CONCRETE)) <= 0.1
        );
      }),
    ).toBe(50);
  });

  test("9b. in deep sand the sole takes over from a narrow web: the tilt is the same within a tenth of a degree", () => {
    const roll = (at: number, spec: Spec) => stood(at, spec, DEEP_SAND, { x: 8 }).roll;
    expect(onAll((at) => Math.abs(roll(at, { width: 16 }) - roll(at, {})) <= 0.1)).toBe(50);
    expect(onAll((at) => roll(at, { widerLateral: 10 }) < roll(at, {}))).toBe(50);
  });

  test("10. on concrete the egg bar’s support reaches as far back as it is forged behind the heels, and the foot stands the same", () => {
    expect(
      onAll((at) => {
        const [plain, egg] = [stood(at, { support: "heel" }, CONCRETE), stood(at, EGG, CONCRETE)];
        const reach = EGG_REACH_MM * (FEET[at] as Foot).foot.k;
        return (
          Math.abs(egg.lever.support - plain.lever.support - reach) < 1 &&
          Math.abs(egg.pitch - plain.pitch) <= 0.1
        );
      }),
    ).toBe(50);
  });
});

/** The same foot seen in a mirror. */
function mirrored(foot: ShodFoot): ShodFoot {
  const over = ([x, y]: SolarPoint): SolarPoint => [-x, y];
  const sides = <T>(of: Record<"medial" | "lateral", T>) => ({ medial: of.lateral, lateral: of.medial });
  const line = (of: SidedLine): SidedLine => {
    const other = sides(of);
    return eachSide((side) => other[side].map(over));
  };
  const points = (of: Record<"medial" | "lateral", SolarPoint>) => {
    const other = sides(of);
    return eachSide((side) => over(other[side]));
  };
  const { toe, toeQuarter, wide, heel } = foot.knots;
  return {
    ...foot,
    outline: line(foot.outline),
    knots: { toe: over(toe), toeQuarter: points(toeQuarter), wide: points(wide), heel: points(heel) },
  };
}

describe("a fitted shoe on the ground", () => {
  const { foot, standing } = FEET[1] as Foot;
  const own = (spec: Spec, stiffness: number, more: Partial<StandingFoot> = {}) =>
    rest(planned(foot, spec, { ...standing, ...more }), stiffness);

  test("force and moments balance to a billionth, shares sum to 1, whatever is under it", () => {
    for (const spec of [{}, EGG, HEART, PADDED, { type: "bare" }, { unloaded: ["heelMedial"] }] as Spec[])
      for (const ground of [CONCRETE, FIRM, DEEP_SAND]) {
        const { residual, share } = own(spec, ground);
        expect(residual).toBeLessThanOrEqual(1e-9);
        expect(share.toe + share.middle + share.heel).toBeCloseTo(1, 9);
      }
  });

  test("a mirrored foot in the mirrored shoe mirrors: the roll turns over, all else stays", () => {
    const one = rest(planned(foot, { widerLateral: 8 }, standing), ARENA, { x: 5 });
    const other = rest(planned(mirrored(foot), { widerMedial: 8 }, standing), ARENA, { x: -5 });
    expect(other.roll).toBeCloseTo(-one.roll, 2);
    expect(other.pitch).toBeCloseTo(one.pitch, 2);
    expect(other.share.lateral).toBeCloseTo(one.share.medial, 3);
  });

  test("a finer grid comes to the same: at 4 mm within 1 % and 0.1°, at 2 mm within 0.3 % and 0.03° of what 1 mm says", () => {
    for (const spec of [{}, EGG, { profile: "concave" }] as Spec[]) {
      const [coarse, fine, finest] = [4, 2, 1].map((gridMm) =>
        rest(planned(foot, spec, standing, gridMm), ARENA),
      ) as [GroundAnswer, GroundAnswer, GroundAnswer];
      expect(Math.abs(coarse.sink / finest.sink - 1)).toBeLessThan(0.01);
      expect(Math.abs(fine.sink / finest.sink - 1)).toBeLessThan(0.003);
      expect(Math.abs(coarse.pitch - finest.pitch)).toBeLessThan(0.1);
      expect(Math.abs(fine.pitch - finest.pitch)).toBeLessThan(0.03);
    }
  });

  test("a raise carries the centre of rotation forward and up on every ground, and lifts frog and sole off", () => {
    const raised: Spec = { pad: "wedge", raise: { degrees: 4, cycles: 1, exit: "" } };
    expect(own({}, CONCRETE).lever.front - own(raised, CONCRETE).lever.front).toBeGreaterThan(2);
    expect(own(raised, DEEP_SAND).share.frog).toBeLessThan(own({}, DEEP_SAND).share.frog);
  });

  test("a wedge under the outside leans the load to the inside", () => {
    const wedge: Spec = { pad: "wedge", sideWedge: { side: "lateral", degrees: 4 } };
    expect(own(wedge, DEEP_SAND).roll).toBeLessThan(own({}, DEEP_SAND).roll);
  });

  test("a rolled toe bears less in front and breaks over further back", () => {
    const rolled = fitShoe(
      fitQuestion({ toeEdge: "rolled" }, { foot, breakover: { fromToe: 12, direction: 0 } }),
    );
    const plain = planned(foot, {}, standing);
    const plan = fittedPlan(rolled, standing, GRID_MM);
    if (!plan.ok) throw new Error(plan.issues[0]?.message);
    const inFront = ({ cells }: GroundPlan) =>
      cells.filter(({ clearance, part }) => part === "shoe" && clearance > 0.5).length;
    expect(inFront(plan.value)).toBeGreaterThan(inFront(plain));
    expect(rest(plan.value, CONCRETE).lever.front).toBeLessThan(rest(plain, CONCRETE).lever.front - 5);
  });

  test("where the shoe does not touch the wall nothing is passed on there, and the rest of it carries more", () => {
    const free = planned(foot, { unloaded: ["heelMedial"] }, standing);
    const heelMedial = ({ x, y }: { x: number; y: number }) => x < 0 && y < free.heelY + 15;
    expect(free.border.filter(heelMedial)).toEqual([]);
    expect(own({}, DEEP_SAND).hoof.heelPeak).toBeLessThan(
      own({ unloaded: ["heelMedial"] }, DEEP_SAND).hoof.heelPeak,
    );
  });

  test("a frog pad hands the frog load on firm ground too; a flat one without compound hands it none", () => {
    expect(own(PADDED, CONCRETE).hoof.frog).toBeGreaterThan(0.03);
    expect(own({ pad: "flat" }, CONCRETE).hoof.frog).toBe(0);
    expect(own(PADDED, CONCRETE).hoof.heelPeak).toBeLessThan(own({}, CONCRETE).hoof.heelPeak);
  });

  test("compound without a pad stands flush with the shoe and carries at once on soft ground", () => {
    const flush = own({ packing: "setting compound" }, ARENA);
    expect(flush.share.frog + flush.share.sole).toBeGreaterThan(
      own({}, ARENA).share.frog + own({}, ARENA).share.sole + 0.2,
    );
    expect(flush.sink).toBeLessThan(own({}, ARENA).sink);
  });

  test("soft packing carries nothing: it changes no number", () => {
    expect(own({ packing: "soft", pad: "flat" }, DEEP_SAND).pitch).toBe(
      own({ pad: "flat" }, DEEP_SAND).pitch,
    );
  });

  test("a frog that hangs below its shoe is said with how far; bare, or met by compound, it may", () => {
    const asked = (spec: Spec) =>
      fittedPlan(fitShoe(fitQuestion(spec, { foot })), { ...standing, frogProud: 13 }, 4);
    const hung = asked({ thickness: 10 });
    expect(!hung.ok && hung.issues[0]).toMatchObject({ code: "frog", value: 13 });
    expect(!hung.ok && hung.issues[0]?.message).toContain("3 mm below");
    expect(asked({ type: "bare" }).ok).toBe(true);
    expect(asked({ ...PADDED, thickness: 10 }).ok).toBe(true);
  });

  test("a proud frog carries sooner, a deep sole later", () => {
    const frog = (frogProud: number) => own({}, DEEP_SAND, { frogProud }).share.frog;
    const sole = (sulcusDepth: number) => own({}, DEEP_SAND, { sulcusDepth }).share.sole;
    expect(frog(5)).toBeGreaterThan(frog(-5));
    expect(sole(8)).toBeGreaterThan(sole(24));
  });
});
