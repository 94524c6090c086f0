import { fitCircle } from "../geometry/circle";
import { COINCIDENT_PART } from "../geometry/tolerance";
import { groundFrame } from "../foot/groundFrame";
import { distance, dot, length, minus, type ImagePoint, type Vector } from "../geometry/vector";
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
  const frame = groundFrame(
    [points.groundA, points.groundB],
    points.heel,
    points.breakover,
    points.extensor,
    spread,
  );
  if (frame === "flat")
    return fail(
      "out-of-order",
      "points.heel",
      "The heel lies straight above or below the breakover. Check both marks.",
    );
  if (frame === "on-ground")
    return fail(
      "out-of-order",
      "points.extensor",
      "The extensor process lies on the ground line. Check both marks.",
    );
  const { u, v, slope } = frame;
  const up = (point: Vector) => dot(minus(point, points.groundA), v);
  const on = (point: Vector) => dot(minus(point, points.heel), u);
  if (on(points.tip) <= on(points.wing))
    return fail("out-of-order", "points.tip", "The tip of the bone lies behind its wing. Check both marks.");
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
