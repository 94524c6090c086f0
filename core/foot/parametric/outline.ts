import type { SolarPoint } from "../../geometry/vector";
import { isFore, type Side } from "../limb";
import {
  corYOf,
  halfWidthOf,
  heelHalfWidth,
  heelYOfSide,
  signOf,
  toeYOf,
  wallThickness,
  type FootParameters,
} from "./parameters";

/** Exponent of the curve ahead of the widest part: a hind foot is more pointed. Assumption, from drawn feet. */
const ROUNDNESS = { fore: 2.2, hind: 1.9 };

/**
 * Half the width of the ground outline at `y` on one side, mm, 0 or more: 0 ahead of the toe, the heel's own half
 * width behind it. Smooth through the widest part, where it is half the foot's width.
 */
export function outlineHalfWidth(foot: FootParameters, side: Side, y: number): number {
  const half = halfWidthOf(foot, side);
  const wideY = corYOf(foot);
  if (y >= wideY) {
    const part = Math.min(1, (y - wideY) / (toeYOf(foot) - wideY));
    const power = isFore(foot.limb) ? ROUNDNESS.fore : ROUNDNESS.hind;
    return half * (1 - part ** power) ** (1 / power);
  }
  const heelHalf = heelHalfWidth(foot, side);
  const part = Math.min(1, (wideY - y) / (wideY - heelYOfSide(foot, side)));
  return heelHalf + (half - heelHalf) * (1 - part * part);
}

/** A hand may tap this far outside the wall and still mean it, mm. */
const TAP_SLACK_MM = 6;

/** True for a place on the foot seen from below, its bulbs and a tap's width round it among them. */
export function isOnFoot([x, y]: SolarPoint, foot: FootParameters): boolean {
  const side: Side = x < 0 ? "medial" : "lateral";
  const reach = y > 0 ? outlineHalfWidth(foot, side, y) : heelHalfWidth(foot, side);
  const slack = TAP_SLACK_MM;
  return y >= -BULBS_MM - slack && y <= toeYOf(foot) + slack && Math.abs(x) <= reach + slack;
}
/** How far the bulbs stand behind the back of the sulcus, mm. Assumption, from drawn feet. */
const BULBS_MM = 22;

/** Points from one heel round the toe to the other; more of them where the outline bends. */
const POINTS_A_SIDE = 24;

/** The ground outline, open, from the medial heel round the toe to the lateral heel, solar frame, mm. */
export function groundOutline(foot: FootParameters): SolarPoint[] {
  return roundTheToe(foot, 0, 0);
}

/** The outer edge of the live sole: the outline moved in by the wall, solar frame, mm. */
export function liveSoleOutline(foot: FootParameters): SolarPoint[] {
  const wall = wallThickness(foot);
  return roundTheToe(foot, wall.quarter, wall.toe * 1.3);
}

function roundTheToe(foot: FootParameters, wallAtSide: number, wallAtToe: number): SolarPoint[] {
  const half = (side: Side): SolarPoint[] => {
    const heelY = heelYOfSide(foot, side);
    const reach = toeYOf(foot) - heelY;
    return Array.from({ length: POINTS_A_SIDE }, (_, index) => {
      const y = heelY + reach * Math.sin((index / (POINTS_A_SIDE - 1)) * (Math.PI / 2));
      const towardsToe = Math.max(0, (y - corYOf(foot)) / (toeYOf(foot) - corYOf(foot)));
      const inner = Math.max(0, outlineHalfWidth(foot, side, y) * (1 - wallAtSide / halfWidthOf(foot, side)));
      return [signOf(side) * inner, y - wallAtToe * towardsToe] as const;
    });
  };
  return [...half("medial"), ...half("lateral").reverse().slice(1)];
}
