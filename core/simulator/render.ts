import { cross3, dot3, length3, minus3, type Space } from "../geometry/space";
import { backdrop } from "./backdrop";
import { project, type Camera } from "./camera";
import { drawCard } from "./cardPrint";
import { DAYLIGHT, weather, type Conditions } from "./conditions";
import { noise } from "./grain";
import { drawHand } from "./hand";
import { put } from "./paint";
import { footMesh, MATERIALS, type Material, type Triangle } from "./mesh";
import type { Scene } from "./scene";

/** Looked up once: these run for every pixel. */
const { min, max, abs, ceil, floor, sin } = Math;

/** Colour of each surface, red, green, blue; how strong its grain is. Drawing only. */
const LOOK: Record<Material, { colour: Space; grain: number }> = {
  wall: { colour: [122, 104, 84], grain: 0.16 },
  bearing: { colour: [150, 134, 110], grain: 0.2 },
  whiteLine: { colour: [205, 190, 140], grain: 0.15 },
  sole: { colour: [176, 166, 146], grain: 0.3 },
  frog: { colour: [104, 98, 92], grain: 0.24 },
  cleft: { colour: [52, 48, 44], grain: 0.3 },
  bar: { colour: [158, 146, 122], grain: 0.2 },
  hair: { colour: [96, 72, 52], grain: 0.34 },
};
const LIGHT: Space = [0.35, -0.5, 0.79];
/** Dirt lies where smooth noise is above `from`, and takes `dark` of the light: of an ordinary foot, and of the dirtiest. */
const DIRT = { from: 0.62, dark: 0.45, mostFrom: 0.4, mostDark: 0.75 };

/** Mud: size of its patches, how much of the foot they cover at the most, as a part of the noise, and their colour. */
const MUD = { mm: 16, most: 0.42, colour: [92, 76, 58] as Space };
/** Water: how much darker the horn is, from what brightness of the gloss it shines, and how much brighter that is. */
const WET = { dark: 0.4, from: 0.62, shine: 0.7 };

/** A triangle as it lies in the picture. */
interface Facet {
  /** Its corners in the picture: column, row, distance along the line of sight. */
  seen: readonly [Space, Space, Space];
  /** Its corners in the foot's frame, for the grain. */
  own: readonly [Space, Space, Space];
  /** Twice its area in the picture, px2, with its turn as the sign. */
  area: number;
  /** How squarely the light falls on it, 0 to 1. */
  facing: number;
  material: Material;
  /** Where the noise of its material begins. */
  salt: number;
}

/** A picture of a scene: RGBA, row by row. The same seed gives the same picture. */
export function renderScene(
  scene: Scene,
  camera: Camera,
  seed: number,
  given: Partial<Conditions> = {},
): Uint8ClampedArray {
  const conditions = { ...DAYLIGHT, ...given };
  const { width, height } = camera;
  const pixels = new Uint8ClampedArray(width * height * 4);
  const depth = new Float32Array(width * height).fill(Number.POSITIVE_INFINITY);
  backdrop(pixels, scene, camera, seed, conditions.clutter);
  const facets = footMesh(scene.foot, conditions.hairMm, seed).flatMap((one) =>
    facetOf(scene, camera, one, seed),
  );
  colour(pixels, camera.width, nearest(depth, camera, facets), facets, seed, conditions);
  if (conditions.hand) drawHand(pixels, scene, camera, seed);
  if (conditions.card) drawCard(pixels, depth, scene, camera, seed, conditions);
  weather(pixels, camera, conditions, seed);
  return pixels;
}

function facetOf(scene: Scene, camera: Camera, { corners: own, material }: Triangle, seed: number): Facet[] {
  const [first, second, third] = [scene.toWorld(own[0]), scene.toWorld(own[1]), scene.toWorld(own[2])];
  const [a, b, c] = [project(camera, first), project(camera, second), project(camera, third)];
  const area = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  if (abs(area) < 1e-6) return [];
  const normal = cross3(minus3(second, first), minus3(third, first));
  const facing = length3(normal) > 0 ? abs(dot3(normal, LIGHT)) / length3(normal) : 1;
  return [{ seen: [a, b, c], own, area, facing, material, salt: seed + MATERIALS.indexOf(material) * 17 }];
}

