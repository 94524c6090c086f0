import { radians } from "../math/angle";
import { predictTrim, NO_CUT, heelYOf, type TrimFoot } from "../foot/parametric/predict";

/** What a foot becomes after so much off both heels alike: the two aims that fight on a low heel. */
export interface HeelStroke {
  mm: number;
  dorsalAngle: number;
  axis: number;
  /** How far the heels bear further back than now, along the ground from the centre of rotation, mm. */
  backMm: number;
  support: number;
}

/** What something else than a heel cut would do, against the foot as it stands. */
export interface Instead {
  way: "toe" | "dress" | "raise" | "frog";
  /** Millimetres cut, dressed or raised; none for the frog. */
  mm: number;
  angleDeg: number;
  frontMm: number;
  supportMm: number;
}

/** A heel so much shallower than the wall is run forward, deg. Source: trade and veterinary convention. */
const UNDERRUN_DEG = 5;

/** True on a foot whose heel is both too low, broken back or underrun, and too far forward: its heels ahead of the centre. */
export const isConundrum = (foot: TrimFoot): boolean =>
  (foot.dorsalAngle < foot.pasternAngle - 1 || foot.heelAngle < foot.dorsalAngle - UNDERRUN_DEG) &&
  foot.toeY - foot.corY > foot.corY - heelYOf(foot) + 2;

/** Stroke by stroke, 0 to `most` mm off both heels, as far as the foot still is one. */
export function heelStrokes(foot: TrimFoot, most: number): HeelStroke[] {
  const start = predictTrim(foot, NO_CUT);
  if (!start.ok) return [];
  const strokes: HeelStroke[] = [];
  for (let mm = 0; mm <= most + 1e-9; mm++) {
    const found = predictTrim(foot, { ...NO_CUT, heelMedial: mm, heelLateral: mm });
    if (!found.ok) break;
    const { dorsalAngle, axis, support } = found.value;
    strokes.push({ mm, dorsalAngle, axis, support, backMm: support - start.value.support });
  }
  return strokes;
}

/**
 * The other ways to the same end: so much off the toe, so much dressed, a raise of the heels by what the axis is
 * broken back (no cut; the hoof turns about its toe, the heel bears where it did), and frog support, which moves
 * neither and shares the load.
 */
export function insteadOfHeel(foot: TrimFoot, cutMm: number): Instead[] {
  const start = predictTrim(foot, NO_CUT);
  if (!start.ok) return [];
  const against = (way: "toe" | "dress"): Instead[] => {
    const found = predictTrim(foot, { ...NO_CUT, [way]: cutMm });
    if (!found.ok) return [];
    return [
      {
        way,
        mm: cutMm,
        angleDeg: found.value.dorsalAngle - start.value.dorsalAngle,
        frontMm: found.value.front - start.value.front,
        supportMm: found.value.support - start.value.support,
      },
    ];
  };
  const angleDeg = Math.max(0, foot.pasternAngle - foot.dorsalAngle);
  const raise: Instead = {
    way: "raise",
    mm: (foot.toeY - heelYOf(foot)) * Math.tan(radians(angleDeg)),
    angleDeg,
    ...turnedAboutToe(foot, angleDeg),
  };
  return [
    ...against("toe"),
    ...against("dress"),
    raise,
    { way: "frog", mm: 0, angleDeg: 0, frontMm: 0, supportMm: 0 },
  ];
}

/** Where the centre of rotation stands over the ground when the heels are lifted and the foot turns about its toe. */
function turnedAboutToe(foot: TrimFoot, deg: number): { frontMm: number; supportMm: number } {
  const heelY = heelYOf(foot);
  const height = foot.corHeight ?? 0.4 * (foot.toeY - heelY);
  const turn = radians(deg);
  const front = (foot.toeY - foot.corY) * Math.cos(turn) - height * Math.sin(turn);
  const whole = (foot.toeY - heelY) * Math.cos(turn);
  return {
    frontMm: front - (foot.toeY - foot.corY),
    supportMm: whole - front - (foot.corY - heelY),
  };
}
