import type { SolarPoint } from "../geometry/vector";
import type { Side } from "../foot/limb";
import { SIDES } from "../foot/limb";
import type { Cuts, TrimFoot } from "../foot/parametric/predict";
import { planeWeights } from "./limits";

/** Where a toe quarter lies: this part of the way from heel to toe, and so far out over the heel's half width. Assumption, from drawn feet. */
const TOE_QUARTER = { along: 0.78, out: 1.22 };
/** Less than this is within a rasp's stroke, mm. */
const PROUD_FROM_MM = 0.5;

/**
 * What stays proud at a toe quarter where a hand blends the wall of each side straight from heel to toe, mm over the
 * plane of the cut; undefined where neither does by half a millimetre. It is the toe quarter on the side of the heel that
 * comes down more: the wall bulges past the straight line from heel to toe, and a plane that rolls to that side lies
 * deeper there than the line. Source: plane geometry.
 */
export function proudToeQuarter(foot: TrimFoot, cuts: Cuts): { side: Side; mm: number } | undefined {
  const proud = SIDES.map((side) => {
    const [x, y] = side === "medial" ? foot.heelMedial : foot.heelLateral;
    const heelCut = side === "medial" ? cuts.heelMedial : cuts.heelLateral;
    const at: SolarPoint = [x * TOE_QUARTER.out, y + TOE_QUARTER.along * (foot.toeY - y)];
    const { toe, heelMedial, heelLateral } = planeWeights(foot, at);
    const plane = toe * cuts.toe + heelMedial * cuts.heelMedial + heelLateral * cuts.heelLateral;
    const blended = heelCut + TOE_QUARTER.along * (cuts.toe - heelCut);
    return { side, mm: plane - blended };
  });
  const [first] = proud.sort((a, b) => b.mm - a.mm);
  return first && first.mm >= PROUD_FROM_MM ? first : undefined;
}
