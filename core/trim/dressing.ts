import { TOE_HORN_KEPT_MM } from "../constants/trim";
import type { TrimFoot } from "../foot/parametric/predict";
import { USUAL_WHITE_LINE_MM } from "../foot/horn";
import { radians } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** What bears on the dressing of the toe, mm in the ground plane, where walls are measured. */
export interface DressQuestion {
  foot: Pick<TrimFoot, "dorsalAngle">;
  /** Outside of live sole to outside of wall, with the white line. */
  toeWall?: number;
  /** Width of the white line; the usual one where it was not measured. */
  whiteLine?: number;
  /** Horn outside the foot's own shape at the toe. A straight wall has none, and is not dressed. */
  outside?: number;
  /** The user's own bound, mm at right angles to the wall. */
  dressMax?: number;
}

/** What holds dressing back: horn that has to stay, the foot's own shape, the user's bound, or nothing known. */
export type DressBound = "horn" | "shape" | "own" | "unknown";

/** How much may be dressed off the toe wall, mm at right angles to it. */
export interface Dressing {
  most: number;
  by: DressBound;
  /** As far as the horn that must stay, for a hand that wants it further back; 0 where the wall was not measured. */
  furthest: number;
}

/** Refuses a white line wider than its wall. Path is `whiteLine`. */
export function checkWhiteLine({
  toeWall,
  whiteLine,
}: Pick<DressQuestion, "toeWall" | "whiteLine">): Result<true> {
  return toeWall === undefined || whiteLine === undefined || whiteLine <= toeWall
    ? ok(true)
    : fail(
        "impossible",
        "whiteLine",
        `A white line of ${whiteLine} mm is wider than the whole wall of ${toeWall} mm: measure both again.`,
        whiteLine,
      );
}

/**
 * Dressing takes e at right angles to the wall, which is e / sin a in the ground plane, a the dorsal angle. There at
 * least {@link TOE_HORN_KEPT_MM} of horn stay beside the white line, and nothing of the foot's own shape is taken.
 * With neither wall nor shape nor a bound of the user's known, nothing is dressed. Source: plane geometry.
 */
export function toeDressing({ foot, toeWall, whiteLine, outside, dressMax }: DressQuestion): Dressing {
  const across = Math.sin(radians(foot.dorsalAngle));
  const horn =
    toeWall === undefined
      ? undefined
      : Math.max(0, (toeWall - (whiteLine ?? USUAL_WHITE_LINE_MM) - TOE_HORN_KEPT_MM.value) * across);
  const bounds: [DressBound, number | undefined][] = [
    ["horn", horn],
    ["shape", outside === undefined ? undefined : Math.max(0, outside) * across],
    ["own", dressMax],
  ];
  const known = bounds.filter((one): one is [DressBound, number] => one[1] !== undefined);
  const [by, most] = known.reduce<[DressBound, number]>(
    (a, b) => (b[1] < a[1] ? b : a),
    ["unknown", Infinity],
  );
  return {
    most: by === "unknown" ? 0 : most,
    by,
    furthest: Math.min(horn ?? 0, dressMax ?? Infinity),
  };
}
