import type { FootFacts } from "../foot/findings/facts";
import { hornOf } from "../foot/horn";
import { isFore, SIDES, type Side } from "../foot/limb";
import { cutFoot } from "../foot/parametric/cut";
import { sideFigure } from "../foot/parametric/figure";
import {
  corYOf,
  eachSide,
  heelYOfSide,
  sizeFactor,
  toeYOf,
  wallThickness,
  type FootParameters,
} from "../foot/parametric/parameters";
import type { SolarMarks } from "../foot/survey/frame";
import type { WallPlace } from "../foot/survey/walls";
import { filledMarks } from "../foot/parametric/surveyedOutline";
import { interpolate } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { NO_CUT, type Cuts } from "../foot/parametric/predict";
import type { ShodFoot } from "./fitQuestion";
import { outlineThrough, sidesOf, widestYOf, type OutlineKnots } from "./outline";

/** The foot that a shoe goes on: trimmed, with the place of its pastern line and what of it was measured. */
export interface FootToShoe {
  foot: ShodFoot;
  /** The parametric foot after the trim, for what is drawn under the shoe. */
  drawn: FootParameters;
  /** y at which the pastern's front line meets the ground, only where the pastern was measured. */
  pasternLineY?: number;
  coffinTipY?: number;
  /** The marks of its sole after the trim, for the drawing under the shoe. */
  marks: SolarMarks;
  /** Its outline goes through measured points, not through a guess. */
  measured: boolean;
}

/**
 * The foot after its trim as a shoe has to fit it: its undistorted outline where the walls tell it, else a smooth curve
 * through toe, toe quarters, widest part and heels. The trim moves toe and heels; the widest part keeps its place.
 * What was dressed besides (`flares`, mm in the ground plane) is off it. Without a survey the points are those of the parametric foot, and `measured` is false.
 */
export function footToShoe(
  facts: FootFacts,
  cuts: Partial<Cuts>,
  flares: Partial<Record<WallPlace, number | undefined>> = {},
): FootToShoe {
  const { drawn: before, marks, survey, outline: shape, walls } = facts;
  const done = cutFoot(before, { ...NO_CUT, ...cuts });
  const after = done.ok ? done.value.foot : before;
  const filled = filledMarks(before, marks);
  const toeBy = toeYOf(after) - toeYOf(before);
  const heelBy = eachSide((side) => heelYOfSide(after, side) - heelYOfSide(before, side));
  const heel = { medial: filled.heelMedial, lateral: filled.heelLateral };
  // What was dressed at quarters and toe quarters is gone from the outline that the shoe has to meet.
  const inward = ([x, y]: SolarPoint, mm = 0): SolarPoint => [x - Math.sign(x) * mm, y];
  const wide = {
    medial: inward(filled.wideMedial, flares.quarterMedial),
    lateral: inward(filled.wideLateral, flares.quarterLateral),
  };
  const moved = (side: Side) => {
    const [from, middle, to] = [heel[side][1], wide[side][1], filled.toe[1]];
    return ([x, y]: SolarPoint): SolarPoint => [
      x,
      y +
        interpolate(
          [
            [from, heelBy[side]],
            [middle, 0],
            [to, toeBy],
          ],
          y,
        ),
    ];
  };
  const knots: OutlineKnots = {
    toe: moved("medial")(filled.toe),
    toeQuarter: {
      medial: inward(moved("medial")(filled.toeQuarterMedial), flares.toeQuarterMedial),
      lateral: inward(moved("lateral")(filled.toeQuarterLateral), flares.toeQuarterLateral),
    },
    wide,
    heel: eachSide((side) => moved(side)(heel[side])),
  };
  const sides = shape && sidesOf(shape.outline);
  const own = sides && eachSide((side) => sides[side].map(moved(side)));
  const usual = wallThickness(before);
  const quarters = [hornOf(walls.quarterMedial), hornOf(walls.quarterLateral)].filter(
    (mm) => mm !== undefined,
  );
  const tip = survey.coffinTip;
  const measuredLine = facts.side.pasternLineFromToe;
  const lineOf = (foot: FootParameters) => sideFigure(foot).pasternLine[0][0];
  const known = facts.measures.pasternAngle !== undefined;
  const lineBefore = measuredLine === undefined ? lineOf(before) : toeYOf(before) + measuredLine;
  return {
    drawn: after,
    measured:
      SIDES.every((side) => marks[side === "medial" ? "wideMedial" : "wideLateral"]) &&
      marks.toe !== undefined,
    foot: {
      outline: own ?? outlineThrough(knots),
      knots: own ? ownKnots(own, knots) : knots,
      undistorted: own !== undefined,
      corY: survey.cor?.median ?? corYOf(after),
      k: survey.k ?? sizeFactor(before),
      trueApex: survey.trueApex ?? 2 * filled.sulcusFront[1],
      frogHalf: (filled.frogLateral[0] - filled.frogMedial[0]) / 2,
      frogWideY: (filled.frogLateral[1] + filled.frogMedial[1]) / 2,
      horn: {
        toe:
          hornOf({
            ...walls.toe,
            thickness: Math.min(
              walls.toe?.thickness ?? usual.toe,
              shape?.evenWallMm ?? Number.POSITIVE_INFINITY,
            ),
          }) ?? 0,
        quarter:
          quarters.length > 0
            ? quarters.reduce((sum, mm) => sum + mm, 0) / quarters.length
            : (hornOf({ thickness: usual.quarter }) ?? 0),
      },
      fore: isFore(facts.limb),
    },
    marks: {
      ...marks,
      toe: markAt(knots.toe),
      heelMedial: markAt(knots.heel.medial),
      heelLateral: markAt(knots.heel.lateral),
      toeQuarterMedial: markAt(knots.toeQuarter.medial),
      toeQuarterLateral: markAt(knots.toeQuarter.lateral),
      wideMedial: markAt(wide.medial),
      wideLateral: markAt(wide.lateral),
    },
    ...(known && { pasternLineY: lineBefore + lineOf(after) - lineOf(before) }),
    ...(tip !== undefined && { coffinTipY: tip }),
  };
}

const markAt = ([x, y]: SolarPoint) => ({ x, y });

/** The same places on the undistorted outline: level with the measured points, its own widest part and ends. */
function ownKnots(own: ShodFoot["outline"], knots: OutlineKnots): OutlineKnots {
  const levelWith = (side: Side, y: number): SolarPoint => {
    const line = own[side];
    return line.reduce((best, point) => (Math.abs(point[1] - y) < Math.abs(best[1] - y) ? point : best));
  };
  return {
    toe: own.medial[0] ?? knots.toe,
    toeQuarter: eachSide((side) => levelWith(side, knots.toeQuarter[side][1])),
    wide: eachSide((side) => levelWith(side, widestYOf(own[side]))),
    heel: eachSide((side) => own[side].at(-1) ?? knots.heel[side]),
  };
}
