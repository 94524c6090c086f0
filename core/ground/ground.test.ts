import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { restOnGround, type Element } from "./contact";
import { planOnGround, USUAL_GROUND, type GroundAnswer, type Standing } from "./groundModel";
import type { SolarPoint } from "../geometry/vector";
import { plainFoot, type FootPlan } from "./plan";
import { plainPlan, USUAL_SHOE, type GroundShoe, type ShoePlan } from "./shoePlan";

/** A strip of cells along y, from -half to half. */
const strip = (half: number, step: number): Element[] =>
  Array.from({ length: Math.round((2 * half) / step) }, (_, at) => ({
    x: at % 2 ? 5 : -5,
    y: -half + (at + 0.5) * step,
    area: 20,
    clearance: 0,
  }));
const K = 0.1;
const rest = (elements: readonly Element[], y: number, x = 0, spring = 1e-6, newtons = 1000) => {
  const found = restOnGround(elements, { newtons, x, y }, K, spring);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

describe("a rigid plate on springs, against the closed form", () => {
  const plate = strip(50, 0.1);
  const area = 20 * plate.length;

  test("loaded in its middle it sinks evenly: load over stiffness and area", () => {
    const { sink, pitch, pressures, residual } = rest(plate, 0);
    expect(sink).toBeCloseTo(1000 / (K * area), 9);
    expect(pitch).toBeCloseTo(0, 9);
    expect(Math.max(...pressures) - Math.min(...pressures)).toBeLessThan(1e-9);
    expect(residual).toBeLessThanOrEqual(1e-9);
  });

  test.each([5, 10, 16])(
    "loaded %s mm off the middle the pressure at its edge is 1 + 6 e / l of the mean",
    (e) => {
      const { pressures } = rest(plate, e);
      expect(Math.max(...pressures) / (1000 / area)).toBeCloseTo(1 + (6 * e) / 100, 1);
    },
  );

  test.each([25, 35])(
    "loaded %s mm off, past its kernel, it lifts off: three times the way from load to edge bears",
    (e) => {
      const { pressures } = rest(plate, e);
      const bearing = pressures.filter((one) => one > 0).length * 0.1;
      expect(bearing).toBeCloseTo(3 * (50 - e), 0);
    },
  );

  test("the spring holds it level: the stiffer, the less it tilts", () => {
    const tilts = [1, 1e3, 1e5, 1e7].map((spring) => rest(plate, 10, 0, spring).pitch);
    expect([...tilts].sort((a, b) => b - a)).toEqual(tilts);
    expect(tilts.at(-1)).toBeLessThan(0.01);
  });

  test("no load, no stiffness, no spring, nothing that bears: said, never a picture of nonsense", () => {
    const code = (...args: Parameters<typeof restOnGround>) => {
      const found = restOnGround(...args);
      return found.ok ? "rest" : found.issues[0]?.code;
    };
    const load = { newtons: 1000, x: 0, y: 0 };
    expect(code(plate, { ...load, newtons: 0 }, K, 1)).toBe("load");
    expect(code(plate, load, 0, 1)).toBe("stiffness");
    expect(code(plate, load, K, 0)).toBe("spring");
    expect(code([], load, K, 1)).toBe("no-contact");
    expect(
      code(
        plate.map((one) => ({ ...one, area: 0 })),
        load,
        K,
        1,
      ),
    ).toBe("no-contact");
  });
});

/** The same foot seen in a mirror. */
const mirrored = (foot: FootPlan): FootPlan => ({
  ...foot,
  outline: foot.outline.map(([x, y]) => [-x, y] as unknown as SolarPoint).toReversed(),
});

const CONCRETE = 50;
const DEEP_SAND = 0.008;
const shoe = (kind: GroundShoe, more: Partial<ShoePlan> = {}): ShoePlan => ({ ...USUAL_SHOE, kind, ...more });
interface More {
  load?: Partial<Standing["load"]>;
  filled?: boolean;
  gridMm?: number;
}
/** Each foot in each shoe on each ground is worked out once. */
const known = new Map<string, GroundAnswer>();
function stood(
  foot: FootPlan,
  own: ShoePlan,
  stiffness: number,
  { load, filled = false, gridMm = 5 }: More = {},
): GroundAnswer {
  const key = JSON.stringify([foot.toeY, foot.outline[20], own, stiffness, load, filled, gridMm]);
  const before = known.get(key);
  if (before) return before;
  const plan = plainPlan(foot, own, { recess: USUAL_GROUND.recess, filled }, gridMm);
  if (!plan.ok) throw new Error(plan.issues[0]?.message);
  const found = planOnGround(plan.value, {
    stiffness,
    load: { newtons: 2200, x: 0, lead: 0, ...load },
    spring: USUAL_GROUND.spring,
  });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  known.set(key, found.value);
  return found.value;
}

/** Fifty feet, each with its own load. */
const random = seededRandom(19);
const between = (low: number, high: number) => low + (high - low) * random();
const FEET = Array.from({ length: 50 }, () => {
  const length = between(115, 150);
  return {
    foot: plainFoot({ length, width: length * between(0.92, 1.05) }),
    load: { newtons: between(1500, 3000), lead: between(0, 8) },
  };
});
const onAll = (holds: (foot: FootPlan, load: { newtons: number; lead: number }) => boolean): number =>
  FEET.filter(({ foot, load }) => holds(foot, load)).length;

describe("what the model has to reproduce, on fifty seeded feet", () => {
  test("1. on concrete no shoe changes pitch or roll by more than a tenth of a degree against another", () => {
    expect(
      onAll((foot, load) => {
        const all = (["plain", "straight-bar", "egg-bar", "heart-bar"] as const).map((kind) =>
          stood(foot, shoe(kind), CONCRETE, { load }),
        );
        const spread = (values: number[]) => Math.max(...values) - Math.min(...values);
        return spread(all.map(({ pitch }) => pitch)) <= 0.1 && spread(all.map(({ roll }) => roll)) <= 0.1;
      }),
    ).toBe(50);
  });

  test("2. in deep sand an egg bar’s heels sink less: the foot stands at least a degree steeper", () => {
    expect(
      onAll((foot, load) => {
        const [plain, egg] = (["plain", "egg-bar"] as const).map((kind) =>
          stood(foot, shoe(kind), DEEP_SAND, { load }),
        );
        return egg!.pitch - plain!.pitch >= 1;
      }),
    ).toBe(50);
  });

  test("3. with an egg bar and an unfilled frog the frog’s share falls against the plain shoe", () => {
    expect(
      onAll(
        (foot, load) =>
          stood(foot, shoe("egg-bar"), DEEP_SAND, { load }).share.frog <
          stood(foot, shoe("plain"), DEEP_SAND, { load }).share.frog,
      ),
    ).toBe(50);
  });

  test("4. on the hoof’s side the egg bar’s heel peak exceeds the plain shoe’s on soft ground", () => {
    expect(
      onAll(
        (foot, load) =>
          stood(foot, shoe("egg-bar"), DEEP_SAND, { load }).hoof.heelPeak >
          stood(foot, shoe("plain"), DEEP_SAND, { load }).hoof.heelPeak,
      ),
    ).toBe(50);
  });

  test("5. a wider web sinks less", () => {
    expect(
      onAll(
        (foot, load) =>
          stood(foot, shoe("plain", { webMedial: 30, webLateral: 30 }), DEEP_SAND, { load }).sink <
          stood(foot, shoe("plain"), DEEP_SAND, { load }).sink,
      ),
    ).toBe(50);
  });

  test("6. steeper on soft ground shortens the lever in front", () => {
    expect(
      onAll(
        (foot, load) =>
          stood(foot, shoe("egg-bar"), DEEP_SAND, { load }).lever.front <
          stood(foot, shoe("plain"), DEEP_SAND, { load }).lever.front,
      ),
    ).toBe(50);
  });

  test("7. a filled frog against the same shoe unfilled, a heart bar against a straight bar: the frog carries, the heels’ load falls", () => {
    expect(
      onAll((foot, load) => {
        const [open, full] = [false, true].map((filled) =>
          stood(foot, shoe("plain"), DEEP_SAND, { load, filled }),
        );
        const [bar, heart] = (["straight-bar", "heart-bar"] as const).map((kind) =>
          stood(foot, shoe(kind), DEEP_SAND, { load }),
        );
        return (
          full!.share.frog > open!.share.frog &&
          full!.hoof.heelPeak < open!.hoof.heelPeak &&
          heart!.share.frog > bar!.share.frog &&
          heart!.hoof.heelPeak < bar!.hoof.heelPeak
        );
      }),
    ).toBe(50);
  });

  test("8. a bare foot carries on frog and sole in deep sand, more than on concrete", () => {
    expect(
      onAll((foot, load) => {
        const [sand, hard] = [DEEP_SAND, CONCRETE].map(
          (ground) => stood(foot, shoe("bare"), ground, { load }).share,
        );
        return sand!.frog + sand!.sole > hard!.frog + hard!.sole + 0.05;
      }),
    ).toBe(50);
  });

  test("9. loaded to one side it sinks there, more with a narrow web, less with more web on that side; on concrete no shoe differs", () => {
    expect(
      onAll((foot, load) => {
        const rolled = (ground: number, more: Partial<ShoePlan>) =>
          stood(foot, shoe("plain", more), ground, { load: { ...load, x: 6 } }).roll;
        const usual = rolled(DEEP_SAND, {});
        const narrow = rolled(DEEP_SAND, { webMedial: 16, webLateral: 16 });
        const wider = rolled(DEEP_SAND, { webLateral: 32 });
        return (
          usual > 0 &&
          narrow > usual &&
          wider < usual &&
          Math.abs(rolled(CONCRETE, { webLateral: 32 }) - rolled(CONCRETE, {})) <= 0.1
        );
      }),
    ).toBe(50);
  });

  test("10. on firm ground the egg bar changes front to support and not the posture: the lever behind is longer", () => {
    expect(
      onAll((foot, load) => {
        const [plain, egg] = (["plain", "egg-bar"] as const).map((kind) =>
          stood(foot, shoe(kind), CONCRETE, { load }),
        );
        return egg!.lever.support - plain!.lever.support > 25 && Math.abs(egg!.pitch - plain!.pitch) <= 0.1;
      }),
    ).toBe(50);
  });
});

describe("feet that make no sense are said", () => {
  const foot = plainFoot({ length: 130, width: 128 });

  test("a frog that hangs below the shoe’s ground surface; of a bare foot it may stand proud", () => {
    const asked = (kind: GroundShoe) => plainPlan(foot, shoe(kind), { recess: -12, filled: false }, 4);
    const hung = asked("plain");
    expect(!hung.ok && hung.issues[0]).toMatchObject({ code: "frog", path: "frog.recess" });
    expect(asked("bare").ok).toBe(true);
  });

  test("a stiffness past steel on rock", () => {
    const found = restOnGround(strip(50, 1), { newtons: 1000, x: 0, y: 0 }, 1e6, 1);
    expect(!found.ok && found.issues[0]?.code).toBe("stiffness");
  });
});

describe("the model itself", () => {
  const foot = plainFoot({ length: 130, width: 128 });

  test("force and moments balance to a billionth; shares sum to 1", () => {
    for (const kind of ["bare", "plain", "straight-bar", "egg-bar", "heart-bar"] as const)
      for (const ground of [CONCRETE, 0.2, DEEP_SAND]) {
        const { residual, share } = stood(foot, shoe(kind), ground, { load: { x: 4, lead: 6 } });
        expect(residual).toBeLessThanOrEqual(1e-9);
        expect(share.toe + share.middle + share.heel).toBeCloseTo(1, 9);
        expect(share.medial + share.lateral).toBeCloseTo(1, 9);
      }
  });

  test("a mirrored foot in a mirrored shoe mirrors: the roll turns over, all else stays", () => {
    const own = shoe("plain", { webLateral: 30 });
    const [one, other] = [
      stood(foot, own, 0.02, { load: { x: 5 } }),
      stood(mirrored(foot), { ...own, webMedial: 30, webLateral: 22 }, 0.02, { load: { x: -5 } }),
    ];
    expect(other.roll).toBeCloseTo(-one.roll, 6);
    expect(other.pitch).toBeCloseTo(one.pitch, 6);
    expect(other.share.lateral).toBeCloseTo(one.share.medial, 6);
  });

  test("a finer grid comes to the same: at 4 mm within 1 %, at 2 mm within 0.3 % and 0.02° of what 1 mm says", () => {
    for (const kind of ["plain", "egg-bar"] as const) {
      const at = (gridMm: number) => stood(foot, shoe(kind), 0.02, { gridMm });
      const [coarse, fine, finest] = [at(4), at(2), at(1)];
      expect(Math.abs(coarse.sink / finest.sink - 1)).toBeLessThan(0.01);
      expect(Math.abs(fine.sink / finest.sink - 1)).toBeLessThan(0.003);
      expect(Math.abs(fine.pitch - finest.pitch)).toBeLessThan(0.02);
    }
  });
});
