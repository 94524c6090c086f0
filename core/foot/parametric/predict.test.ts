import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { radians } from "../../math/angle";
import { checkCut } from "../../trim/checkCut";
import { NO_CUT, predictTrim, type Cuts, type TrimFoot } from "./predict";

const foot: TrimFoot = {
  dorsalAngle: 48,
  pasternAngle: 52,
  heelAngle: 40,
  toeLength: 92,
  toeY: 126,
  heelMedial: [-42, 8],
  heelLateral: [42, 12],
  corY: 63,
};

const predict = (cuts: Partial<Cuts>, change: Partial<TrimFoot> = {}) => {
  const found = predictTrim({ ...foot, ...change }, { ...NO_CUT, ...cuts });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

const amount = fc.double({ min: 0, max: 9, noNaN: true });

describe("predictTrim", () => {
  test("no cut leaves the foot as it is", () => {
    expect(predict({})).toEqual({
      dorsalAngle: 48,
      axis: -4,
      roll: 0,
      toeY: 126,
      heelY: 10,
      corY: 63,
      front: 63,
      support: 53,
      toeLength: 92,
    });
  });

  test("equal cuts leave the angle; toe and heels slide back along the wall and the horn", () => {
    const found = predict({ toe: 4, heelMedial: 4, heelLateral: 4 });
    expect(found.dorsalAngle).toBeCloseTo(48, 12);
    expect(found.toeY).toBeCloseTo(126 - 4 / Math.tan(radians(48)), 9);
    expect(found.heelY).toBeCloseTo(10 - 4 / Math.tan(radians(40)), 9);
    expect(found.toeLength).toBeCloseTo(92 - 4 / Math.sin(radians(48)), 9);
  });

  test("a degree is about 2 mm over a bearing length of 115 mm", () => {
    expect(predict({ toe: 2.007 }, { toeY: 125 }).dorsalAngle).toBeCloseTo(49, 2);
  });

  test("more heel off: shallower, and the heel lies further back (the conundrum)", () => {
    const some = predict({ heelMedial: 2, heelLateral: 2 });
    const more = predict({ heelMedial: 4, heelLateral: 4 });
    expect(more.dorsalAngle).toBeLessThan(some.dorsalAngle);
    expect(more.heelY - more.corY).toBeLessThan(some.heelY - some.corY);
  });

  test("lowering the lateral heel more is a positive roll, and mirrored cuts mirror it", () => {
    expect(predict({ heelMedial: 1, heelLateral: 3 }).roll).toBeCloseTo(
      (Math.atan2(2, 84) * 180) / Math.PI,
      9,
    );
    expect(predict({ heelMedial: 3, heelLateral: 1 }).roll).toBeCloseTo(
      (-Math.atan2(2, 84) * 180) / Math.PI,
      9,
    );
  });

  test("dressing takes its thickness off the front and leaves angle and length alone", () => {
    const found = predict({ dress: 3 });
    expect(found.front).toBeCloseTo(63 - 3 / Math.sin(radians(48)), 9);
    expect(found.dorsalAngle).toBe(48);
    expect(found.toeLength).toBe(92);
  });

  test("the new toe and heel lie on the plane of the cut, found here by walking along wall and horn (property)", () => {
    fc.assert(
      fc.property(amount, amount, (toe, heel) => {
        const heelY = 10;
        const plane = (y: number) => heel + ((toe - heel) * (y - heelY)) / (126 - heelY);
        const meet = (y0: number, deg: number) => {
          let [low, high] = [-5, 40];
          for (let round = 0; round < 80; round++) {
            const z = (low + high) / 2;
            if (z < plane(y0 - z / Math.tan(radians(deg)))) low = z;
            else high = z;
          }
          return [y0 - low / Math.tan(radians(deg)), low] as const;
        };
        const [toeY, toeZ] = meet(126, 48);
        const [newHeelY, heelZ] = meet(heelY, 40);
        const found = predict({ toe, heelMedial: heel, heelLateral: heel });
        const bearing = Math.hypot(toeY - newHeelY, toeZ - heelZ);
        expect(found.toeY - found.heelY).toBeCloseTo(bearing, 6);
        expect(found.toeLength).toBeCloseTo(92 - toeZ / Math.sin(radians(48)), 6);
      }),
      { seed: 3 },
    );
  });

  test("more toe off is always steeper, more heel off never (seeded property)", () => {
    fc.assert(
      fc.property(
        amount,
        amount,
        amount,
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (toe, heelMedial, heelLateral, more) => {
          const angle = (cuts: Partial<Cuts>) =>
            predict({ toe, heelMedial, heelLateral, ...cuts }).dorsalAngle;
          expect(angle({ toe: toe + more })).toBeGreaterThan(angle({}));
          expect(angle({ heelMedial: heelMedial + more })).toBeLessThan(angle({}));
        },
      ),
      { seed: 4 },
    );
  });

  test("a radiograph's height of the centre of rotation outranks the estimate", () => {
    expect(predict({ toe: 5 }, { corHeight: 30 }).corY).not.toBeCloseTo(predict({ toe: 5 }).corY, 3);
  });

  test.each([
    [{ dorsalAngle: 0 }, "foot.dorsalAngle"],
    [{ heelAngle: 90 }, "foot.heelAngle"],
    [{ toeY: 9 }, "foot.toeY"],
    [{ heelLateral: [-50, 10] as const }, "foot.heelLateral"],
  ])("an impossible foot %j is named at %s", (change, path) => {
    const found = predictTrim({ ...foot, ...change }, NO_CUT);
    expect(!found.ok && found.issues.map((issue) => issue.path)).toContain(path);
  });

  test("a cut that leaves no wall is refused", () => {
    expect(predictTrim(foot, { ...NO_CUT, toe: 90, heelMedial: 90, heelLateral: 90 }).ok).toBe(false);
  });
});

test("checkCut: 60 mm is the most a trim takes", () => {
  expect(checkCut("toe", 60).ok).toBe(true);
  expect(checkCut("toe", 61)).toMatchObject({ ok: false, issues: [{ code: "too-much", path: "toe" }] });
});
