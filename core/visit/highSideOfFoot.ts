import { highSideVerdict, leftAfterCut } from "../balance/highSideVerdict";
import { wouldSettle, type HighSide, type WitnessName } from "../foot/highSide";
import type { Side } from "../foot/limb";
import type { Wording } from "../foot/wording";
import { presentFinds, sideOfFind } from "../foot/records/look";
import { wornSide } from "../foot/wear";
import { landingOf } from "../gait/watching";
import { pushedUpSide } from "../gait/movementRules";
import type { VisitFacts } from "./findings";
import { counted } from "../units/counted";

/** A sign without a number, and the side it speaks for. */
export interface PlainSign {
  name: string;
  /** With the words medial and lateral in it. */
  says: string;
  side: Side;
}

/** Which heel side stands higher: the verdict of the numbers, and beside it the signs without one. */
export interface HighSideOfFoot {
  verdict: HighSide | undefined;
  /** The side that is high beyond its doubt. */
  high: Side | undefined;
  agree: boolean;
  signs: PlainSign[];
  settle: WitnessName | undefined;
}

/** Half widths that differ by less than this say nothing, mm. */
const FLARE_SAYS_MM = 6;

const other = (side: Side): Side => (side === "medial" ? "lateral" : "medial");

/** The verdict on one foot from everything that was measured and seen of it. */
export function highSideOfFoot(facts: VisitFacts): HighSideOfFoot {
  const { survey, look, watching } = facts;
  const { verdict, high, agree } = highSideVerdict(facts);
  const signs: PlainSign[] = [];
  const pushed = pushedUpSide(watching);
  if (pushed)
    signs.push({
      name: "Hairline, standing",
      says: `pushed up on the ${pushed}: that side is the tall one`,
      side: pushed,
    });
  /** The side that lands or wears is as a rule worn down; on a sheared foot, hairline pushed up over it, it is the tall one. */
  const loaded = (name: string, side: Side, seen: string) =>
    signs.push(
      side === pushed
        ? { name, says: `${seen}, hairline pushed up over it: the tall one`, side }
        : { name, says: `${seen}: worn down as a rule, and the other grown long`, side: other(side) },
    );
  const landing = watching?.lands && landingOf(watching.lands).side;
  if (landing) loaded("Landing", landing, `lands on the ${landing} side`);
  const worn = look && wornSide(look.wear);
  if (worn) loaded("Wear", worn, `the ${worn} branch is worn`);
  if (look?.cleft && look.cleft !== "upright") {
    const leans: Side = look.cleft === "to medial" ? "medial" : "lateral";
    signs.push({ name: "Cleft", says: `leans to ${leans}, away from the loaded side`, side: other(leans) });
  }
  const forward = (["medial", "lateral"] as const).filter((side) => look?.tubules?.[side] === "run forward");
  const [only] = forward;
  if (only && forward.length === 1)
    signs.push({ name: "Tubules", says: `run forward in the ${only} quarter: it carries more`, side: only });
  const flare =
    survey.halfWidth.medial === undefined || survey.halfWidth.lateral === undefined
      ? 0
      : survey.halfWidth.lateral - survey.halfWidth.medial;
  if (Math.abs(flare) > FLARE_SAYS_MM * (survey.k ?? 1)) {
    const wide: Side = flare > 0 ? "lateral" : "medial";
    signs.push({
      name: "Half widths",
      says: `wider to ${wide}: the steep side stands higher`,
      side: other(wide),
    });
  }
  for (const [, find] of presentFinds(look)) {
    const side = find.kind === "crack" ? sideOfFind(find) : undefined;
    if (side) signs.push({ name: "Crack", says: `on the ${side} side: it carries more`, side });
  }
  return { verdict, high, agree, signs, settle: wouldSettle(verdict) };
}

/** Less than this apart is level for a rasp, mm. */
const RASP_LEVEL_MM = 1;

/**
 * What the verdict says to a cut of the heels, before it is made: which heel is high, how sure that is, and what the cut
 * leaves of it. Undefined where nothing was measured.
 */
export function verdictOnCut(
  facts: VisitFacts,
  cuts: { heelMedial: number; heelLateral: number },
  wording: Wording,
): string | undefined {
  const { verdict, high, agree } = highSideVerdict(facts);
  if (!verdict) return undefined;
  if (!agree)
    return "Which heel is high: the witnesses contradict one another. Measure again before one side is cut more than the other.";
  const doubt = `± ${wording.cut(1.96 * verdict.sd)}`;
  const left = leftAfterCut(verdict, cuts);
  const sideOf = (mm: number): string => wording.side(mm > 0 ? "lateral" : "medial");
  const count = counted(verdict.n, "witness", "witnesses");
  const leaves =
    Math.abs(left) < RASP_LEVEL_MM
      ? "this cut leaves it level"
      : `this cut leaves the ${sideOf(left)} ${wording.cut(Math.abs(left))} high`;
  return high
    ? `By ${count} the ${wording.side(high)} heel stands ${wording.cut(Math.abs(verdict.mean))} high, ${doubt}; ${leaves}.`
    : `By ${count} neither heel is surely high (${wording.cut(Math.abs(verdict.mean))} ${sideOf(verdict.mean)}, ${doubt}); ${leaves}.`;
}

/** What the shoe is told of a heel that is still high after the cut, beyond its doubt; undefined where none is. */
export function highSideLeft(
  facts: VisitFacts,
  cuts: { heelMedial?: number | undefined; heelLateral?: number | undefined },
  wording: Wording,
): string | undefined {
  const { verdict, agree } = highSideVerdict(facts);
  if (!verdict || !agree) return undefined;
  const left = leftAfterCut(verdict, {
    heelMedial: cuts.heelMedial ?? 0,
    heelLateral: cuts.heelLateral ?? 0,
  });
  if (Math.abs(left) <= 1.96 * verdict.sd) return undefined;
  return `The ${wording.side(left > 0 ? "lateral" : "medial")} heel still stands ${wording.cut(Math.abs(left))} high by ${counted(verdict.n, "witness", "witnesses")}: the next trims level it, not a wedge.`;
}
