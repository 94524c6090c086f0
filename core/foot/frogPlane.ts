/** The frog against the heels' plane: a straightedge across both heels. All mm. */
export interface FrogQuestion {
  /** How far the frog at its widest stands past the heels' plane: + proud, - lies in. */
  proud: number;
  /** Of the shoe, 0 for a bare foot. */
  thickness: number;
  pad?: number | undefined;
  /** What is cut off the heels. */
  heelCut?: number | undefined;
}

export interface FrogPlane {
  /** The frog past the heels' plane after the cut. */
  proudAfter: number;
  /** Between frog and firm ground under this shoe, never under 0. */
  gap: number;
  /** The heel cut at which a rasp across the heels just touches the frog, never under 0. */
  touchCut: number;
}

/** What follows from the frog's height: the gap to the ground, and the stop for the rasp. */
export function frogPlane({ proud, thickness, pad = 0, heelCut = 0 }: FrogQuestion): FrogPlane {
  const proudAfter = proud + heelCut;
  return { proudAfter, gap: Math.max(0, thickness + pad - proudAfter), touchCut: Math.max(0, -proud) };
}

/** A frog prouder than this stands past an ordinary shoe: it hangs. Assumption, because shoes are 8 to 10 mm thick. */
export const HANGS_FROM_MM = 8;

/** Whether the frog hangs below the heels: a height, whatever its length or width. */
export const frogHangs = (proud: number): boolean => proud >= HANGS_FROM_MM;
