import { NO_CUT, type Cuts } from "../foot/parametric/predict";
import { radians } from "../math/angle";
import { boundedLeastSquares } from "../math/leastSquares";
import { planeOvercut, toeOvercut, type TrimLimits } from "./limits";
import { residuals } from "./objective";
import type { LimitName, TrimQuestion } from "./question";

const asCuts = ([toe = 0, heelMedial = 0, heelLateral = 0, dress = 0]: readonly number[]): Cuts => ({
  toe,
  heelMedial,
  heelLateral,
  dress,
});
const asList = ({ toe, heelMedial, heelLateral, dress }: Cuts): number[] => [
  toe,
  heelMedial,
  heelLateral,
  dress,
];

/** A limit holds a plan back when easing it by 1 mm would save more than this of the objective. */
const BINDING = 1e-6;
/** Less height than this at the toe is none, mm. */
const NO_TOE_MM = 1e-6;

/** The cuts with the least objective, and what stopped them. */
export function optimum(question: TrimQuestion, limits: TrimLimits, targetRoll: number) {
  const { foot } = question;
  const toeHeight = (foot.toeLength - limits.minToeLength) * Math.sin(radians(foot.dorsalAngle));
  if (toeHeight < NO_TOE_MM) return optimumOfShortToe(question, limits, targetRoll);
  const { heelMedial, heelLateral, dress } = limits.most;
  return searched(question, limits, targetRoll, limits.most, limits.minToeLength > 0, [
    { ...NO_CUT, heelMedial, heelLateral },
    { ...NO_CUT, dress },
  ]);
}

/**
 * On a toe that may not be shortened at all the toe is left, and either the heels are cut or the wall is dressed: with
 * both, the plane of the cut would take something off the dressed toe. The better of the two.
 */
function optimumOfShortToe(question: TrimQuestion, limits: TrimLimits, targetRoll: number) {
  const { heelMedial, heelLateral, dress } = limits.most;
  const either = [
    { ...NO_CUT, heelMedial, heelLateral },
    { ...NO_CUT, dress },
  ].map((most) => searched(question, limits, targetRoll, most, false, []));
  const best = either.reduce((a, b) => (b.value < a.value ? b : a));
  const stoppedBy = best.stoppedBy.map((name) =>
    name in limits.most && limits.most[name as keyof Cuts] > 0 && best.most[name as keyof Cuts] === 0
      ? "minToeLength"
      : name,
  );
  return { ...best, stoppedBy: [...new Set(stoppedBy)] };
}

function searched(
  question: TrimQuestion,
  limits: TrimLimits,
  targetRoll: number,
  most: Cuts,
  hasLength: boolean,
  corners: readonly Cuts[],
) {
  const terms = residuals(question, targetRoll);
  const { x, value, atMost, atConstraint } = boundedLeastSquares({
    residuals: (list) => terms(asCuts(list)),
    most: asList(most),
    constraints: [
      ...(hasLength ? [(list: readonly number[]) => toeOvercut(question.foot, limits, asCuts(list))] : []),
      ...limits.planes.map((plane) => (list: readonly number[]) => planeOvercut(plane, asCuts(list))),
    ],
    corners: hasLength ? corners.map(asList) : [],
  });
  const names = [...(hasLength ? ["minToeLength"] : []), ...limits.planes.map(({ name }) => name)];
  const stoppedBy: LimitName[] = [
    ...Object.keys(NO_CUT).filter((_, index) => (atMost[index] ?? 0) > BINDING),
    ...names.filter((_, index) => (atConstraint[index] ?? 0) > BINDING),
  ];
  return { cuts: asCuts(x), value, most, stoppedBy: [...new Set(stoppedBy)] };
}
