import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { Film } from "./filmRecord";
import { drawFilm } from "./drawFilm";
import { filmCss, FILM_SHOWN, layFilm } from "./layFilm";
import { filmTruth, shotOf, type FilmShot } from "./filmShot";
import { filmScene, ORDINARY_INSIDE } from "./standInFilm";

const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
const film = (view: Film["view"], more: Partial<FilmShot> = {}) => {
  const scene = filmScene(foot, ORDINARY_INSIDE, view);
  return {
    view,
    scale: { kind: "marker" as const, mm: scene.markerMm },
    points: filmTruth(scene, shotOf(foot, more)) as unknown as Film["points"],
    taken: {},
  };
};
const at = ([a, b, c, d, e, f]: readonly number[], [x, y]: readonly [number, number]) => [
  a! * x + c! * y + e!,
  b! * x + d! * y + f!,
];

describe("films laid over each other", () => {
  test.each(["lateral", "front"] as const)(
    "from the %s, films of one foot turned, mirrored and enlarged lie on one another to a tenth of a mm",
    (view) => {
      const [first, second] = [
        film(view),
        film(view, { turnDeg: 14, mirrored: false, mmPerPx: 0.13, magnification: 1.1 }),
      ];
      const [a, b] = [layFilm(first), layFilm(second)];
      if (!a.ok || !b.ok) throw new Error("not laid");
      for (const name of Object.keys(first.points)) {
        const [p, q] = [at(a.value, first.points[name]!), at(b.value, second.points[name]!)];
        expect(Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!)).toBeLessThan(0.1);
      }
    },
  );

  test("the ground lies level and the toe to the right, in what is shown", () => {
    const one = film("lateral", { turnDeg: -9 });
    const laid = layFilm(one);
    if (!laid.ok) throw new Error("not laid");
    const [ax, ay] = at(laid.value, one.points["groundA"]!);
    const [bx, by] = at(laid.value, one.points["groundB"]!);
    expect(ay! - by!).toBeCloseTo(0, 6);
    expect(bx!).toBeGreaterThan(ax!);
    const [x, y] = at(laid.value, one.points["breakover"]!);
    expect(
      x! > FILM_SHOWN.left &&
        x! < FILM_SHOWN.left + FILM_SHOWN.width &&
        y! < FILM_SHOWN.top + FILM_SHOWN.height,
    ).toBe(true);
    expect(filmCss(laid.value, 3)).toMatch(/^matrix\((-?[\d.e-]+,){5}-?[\d.e-]+\)$/);
  });

  test("one whose marks are not all placed is not laid, and says so", () => {
    const { tip: _gone, ...points } = film("lateral").points;
    const laid = layFilm({ ...film("lateral"), points });
    expect(!laid.ok && laid.issues[0]?.code).toBe("unmarked");
  });
});

describe("a drawn stand-in", () => {
  test("is the same for the same seed, bone lighter than flesh, flesh lighter than air", () => {
    const scene = filmScene(foot, ORDINARY_INSIDE, "lateral");
    const shot = shotOf(foot, { mmPerPx: 0.5 });
    const [one, two] = [drawFilm(scene, shot, 5), drawFilm(scene, shot, 5)];
    expect(one.values).toEqual(two.values);
    const truth = filmTruth(scene, shot);
    const grey = ([x, y]: readonly number[]) => one.values[Math.round(y!) * one.width + Math.round(x!)] ?? 0;
    const [tip, wing] = [truth["tip"]!, truth["wing"]!];
    const bone = grey([(tip[0] + wing[0]) / 2, (tip[1] + wing[1]) / 2 - 4]);
    const flesh = grey([(tip[0] + truth["wallLow"]![0]) / 2, (tip[1] + truth["wallLow"]![1]) / 2]);
    const air = grey([truth["marker a"]![0] + 12, truth["marker a"]![1]]);
    expect(bone).toBeGreaterThan(flesh * 1.2);
    expect(flesh).toBeGreaterThan(air * 1.5);
  });
});
