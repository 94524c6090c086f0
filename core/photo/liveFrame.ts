import { distance, minus, plus, times, type Vector } from "../geometry/vector";
import { CARD } from "./card";
import { sideOf, type Corners } from "./corners";
import type { FoundCard } from "./findCard";
import { greyAt, type GreyPicture } from "./grey";
import { cameraPlace } from "./pose";
import { rectifyCard } from "./rectify";
import type { Result } from "../result";

/** What is asked of a picture before it is taken, each in its own unit. */
export const FRAME_LIMITS = {
  /** Beyond this slant readings carry their error, deg. */
  slantDeg: 10,
  /** Nearer than this marks off the card's plane are displaced, further away they are small, mm. */
  nearestMm: 500,
  furthestMm: 2500,
  /** The card's side as a part of the picture's longer edge. */
  leastCardPart: 0.09,
  mostCardPart: 0.4,
  /** White paper, 0 to 255: darker is grainy, brighter has lost its edges. */
  leastLight: 80,
  mostLight: 252,
  /** From white to black over so many pixels of the frame. */
  blurPx: 4,
} as const;
/** A phone's main lens without zoom, 35 mm equivalent. Assumption: browsers do not tell. */
const USUAL_FOCAL_35 = 26;
const FILM_DIAGONAL_MM = Math.hypot(24, 36);

export type FrameFault =
  "no-card" | "unsure" | "slanted" | "near" | "far" | "small" | "large" | "dark" | "bright" | "blurred";

/** What a live frame shows of the card, and what is still wrong with it. */
export interface LiveFrame {
  corners?: Corners;
  slantDeg?: number;
  /** Estimated: from the lens that a phone usually has. */
  distanceMm?: number;
  /** White paper of the card, 0 to 255. */
  light?: number;
  /** Width of the card's edges, px. */
  blurPx?: number;
  /** In the order in which they are best mended; empty = the shutter may go. */
  faults: FrameFault[];
}

/** Focal length that a device's camera usually has, in pixels of its picture; `zoom` is how many times it enlarges. */
export const usualFocalPx = ({ width, height }: { width: number; height: number }, zoom = 1): number =>
  ((USUAL_FOCAL_35 * zoom) / FILM_DIAGONAL_MM) * Math.hypot(width, height);

/** Judges a live frame by the card that was found in it; `zoom` is how many times the lens enlarges. */
export function judgeFrame(picture: GreyPicture, found: Result<FoundCard>, zoom = 1): LiveFrame {
  if (!found.ok) return { faults: ["no-card"] };
  const { corners, sure } = found.value;
  const flat = rectifyCard({ width: CARD.sideMm, height: CARD.sideMm, corners });
  if (!flat.ok) return { corners, faults: ["unsure"] };
  const { slantDeg, homography } = flat.value;
  const focalPx = usualFocalPx(picture, zoom);
  const distanceMm = cameraPlace(homography, { ...picture, focalPx }, slantDeg)?.heightMm ?? 0;
  const part = sideOf(corners) / Math.max(picture.width, picture.height);
  const light = paperOf(picture, corners);
  const blurPx = edgeWidth(picture, corners);
  const limits = FRAME_LIMITS;
  const faults: FrameFault[] = [];
  if (!sure) faults.push("unsure");
  if (part > limits.mostCardPart) faults.push("large");
  else if (distanceMm < limits.nearestMm) faults.push("near");
  if (part < limits.leastCardPart) faults.push("small");
  else if (distanceMm > limits.furthestMm) faults.push("far");
  if (slantDeg > limits.slantDeg) faults.push("slanted");
  if (light < limits.leastLight) faults.push("dark");
  else if (light > limits.mostLight) faults.push("bright");
  if (blurPx > limits.blurPx) faults.push("blurred");
  return { corners, slantDeg, distanceMm, light, blurPx, faults };
}

/** The paper beside the plumb mark: middle of several places, 0 to 255. */
function paperOf(picture: GreyPicture, [a, b, c, d]: Corners): number {
  const at = (u: number, v: number): Vector => {
    const top = plus(a, times(minus(b, a), u));
    const bottom = plus(d, times(minus(c, d), u));
    return plus(top, times(minus(bottom, top), v));
  };
  const places = [0.2, 0.8].flatMap((u) => [0.2, 0.4, 0.6, 0.8].map((v) => at(u, v)));
  const values = places.map(([x, y]) => greyAt(picture, x, y)).sort((one, other) => one - other);
  return values[Math.floor(values.length / 2)] ?? 0;
}

/** Places along each edge where its width is taken, and how far across it is looked, as a part of the card's side. */
const WIDTH_PLACES = [0.25, 0.4, 0.6, 0.75];
const ACROSS_PART = 0.03;

/** From white to black across the frame's outer edges, px: the step over its steepest slope; the middle of all places. */
function edgeWidth(picture: GreyPicture, corners: Corners): number {
  const reach = Math.max(4, ACROSS_PART * sideOf(corners));
  const widths = corners.flatMap((from, side) => {
    const to = corners[(side + 1) % 4] as Vector;
    const along = times(minus(to, from), 1 / (distance(from, to) || 1));
    const out: Vector = [along[1], -along[0]];
    return WIDTH_PLACES.flatMap((part) => {
      const middle = plus(from, times(minus(to, from), part));
      let [low, high, steepest] = [255, 0, 0];
      let before: number | undefined;
      for (let step = -reach; step <= reach; step += 0.5) {
        const [x, y] = plus(middle, times(out, step));
        const value = greyAt(picture, x, y);
        low = Math.min(low, value);
        high = Math.max(high, value);
        if (before !== undefined) steepest = Math.max(steepest, 2 * Math.abs(value - before));
        before = value;
      }
      return steepest > 0 ? [(high - low) / steepest] : [];
    });
  });
  widths.sort((one, other) => one - other);
  return widths[Math.floor(widths.length / 2)] ?? Number.POSITIVE_INFINITY;
}

/** A hand is still where no corner has moved by more than this part of the card's side since the frame before. */
const STILL_PART = 0.02;
/** Good frames in a row before the shutter goes by itself: about a second. */
export const STILL_FRAMES = 3;

/** How many good and still frames there are in a row, this one among them. */
export function stillFrames(now: LiveFrame, before: LiveFrame | undefined, count: number): number {
  if (now.faults.length > 0 || !now.corners) return 0;
  const last = before?.corners;
  if (!last) return 1;
  const moved = Math.max(...now.corners.map((corner, at) => distance(corner, last[at] ?? corner)));
  return moved <= STILL_PART * sideOf(now.corners) ? count + 1 : 1;
}

/** What to do about a fault, said to somebody who holds the phone. */
export const FAULT_WORDS: Record<FrameFault, string> = {
  "no-card": "Bring the whole card into the picture.",
  unsure: "The card is not clear: clean it, flatten it, let nothing lie over its edges.",
  large: "Too near: step back, and zoom in.",
  near: "Step back, and zoom in.",
  small: "The card is small: come nearer or zoom in.",
  far: "Come nearer.",
  slanted: "Look straighter onto the card.",
  dark: "More light on the foot.",
  bright: "Too bright: out of the glare.",
  blurred: "Hold still, and let it focus.",
};
