import { fitCircle } from "../geometry/circle";
import { COINCIDENT_PART } from "../geometry/tolerance";
import { distance, dot, length, minus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { degrees } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** Landmarks of a lateral radiograph, picture pixels, x right, y down; the foot may face either way. */
export interface FilmPoints {
  /** Two points on the ground or on the block's edge. */
  groundA: ImagePoint;
  groundB: ImagePoint;
  /** Tip of the coffin bone, and the back of its lower border. */
  tip: ImagePoint;
  wing: ImagePoint;
  /** Sole's own surface straight under them. */
  soleTip?: ImagePoint | undefined;
  soleWing?: ImagePoint | undefined;
  /** Dorsal face of the bone, high, under the extensor process; low, it is the tip. */
  faceHigh: ImagePoint;
  wallHigh: ImagePoint;
  wallLow: ImagePoint;
  extensor: ImagePoint;
  /** The marker at the hairline. */
  hairline: ImagePoint;
  breakover: ImagePoint;
  /** Hindmost ground contact. */
  heel: ImagePoint;
  /** On the joint surface of the short pastern bone's lower end, three or more. */
  joint: readonly ImagePoint[];
  /** Front face of the pastern. */
  pasternFaceLow?: ImagePoint | undefined;
  pasternFaceHigh?: ImagePoint | undefined;
}

/** What a lateral radiograph measures. Lengths mm, angles deg. It measures; the vet reads it. */
export interface FilmReading {
  /** Lower border against the ground, positive = wing higher. */
  palmarAngle: number;
  soleDepth?: { tip?: number; wing?: number };
  tipToGround: number;
  /** From faceHigh and from the tip to the line of the wall, square to it. */
  dorsal: { high: number; low: number };
  /** Dorsal face minus wall: positive = the bone's face is the steeper one. */
  capsuleRotation: number;
  /** Dorsal face minus pastern face. */
  boneRotation?: number;
  /** Hairline down to the extensor process. */
  coronetExtensor: number;
  /** Centre of rotation in the picture's pixels; radius and residual in mm. */
  cor: { x: number; y: number; radius: number; residual: number };
  front: number;
  support: number;
  frontShare: number;
  /** 100 times the front lever over the foot's length. */
  leverIndex?: number;
}

/**
 * All measures of a lateral radiograph. Directions are read off the ground line and the way from heel to breakover, so
 * that a turned or mirrored picture gives the same.
 *
 * Errors: `coincident` for two landmarks in one place that span a line, `scale` without a scale, `too-few` and `in-line`
 * for a joint surface that is no arc, `out-of-order` for a tip behind its wing. Source: veterinary convention.
 */
export function readLateralFilm(
  points: FilmPoints,
  mmPerPx: number,
  footLengthMm?: number,
): Result<FilmReading> {
  if (!(mmPerPx > 0) || !Number.isFinite(mmPerPx))
    return fail(
      "scale",
      "mmPerPx",
      "Without a scale nothing is measured: mark the marker, or give the pixel spacing.",
    );
  const spread = distance(points.breakover, points.heel);
  const lines: [keyof FilmPoints, keyof FilmPoints][] = [
    ["groundB", "groundA"],
    ["heel", "breakover"],
    ["wing", "tip"],
    ["faceHigh", "tip"],
    ["wallHigh", "wallLow"],
    ...(points.pasternFaceLow && points.pasternFaceHigh
      ? [["pasternFaceHigh", "pasternFaceLow"] as [keyof FilmPoints, keyof FilmPoints]]
      : []),
  ];
  for (const [mark, other] of lines)
    if (distance(points[mark] as Vector, points[other] as Vector) <= spread * COINCIDENT_PART)
      return fail(
        "coincident",
        `points.${mark}`,
        `${mark} and ${other} are the same point. Move one of them.`,
      );
  const along = minus(points.groundB, points.groundA);
  const forward = dot(minus(points.breakover, points.heel), along);
  if (Math.abs(forward) <= length(along) * spread * COINCIDENT_PART)
    return fail(
      "out-of-order",
      "points.heel",
      "The heel lies straight above or below the breakover. Check both marks.",
    );
  const u = times(along, Math.sign(forward) / length(along));
  const across: Vector = [-u[1], u[0]];
  // Up is where the bone lies: on the other side of the ground than the picture's own down, whichever way it was taken.
  const rise = dot(minus(points.extensor, points.groundA), across);
  if (rise === 0)
    return fail(
      "out-of-order",
      "points.extensor",
      "The extensor process lies on the ground line. Check both marks.",
    );
  const v = times(across, Math.sign(rise));
  const up = (point: Vector) => dot(minus(point, points.groundA), v);
  const on = (point: Vector) => dot(minus(point, points.heel), u);
  if (on(points.tip) <= on(points.wing))
    return fail("out-of-order", "points.tip", "The tip of the bone lies behind its wing. Check both marks.");
  const slope = (low: Vector, high: Vector) => {
    const step = minus(high, low);
    return degrees(Math.atan2(dot(step, v), -dot(step, u)));
  };
  const circle = fitCircle(points.joint);
  if (!circle.ok)
    return { ok: false, issues: circle.issues.map((issue) => ({ ...issue, path: "points.joint" })) };
  const { centre, radius, residual } = circle.value;
  const wall = minus(points.wallHigh, points.wallLow);
  const fromWall = (point: Vector) => {
    const step = minus(point, points.wallLow);
    return (Math.abs(wall[0] * step[1] - wall[1] * step[0]) / length(wall)) * mmPerPx;
  };
  const face = slope(points.tip, points.faceHigh);
  const front = (on(points.breakover) - on(centre)) * mmPerPx;
  const support = on(centre) * mmPerPx;
  const { soleTip, soleWing, pasternFaceLow, pasternFaceHigh } = points;
  const depth = (bone: Vector, sole: Vector) => (up(bone) - up(sole)) * mmPerPx;
  return ok({
    palmarAngle: slope(points.tip, points.wing),
    ...((soleTip ?? soleWing) && {
      soleDepth: {
        ...(soleTip && { tip: depth(points.tip, soleTip) }),
        ...(soleWing && { wing: depth(points.wing, soleWing) }),
      },
    }),
    tipToGround: up(points.tip) * mmPerPx,
    dorsal: { high: fromWall(points.faceHigh), low: fromWall(points.tip) },
    capsuleRotation: face - slope(points.wallLow, points.wallHigh),
    ...(pasternFaceLow && pasternFaceHigh && { boneRotation: face - slope(pasternFaceLow, pasternFaceHigh) }),
    coronetExtensor: (up(points.hairline) - up(points.extensor)) * mmPerPx,
    cor: { x: centre[0], y: centre[1], radius: radius * mmPerPx, residual: residual * mmPerPx },
    front,
    support,
    frontShare: front / (front + support),
    ...(footLengthMm !== undefined && { leverIndex: (100 * front) / footLengthMm }),
  });
}
