import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { sizeFactor, type FootParameters } from "../foot/parametric/parameters";
import { soleFigure } from "../foot/parametric/figure";
import { distance, dot, minus, plus, times, type Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import { markMiss } from "../photo/markMiss";
import { truePhoto, type MarkedPhoto } from "../photo/truePhoto";
import { MEASURED_VIEWS, PHOTO_MARKS, PHOTO_VIEWS, type MeasuredView } from "../photo/views";
import { practiceFoot } from "../practice/practiceFoot";
import { besideTheHorse, type Conditions } from "../simulator/conditions";
import { renderScene } from "../simulator/render";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { projected, type Shot } from "../simulator/camera";
import { HOW_GOOD, HOW_GOOD_LINE } from "./howGood";
import { FIRST_TAPS, suggestMarks, tapOrder, type Suggested, type SuggestQuestion } from "./suggest";

const SHOT: Shot = {
  slantDeg: 5,
  azimuthDeg: 40,
  rollDeg: 3,
  distanceMm: 1500,
  focal35: 125,
  width: 960,
  height: 720,
};
const OWN = ordinaryFoot("LF", { kind: "horse", massKg: 560 });

interface Taken {
  truth: MarkedPhoto & { view: MeasuredView };
  ask: (taps: readonly string[], more?: Partial<SuggestQuestion>) => ReturnType<typeof suggestMarks>;
  /** How far a suggestion is off, mm. */
  miss: (mark: string, at: Vector) => number;
  liveSole: Vector[];
  pxPerMm: number;
}

function take(
  view: MeasuredView,
  foot: FootParameters = OWN,
  { shot = SHOT, conditions = {}, ownMm = 0, seed = 3 }: Partial<TakeOptions> = {},
): Taken {
  const scene = sceneOf(foot, view, {}, ownMm > 0 ? { sdMm: ownMm, seed } : undefined);
  const camera = aimAt(scene, shot);
  const truth = { ...truthInPicture(scene, camera, true), view };
  const picture = { ...shot, rgba: renderScene(scene, camera, seed, conditions) };
  const k = sizeFactor(foot);
  const all = truePhoto(truth, k);
  const corners = truth.scale.kind === "card" ? truth.scale.corners : [];
  return {
    truth,
    ask: (taps, more = {}) =>
      suggestMarks({
        photo: { ...truth, points: Object.fromEntries(taps.map((mark) => [mark, truth.points[mark]])) },
        picture,
        base: ordinaryFoot(foot.limb, { kind: "horse", massKg: 480 }),
        handSdMm: 1,
        ...more,
      }),
    miss: (mark, at) => {
      const put = truePhoto({ ...truth, points: { [mark]: at as never } }, k);
      if (!all.ok || !put.ok) throw new Error("no scale");
      return markMiss(
        view,
        mark,
        put.value.marks[mark]?.mm ?? [0, 0],
        (name) => all.value.marks[name]?.mm ?? [0, 0],
      );
    },
    liveSole: soleFigure(foot).liveSole.map(([x, y]) => projected(camera, scene.toWorld([x, y, 0]))),
    pxPerMm: distance(corners[0] as Vector, corners[1] as Vector) / 80,
  };
}
interface TakeOptions {
  shot: Shot;
  conditions: Partial<Conditions>;
  ownMm: number;
  seed: number;
}

const value = (found: ReturnType<typeof suggestMarks>): Suggested => {
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const codeOf = (found: ReturnType<typeof suggestMarks>) => (found.ok ? "ok" : found.issues[0]?.code);

/** How far a point lies from a piece of a line. */
function fromSegment(at: Vector, a: Vector, b: Vector): number {
  const along = minus(b, a);
  const part = Math.min(1, Math.max(0, dot(minus(at, a), along) / dot(along, along)));
  return distance(at, plus(a, times(along, part)));
}

describe("marks that suggest themselves", () => {
  test.each(MEASURED_VIEWS)("%s: in daylight what is suggested lies within two millimetres", (view) => {
    const picture = take(view);
    const { marks } = value(picture.ask(FIRST_TAPS[view]));
    expect(Object.keys(marks).length).toBeGreaterThan(0);
    for (const [mark, one] of Object.entries(marks))
      expect([mark, one ? picture.miss(mark, one.at) < 2 : false]).toEqual([mark, true]);
  });

  test("a sole after five taps: all its other marks, most of them sure", () => {
    const picture = take("sole");
    const taps = [...FIRST_TAPS.sole, "sulcusBack", "frogApex"];
    const { marks } = value(picture.ask(taps));
    const wanted = PHOTO_MARKS.sole.filter((mark) => !taps.includes(mark));
    expect(Object.keys(marks).length).toBeGreaterThan(0.7 * wanted.length);
    expect(Object.values(marks).filter((one) => one?.sure).length).toBeGreaterThan(0.5 * wanted.length);
    for (const [mark, one] of Object.entries(marks))
      expect(picture.miss(mark, one?.at ?? [0, 0])).toBeLessThan(2.5);
  });

  test("whichever way up and from whichever side the picture is taken", () => {
    for (const rollDeg of [180, 95, -60])
      for (const limb of ["LF", "RH"] as const) {
        const foot = ordinaryFoot(limb, { kind: "horse", massKg: 560 });
        const picture = take("side", foot, { shot: { ...SHOT, rollDeg } });
        const { marks } = value(picture.ask(FIRST_TAPS.side));
        expect(Object.keys(marks).length).toBeGreaterThan(3);
        for (const [mark, one] of Object.entries(marks))
          expect(picture.miss(mark, one?.at ?? [0, 0])).toBeLessThan(2.5);
      }
  });

  test("in pictures as they are taken beside a horse no sure one is off by six millimetres", () => {
    const random = seededRandom(77);
    const misses: number[] = [];
    for (let round = 0; round < 21; round++) {
      const view = MEASURED_VIEWS[round % 3] ?? "sole";
      const { foot } = practiceFoot(random, { count: round % 4, size: 1 });
      const picture = take(view, foot, {
        shot: {
          ...SHOT,
          slantDeg: 20 * random(),
          azimuthDeg: 360 * random(),
          rollDeg: 20 * (random() - 0.5),
        },
        conditions: besideTheHorse(random),
        ownMm: 0.8,
        seed: round,
      });
      const { marks } = value(picture.ask(FIRST_TAPS[view]));
      for (const [mark, one] of Object.entries(marks)) if (one?.sure) misses.push(picture.miss(mark, one.at));
    }
    expect(misses.length).toBeGreaterThan(30);
    expect(Math.max(...misses)).toBeLessThan(6);
  });

  test("a picture that shows nothing makes nothing sure but what the taps themselves say", () => {
    const picture = take("sole");
    const blank = { width: 960, height: 720, rgba: new Uint8ClampedArray(960 * 720 * 4).fill(128) };
    const { marks, trace } = value(picture.ask(FIRST_TAPS.sole, { picture: blank }));
    expect(Object.values(marks).filter((one) => one?.sure)).toEqual([]);
    expect(trace).toEqual([]);
  });

  test("what has a place is not suggested, and nothing follows from what was suggested itself", () => {
    const picture = take("sole");
    const taps = FIRST_TAPS.sole;
    const first = value(picture.ask(taps)).marks;
    const [taken] = Object.keys(first);
    if (taken === undefined) throw new Error("nothing suggested");
    const photo = {
      ...picture.truth,
      points: {
        ...Object.fromEntries(taps.map((mark) => [mark, picture.truth.points[mark]])),
        [taken]: [5, 5] as never,
      },
    };
    const again = value(picture.ask(taps, { photo, suggested: [taken] })).marks;
    expect(again[taken]).toBeUndefined();
    for (const [mark, one] of Object.entries(again)) expect(one).toEqual(first[mark]);
  });

  test("a mark off the plane is doubted by what the slant may displace it while the lens is not known", () => {
    const { truth, ask } = take("sole", OWN, { shot: { ...SHOT, slantDeg: 9 } });
    const taps = [...FIRST_TAPS.sole, "sulcusBack", "frogApex"];
    const points = Object.fromEntries(taps.map((mark) => [mark, truth.points[mark]]));
    const marksWith = (lens: Pick<MarkedPhoto, "focalPx" | "focalGuessed">) =>
      value(ask([], { photo: { ...truth, points, ...lens } })).marks;
    const known = marksWith({});
    const guessed = marksWith({ focalGuessed: true });
    const unknown = marksWith({ focalPx: undefined });
    expect(known["sulcusFront"]?.sure).toBe(true);
    expect(guessed["sulcusFront"]?.sdMm).toBeGreaterThan(known["sulcusFront"]?.sdMm ?? Infinity);
    expect(unknown["sulcusFront"]?.sure ?? false).toBe(false);
    // What lies in the plane does not move with the lens.
    expect(guessed["toeQuarterMedial"]?.sdMm).toBeCloseTo(known["toeQuarterMedial"]?.sdMm ?? 0, 9);
    expect(unknown["toeQuarterMedial"]).toBeDefined();
  });

  test("too few taps, no card, sides changed over: nothing, and why", () => {
    const picture = take("sole");
    expect(codeOf(picture.ask(FIRST_TAPS.sole.slice(0, 2)))).toBe("too-few");
    const [a, b] = [picture.truth.points["toe"], picture.truth.points["heelMedial"]];
    const loose = {
      ...picture.truth,
      scale: { kind: "two-point" as const, a: a ?? [0, 0], b: b ?? [0, 0], mm: 120 },
    };
    expect(codeOf(picture.ask(FIRST_TAPS.sole, { photo: loose as never }))).toBe("no-card");
    const { points } = picture.truth;
    const changed = {
      ...picture.truth,
      points: { toe: points["toe"], heelMedial: points["heelLateral"], heelLateral: points["heelMedial"] },
    };
    expect(codeOf(picture.ask([], { photo: changed }))).toBe("unlike");
  });

  test("the live sole's edge is traced within a millimetre and a half of where it is", () => {
    const picture = take("sole");
    const { trace } = value(picture.ask([...FIRST_TAPS.sole, "sulcusBack", "frogApex"]));
    expect(trace.length).toBeGreaterThan(8);
    for (const at of trace) {
      const off = picture.liveSole
        .slice(1)
        .map((to, index) => fromSegment(at, picture.liveSole[index] as Vector, to) / picture.pxPerMm);
      expect(Math.min(...off)).toBeLessThan(1.5);
    }
  });
});

test("the first taps are asked first, then those that help, then what is left; each mark once", () => {
  for (const view of PHOTO_VIEWS) expect([...tapOrder(view)].sort()).toEqual([...PHOTO_MARKS[view]].sort());
  expect(tapOrder("sole").slice(0, 5)).toEqual([
    "heelMedial",
    "heelLateral",
    "toe",
    "sulcusBack",
    "frogApex",
  ]);
});

test("the line on the screen is what the page on how good it is says was measured", () => {
  const page = readFileSync("docs/how-good.md", "utf8");
  const row =
    /\| all +\|([^\n]*)/
      .exec(page)?.[1]
      ?.split("|")
      .map((cell) => cell.trim()) ?? [];
  const [, , within2 = "", , , over6 = ""] = row;
  expect(page).toContain(`${HOW_GOOD.pictures} made pictures`);
  expect(within2).toBe(`${Math.round(100 * HOW_GOOD.within2Part)} %`);
  expect(Number(over6)).toBe(HOW_GOOD.overSixMm);
  expect(page).toContain(`${HOW_GOOD.angleSdDeg}°`);
  expect(HOW_GOOD_LINE).toMatch(/^On .*\.$/);
});
