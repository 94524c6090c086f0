import { add3, minus3, times3, unit3, type Space } from "../geometry/space";
import { radians } from "../math/angle";
import { seededRandom } from "../math/random";
import { soleFigure, type SoleFigure } from "../foot/parametric/figure";
import { sideLandmarks } from "../foot/parametric/landmarks";
import { PASTERN_THICK_MM } from "../foot/parametric/limbAxis";
import { wallRings } from "../foot/parametric/wallRings";
import { sizeFactor, sulcusLength, type FootParameters } from "../foot/parametric/parameters";
import { interpolate } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";

/** What a surface is made of: chooses its colour and grain. */
export const MATERIALS = ["wall", "bearing", "whiteLine", "sole", "frog", "cleft", "bar", "hair"] as const;
export type Material = (typeof MATERIALS)[number];

/** A triangle in the foot's frame (x lateral, y toe, z up), mm. */
export interface Triangle {
  corners: readonly [Space, Space, Space];
  material: Material;
}

/** Depths behind the bearing surface on a foot of size 1, mm; those of the marks stand in the photo's views. */
const DEPTH = {
  whiteLine: 0.6,
  soleRim: 1.5,
  soleMiddle: 11,
  frogEdge: 4,
  frogApex: 6,
  cleftBack: 10,
  cleftFront: 14,
  bar: 4,
};
/** How far the frog stands out of the sole beside it at the least, mm. */
const PROUD_MM = 1.5;
const LIMB = { sections: 6, length: 120, wide: 50 };

/** The whole foot as triangles: wall and limb for the views from the side and behind, the sole for the one from below. */
export function footMesh(foot: FootParameters, hairMm = 0, seed = 0): Triangle[] {
  const fringe = hairMm > 0 ? fringeMesh(foot, hairMm, seed) : [];
  return [...wallMesh(foot), ...soleMesh(foot), ...limbMesh(foot), ...fringe];
}

const quad = (a: Space, b: Space, c: Space, d: Space, material: Material): Triangle[] => [
  { corners: [a, b, c], material },
  { corners: [a, c, d], material },
];

/** Two chains of as many points joined by a strip. */
function strip(first: readonly Space[], second: readonly Space[], material: Material): Triangle[] {
  return first
    .slice(1)
    .flatMap((point, index) =>
      quad(first[index] as Space, point, second[index + 1] as Space, second[index] as Space, material),
    );
}

function wallMesh(foot: FootParameters): Triangle[] {
  const { ground, middle, hair } = wallRings(foot);
  return [...strip(ground, middle, "wall"), ...strip(middle, hair, "wall")];
}

/** Strands of hair between two points of the hairline, and how far they stand off the wall, mm. */
const FRINGE = { strands: 5, offMm: 1.2, shortest: 0.25 };

/** Hair that hangs down over the hairline, in strands of any length up to `hairMm`. */
function fringeMesh(foot: FootParameters, hairMm: number, seed: number): Triangle[] {
  const { middle, hair } = wallRings(foot);
  const random = seededRandom(seed ^ 0x4a12);
  return hair.slice(1).flatMap((next, index) => {
    const here = hair[index] as Space;
    const down = unit3(minus3(middle[index] as Space, here));
    const out = unit3([here[0], Math.max(0, here[1] - foot.widthMm / 3), 0]);
    return Array.from({ length: FRINGE.strands }, (_, strand): Triangle => {
      const root = (part: number) =>
        add3(
          add3(here, times3(minus3(next, here), (strand + part) / FRINGE.strands)),
          times3(out, FRINGE.offMm),
        );
      const long = hairMm * (FRINGE.shortest + (1 - FRINGE.shortest) * random());
      const tip = add3(root(random()), add3(times3(down, long), times3(out, FRINGE.offMm)));
      return { corners: [root(-0.15), root(1.15), tip], material: "hair" };
    });
  });
}

function limbMesh(foot: FootParameters): Triangle[] {
  const { hair } = wallRings(foot);
  const k = sizeFactor(foot);
  const marks = sideLandmarks(foot, "mean");
  const pastern = radians(foot.pasternAngleDeg);
  const up: readonly [number, number] = [-Math.cos(pastern), Math.sin(pastern)];
  const back: readonly [number, number] = [-Math.sin(pastern), -Math.cos(pastern)];
  const lean = Math.tan(radians(foot.limbDeviationDeg));
  const around = hair.length + 8;
  const ring = (height: number): Space[] =>
    Array.from({ length: around + 1 }, (_, index) => {
      // From behind on the medial side, round the front, to behind on the lateral side, and closed at the back.
      const angle = -Math.PI + (2 * Math.PI * index) / around;
      const deep = (PASTERN_THICK_MM * k * (1 - Math.cos(angle))) / 2;
      const y = marks.hairlineToe[0] + up[0] * height + back[0] * deep;
      const z = marks.hairlineToe[1] + up[1] * height + back[1] * deep;
      return [(Math.sin(angle) * LIMB.wide * k) / 2 + lean * z, y, z];
    });
  const rings = Array.from({ length: LIMB.sections }, (_, index) =>
    ring(2 + (index * LIMB.length * k) / (LIMB.sections - 1)),
  );
  const skin = rings.slice(1).flatMap((upper, index) => strip(rings[index] as Space[], upper, "hair"));
  // Bulbs and coronet: from the hairline in to the first ring of the pastern.
  const first = rings[0] as Space[];
  const inner = hair.map((_, index) => first[4 + index] as Space);
  const coronet = [
    ...strip(hair, inner, "hair"),
    ...quad(hair[0] as Space, hair.at(-1) as Space, inner.at(-1) as Space, inner[0] as Space, "hair"),
  ];
  const [medial, lateral] = [hair[0] as Space, hair.at(-1) as Space];
  const bulbs = [medial, lateral].flatMap(([x, y, z]) =>
    ellipsoid([x * 0.5, y + 5 * k, z * 0.72], [19 * k, 17 * k, 17 * k]),
  );
  return [...skin, ...coronet, ...bulbs];
}

