import { bestLine } from "../geometry/line";
import type { ImagePoint, Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";

/**
 * How a lens bends its pictures: a point r half diagonals from the middle belongs 1 + `bend` r^2 times as far out;
 * positive = the picture is drawn in towards its edges (barrel). `sd` is how sure that is. The first term of Brown's
 * series, which is most of it in a phone. Source: Brown 1971, Photogrammetric Engineering 37:855.
 */
export interface Lens {
  bend: number;
  sd: number;
}
interface Size {
  width: number;
  height: number;
}

/** What is known of a phone's lens before anything is seen of it. Assumption. */
export const USUAL_LENS: Lens = { bend: 0, sd: 0.04 };

/** A point of the picture where a lens that does not bend would show it. */
export function straightened({ width, height }: Size, bend: number, [x, y]: Vector): ImagePoint {
  const [dx, dy] = [x - width / 2, y - height / 2];
  const out = 1 + (4 * bend * (dx * dx + dy * dy)) / (width * width + height * height);
  return [width / 2 + dx * out, height / 2 + dy * out] as unknown as ImagePoint;
}

/** The other way round: where a straight point lies in the bent picture. By Newton's method, to a millionth of a pixel. */
export function bentAgain({ width, height }: Size, bend: number, [x, y]: Vector): ImagePoint {
  const [dx, dy] = [x - width / 2, y - height / 2];
  const half2 = (width * width + height * height) / 4;
  const wanted = Math.sqrt((dx * dx + dy * dy) / half2);
  let r = wanted;
  for (let round = 0; round < 20; round++) {
    const step = (r + bend * r ** 3 - wanted) / (1 + 3 * bend * r * r);
    r -= step;
    if (Math.abs(step) < 1e-10) break;
  }
  const part = wanted === 0 ? 1 : r / wanted;
  return [width / 2 + dx * part, height / 2 + dy * part] as unknown as ImagePoint;
}

/** Step of the slopes, and how many neighbouring places of an edge share their fault. */
const STEP = 0.02;
const SHARED = 6;

/**
 * The lens from edges that are straight in truth, each as the points that were found along it: the bend that makes them
 * straightest. Undefined where the edges tell nothing of it.
 */
export function lensOfEdges(edges: readonly (readonly Vector[])[], size: Size): Lens | undefined {
  const count = edges.reduce((sum, edge) => sum + edge.length, 0);
  const free = count - 2 * edges.length - 1;
  if (free < 10) return undefined;
  const at = (bend: number) =>
    edges.reduce(
      (sum, edge) => sum + bestLine(edge.map((point) => straightened(size, bend, point))).squares,
      0,
    );
  let bend = 0;
  let curve = 0;
  // The sum is a parabola but for the smallest terms: two steps reach its foot.
  for (let round = 0; round < 2; round++) {
    const [low, middle, high] = [at(bend - STEP), at(bend), at(bend + STEP)];
    curve = (low - 2 * middle + high) / (STEP * STEP);
    if (!(curve > 0)) return undefined;
    bend -= (high - low) / (2 * STEP) / curve;
  }
  const sd = Math.sqrt((2 * SHARED * (at(bend) / free)) / curve);
  return Number.isFinite(sd) ? { bend, sd } : undefined;
}

/** Two sayings of one lens put together, each by how sure it is. */
export function bothLenses(a: Lens, b: Lens): Lens {
  const [wa, wb] = [1 / a.sd ** 2, 1 / b.sd ** 2];
  return { bend: (wa * a.bend + wb * b.bend) / (wa + wb), sd: 1 / Math.sqrt(wa + wb) };
}

/** Pictures that make a profile. */
export const PROFILE_PICTURES = 5;
/** A lens is not known better than this, whatever the pictures say: focus and zoom move it. Assumption. */
const LEAST_SD = 0.002;
/** Pictures of one lens that scatter more than this many times what each is sure of are not of one lens. */
const MOST_SCATTER = 4;

/**
 * A device's lens from pictures of the printed card. Errors: `too-few` under five that tell anything, `unlike` where they
 * do not agree (another camera, or zoomed between them).
 */
export function lensProfile(each: readonly Lens[]): Result<Lens> {
  if (each.length < PROFILE_PICTURES)
    return fail(
      "too-few",
      "pictures",
      `The card was found in ${each.length} of them: ${PROFILE_PICTURES} are wanted, the card large and near the edges.`,
    );
  const mean = each.reduce(bothLenses);
  const scatter = Math.sqrt(
    each.reduce((sum, one) => sum + ((one.bend - mean.bend) / one.sd) ** 2, 0) / (each.length - 1),
  );
  if (scatter > MOST_SCATTER)
    return fail(
      "unlike",
      "pictures",
      "These pictures do not agree on one lens. Take all with the same camera, and do not zoom between them.",
    );
  return ok({ bend: mean.bend, sd: Math.max(LEAST_SD, mean.sd * Math.max(1, scatter)) });
}

/** How far a bend moves a point at the corner of a picture, px. */
export const atTheCorner = ({ width, height }: Size, bend: number): number =>
  (bend * Math.hypot(width, height)) / 2;
