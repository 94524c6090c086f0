import type { FootParameters } from "../foot/parametric/parameters";
import type { MarkedPhoto } from "../photo/truePhoto";
import type { MeasuredView } from "../photo/views";
import type { Random } from "../math/random";
import type { Shot } from "../simulator/camera";
import type { Conditions } from "../simulator/conditions";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { atLevel, hardness } from "./level";

/** A simulated picture before it is rendered: everything that it follows from. */
export interface PracticePicture {
  foot: FootParameters;
  view: MeasuredView;
  shot: Shot;
  conditions: Partial<Conditions>;
  seed: number;
}

/** Pixels of a practice picture: as many as are ready at once and still show a mark to a third of a millimetre. */
const SIZE = { width: 960, height: 720 };
/** Nearest and furthest camera, mm; the lens is chosen so that the foot fills the picture. */
const FAR = { distanceMm: 1600, focal35: 150 };

/** How a picture is taken at a level: squarer, cleaner and lighter for whoever begins. */
export function practicePicture(
  random: Random,
  level: number,
  { foot, view }: Pick<PracticePicture, "foot" | "view">,
): PracticePicture {
  const some = (easy: number, hard: number) => atLevel(level, [easy, hard]) * (0.5 + 0.5 * random());
  const distanceMm = FAR.distanceMm * (1 - 0.5 * hardness(level) * random());
  return {
    foot,
    view,
    shot: {
      ...SIZE,
      slantDeg: some(3, 15),
      azimuthDeg: 360 * random(),
      rollDeg: (2 * random() - 1) * atLevel(level, [1, 5]),
      distanceMm,
      focal35: (FAR.focal35 * distanceMm) / FAR.distanceMm,
    },
    conditions: {
      dirt: some(0, 1),
      light: 1 - some(0, 0.6),
      horn: 1 + (2 * random() - 1) * atLevel(level, [0.1, 0.5]),
    },
    seed: Math.floor(random() * 1e9),
  };
}

/** The picture's scale and its marks as they truly lie in it. */
export function pictureTruth({ foot, view, shot }: PracticePicture): MarkedPhoto {
  const scene = sceneOf(foot, view);
  return truthInPicture(scene, aimAt(scene, shot), true);
}
