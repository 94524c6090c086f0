import {
  bearingLengthOf,
  corYOf,
  meanHeelHeight,
  meanHeelY,
  sizeFactor,
  sulcusLength,
  toeYOf,
  type FootParameters,
} from "../foot/parametric/parameters";
import type { Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import type { FilmView } from "./filmMarks";
import { JOINT } from "./filmMarks";

/** What lies inside of a made-up foot; the parametric foot itself knows only its outside. Mm and deg. */
export interface Inside {
  /** Lower border of the coffin bone against the ground, + = wing higher. */
  palmarAngleDeg: number;
  /** The bone's face less the wall: + = the bone has turned down. */
  rotationDeg: number;
  /** Sole under the tip. */
  soleMm: number;
  /** From the tip square to the wall's outside. */
  dorsalMm: number;
  /** Under the foot, 0 for a bare one. */
  shoeMm: number;
  /** How far the breakover lies behind the toe. */
  breakoverMm: number;
  /** Lower border seen from the front, + = higher on the lateral side. */
  tiltDeg: number;
  /** Lateral joint space less the medial one. */
  spaceDifferenceMm: number;
}

/** The inside of an ordinary foot. */
export const ORDINARY_INSIDE: Inside = {
  palmarAngleDeg: 5,
  rotationDeg: 0,
  soleMm: 17,
  dorsalMm: 15,
  shoeMm: 0,
  breakoverMm: 2,
  tiltDeg: 0.5,
  spaceDifferenceMm: 0,
};

/** A made-up foot in its middle plane: u to the toe (from the side) or to lateral (from the front), v up from the ground. */
export interface FilmScene {
  view: FilmView;
  marks: Record<string, Vector>;
  /** Closed outlines with how much each weakens the beam. */
  bodies: { outline: readonly Vector[]; dense: number }[];
  /** Metal: thin lines from point to point, and how wide. */
  metal: { line: readonly Vector[]; widthMm: number }[];
  /** What is in the picture, mm. */
  frame: { left: number; right: number; bottom: number; top: number };
  markerMm: number;
}

const MARKER_MM = 50;
/** Sole's hollow at the tip and at the wing, mm on a foot of size 1. Drawing only. */
const HOLLOW = { tip: 3, wing: 6 };
/** Lengths of the coffin bone and radius of the joint, mm on a foot of size 1. Assumption, from drawn feet. */
const BONE = { border: 60, face: 36, process: 8, joint: 11, space: 2, pastern: 34 };
/**
 * Centre of the joint behind the widest part, mm on a foot of size 1, and above the sole's plane as a part of the bearing
 * length: where a bone of that size, parallel to the wall, leaves room for it. Assumption.
 */
const JOINT_AT = { behindWidest: 12, heightPart: 0.34 };

const polar = (deg: number): Vector => [-Math.cos(radians(deg)), Math.sin(radians(deg))];
const step = (from: Vector, way: Vector, by: number): Vector => [
  from[0] + way[0] * by,
  from[1] + way[1] * by,
];
const arc = (centre: Vector, radius: number, from: number, to: number, count: number): Vector[] =>
  Array.from({ length: count }, (_, at) => {
    const angle = radians(from + ((to - from) * at) / (count - 1));
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });

/** The landmarks and bodies of a lateral stand-in; every measure of it follows from `foot` and `inside`. */
function lateralScene(foot: FootParameters, inside: Inside): FilmScene {
  const k = sizeFactor(foot);
  const h = inside.shoeMm;
  const wallWay = polar(foot.dorsalAngleDeg);
  const toe: Vector = [toeYOf(foot), h];
  const onWall = (along: number) => step(toe, wallWay, along);
  const tipUp = h + HOLLOW.tip * k + inside.soleMm;
  const wallAt = (up: number) => toe[0] - (up - h) / Math.tan(radians(foot.dorsalAngleDeg));
  const tip: Vector = [wallAt(tipUp) - inside.dorsalMm / Math.sin(radians(foot.dorsalAngleDeg)), tipUp];
  const faceWay = polar(foot.dorsalAngleDeg + inside.rotationDeg);
  const faceHigh = step(tip, faceWay, BONE.face * k);
  const extensor = step(faceHigh, polar(foot.dorsalAngleDeg + inside.rotationDeg + 18), BONE.process * k);
  const wing = step(tip, polar(inside.palmarAngleDeg), BONE.border * k);
  const cor: Vector = [
    corYOf(foot) - JOINT_AT.behindWidest * k,
    h + JOINT_AT.heightPart * bearingLengthOf(foot),
  ];
  const r = BONE.joint * k;
  const along = polar(foot.pasternAngleDeg);
  const ahead: Vector = [along[1], -along[0]];
  const pastern = (by: number) => step(step(cor, ahead, r * 0.95), along, by * k);
  const behind = (by: number) => step(step(cor, ahead, -r * 0.95), along, by * k);
  const heelX = meanHeelY(foot);
  const hairlineToe = onWall(foot.toeLengthMm);
  const heelHairline: Vector = [heelX - 14 * k, h + meanHeelHeight(foot)];
  const joint = arc(cor, r, -130, -50, 5);
  const marks: Record<string, Vector> = {
    groundA: [heelX - 25 * k, 0],
    groundB: [toe[0] + 25 * k, 0],
    tip,
    wing,
    soleTip: [tip[0], h + HOLLOW.tip * k],
    soleWing: [wing[0], h + HOLLOW.wing * k],
    faceHigh,
    extensor,
    wallHigh: onWall(foot.toeLengthMm * 0.85),
    wallLow: onWall(foot.toeLengthMm * 0.25),
    hairline: hairlineToe,
    breakover: [toe[0] - inside.breakoverMm, 0],
    heel: [heelX, 0],
    // From the front to the back.
    ...Object.fromEntries(joint.toReversed().map((at, index) => [`${JOINT}${index + 1}`, at])),
    pasternFaceLow: pastern(8),
    pasternFaceHigh: pastern(60),
    frogTack: [2 * sulcusLength(foot) * (1 + foot.frog.stretch), h + HOLLOW.tip * k - 1],
    wideTack: [corYOf(foot), h],
    "marker a": [toe[0] + 18 * k, 60],
    "marker b": [toe[0] + 18 * k, 60 + MARKER_MM],
  };
  const surface = arc(cor, r + BONE.space * k, -140, -30, 9);
  return {
    view: "lateral",
    marks,
    markerMm: MARKER_MM,
    frame: { left: heelX - 45 * k, right: toe[0] + 45 * k, bottom: -30, top: 150 * Math.max(1, k) },
    bodies: [
      // Horn and flesh.
      {
        outline: [
          toe,
          hairlineToe,
          step(pastern(76), ahead, 10 * k),
          step(behind(76), ahead, -18 * k),
          step(behind(20), ahead, -14 * k),
          heelHairline,
          [heelX, h],
          [wing[0], h + HOLLOW.wing * k],
          [tip[0], h + HOLLOW.tip * k],
        ],
        dense: 0.34,
      },
      ...(h > 0
        ? [
            {
              outline: [
                [heelX - 2, 0],
                [toe[0] - inside.breakoverMm, 0],
                [toe[0], h],
                [heelX - 2, h],
              ] as Vector[],
              dense: 3,
            },
          ]
        : []),
      // The block under the foot.
      {
        outline: [
          [heelX - 40 * k, 0],
          [toe[0] + 40 * k, 0],
          [toe[0] + 40 * k, -26],
          [heelX - 40 * k, -26],
        ],
        dense: 0.5,
      },
      // Coffin bone, short and long pastern.
      {
        outline: [tip, faceHigh, extensor, ...surface.toReversed(), step(wing, [0, 1], 12 * k), wing],
        dense: 0.85,
      },
      {
        outline: [
          ...arc(cor, r, -160, -40, 13),
          pastern(2),
          pastern(BONE.pastern),
          behind(BONE.pastern),
          behind(2),
        ],
        dense: 0.95,
      },
      {
        outline: [pastern(BONE.pastern + 3), pastern(74), behind(74), behind(BONE.pastern + 3)],
        dense: 0.95,
      },
    ],
    metal: [
      { line: [onWall(foot.toeLengthMm * 0.12), hairlineToe], widthMm: 1.2 },
      { line: [marks["marker a"] as Vector, marks["marker b"] as Vector], widthMm: 3 },
    ],
  };
}

/** From the front: lateral to the right. */
function frontScene(foot: FootParameters, inside: Inside): FilmScene {
  const k = sizeFactor(foot);
  const h = inside.shoeMm;
  const half = foot.widthMm / 2;
  const tan = Math.tan(radians(inside.tiltDeg));
  const border = (x: number): Vector => [x, h + 22 * k + x * tan];
  const joint = h + 62 * k;
  const gap = (sign: 1 | -1) => BONE.space * k + (sign * inside.spaceDifferenceMm) / 2;
  const lower = (x: number, sign: 1 | -1): Vector => [x, joint - gap(sign)];
  const marks: Record<string, Vector> = {
    "marker a": [half + 24 * k, 50],
    "marker b": [half + 24 * k, 50 + MARKER_MM],
  };
  for (const [side, sign] of [
    ["Medial", -1],
    ["Lateral", 1],
  ] as const) {
    marks[`ground${side}`] = [sign * (half + 18 * k), 0];
    marks[`border${side}`] = border(sign * 28 * k);
    marks[`spaceUpper${side}`] = [sign * 14 * k, joint];
    marks[`spaceLower${side}`] = lower(sign * 14 * k, sign);
    marks[`hairline${side}`] = [
      sign * half * 0.86,
      h + foot.heelHeightMm[side === "Medial" ? "medial" : "lateral"] * 0.55 + 46 * k,
    ];
    marks[`wallFoot${side}`] = [sign * half, h];
    marks[`sole${side}`] = [sign * 28 * k, h + HOLLOW.wing * k];
  }
  const at = (name: string) => marks[name] as Vector;
  return {
    view: "front",
    marks,
    markerMm: MARKER_MM,
    frame: { left: -half - 45 * k, right: half + 45 * k, bottom: -30, top: 150 * Math.max(1, k) },
    bodies: [
      {
        outline: [
          at("wallFootMedial"),
          at("hairlineMedial"),
          [-26 * k, 150 * k],
          [26 * k, 150 * k],
          at("hairlineLateral"),
          at("wallFootLateral"),
          at("soleLateral"),
          at("soleMedial"),
        ],
        dense: 0.34,
      },
      ...(h > 0
        ? [
            {
              outline: [
                [-half, 0],
                [half, 0],
                [half, h],
                [-half, h],
              ] as Vector[],
              dense: 3,
            },
          ]
        : []),
      {
        outline: [
          [-half - 30 * k, 0],
          [half + 30 * k, 0],
          [half + 30 * k, -26],
          [-half - 30 * k, -26],
        ],
        dense: 0.5,
      },
      {
        outline: [
          border(-28 * k),
          [-38 * k, h + 40 * k],
          lower(-25 * k, -1),
          lower(-1 * k, -1),
          lower(1 * k, 1),
          lower(25 * k, 1),
          [38 * k, h + 40 * k],
          border(28 * k),
        ],
        dense: 0.85,
      },
      {
        outline: [
          [-25 * k, joint],
          [25 * k, joint],
          [20 * k, joint + 18 * k],
          [22 * k, joint + 36 * k],
          [-22 * k, joint + 36 * k],
          [-20 * k, joint + 18 * k],
        ],
        dense: 0.95,
      },
      {
        outline: [
          [-20 * k, joint + 39 * k],
          [20 * k, joint + 39 * k],
          [17 * k, 150 * k],
          [-17 * k, 150 * k],
        ],
        dense: 0.95,
      },
    ],
    metal: [{ line: [at("marker a"), at("marker b")], widthMm: 3 }],
  };
}

export const filmScene = (foot: FootParameters, inside: Inside, view: FilmView): FilmScene =>
  view === "lateral" ? lateralScene(foot, inside) : frontScene(foot, inside);
