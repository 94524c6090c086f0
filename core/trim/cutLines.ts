import { sideFigure } from "../foot/parametric/figure";
import { heelHalfWidth, meanHeelY, signOf, toeYOf, type FootParameters } from "../foot/parametric/parameters";
import type { RearPoint, SidePoint, Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import type { Cuts } from "../foot/parametric/predict";

/** Where a cut runs on the drawings of the foot as it stands, mm. */
export interface CutLines {
  /** Side view `[y, z]`: the plane of the cut over the toe's and the mean heel's place on the ground. */
  side: { toe: SidePoint; heel: SidePoint };
  /** Closed: the horn that comes off, seen from the side. */
  off: SidePoint[];
  /** The dressed wall from the ground up to where dressing ends, half way up. */
  dressed: readonly [SidePoint, SidePoint];
  /** Rear view `[x, z]`. */
  rear: { medial: RearPoint; lateral: RearPoint };
  /** The same lines for the most that may be cut, and whether the cut goes past it. */
  most: { side: { toe: SidePoint; heel: SidePoint }; rear: { medial: RearPoint; lateral: RearPoint } };
}

/** Part of the wall over which a flare may be dressed. Source: trade practice, the lower half at most. */
const DRESSED_PART = 0.5;

/** The lines of a cut and of its limit on the foot as it stands. */
export function cutLines(foot: FootParameters, cuts: Cuts, most: Cuts): CutLines {
  const [toeY, heelY] = [toeYOf(foot), meanHeelY(foot)];
  const side = (of: Cuts) => ({
    toe: [toeY, of.toe] as SidePoint,
    heel: [heelY, (of.heelMedial + of.heelLateral) / 2] as SidePoint,
  });
  const rear = (of: Cuts) => ({
    medial: [signOf("medial") * heelHalfWidth(foot, "medial"), of.heelMedial] as RearPoint,
    lateral: [signOf("lateral") * heelHalfWidth(foot, "lateral"), of.heelLateral] as RearPoint,
  });
  const { toe, heel } = side(cuts);
  const figure = sideFigure(foot);
  const dressTop = foot.toeLengthMm * DRESSED_PART;
  const angle = radians(foot.dorsalAngleDeg - foot.dishDeg);
  return {
    side: { toe, heel },
    off: belowLine(figure.hoof, heel, toe) as SidePoint[],
    dressed: [
      [toeY - cuts.dress / Math.sin(radians(foot.dorsalAngleDeg)), 0],
      [toeY - dressTop * Math.cos(angle), dressTop * Math.sin(angle)],
    ],
    rear: rear(cuts),
    most: { side: side(most), rear: rear(most) },
  };
}

/** The part of a closed polygon under the line from a to b (a before b in x), as a closed polygon. */
export function belowLine(polygon: readonly Vector[], a: Vector, b: Vector): Vector[] {
  const over = ([x, z]: Vector) => z - (a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]));
  return polygon.flatMap((point, index) => {
    const next = polygon[(index + 1) % polygon.length] as Vector;
    const [here, there] = [over(point), over(next)];
    const kept: Vector[] = here <= 0 ? [point] : [];
    if (here <= 0 === there <= 0) return kept;
    const part = here / (here - there);
    return [...kept, [point[0] + part * (next[0] - point[0]), point[1] + part * (next[1] - point[1])]];
  });
}
