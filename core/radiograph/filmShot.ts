import { isLeft } from "../foot/limb";
import type { FootParameters } from "../foot/parametric/parameters";
import type { ImagePoint, Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import type { FilmScene } from "./standInFilm";

/** How a stand-in was taken. */
export interface FilmShot {
  /** Mm of the foot to a pixel, before the beam enlarges. */
  mmPerPx: number;
  /** How much the beam enlarges the foot on the detector, 1 for none. */
  magnification: number;
  /** Turn of the picture, deg. */
  turnDeg: number;
  /** Beam off the foot's own line, deg: what lies along the ground is foreshortened. */
  slantDeg: number;
  /** Toe, or lateral, to the left. A left foot is taken from its outside. */
  mirrored: boolean;
}

export const shotOf = (foot: Pick<FootParameters, "limb">, more: Partial<FilmShot> = {}): FilmShot => ({
  mmPerPx: 0.2,
  magnification: 1,
  turnDeg: 0,
  slantDeg: 0,
  mirrored: isLeft(foot.limb),
  ...more,
});

/** Where a point of the scene lies in the picture, and how large the picture is. */
export function filmProjection(scene: FilmScene, shot: FilmShot) {
  const { left, right, bottom, top } = scene.frame;
  const pxPerMm = shot.magnification / shot.mmPerPx;
  const [width, height] = [Math.round((right - left) * pxPerMm), Math.round((top - bottom) * pxPerMm)];
  const [cos, sin] = [Math.cos(radians(shot.turnDeg)), Math.sin(radians(shot.turnDeg))];
  const short = Math.cos(radians(shot.slantDeg));
  const [cx, cy] = [(left + right) / 2, (bottom + top) / 2];
  const project = ([u, v]: Vector): ImagePoint => {
    const x = (u - cx) * short * pxPerMm * (shot.mirrored ? -1 : 1);
    const y = -(v - cy) * pxPerMm;
    return [width / 2 + x * cos - y * sin, height / 2 + x * sin + y * cos] as unknown as ImagePoint;
  };
  return { width, height, project, pxPerMm };
}

/** The true marks of a stand-in as they lie in its picture. */
export function filmTruth(scene: FilmScene, shot: FilmShot): Record<string, ImagePoint> {
  const { project } = filmProjection(scene, shot);
  return Object.fromEntries(Object.entries(scene.marks).map(([name, at]) => [name, project(at)]));
}