/** The heel bulbs: a ball drawn out along the axes. */
function ellipsoid([cx, cy, cz]: Space, [rx, ry, rz]: Space): Triangle[] {
  const ring = (row: number) =>
    Array.from({ length: 17 }, (_, index): Space => {
      const [polar, round] = [(Math.PI * row) / 8, (2 * Math.PI * index) / 16];
      return [
        cx + rx * Math.sin(polar) * Math.cos(round),
        cy + ry * Math.sin(polar) * Math.sin(round),
        cz + rz * Math.cos(polar),
      ];
    });
  return Array.from({ length: 8 }, (_, row) => strip(ring(row), ring(row + 1), "hair")).flat();
}

function soleMesh(foot: FootParameters): Triangle[] {
  const k = sizeFactor(foot);
  const s = sulcusLength(foot);
  const figure = soleFigure(foot);
  const level = (points: readonly SolarPoint[], z: number) => points.map(([x, y]): Space => [x, y, z * k]);
  const inward = (part: number) =>
    figure.liveSole.map(([x, y]): SolarPoint => [x * part, s + (y - s) * part]);
  const outline = level(figure.outline, 0);
  const edge = level(figure.liveSole, 0);
  const line = level(inward(0.965), DEPTH.whiteLine);
  const rim = level(inward(0.9), DEPTH.soleRim);
  const bowl = level(inward(0.5), DEPTH.soleMiddle * 0.8);
  const middle = inward(0.02).map(([x, y]): Space => [x, y, DEPTH.soleMiddle * k]);
  const skin = [
    ...strip(outline, edge, "bearing"),
    ...strip(edge, line, "whiteLine"),
    ...strip(line, rim, "sole"),
    ...strip(rim, bowl, "sole"),
    ...strip(bowl, middle, "sole"),
  ];
  return [...skin, ...frogMesh(foot, figure, s, k), ...barMesh(figure.bars, k)];
}

/** Two lobes either side of the central sulcus, its floor between them, one wedge ahead of it. */
function frogMesh(
  foot: FootParameters,
  { frog, liveSole }: Pick<SoleFigure, "frog" | "liveSole">,
  s: number,
  k: number,
): Triangle[] {
  const right = frog
    .filter(([x]) => x > 0)
    .sort((a, b) => a[1] - b[1])
    .map(([x, y]) => [y, x] as const);
  const apexY = 2 * s * (1 + foot.frog.stretch);
  const knots = [[-14 * k, 2 * k] as const, ...right, [apexY, 0.6 * k] as const];
  const rows = Array.from({ length: 21 }, (_, index) => -14 * k + ((apexY + 14 * k) * index) / 20);
  const soleToe = Math.max(...liveSole.map(([, y]) => y));
  const bowl = [
    [0.5, DEPTH.soleMiddle * 0.8],
    [0.9, DEPTH.soleRim],
    [1, 0],
  ] as const;
  // The frog stands proud of the sole all the way to its tip, however far that has run.
  const depthAt = (y: number) =>
    Math.min(
      DEPTH.frogEdge + ((DEPTH.frogApex - DEPTH.frogEdge) * Math.max(0, y)) / apexY,
      Math.max(0.2, interpolate(bowl, (y - s) / (soleToe - s)) - PROUD_MM),
    ) * k;
  const cleft = (y: number) =>
    y < 0 || y > s ? 0.4 * k : 2.6 * k * Math.sqrt(Math.max(0, 1 - ((2 * y) / s - 1) ** 4)) + 0.5 * k;
  return [1, -1].flatMap((sign) => {
    const outer = rows.map((y): Space => [sign * interpolate(knots, y), y, depthAt(y)]);
    const inner = rows.map((y): Space => [
      sign * Math.min(cleft(y), interpolate(knots, y)),
      y,
      depthAt(y) - 0.8 * k,
    ]);
    const floor = rows.map((y): Space => {
      const part = Math.min(1, Math.max(0, y / s));
      return [
        0,
        y,
        y < 0 || y > s
          ? depthAt(y) - 0.6 * k
          : (DEPTH.cleftBack + (DEPTH.cleftFront - DEPTH.cleftBack) * part) * k,
      ];
    });
    const groove = rows.map((y): Space => [sign * (interpolate(knots, y) + 3 * k), y, 9 * k]);
    return [
      ...strip(outer, inner, "frog"),
      ...strip(inner, floor, "cleft"),
      ...strip(groove, outer, "cleft"),
    ];
  });
}

function barMesh(bars: Record<"medial" | "lateral", readonly SolarPoint[]>, k: number): Triangle[] {
  return Object.values(bars).flatMap((bar) => {
    const left = bar.map(([x, y]): Space => [x - 2.2 * k, y, DEPTH.bar * k]);
    const right = bar.map(([x, y]): Space => [x + 2.2 * k, y, DEPTH.bar * k]);
    return strip(left, right, "bar");
  });
}
