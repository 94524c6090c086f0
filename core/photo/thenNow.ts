import type { Homography } from "../geometry/homography";
import { mapPoint } from "../geometry/homography";
import { distance, type Vector } from "../geometry/vector";
import { ok, type Result } from "../result";
import type { Photo } from "./photoRecord";
import { rectifyCard, rectifyTwoPoint } from "./rectify";
import type { PhotoView } from "./views";

/**
 * The marks by which pictures of one view are laid over one another, all in the card's plane or near it: one that stays
 * where it is, and two that give the turn.
 */
const LAID_BY: Record<PhotoView, { origin: string; from: string; to: string; direction: Vector }> = {
  // Toe up.
  sole: { origin: "sulcusBack", from: "sulcusBack", to: "toe", direction: [0, -1] },
  side: { origin: "toe", from: "groundA", to: "groundB", direction: [1, 0] },
  rear: { origin: "heelMedial", from: "heelMedial", to: "heelLateral", direction: [1, 0] },
  front: { origin: "groundMedial", from: "groundMedial", to: "groundLateral", direction: [1, 0] },
  // Hairline up.
  defect: { origin: "hairline", from: "hairline", to: "ground", direction: [0, 1] },
};

/** What is shown of a foot of size 1, mm about the first mark, y down. */
export const SHOWN: Record<PhotoView, { left: number; top: number; width: number; height: number }> = {
  sole: { left: -110, top: -175, width: 220, height: 220 },
  side: { left: -180, top: -150, width: 240, height: 180 },
  rear: { left: -70, top: -150, width: 240, height: 180 },
  front: { left: -70, top: -150, width: 240, height: 180 },
  defect: { left: -90, top: -35, width: 180, height: 135 },
};

/** A picture ready to be laid over others of its view. */
export interface LaidPicture {
  /** From the picture's pixels to mm of the common frame, y down. */
  toFrame: Homography;
  /** By the two marks of its view; else only by its scale, its middle in the middle. */
  by: "marks" | "scale";
}

const times = (a: Homography, b: Homography): Homography => {
  const at = (row: number, column: number): number =>
    [0, 1, 2].reduce((sum, k) => sum + (a[3 * row + k] ?? 0) * (b[3 * k + column] ?? 0), 0);
  const product = [0, 1, 2].flatMap((row) => [0, 1, 2].map((column) => at(row, column)));
  const scale = product[8] || 1;
  return product.map((value) => value / scale) as unknown as Homography;
};

/**
 * Lays a picture into the frame that all pictures of its view share: the same scale, by its card or its known length, and
 * where its marks are placed the same place and turn. Undefined where it has no scale. Errors: those of the scale.
 */
export function layPicture(
  photo: Pick<Photo, "view" | "width" | "height" | "scale" | "points">,
): Result<LaidPicture> | undefined {
  const { scale, points, view, width, height } = photo;
  if (!scale) return undefined;
  let toMm: Homography;
  if (scale.kind === "card") {
    const card = rectifyCard({ width: scale.widthMm, height: scale.heightMm, corners: scale.corners });
    if (!card.ok) return card;
    toMm = card.value.homography;
  } else {
    const found = rectifyTwoPoint(scale.a, scale.b, scale.mm);
    if (!found.ok) return found;
    const part = scale.mm / distance(scale.a, scale.b);
    toMm = [part, 0, 0, 0, part, 0, 0, 0, 1];
  }
  const { origin: first, from, to, direction } = LAID_BY[view];
  const [a, b, stays] = [points[from], points[to], points[first]];
  if (!a || !b || !stays) {
    const [x, y] = mapPoint(toMm, [width / 2, height / 2]);
    const { left, top, width: w, height: h } = SHOWN[view];
    return ok({
      toFrame: times([1, 0, left + w / 2 - x, 0, 1, top + h / 2 - y, 0, 0, 1], toMm),
      by: "scale",
    });
  }
  const [start, end] = [mapPoint(toMm, a), mapPoint(toMm, b)];
  const [dx, dy] = [end[0] - start[0], end[1] - start[1]];
  const size = Math.hypot(dx, dy) || 1;
  // A side view is shown toe to the right, one from behind lateral to the right: a picture of the other hand is mirrored.
  const mirror = view === "sole" || view === "defect" ? 1 : Math.sign(dx) || 1;
  const [ux, uy] = [(mirror * dx) / size, dy / size];
  const [cx, cy] = direction;
  // The turn that takes (ux, uy) to the direction wanted.
  const [cos, sin] = [ux * cx + uy * cy, ux * cy - uy * cx];
  const turn: Homography = [cos * mirror, -sin, 0, sin * mirror, cos, 0, 0, 0, 1];
  const [ox, oy] = mapPoint(turn, mapPoint(toMm, stays));
  return ok({ toFrame: times([1, 0, -ox, 0, 1, -oy, 0, 0, 1], times(turn, toMm)), by: "marks" });
}

/** The CSS matrix that draws a picture laid into a frame shown at `pxPerMm`, its upper left corner at the frame's. */
export function cssMatrix({ toFrame }: LaidPicture, view: PhotoView, pxPerMm: number): string {
  const { left, top } = SHOWN[view];
  const h = times([pxPerMm, 0, -left * pxPerMm, 0, pxPerMm, -top * pxPerMm, 0, 0, 1], toFrame);
  return `matrix3d(${[h[0], h[3], 0, h[6], h[1], h[4], 0, h[7], 0, 0, 1, 0, h[2], h[5], 0, h[8]].join(",")})`;
}
