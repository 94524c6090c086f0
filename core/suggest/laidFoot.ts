import { soleFigure } from "../foot/parametric/figure";
import { limbAxisY } from "../foot/parametric/limbAxis";
import { rearLandmarks, sideLandmarks, soleLandmarks } from "../foot/parametric/landmarks";
import {
  heelHalfWidth,
  heelsAt,
  meanHeelY,
  sizeFactor,
  type FootParameters,
} from "../foot/parametric/parameters";
import { wallRings } from "../foot/parametric/wallRings";
import type { Space } from "../geometry/space";
import { plus, turned, type Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import { MARK_DEPTHS, type MeasuredView } from "../photo/views";

/** A number of the foot that a picture can tell: how it is put into the foot, and how feet differ in it. */
interface Freedom {
  name: string;
  sd: number;
  put: (foot: FootParameters, by: number) => FootParameters;
}

const add =
  (name: keyof FootParameters) =>
  (foot: FootParameters, by: number): FootParameters => ({ ...foot, [name]: (foot[name] as number) + by });
const heel =
  (side: "medial" | "lateral") =>
  (foot: FootParameters, by: number): FootParameters => {
    const y = {
      medial: foot.heelRunMm + foot.curlMm.medial,
      lateral: foot.heelRunMm + foot.curlMm.lateral,
    };
    return { ...foot, ...heelsAt({ ...y, [side]: y[side] + by }) };
  };
/** Heels higher: the medial one by so much of it, and the lateral one. */
const higher =
  (medial: number, lateral: number) =>
  (foot: FootParameters, by: number): FootParameters => ({
    ...foot,
    heelHeightMm: {
      medial: Math.max(5, foot.heelHeightMm.medial + medial * by),
      lateral: Math.max(5, foot.heelHeightMm.lateral + lateral * by),
    },
  });
/** Everything that grows with the foot, by one factor. */
const grown = (foot: FootParameters, by: number): FootParameters => {
  const factor = Math.exp(by);
  return {
    ...foot,
    widthMm: foot.widthMm * factor,
    toeLengthMm: foot.toeLengthMm * factor,
    heelHeightMm: {
      medial: foot.heelHeightMm.medial * factor,
      lateral: foot.heelHeightMm.lateral * factor,
    },
  };
};

/** How feet of troubled and sound horses differ from the ordinary one. Assumption, wider than the made-up herds. */
const FREEDOMS: Record<MeasuredView, readonly Freedom[]> = {
  sole: [
    { name: "size", sd: 0.14, put: grown },
    { name: "toe run", sd: 6, put: add("toeRunMm") },
    { name: "heel, medial", sd: 6, put: heel("medial") },
    { name: "heel, lateral", sd: 6, put: heel("lateral") },
    { name: "lateral wider", sd: 4, put: add("lateralWiderMm") },
    {
      name: "frog stretch",
      sd: 0.07,
      put: (foot, by) => ({ ...foot, frog: { ...foot.frog, stretch: foot.frog.stretch + by } }),
    },
    {
      name: "frog width",
      sd: 0.08,
      put: (foot, by) => ({
        ...foot,
        frog: { ...foot.frog, widthRatio: Math.max(0.4, foot.frog.widthRatio + by) },
      }),
    },
  ],
  side: [
    { name: "size", sd: 0.14, put: grown },
    { name: "dorsal angle", sd: 4, put: add("dorsalAngleDeg") },
    { name: "pastern angle", sd: 5, put: add("pasternAngleDeg") },
    { name: "heel angle", sd: 5, put: add("heelAngleDeg") },
    { name: "dish", sd: 3, put: add("dishDeg") },
    { name: "toe length", sd: 7, put: add("toeLengthMm") },
    { name: "toe run", sd: 6, put: add("toeRunMm") },
    { name: "heel run", sd: 6, put: add("heelRunMm") },
    { name: "heel height", sd: 6, put: higher(1, 1) },
  ],
  rear: [
    { name: "size", sd: 0.14, put: grown },
    { name: "heel, medial", sd: 5, put: heel("medial") },
    { name: "heel, lateral", sd: 5, put: heel("lateral") },
    { name: "heel height", sd: 6, put: higher(1, 1) },
    { name: "heels apart", sd: 5, put: higher(-0.5, 0.5) },
    { name: "lateral wider", sd: 4, put: add("lateralWiderMm") },
    { name: "pastern angle", sd: 5, put: add("pasternAngleDeg") },
    { name: "lean", sd: 3.5, put: add("limbDeviationDeg") },
  ],
};

/** Place and turn on the card: across, down (mm), turn (rad). */
const PLACE = 3;
/** How freely everything may move, one sd each: place and turn, then the numbers. */
export const freedomSds = (view: MeasuredView): number[] => [
  60,
  60,
  radians(25),
  ...FREEDOMS[view].map(({ sd }) => sd),
];

/** Where the camera stood over the card's plane, mm; as in the pose of a picture. */
export interface Eye {
  over: Vector;
  heightMm: number;
}

/** A foot laid into the plane of the card: marks and edges as they are seen in that plane, mm of the card. */
export interface LaidFoot {
  foot: FootParameters;
  marks: Record<string, Vector>;
  edges: Record<string, Vector[]>;
  /** A place on the inner side of every edge. */
  middle: Vector;
}

/** What lies around a foot. */
export const OUTSIDE = "around";
/** What lies on the inner and on the outer side of each edge: the same word, the same look; anything where it is empty. */
export const SURFACES: Record<MeasuredView, Record<string, readonly [inner: string, outer: string]>> = {
  sole: {
    outline: ["bearing", "around"],
    liveSole: ["sole", "bearing"],
    frogMedial: ["frog", ""],
    frogLateral: ["frog", ""],
  },
  side: {
    front: ["wall", "around"],
    ground: ["wall", "floor"],
    hairline: ["wall", "hair"],
    heelBack: ["wall", ""],
    pastern: ["hair", "around"],
  },
  rear: {
    outsideMedial: ["wall", ""],
    outsideLateral: ["wall", ""],
    heelMedial: ["bulbs", "wall"],
    heelLateral: ["bulbs", "wall"],
    limbMedial: ["hair", "around"],
    limbLateral: ["hair", "around"],
    hairMedial: ["wall", "hair"],
    hairLateral: ["wall", "hair"],
  },
};

export interface LaidQuestion {
  view: MeasuredView;
  base: FootParameters;
  /** 1 or -1: which way the foot's first axis runs in an upright picture. */
  hand: 1 | -1;
  eye: Eye;
}

/** Part of a wall from the ground up in which its outline is looked for. */
const WALL_PARTS = [0.08, 0.2, 0.32, 0.44, 0.56, 0.68, 0.8, 0.9];

/**
 * The foot that `state` describes (as many numbers as `freedomSds`), as the camera sees it in the card's plane. Points off
 * the plane are moved to where they are seen; outlines are the outermost of the wall's points.
 */
export function layFoot({ view, base, hand, eye }: LaidQuestion, state: ArrayLike<number>): LaidFoot {
  const [across = 0, down = 0, turn = 0] = [state[0], state[1], state[2]];
  const foot = FREEDOMS[view].reduce((now, { put }, index) => put(now, state[PLACE + index] ?? 0), base);
  const seen = ([x, y, toward]: Space): Vector => {
    const at = plus(turned([x, y], turn), [across, down]);
    const near = toward / eye.heightMm;
    return [(at[0] - eye.over[0] * near) / (1 - near), (at[1] - eye.over[1] * near) / (1 - near)];
  };
  const flat = VIEWS[view];
  return { foot, ...flat(foot, hand, { seen, turn }) };
}

interface Sight {
  seen: (point: Space) => Vector;
  turn: number;
}
type Flat = (foot: FootParameters, hand: 1 | -1, sight: Sight) => Omit<LaidFoot, "foot">;

/** The one of some seen points that lies furthest in a direction of the foot's own picture. */
function furthest(points: readonly Vector[], way: Vector, { turn }: Sight): Vector {
  const [x, y] = turned(way, turn);
  let best = points[0] as Vector;
  for (const point of points) if (point[0] * x + point[1] * y > best[0] * x + best[1] * y) best = point;
  return best;
}

const between = (a: Vector, b: Vector, parts: readonly number[]): Vector[] =>
  parts.map((part) => [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part]);

/** A place on the wall between ground and hairline: `part` of the way up. */
function onWall(rings: ReturnType<typeof wallRings>, index: number, part: number): Space {
  const [low, high] =
    part < 0.5
      ? [rings.ground[index] as Space, rings.middle[index] as Space]
      : [rings.middle[index] as Space, rings.hair[index] as Space];
  const t = part < 0.5 ? 2 * part : 2 * part - 1;
  return [low[0] + (high[0] - low[0]) * t, low[1] + (high[1] - low[1]) * t, low[2] + (high[2] - low[2]) * t];
}

const sole: Flat = (foot, hand, { seen }) => {
  const k = sizeFactor(foot);
  const figure = soleFigure(foot);
  const at = ([x, y]: Vector, toward = 0): Vector => seen([hand * x, -y, toward]);
  const depths = MARK_DEPTHS.sole;
  const marks = Object.fromEntries(
    Object.entries(soleLandmarks(foot)).map(([mark, point]) => [
      mark,
      at(point as Vector, (depths[mark]?.towardMm ?? 0) * k),
    ]),
  );
  // The frog's sides, from where it leaves the heels past its widest place to its point.
  const frogSide = (corners: readonly Vector[]): Vector[] =>
    corners
      .slice(1)
      .flatMap((to, index) => between(corners[index] as Vector, to, [0.1, 0.35, 0.6, 0.85]))
      .map((point) => at(point, -5 * k));
  return {
    marks,
    middle: at([0, 48 * k]),
    edges: {
      outline: figure.outline.map((point) => at(point)),
      liveSole: figure.liveSole.map((point) => at(point)),
      frogMedial: frogSide(figure.frog.slice(2, 6)),
      frogLateral: frogSide(figure.frog.slice(5, 9).reverse()),
    },
  };
};

const side: Flat = (foot, hand, sight) => {
  const { seen } = sight;
  const at = ([y, z]: Vector, toward = 0): Vector => seen([hand * y, -z, toward]);
  const half = heelHalfWidth(foot, "lateral");
  const landmarks = sideLandmarks(foot, "lateral");
  const out: Record<string, number> = { heel: half, hairlineHeel: 1.08 * half };
  const marks: Record<string, Vector> = Object.fromEntries(
    Object.entries(landmarks).map(([mark, point]) => [mark, at(point as Vector, out[mark] ?? 0)]),
  );
  marks["groundA"] = at([meanHeelY(foot) - 30, 0]);
  marks["groundB"] = at([landmarks.toe[0] + 30, 0]);
  const rings = wallRings(foot);
  const last = rings.ground.length - 1;
  const toe = last / 2;
  const wall = (index: number, part: number): Vector => {
    const [x, y, z] = onWall(rings, index, part);
    return seen([hand * y, -z, x]);
  };
  const front = WALL_PARTS.map((part) =>
    furthest(
      Array.from({ length: 13 }, (_, index) => wall(toe - 6 + index, part)),
      [hand, 0],
      sight,
    ),
  );
  const ground = Array.from({ length: toe - 3 }, (_, index) =>
    furthest([wall(last - 1 - index, 0), wall(index + 1, 0)], [0, 1], sight),
  );
  const hairline = Array.from({ length: toe - 2 }, (_, index) => wall(last - 1 - index, 1));
  const heelBack = between(
    marks["heel"] as Vector,
    marks["hairlineHeel"] as Vector,
    [0.1, 0.3, 0.5, 0.7, 0.9],
  );
  const high = landmarks.pasternHigh;
  const low = landmarks.pasternLow;
  const pastern = [-0.05, 0.1, 0.25, 0.4, 0.55, 0.7, 0.85, 1, 1.15].map((part) =>
    at([low[0] + (high[0] - low[0]) * part, low[1] + (high[1] - low[1]) * part]),
  );
  const middle = at([landmarks.heel[0] + 0.35 * (landmarks.toe[0] - landmarks.heel[0]), 12], half / 2);
  return { marks, middle, edges: { front, ground, hairline, heelBack, pastern } };
};

/** Half the pastern's width from behind, mm on a foot of size 1. Assumption, from drawn feet. */
const LIMB_HALF_MM = 25;

const rear: Flat = (foot, hand, sight) => {
  const { seen } = sight;
  const k = sizeFactor(foot);
  const back = meanHeelY(foot);
  const depths = MARK_DEPTHS.rear;
  const landmarks = rearLandmarks(foot);
  const at = ([x, z]: Vector, toward = 0): Vector => seen([hand * x, -z, toward]);
  const marks = Object.fromEntries(
    Object.entries(landmarks).map(([mark, point]) => [
      mark,
      at(
        point as Vector,
        mark.startsWith("limb") ? back - limbAxisY(foot, point[1]) : (depths[mark]?.towardMm ?? 0) * k,
      ),
    ]),
  );
  const rings = wallRings(foot);
  const last = rings.ground.length - 1;
  const wall = (index: number, part: number): Vector => {
    const [x, y, z] = onWall(rings, index, part);
    return seen([hand * x, -z, back - y]);
  };
  const outside = (from: number, to: number, way: 1 | -1): Vector[] =>
    WALL_PARTS.map((part) =>
      furthest(
        Array.from({ length: to - from + 1 }, (_, index) => wall(from + index, part)),
        [hand * way, 0],
        sight,
      ),
    );
  const limb = (way: 1 | -1): Vector[] =>
    [0, 0.2, 0.4, 0.6, 0.8, 1, 1.1].map((part) => {
      const { limbLow: a, limbHigh: b } = landmarks;
      const z = a[1] + (b[1] - a[1]) * part;
      return at([a[0] + (b[0] - a[0]) * part + way * LIMB_HALF_MM * k, z], back - limbAxisY(foot, z));
    });
  return {
    marks,
    middle: at([0, 20]),
    edges: {
      outsideMedial: outside(0, toeIndex(last) - 4, -1),
      outsideLateral: outside(toeIndex(last) + 4, last, 1),
      heelMedial: between(marks["heelMedial"] as Vector, marks["hairlineMedial"] as Vector, PARTS),
      heelLateral: between(marks["heelLateral"] as Vector, marks["hairlineLateral"] as Vector, PARTS),
      limbMedial: limb(-1),
      limbLateral: limb(1),
      hairMedial: Array.from({ length: 7 }, (_, index) => wall(index, 1)),
      hairLateral: Array.from({ length: 7 }, (_, index) => wall(last - index, 1)),
    },
  };
};
const PARTS = [0.08, 0.25, 0.42, 0.58, 0.75, 0.92];
const toeIndex = (last: number): number => Math.floor(last / 2);

const VIEWS: Record<MeasuredView, Flat> = { sole, side, rear };
