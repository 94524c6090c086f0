import { NO_CUT, predictTrim, type Cuts } from "../foot/parametric/predict";
import { planeOvercut, toeOvercut, type LimitQuestion, type TrimLimits } from "./limits";
import type { LimitName, TrimPlan } from "./question";

/** A hand works to this, mm. */
const HAND_STEP_MM = 0.5;

/** What a cut oversteps, by name and by how many mm; empty when it keeps every limit. */
export function overcuts(
  question: LimitQuestion,
  limits: TrimLimits,
  cuts: Cuts,
): { name: LimitName; mm: number }[] {
  const slack = 1e-6;
  const places = (Object.keys(NO_CUT) as (keyof Cuts)[]).map((name) => ({
    name: name as LimitName,
    mm: cuts[name] - limits.most[name],
  }));
  return [
    ...places,
    { name: "minToeLength", mm: limits.minToeLength > 0 ? toeOvercut(question.foot, limits, cuts) : 0 },
    ...limits.planes.map((plane) => ({ name: plane.name, mm: planeOvercut(plane, cuts) })),
  ].filter(({ mm }) => mm > slack);
}

/** Each cut down to half a millimetre. */
export const downToHalf = ({ toe, heelMedial, heelLateral, dress }: Cuts): Cuts => {
  const down = (mm: number) => Math.floor(mm / HAND_STEP_MM + 1e-6) * HAND_STEP_MM + 0;
  return { toe: down(toe), heelMedial: down(heelMedial), heelLateral: down(heelLateral), dress: down(dress) };
};

/** Down to half a millimetre; a plane that then still oversteps a limit loses the half that causes it. */
export function forTheHand(question: LimitQuestion, limits: TrimLimits, cuts: Cuts): Cuts {
  let found = downToHalf(cuts);
  for (let round = 0; round < 40 && overcuts(question, limits, found).length > 0; round++) {
    const place = (["toe", "heelMedial", "heelLateral", "dress"] as const).find((name) => {
      const less = { ...found, [name]: Math.max(0, found[name] - HAND_STEP_MM) };
      return found[name] > 0 && worst(question, limits, less) < worst(question, limits, found) - 1e-9;
    });
    if (!place) return NO_CUT;
    found = { ...found, [place]: Math.max(0, found[place] - HAND_STEP_MM) };
  }
  return found;
}

const worst = (question: LimitQuestion, limits: TrimLimits, cuts: Cuts): number =>
  Math.max(0, ...overcuts(question, limits, cuts).map(({ mm }) => mm));

/**
 * How much more can come off toe and both heels alike after a cut, mm to the half: what still stands above the live sole
 * and margin everywhere, but no more than brings the toe to its target. Equal cuts keep the angle.
 */
export function levelRest(plan: TrimPlan, cuts: Cuts, toeTarget: number): number {
  const { question, limits } = plan;
  let best = 0;
  for (let more = HAND_STEP_MM; more <= 40; more += HAND_STEP_MM) {
    const deeper: Cuts = {
      ...cuts,
      toe: cuts.toe + more,
      heelMedial: cuts.heelMedial + more,
      heelLateral: cuts.heelLateral + more,
    };
    const after = predictTrim(question.foot, deeper);
    if (!after.ok || after.value.toeLength < toeTarget || overcuts(question, limits, deeper).length > 0)
      break;
    best = more;
  }
  return best;
}
