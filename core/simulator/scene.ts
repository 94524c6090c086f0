import { add3, times3, type Space } from "../geometry/space";
import type { ImagePoint } from "../geometry/vector";
import { isLeft } from "../foot/limb";
import { limbAxisY } from "../foot/parametric/limbAxis";
import { rearLandmarks, sideLandmarks, soleLandmarks } from "../foot/parametric/landmarks";
import {
  heelHalfWidth,
  meanHeelY,
  sizeFactor,
  toeYOf,
  type FootParameters,
} from "../foot/parametric/parameters";
import { CARD } from "../photo/card";
import type { MarkedPhoto } from "../photo/truePhoto";
import { MARK_DEPTHS, type MeasuredView } from "../photo/views";
import { ownShape, type OwnShape } from "./ownShape";
import { projected, takeAim, type Camera, type Plane, type Shot } from "./camera";

/** A made-up foot set up for a picture: its marks in space, the card, the plane that the card lies in. */
export interface Scene {
  view: MeasuredView;
  foot: FootParameters;
  plane: Plane;
  /** Marks in the world, mm. */
  marks: Record<string, Space>;
  /** The card's corners, top-left first, clockwise in a square picture. */
  card: readonly [Space, Space, Space, Space];
  /** What the camera is pointed at. */
  target: Space;
  /** Foot frame (x lateral, y toe, z up) to the world, where a left foot's lateral is -x. */
  toWorld: (point: Space) => Space;
}

/** How far this foot's own depths are from the assumed ones, by mark; 1 = as assumed. */
export type DepthParts = Partial<Record<string, number>>;

/** Room between foot and card, mm. */
const CARD_GAP_MM = 16;

/** Sets up a foot with the card in the plane to be measured. Truth: the marks, and through them every reading. */
export function sceneOf(
  foot: FootParameters,
  view: MeasuredView,
  depthParts: DepthParts = {},
  own?: OwnShape,
): Scene {
  const mirror = isLeft(foot.limb) ? -1 : 1;
  const shaped = own ? ownShape(own) : (point: Space) => point;
  const toWorld = (point: Space): Space => {
    const [x, y, z] = shaped(point);
    return [mirror * x, y, z];
  };
  const k = sizeFactor(foot);
  const depths = MARK_DEPTHS[view];
  const toward = (mark: string) => (depths[mark]?.towardMm ?? 0) * k * (depthParts[mark] ?? 1);
  const [x, y, z]: [Space, Space, Space] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const minus = (axis: Space) => times3(axis, -1);
  if (view === "sole") {
    const plane: Plane = { origin: [0, 0, 0], right: minus(x), down: minus(y), toward: minus(z) };
    const marks = Object.fromEntries(
      Object.entries(soleLandmarks(foot)).map(([mark, [px, py]]) => [mark, toWorld([px, py, -toward(mark)])]),
    );
    const corner: Space = [-(foot.widthMm / 2 + CARD_GAP_MM), toeYOf(foot) * 0.5 + CARD.sideMm / 2, 0];
    return whole({ view, foot, plane, marks, toWorld }, corner, [
      -0.35 * CARD.sideMm,
      toeYOf(foot) * 0.42,
      0,
    ]);
  }
  if (view === "side") {
    const plane: Plane = {
      origin: [0, 0, 0],
      right: times3(y, mirror),
      down: minus(z),
      toward: times3(x, mirror),
    };
    const half = heelHalfWidth(foot, "lateral");
    const out: Partial<Record<string, number>> = {
      heel: half * (depthParts["heel"] ?? 1),
      hairlineHeel: 1.08 * half * (depthParts["hairlineHeel"] ?? 1),
    };
    const landmarks = sideLandmarks(foot, "lateral");
    const marks: Record<string, Space> = Object.fromEntries(
      Object.entries(landmarks).map(([mark, [py, pz]]) => [mark, toWorld([out[mark] ?? 0, py, pz])]),
    );
    const reach = toeYOf(foot) + 30;
    marks["groundA"] = [0, meanHeelY(foot) - 30, 0];
    marks["groundB"] = [0, reach, 0];
    const near = toeYOf(foot) + CARD_GAP_MM;
    const corner: Space = [0, mirror > 0 ? near : near + CARD.sideMm, CARD.sideMm];
    return whole({ view, foot, plane, marks, toWorld }, corner, [0, toeYOf(foot) * 0.75, 62 * k]);
  }
  const back = meanHeelY(foot);
  const plane: Plane = { origin: [0, back, 0], right: x, down: minus(z), toward: minus(y) };
  const marks = Object.fromEntries(
    Object.entries(rearLandmarks(foot)).map(([mark, [px, pz]]) => [
      mark,
      // The limb's middle is where the limb is, which no usual depth knows.
      toWorld([px, mark.startsWith("limb") ? limbAxisY(foot, pz) : back - toward(mark), pz]),
    ]),
  );
  const corner: Space = [foot.widthMm / 2 + CARD_GAP_MM, back, CARD.sideMm];
  return whole({ view, foot, plane, marks, toWorld }, corner, [0.3 * CARD.sideMm, back, 70 * k]);
}

function whole(parts: Omit<Scene, "card" | "target">, corner: Space, target: Space): Scene {
  const { right, down } = parts.plane;
  const side = CARD.sideMm;
  const topRight = add3(corner, times3(right, side));
  return {
    ...parts,
    target,
    card: [corner, topRight, add3(topRight, times3(down, side)), add3(corner, times3(down, side))],
  };
}

export const aimAt = (scene: Scene, shot: Shot): Camera => takeAim(scene.plane, scene.target, shot);

/** The picture's true marks and corners, as a hand without error would place them. */
export function truthInPicture(scene: Scene, camera: Camera, focalKnown: boolean): MarkedPhoto {
  const points = Object.fromEntries(
    Object.entries(scene.marks).map(([mark, point]): [string, ImagePoint] => [
      mark,
      projected(camera, point),
    ]),
  );
  const [a, b, c, d] = scene.card.map((corner) => projected(camera, corner)) as [
    ImagePoint,
    ImagePoint,
    ImagePoint,
    ImagePoint,
  ];
  return {
    view: scene.view,
    width: camera.width,
    height: camera.height,
    ...(focalKnown && { focalPx: camera.focalPx }),
    scale: { kind: "card", widthMm: CARD.sideMm, heightMm: CARD.sideMm, corners: [a, b, c, d] },
    points,
  };
}
