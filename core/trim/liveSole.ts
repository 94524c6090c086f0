import { heelYOf, type Cuts } from "../foot/parametric/predict";
import { radians } from "../math/angle";
import { planeOvercut, toeOvercut, type TrimLimits } from "./limits";
import type { LimitName, TrimQuestion } from "./question";

/** An axis that is not broken back yet may come down as far as still reads as straight, deg. */
const STILL_STRAIGHT_DEG = -1;

/**
 * The wall brought to the plane of the live sole: every point is cut by what is available there, the toe only as far as
 * its least length allows, and all three by one share less where a quarter, or what one visit takes, would be overcut.
 * With `holdAxis` both heels come down alike less far, so that an axis that is broken back gets no worse and none is
 * broken back by it. What stands outside the foot's own shape at the toe is dressed, where it is known.
 */
export function liveSolePlane(
  question: TrimQuestion,
  limits: TrimLimits,
): { cuts: Cuts; stoppedBy: LimitName[] } {
  const dress = question.outside === undefined ? 0 : limits.most.dress;
  const full: Cuts = { ...limits.most, dress };
  const short = withToeWithinLength(question, limits, full);
  const held = question.holdAxis ? withAxisHeld(question, short) : short;
  // Less off the heels leaves the toe more of its length.
  const whole = held === short ? short : withToeWithinLength(question, limits, { ...held, toe: full.toe });
  const shortened = whole.toe < full.toe;
  const stoppedBy: LimitName[] = [
    ...(shortened ? [] : ["toe"]),
    ...(held === short ? ["heelMedial", "heelLateral"] : ["axis"]),
    ...(shortened ? ["minToeLength"] : []),
  ];
  const over = limits.planes.filter((plane) => planeOvercut(plane, whole) > 0);
  if (over.length === 0) return { cuts: whole, stoppedBy };
  // A plane's cut is linear in the three heights: the share that keeps the tightest one.
  const share = Math.min(...over.map((plane) => plane.most / (planeOvercut(plane, whole) + plane.most)));
  return {
    cuts: {
      toe: whole.toe * share,
      heelMedial: whole.heelMedial * share,
      heelLateral: whole.heelLateral * share,
      dress: whole.dress,
    },
    stoppedBy: [...new Set(over.map(({ name }) => name))],
  };
}

/** The cuts with the toe's own as far as its length allows; a toe that allows none at all is not dressed either. */
function withToeWithinLength(question: TrimQuestion, limits: TrimLimits, cuts: Cuts): Cuts {
  const over = (of: Cuts) => (limits.minToeLength === 0 ? 0 : toeOvercut(question.foot, limits, of));
  if (over(cuts) <= 0) return cuts;
  if (over({ ...cuts, toe: 0 }) > 0) return { ...cuts, toe: 0, dress: 0 };
  // The overcut is linear in the toe's cut.
  const none = over({ ...cuts, toe: 0 });
  return { ...cuts, toe: Math.max(0, (cuts.toe * none) / (none - over(cuts))) };
}

/** Both heels less by the same, one that has nothing left by less, so that the axis is held. */
function withAxisHeld({ foot }: TrimQuestion, cuts: Cuts): Cuts {
  const axis = foot.dorsalAngle - foot.pasternAngle;
  const turn = Math.min(0, (axis < 0 ? axis : STILL_STRAIGHT_DEG) - axis);
  const most = cuts.toe - (foot.toeY - heelYOf(foot)) * Math.tan(radians(turn));
  const mean = (cuts.heelMedial + cuts.heelLateral) / 2;
  if (mean <= most + 1e-9) return cuts;
  const less = mean - most;
  const lower = Math.min(cuts.heelMedial, cuts.heelLateral);
  const both = Math.min(less, lower);
  // What the lower heel cannot give back the other one does, twice over in the mean.
  const rest = 2 * (less - both);
  const heel = (mm: number) => Math.max(0, mm - both - (mm === lower ? 0 : rest));
  return { ...cuts, heelMedial: heel(cuts.heelMedial), heelLateral: heel(cuts.heelLateral) };
}
