import { hornOf } from "../foot/horn";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf, eachSide, sizeFactor, wallThickness } from "../foot/parametric/parameters";
import type { Side } from "../foot/limb";
import type { SolarPoint } from "../geometry/vector";
import { fitShoe, leastRoll, type Fit } from "../shoe/fit";
import { NO_SETTING, type ShodFoot } from "../shoe/fitQuestion";
import { FROG_MM } from "../shoe/ordinaryShodFoot";
import { outlineThrough, type OutlineKnots } from "../shoe/outline";
import { FRONT_FULLNESS_MM, type Specification } from "../shoe/specification";

/** A shoe that is asked for by two measures and what it is to be, with no foot in the records. */
export interface TwoMeasures {
  end: "fore" | "hind";
  /** Of the shoe where it is to be, mm: across its widest, toe to heels. */
  width: number;
  length: number;
  spec: Specification;
}

/** Mass of the horse whose foot lends its shape, kg: only the shape is used, never its size. */
const SHAPE_OF_KG = 520;

/**
 * The outline of a sound foot stretched to these two measures, with a shoe that fits it: an estimate of the shape, as wide
 * and as long as asked for. The shoe ends square at the heels.
 */
export function fitTwoMeasures({ end, width, length, spec }: TwoMeasures): Fit {
  const limb = end === "fore" ? "LF" : "LH";
  const sound = { ...ordinaryFoot(limb, { kind: "horse", massKg: SHAPE_OF_KG }), lateralWiderMm: 0 };
  const marks = soleLandmarks(sound);
  const wide = (marks.wideLateral[0] - marks.wideMedial[0]) / 2;
  const back = Math.min(marks.heelMedial[1], marks.heelLateral[1]);
  const byX = (width / 2 - FRONT_FULLNESS_MM) / wide;
  const byY = (length - FRONT_FULLNESS_MM) / (marks.toe[1] - back);
  const to = ([x, y]: SolarPoint): SolarPoint => [x * byX, (y - back) * byY];
  const knots: OutlineKnots = {
    toe: [0, length - FRONT_FULLNESS_MM],
    toeQuarter: { medial: to(marks.toeQuarterMedial), lateral: to(marks.toeQuarterLateral) },
    wide: { medial: to(marks.wideMedial), lateral: to(marks.wideLateral) },
    heel: { medial: to(marks.heelMedial), lateral: to(marks.heelLateral) },
  };
  const k = sizeFactor(sound) * byX;
  const wall = wallThickness(sound);
  const foot: ShodFoot = {
    outline: outlineThrough(knots),
    knots,
    undistorted: false,
    corY: (corYOf(sound) - back) * byY,
    k,
    trueApex: FROG_MM.apex * k,
    frogHalf: FROG_MM.half * k,
    frogWideY: FROG_MM.wideY * k,
    horn: { toe: hornOfWall(wall.toe * byX), quarter: hornOfWall(wall.quarter * byX) },
    fore: end === "fore",
  };
  const sides = eachSide((side: Side) => (side === "medial" ? spec.fullMedial : spec.fullLateral));
  return fitShoe({
    foot,
    spec: {
      ...spec,
      support: "heel",
      // Fullness is inside the two measures already.
      fullMedial: Math.min(sides.medial, FRONT_FULLNESS_MM),
      fullLateral: Math.min(sides.lateral, FRONT_FULLNESS_MM),
    },
    setting: NO_SETTING,
    breakover: { fromToe: leastRoll(spec), direction: 0 },
    skip: [],
  });
}

const hornOfWall = (thickness: number): number => hornOf({ thickness }) ?? thickness;
