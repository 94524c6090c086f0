import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { FootParameters } from "../foot/parametric/parameters";
import { normalDraw, seededRandom, type Random } from "../math/random";
import type { Film } from "./filmRecord";
import { FILM_MARKS, JOINT, type FilmView } from "./filmMarks";
import { filmNumbers } from "./filmNumbers";
import { filmScale, readFilm } from "./readFilm";
import { filmPlaces } from "./filmPlaces";
import { marksAgainstTruth } from "./markTruth";
import { filmTruth, shotOf, type FilmShot } from "./filmShot";
import { filmScene, ORDINARY_INSIDE, type Inside } from "./standInFilm";

type Marked = Pick<Film, "view" | "scale" | "points" | "taken">;

/** A film of a made-up foot with every mark where it truly is. */
function filmOf(foot: FootParameters, inside: Inside, view: FilmView, shot: FilmShot): Marked {
  const scene = filmScene(foot, inside, view);
  const truth = filmTruth(scene, shot);
  return {
    view,
    scale: { kind: "marker", mm: scene.markerMm },
    points: truth as unknown as Film["points"],
    taken: {},
  };
}

const draw = (random: Random, low: number, high: number) => low + (high - low) * random();

/** A made-up foot, its inside and a shot, all drawn. */
function drawn(random: Random) {
  const limb = (["LF", "RF", "LH", "RH"] as const)[Math.floor(random() * 4)]!;
  const foot = {
    ...ordinaryFoot(limb, { kind: "horse", massKg: draw(random, 300, 750) }),
    dorsalAngleDeg: draw(random, 44, 58),
    pasternAngleDeg: draw(random, 44, 58),
  };
  const inside: Inside = {
    palmarAngleDeg: draw(random, -3, 14),
    rotationDeg: draw(random, -1, 9),
    soleMm: draw(random, 6, 22),
    dorsalMm: draw(random, 13, 21),
    shoeMm: draw(random, 0, 12),
    breakoverMm: draw(random, 0, 18),
    tiltDeg: draw(random, -5, 5),
    spaceDifferenceMm: draw(random, -2, 2),
  };
  const shot = shotOf(foot, {
    mmPerPx: draw(random, 0.12, 0.3),
    magnification: draw(random, 1, 1.15),
    turnDeg: draw(random, -20, 20),
    mirrored: random() < 0.5,
  });
  return { foot, inside, shot };
}