/** Which facet each pixel shows, -1 = none; `depth` gets how far it is. Of two as far the first. */
function nearest(depth: Float32Array, { width, height }: Camera, facets: readonly Facet[]): Int32Array {
  const shown = new Int32Array(depth.length).fill(-1);
  facets.forEach(({ seen: [a, b, c], area }, index) => {
    const [[ax, ay, az], [bx, by, bz], [cx, cy, cz]] = [a, b, c];
    const left = max(0, ceil(min(ax, bx, cx)));
    const right = min(width - 1, floor(max(ax, bx, cx)));
    const bottom = min(height - 1, floor(max(ay, by, cy)));
    for (let row = max(0, ceil(min(ay, by, cy))); row <= bottom; row++)
      for (let column = left; column <= right; column++) {
        const wa = ((bx - column) * (cy - row) - (by - row) * (cx - column)) / area;
        if (wa < -1e-6) continue;
        const wb = ((cx - column) * (ay - row) - (cy - row) * (ax - column)) / area;
        const wc = 1 - wa - wb;
        if (wb < -1e-6 || wc < -1e-6) continue;
        const far = 1 / (wa / az + wb / bz + wc / cz);
        const at = row * width + column;
        if (far >= (depth[at] ?? 0)) continue;
        depth[at] = far;
        shown[at] = index;
      }
  });
  return shown;
}

/** Colours what is shown of the foot; only that, for the grain of each pixel takes several looks at the noise. */
function colour(
  pixels: Uint8ClampedArray,
  width: number,
  shown: Int32Array,
  facets: readonly Facet[],
  seed: number,
  { dirt: dirtiness, mud, wet, horn }: Conditions,
): void {
  const dirtFrom = DIRT.from + (DIRT.mostFrom - DIRT.from) * dirtiness;
  const dirtDark = DIRT.dark + (DIRT.mostDark - DIRT.dark) * dirtiness;
  const shared = seed + 401;
  const { mm: mudMm, most: mudMost, colour: mudColour } = MUD;
  for (let at = 0; at < shown.length; at++) {
    const facet = facets[shown[at] ?? -1];
    if (!facet) continue;
    const { seen, own, area, facing, material, salt } = facet;
    const [a, b, c] = seen;
    const column = at % width;
    const row = (at - column) / width;
    const wa = ((b[0] - column) * (c[1] - row) - (b[1] - row) * (c[0] - column)) / area;
    const wb = ((c[0] - column) * (a[1] - row) - (c[1] - row) * (a[0] - column)) / area;
    const pa = wa / a[2];
    const pb = wb / b[2];
    const pc = (1 - wa - wb) / c[2];
    const far = 1 / (pa + pb + pc);
    const [ka, kb, kc] = [pa * far, pb * far, pc * far];
    const [first, second, third] = own;
    const x = first[0] * ka + second[0] * kb + third[0] * kc;
    const y = first[1] * ka + second[1] * kb + third[1] * kc;
    const z = first[2] * ka + second[2] * kb + third[2] * kc;

    const isWall = material === "wall";
    const { colour, grain } = LOOK[material];
    const light = (0.55 + 0.55 * facing) * (isWall || material === "bearing" ? horn : 1);
    const fine = isWall ? 0.9 : material === "hair" ? 1.6 : 0.45;
    const speck = noise(x * fine, y * fine, z * fine * (isWall ? 0.25 : 1), salt);
    if (mud > 0 && noise(x / mudMm, y / mudMm, z / mudMm, shared) > 1 - mudMost * mud) {
      put(pixels, at * 4, mudColour, light * (0.8 + 0.4 * speck));
      continue;
    }
    const rings = isWall ? 0.05 * sin(z * 0.8 + 2 * noise(x / 9, y / 9, 0, salt)) : 0;
    const dirt = noise(x / 11, y / 11, z / 11, salt + 5);
    const soiled = dirt > dirtFrom ? 1 - dirtDark * min(1, (dirt - dirtFrom) * 6) : 1;
    const shade = light * (1 + grain * (speck - 0.5) + rings) * soiled;
    if (wet > 0 && material !== "hair") {
      const shine = noise(x / 6, y / 6, z / 6, shared + 1) * facing;
      put(pixels, at * 4, colour, shade * (1 - WET.dark * wet) + (shine > WET.from ? WET.shine * wet : 0));
    } else put(pixels, at * 4, colour, shade);
  }
}
