import { add3, cross3, dot3, length3, minus3, times3, type Space } from "../geometry/space";
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
  for (const triangle of footMesh(scene.foot, conditions.hairMm, seed)) {
    const corners = triangle.corners.map(scene.toWorld) as unknown as Triangle["corners"];
    fill(pixels, depth, camera, corners, triangle.material, triangle.corners, seed, conditions);
  }
  if (conditions.hand) drawHand(pixels, scene, camera, seed);
  if (conditions.card) drawCard(pixels, depth, scene, camera, seed, conditions);
  weather(pixels, camera, conditions, seed);
  return pixels;
}

/** Fills one triangle, nearer surfaces first; `own` are its corners in the foot's frame, for the grain. */
function fill(
  pixels: Uint8ClampedArray,
  depth: Float32Array,
  camera: Camera,
  corners: readonly [Space, Space, Space],
  material: Material,
  own: readonly [Space, Space, Space],
  seed: number,
  { dirt: dirtiness, mud, wet, horn }: Conditions,
): void {
  const [a, b, c] = corners.map((corner) => project(camera, corner)) as [Space, Space, Space];
  const area = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  if (abs(area) < 1e-6) return;
  const normal = cross3(minus3(corners[1], corners[0]), minus3(corners[2], corners[0]));
  const facing = length3(normal) > 0 ? abs(dot3(normal, LIGHT)) / length3(normal) : 1;
  const light = (0.55 + 0.55 * facing) * (material === "wall" || material === "bearing" ? horn : 1);
  const dirtFrom = DIRT.from + (DIRT.mostFrom - DIRT.from) * dirtiness;
  const dirtDark = DIRT.dark + (DIRT.mostDark - DIRT.dark) * dirtiness;
  const { colour, grain } = LOOK[material];
  const shared = seed + 401;
  const salt = seed + MATERIALS.indexOf(material) * 17;
  const fine = material === "wall" ? 0.9 : material === "hair" ? 1.6 : 0.45;
  const [left, right] = [
    max(0, ceil(min(a[0], b[0], c[0]))),
    min(camera.width - 1, floor(max(a[0], b[0], c[0]))),
  ];
  const [top, bottom] = [
    max(0, ceil(min(a[1], b[1], c[1]))),
    min(camera.height - 1, floor(max(a[1], b[1], c[1]))),
  ];
  for (let row = top; row <= bottom; row++)
    for (let column = left; column <= right; column++) {
      const wa = ((b[0] - column) * (c[1] - row) - (b[1] - row) * (c[0] - column)) / area;
      const wb = ((c[0] - column) * (a[1] - row) - (c[1] - row) * (a[0] - column)) / area;
      const wc = 1 - wa - wb;
      if (wa < -1e-6 || wb < -1e-6 || wc < -1e-6) continue;
      const [pa, pb, pc] = [wa / a[2], wb / b[2], wc / c[2]];
      const far = 1 / (pa + pb + pc);
      const at = row * camera.width + column;
      if (far >= (depth[at] ?? 0)) continue;
      depth[at] = far;
      const place = add3(add3(times3(own[0], pa * far), times3(own[1], pb * far)), times3(own[2], pc * far));
      const rings =
        material === "wall" ? 0.05 * sin(place[2] * 0.8 + 2 * noise(place[0] / 9, place[1] / 9, 0, salt)) : 0;
      const speck = noise(
        place[0] * fine,
        place[1] * fine,
        place[2] * fine * (material === "wall" ? 0.25 : 1),
        salt,
      );
      const dirt = noise(place[0] / 11, place[1] / 11, place[2] / 11, salt + 5);
      const soiled = dirt > dirtFrom ? 1 - dirtDark * min(1, (dirt - dirtFrom) * 6) : 1;
      const shade = light * (1 + grain * (speck - 0.5) + rings) * soiled;
      if (
        mud > 0 &&
        noise(place[0] / MUD.mm, place[1] / MUD.mm, place[2] / MUD.mm, shared) > 1 - MUD.most * mud
      )
        put(pixels, at * 4, MUD.colour, light * (0.8 + 0.4 * speck));
      else if (wet > 0 && material !== "hair") {
        const shine = noise(place[0] / 6, place[1] / 6, place[2] / 6, shared + 1) * facing;
        put(pixels, at * 4, colour, shade * (1 - WET.dark * wet) + (shine > WET.from ? WET.shine * wet : 0));
      } else put(pixels, at * 4, colour, shade);
    }
}