describe("stand-in films, measured", () => {
  test("200 with exact marks: palmar angle within 0.05°, depths within 0.1 mm, centre of rotation within 0.3 mm", () => {
    const random = seededRandom(18);
    const worst = { angle: 0, depth: 0, centre: 0 };
    for (let at = 0; at < 200; at++) {
      const { foot, inside, shot } = drawn(random);
      const scene = filmScene(foot, inside, "lateral");
      const film = filmOf(foot, inside, "lateral", shot);
      // Marks as they are kept: to a hundredth of a pixel.
      film.points = Object.fromEntries(
        Object.entries(film.points).map(([name, [x, y]]) => [
          name,
          [Math.round(x * 100) / 100, Math.round(y * 100) / 100],
        ]),
      );
      const read = readFilm(film);
      const lateral = read.ok ? read.value.lateral : undefined;
      expect(lateral).toBeDefined();
      const up = (name: string) => scene.marks[name]![1];
      worst.angle = Math.max(worst.angle, Math.abs(lateral!.palmarAngle - inside.palmarAngleDeg));
      worst.depth = Math.max(
        worst.depth,
        Math.abs(lateral!.soleDepth!.tip! - inside.soleMm),
        Math.abs(lateral!.soleDepth!.wing! - (up("wing") - up("soleWing"))),
        Math.abs(lateral!.tipToGround - up("tip")),
        Math.abs(lateral!.dorsal.low - inside.dorsalMm),
      );
      const front = scene.marks["breakover"]![0];
      const joint = scene.marks[`${JOINT}3`]!;
      // The centre stands straight over the lowest of the five joint points.
      worst.centre = Math.max(worst.centre, Math.abs(lateral!.front - (front - joint[0])));
    }
    expect(worst.angle).toBeLessThan(0.05);
    expect(worst.depth).toBeLessThan(0.1);
    expect(worst.centre).toBeLessThan(0.3);
  });

  test("with one pixel of hand the stated band covers 90 of 100, number by number", () => {
    const random = seededRandom(81);
    const inside: Record<string, [number, number]> = {};
    for (let at = 0; at < 600; at++) {
      const { foot, inside: within, shot } = drawn(random);
      for (const view of ["lateral", "front"] as const) {
        const truth = filmOf(foot, within, view, shot);
        const shaken = ([x, y]: readonly [number, number]): [number, number] => [
          normalDraw(random, x, 1),
          normalDraw(random, y, 1),
        ];
        const marked: Marked = {
          ...truth,
          points: Object.fromEntries(
            Object.entries(truth.points).map(([name, place]) => [name, shaken(place)]),
          ),
        };
        const exact = Object.fromEntries(filmNumbers(truth, 126).map(({ id, value }) => [id, value]));
        for (const { id, value, band } of filmNumbers(marked, 126)) {
          const [hit, all] = inside[id] ?? [0, 0];
          inside[id] = [hit + (Math.abs(value - exact[id]!) <= band ? 1 : 0), all + 1];
        }
      }
    }
    const { residual: _left, ...covered } = inside;
    const parts = Object.entries(covered).map(([id, [hit, all]]) => [id, hit / all] as const);
    expect(parts.length).toBeGreaterThan(20);
    // Of 600 draws an honest 90 % band holds 86.3 to 93.7 %, three sd either way.
    for (const [id, part] of parts) expect([id, part > 0.863 && part < 0.937]).toEqual([id, true]);
    const mean = parts.reduce((sum, [, part]) => sum + part, 0) / parts.length;
    expect(mean).toBeGreaterThan(0.89);
  });

  test("turning, mirroring, scaling and enlarging a picture with its marker changes nothing", () => {
    const foot = ordinaryFoot("RF", { kind: "horse", massKg: 520 });
    fc.assert(
      fc.property(
        fc.record({
          mmPerPx: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
          magnification: fc.double({ min: 1, max: 1.4, noNaN: true }),
          turnDeg: fc.double({ min: -170, max: 170, noNaN: true }),
          mirrored: fc.boolean(),
        }),
        fc.constantFrom("lateral" as const, "front" as const),
        (shot, view) => {
          const plain = filmNumbers(filmOf(foot, ORDINARY_INSIDE, view, shotOf(foot)), 126);
          const other = filmNumbers(filmOf(foot, ORDINARY_INSIDE, view, shotOf(foot, shot)), 126);
          expect(other.map(({ id }) => id)).toEqual(plain.map(({ id }) => id));
          for (const [at, { value }] of plain.entries()) expect(other[at]!.value).toBeCloseTo(value, 5);
        },
      ),
    );
  });

  test("pixel spacing is the detector’s: divided by the enlargement it gives the foot’s own lengths", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
    const film = filmOf(
      foot,
      ORDINARY_INSIDE,
      "lateral",
      shotOf(foot, { magnification: 1.08, mmPerPx: 0.2 }),
    );
    const spaced: Marked = {
      ...film,
      scale: { kind: "spacing", mmPerPx: 0.2, magnification: 1.08, from: "file" },
    };
    const read = readFilm(spaced);
    expect(read.ok && read.value.lateral?.soleDepth?.tip).toBeCloseTo(ORDINARY_INSIDE.soleMm, 6);
    const unknown = readFilm({
      ...spaced,
      scale: { kind: "spacing", mmPerPx: 0.2, magnification: 1, from: "file" },
    });
    expect(unknown.ok && unknown.value.lateral?.soleDepth?.tip).toBeCloseTo(ORDINARY_INSIDE.soleMm * 1.08, 6);
    expect(unknown.ok && unknown.value.scale.says).toContain("not known");
  });

  test("a slanted beam shortens what lies along the ground, by its cosine, and turns the angles; the page says so", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
    const square = readFilm(filmOf(foot, ORDINARY_INSIDE, "lateral", shotOf(foot)));
    const slanted = readFilm({
      ...filmOf(foot, ORDINARY_INSIDE, "lateral", shotOf(foot, { slantDeg: 10 })),
      taken: { "beam across": "no" },
    });
    if (!square.ok || !slanted.ok) throw new Error("not read");
    expect(slanted.value.lateral!.front).toBeCloseTo(square.value.lateral!.front * Math.cos(Math.PI / 18), 6);
    expect(slanted.value.marked).toEqual([expect.stringContaining("Beam not straight to the foot")]);
    expect(square.value.marked).toEqual([]);
  });

  test("from the front: tilt and joint spaces as they were made, higher on the lateral side positive", () => {
    const foot = ordinaryFoot("RH", { kind: "cob", massKg: 500 });
    const read = readFilm(
      filmOf(
        foot,
        { ...ORDINARY_INSIDE, tiltDeg: 3, spaceDifferenceMm: -1 },
        "front",
        shotOf(foot, { mirrored: true, turnDeg: 12 }),
      ),
    );
    expect(read.ok && read.value.front?.tilt).toBeCloseTo(3, 6);
    expect(read.ok && read.value.front?.spaceDifference).toBeCloseTo(-1, 6);
  });

  test("places along the ground: the tack and the wall’s foot lie where they were set", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
    const inside = { ...ORDINARY_INSIDE, shoeMm: 9 };
    const scene = filmScene(foot, inside, "lateral");
    const places = filmPlaces(
      filmOf(foot, inside, "lateral", shotOf(foot, { mirrored: false, turnDeg: 7 })),
      9,
    )!;
    const cor = scene.marks[`${JOINT}3`]![0];
    expect(places.frogTack).toBeCloseTo(scene.marks["frogTack"]![0] - cor, 4);
    expect(places.tip).toBeCloseTo(scene.marks["tip"]![0] - cor, 4);
    expect(places.toe).toBeCloseTo(scene.marks["breakover"]![0] + inside.breakoverMm - cor, 4);
  });
});

