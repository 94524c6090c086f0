/** Frames a second where a clip does not tell its own. Assumption, what phones record. */
export const USUAL_FPS = 30;
/** No clip that a phone makes has fewer or more. */
const FPS_RANGE = { from: 5, to: 480 };

/** A step lands in the middle of its frame: at its edge a browser may show either neighbour. */
const MIDDLE = 0.5;
/** A moment this near to an edge counts as behind it, frames. */
const EDGE = 1e-3;

/** The frame that is shown at a moment, s. */
export const frameAt = (time: number, fps: number): number => Math.floor(time * fps + EDGE);

/** The moment of a frame, in its middle, held within the clip, s. */
export function frameTime(frame: number, fps: number, duration: number): number {
  const last = Math.max(0, Math.ceil(duration * fps - EDGE) - 1);
  return (Math.max(0, Math.min(last, frame)) + MIDDLE) / fps;
}

/** The moment that lies so many frames on, s; it stops at both ends. */
export const stepFrames = (time: number, by: number, fps: number, duration: number): number =>
  frameTime(frameAt(time, fps) + by, fps, duration);

/**
 * Frames a second from the moments at which frames were shown, s, rising: the middle of their distances, because some are
 * dropped. The usual rate where too few were seen.
 */
export function frameRate(shown: readonly number[]): number {
  const gaps = shown
    .slice(1)
    .map((time, at) => time - (shown[at] ?? 0))
    .filter((gap) => gap > 0)
    .sort((a, b) => a - b);
  const middle = gaps[Math.floor(gaps.length / 2)];
  if (middle === undefined || gaps.length < 3) return USUAL_FPS;
  return Math.max(FPS_RANGE.from, Math.min(FPS_RANGE.to, Math.round(1 / middle)));
}
