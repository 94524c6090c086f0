import type { Space } from "../geometry/space";
import { normalDraw, seededRandom } from "../math/random";

/** How far a foot is from what a few numbers can say of it. */
export interface OwnShape {
  /** Standard deviation of each of its places, each way, mm. */
  sdMm: number;
  seed: number;
}

/** Waves that make it up, how long they are, mm, and from what height on it is also moved up and down, mm. */
const WAVES = { count: 8, shortest: 55, longest: 170, fullFrom: 25 };

/**
 * A smooth displacement of a foot's places: bumps and hollows of its own, as long as a few fingers. The ground stays the
 * ground. Assumption: no two feet are alike, and none is the model.
 */
export function ownShape({ sdMm, seed }: OwnShape): (point: Space) => Space {
  const random = seededRandom(seed);
  const size = sdMm * Math.sqrt(2 / WAVES.count);
  const waves = Array.from({ length: 3 * WAVES.count }, () => {
    const way = [normalDraw(random, 0, 1), normalDraw(random, 0, 1), normalDraw(random, 0, 1)] as const;
    const long = Math.hypot(...way) || 1;
    const turns = (2 * Math.PI) / (WAVES.shortest + (WAVES.longest - WAVES.shortest) * random()) / long;
    return { way, turns, phase: 2 * Math.PI * random() };
  });
  return ([x, y, z]) => {
    const moved: [number, number, number] = [x, y, z];
    for (const [index, { way, turns, phase }] of waves.entries()) {
      const by = size * Math.cos(turns * (way[0] * x + way[1] * y + way[2] * z) + phase);
      const axis = index % 3;
      moved[axis] = (moved[axis] ?? 0) + (axis === 2 ? by * Math.min(1, z / WAVES.fullFrom) : by);
    }
    return moved;
  };
}