describe("wrong films are said, nothing half done", () => {
  const foot = ordinaryFoot("RF", { kind: "horse", massKg: 520 });
  const film = filmOf(foot, ORDINARY_INSIDE, "lateral", shotOf(foot));
  const said = (more: Partial<Marked>) => {
    const read = readFilm({ ...film, ...more });
    return read.ok ? undefined : read.issues[0]?.code;
  };
  const without = (...names: string[]) =>
    Object.fromEntries(Object.entries(film.points).filter(([name]) => !names.includes(name)));

  test("no scale, a marker of no length", () => {
    expect(said({ scale: undefined })).toBe("scale");
    expect(said({ points: { ...film.points, "marker a": [5, 5], "marker b": [5, 5] } })).toBe("marker");
    expect(filmScale({ scale: { kind: "marker", mm: 50 }, points: {} }).ok).toBe(false);
  });

  test("tip behind wing, a joint in line, and a joint surface of two points", () => {
    expect(said({ points: { ...film.points, tip: film.points["wing"]!, wing: film.points["tip"]! } })).toBe(
      "out-of-order",
    );
    const line = Object.fromEntries(
      [1, 2, 3, 4, 5].map((at) => [`${JOINT}${at}`, [100 + at, 100]]),
    ) as Film["points"];
    expect(said({ points: { ...film.points, ...line } })).toBe("in-line");
    const two = readFilm({ ...film, points: without(`${JOINT}3`, `${JOINT}4`, `${JOINT}5`) });
    expect(two.ok && two.value).toMatchObject({ missing: [`${JOINT}3`] });
    expect(two.ok && two.value.lateral).toBeUndefined();
  });

  test("what is still to be placed is named; what is optional is not asked for", () => {
    const half = readFilm({ ...film, points: without("tip", "soleTip", "pasternFaceLow") });
    expect(half.ok && half.value.missing).toEqual(["tip"]);
    expect(FILM_MARKS.front.every(({ find }) => find.length > 10)).toBe(true);
  });

  test("from the front: sides mixed up and a bone under the ground", () => {
    const front = filmOf(foot, ORDINARY_INSIDE, "front", shotOf(foot));
    const swapped = {
      ...front.points,
      borderMedial: front.points["borderLateral"]!,
      borderLateral: front.points["borderMedial"]!,
    };
    const read = readFilm({ ...front, points: swapped });
    expect(!read.ok && read.issues[0]).toMatchObject({ code: "out-of-order", path: "points.borderMedial" });
  });
});

describe("marks placed on a stand-in, held against the truth", () => {
  const foot = ordinaryFoot("RF", { kind: "horse", massKg: 520 });
  const film = filmOf(foot, ORDINARY_INSIDE, "lateral", shotOf(foot));

  test("in their places they are 0 mm off; one that is 10 pixels off is the furthest, by its millimetres", () => {
    expect(marksAgainstTruth({ ...film, truth: film.points })?.meanMm).toBeCloseTo(0, 9);
    const [x, y] = film.points["tip"]!;
    const held = marksAgainstTruth({
      ...film,
      truth: film.points,
      points: { ...film.points, tip: [x + 10, y] },
    });
    expect(held?.worst[0]).toMatchObject({ name: "tip" });
    expect(held?.worst[0]?.mm).toBeCloseTo(2, 6);
  });

  test("a film of a real foot has no truth", () => {
    expect(marksAgainstTruth(film)).toBeUndefined();
  });
});
