import type { FrontLens, SideLens } from "../foot/lens";
import type { Cuts, PredictedFoot } from "../foot/parametric/predict";
import type { LimitQuestion, TrimLimits } from "./limits";

/** A foot, what may be taken off it, and what it is aimed at. */
export interface TrimQuestion extends LimitQuestion {
  frontBack: FrontLens;
  side: SideLens;
  /** Degrees by which the lateral side is high, as the lens has it; even-sole reads its own, 0 unless given. */
  sideAngle?: number;
  /** A dorsal angle to come near to besides, deg: that of the other foot of the pair. */
  match?: number;
  /** True on a visit that leaves the heels as they are. */
  toeOnly?: boolean;
  /** True where a wide white line or a dished wall leaves dressing to a vet's plan. */
  dressAsksVet?: boolean;
  /** True where the plane of the live sole must not make a broken-back axis worse. */
  holdAxis?: boolean;
  /** A toe length, mm, over which the toe is to come back besides: for a foot that is kept over many trims. */
  toeAim?: number;
}

/** Names of what can stop a cut: the four cuts, the length of the toe, the axis, what one visit takes, or a quarter by its name. */
export type LimitName = string;

/** What the shoe would have to do about what the trim leaves. */
export interface ShoeTask {
  /** Degrees to raise the heels by: the axis left, only while it is still broken back. */
  elevate: number;
  /** The same at the heel, mm over the bearing length before the trim. */
  heelRaise: number;
  /** Breakover back by the excess of front over support, mm. */
  breakoverBack: number;
  /** From the heel after the trim back to the back of the central sulcus, mm. */
  heelExtension: number;
}

export interface TrimPlan {
  question: TrimQuestion;
  /** Exact. */
  cuts: Cuts;
  /** The same rounded down to half a millimetre, for the hand. */
  handCuts: Cuts;
  objective: number;
  predicted: PredictedFoot;
  /** The predicted foot of {@link handCuts}. */
  handPredicted: PredictedFoot;
  targetRoll: number;
  remaining: { axis: number; frontMinusSupport: number; roll: number };
  /** What stopped it, in the order toe, heels, dress, toe length, quarters. */
  stoppedBy: readonly LimitName[];
  limits: TrimLimits;
  shoe: ShoeTask;
}
