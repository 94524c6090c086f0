import type { Wording } from "../foot/wording";
import type { Specification } from "../shoe/specification";
import type { GroundDifference, GroundNumbers, Sensitivity } from "./compare";
import { isSoft, isTurf, nearestGround } from "./grounds";
import { TOLD } from "./told";

/** How well a claim is supported, as it is shown beside it. */
export const SUPPORTS = {
  model: "this model",
  practice: "trade practice",
  published: "measured on horses",
} as const;
export type EffectSupport = keyof typeof SUPPORTS;

/** One thing that a shoe spares or that pays for it, with how well that is supported. */
export interface Effect {
  who: string;
  text: string;
  support: EffectSupport;
  /** A publication, where there is one. */
  source?: string;
}

/** What a shoe does against the first one on one ground, both sides. */
export interface WhoPays {
  /** One line that answers the question of the moment. */
  headline: string;
  /** Whether it changes how the foot stands, only what lies behind or before it, or nothing. */
  kind: "posture" | "lever" | "nothing";
  spared: Effect[];
  pays: Effect[];
}

/** On firm ground a foot stands as it was trimmed; within this nothing differs, deg. */
const SAME_DEG = 0.1;

/** What was measured on horses, for raised heels: a foot that stands steeper on soft ground is taken to do the same. */
const HEEL_WEDGE = "Willemen, Savelberg and Barneveld 1999, heel wedges and egg bars at the trot";
const STEEPER_STRAIN = "Riemersma and others 1996, tendon strain and shoeing in ponies";

export const MEASURED = [HEEL_WEDGE, STEEPER_STRAIN] as const;

const deg = (value: number): string => `${Math.abs(value).toFixed(1)}°`;
const percent = (part: number): string => `${Math.round(100 * Math.abs(part))} %`;
const share = (part: number): string => `${Math.round(100 * part)} %`;

interface Question {
  spec: Specification;
  answer: GroundNumbers;
  difference: GroundDifference;
  sensitivity?: Sensitivity | undefined;
  first: { spec: Specification; answer: GroundNumbers };
  stiffness: number;
  wording: Wording;
}

/** How much steeper than the first shoe: the raise that is forged or padded in, on every ground. */
const raisedBy = ({ spec, first }: Question): number =>
  (spec.raise?.degrees ?? 0) - (first.spec.raise?.degrees ?? 0);

/**
 * What a shoe spares and who pays, by its differences from the first one. On soft ground how the foot stands is told, on firm
 * ground only the levers and what the hoof is handed: there posture hangs on tenths of a millimetre of levelness.
 */
export function whoPays(question: Question): WhoPays {
  const { difference, stiffness, sensitivity } = question;
  const soft = isSoft(stiffness);
  const { on } = nearestGround(stiffness);
  const spared: Effect[] = [];
  const pays: Effect[] = [];
  if (soft) posture(question, spared, pays);
  levers(question, spared, pays);
  hoof(question, spared, pays);
  const raise = raisedBy(question);
  if (Math.abs(raise) >= TOLD.pitchDeg)
    (raise > 0 ? pays : spared).push({
      who: "Raise",
      text: `${deg(raise)} ${raise > 0 ? "more" : "less"} are made into it and count on every ground, before the ground gives.`,
      support: "model",
    });
  const steeper = difference.pitch > 0 ? "steeper" : "shallower";
  const range =
    sensitivity && sensitivity.from * sensitivity.to > 0
      ? ` (${deg(Math.min(Math.abs(sensitivity.from), Math.abs(sensitivity.to)))} to ${deg(Math.max(Math.abs(sensitivity.from), Math.abs(sensitivity.to)))} as load and limb go)`
      : "";
  if (soft && Math.abs(difference.pitch) >= TOLD.pitchDeg)
    return {
      headline: `Stands ${deg(difference.pitch)} ${steeper} ${on}${range}.`,
      kind: "posture",
      spared,
      pays,
    };
  const kind = spared.length + pays.length > 0 ? "lever" : "nothing";
  const stands = soft
    ? `Stands the same ${on}, within half a degree.`
    : Math.abs(difference.pitch) <= SAME_DEG
      ? `Does not change how the foot stands ${on}.`
      : `Nothing to count on in how the foot stands ${on}: ${deg(difference.pitch)} by the model, as much as unlevel ground gives.`;
  const { support } = difference;
  const reaches =
    Math.abs(support) >= TOLD.supportMm
      ? ` Its support reaches ${question.wording.length(Math.abs(support))} ${support > 0 ? "further back" : "less far back"}.`
      : "";
  return {
    headline: kind === "nothing" ? `${stands} No difference that is worth telling.` : `${stands}${reaches}`,
    kind,
    spared,
    pays,
  };
}

/** Soft ground: how the foot stands and how deep. */
function posture(
  { difference, stiffness, wording, answer, first }: Question,
  spared: Effect[],
  pays: Effect[],
): void {
  const { pitch, pull, sink, roll, toePeak } = difference;
  if (Math.abs(pitch) >= TOLD.pitchDeg) {
    const steeper = pitch > 0;
    (steeper ? spared : pays).push({
      who: "Deep flexor, podotrochlear region",
      text: `pull at breakover ${percent(pull - 1)} ${pull < 1 ? "less" : "more"}, the foot standing ${steeper ? "steeper" : "shallower"}.`,
      support: "published",
      source: HEEL_WEDGE,
    });
    (steeper ? pays : spared).push({
      who: "Suspensory, superficial flexor",
      text: steeper
        ? "the upper bones descend as the foot stands steeper, and these hold them."
        : "the upper bones stand higher as the foot stands shallower.",
      support: "published",
      source: STEEPER_STRAIN,
    });
  }
  if (Math.abs(toePeak - 1) >= TOLD.peak)
    (toePeak > 1 ? pays : spared).push({
      who: "Toe",
      text: `the shoe presses it ${percent(toePeak - 1)} ${toePeak > 1 ? "harder" : "less"}.`,
      support: "model",
    });
  if (Math.abs(sink) >= TOLD.sinkMm) {
    const less = sink < 0;
    const turf = isTurf(stiffness);
    (less === turf ? pays : spared).push({
      who: turf ? "Grip" : "Tendons",
      text: `sinks ${wording.length(Math.abs(sink))} ${less ? "less" : "more"}, of ${wording.length(first.answer.sink)}: ${
        turf ? "on turf sinking is grip" : "in deep ground sinking works the tendons"
      }.`,
      support: "practice",
    });
  }
  const [own, was] = [Math.abs(answer.roll), Math.abs(first.answer.roll)];
  if (Math.abs(roll) >= TOLD.rollDeg)
    (own < was ? spared : pays).push({
      who: "Joints, side to side",
      text: `tilts ${deg(own)} to ${wording.side(answer.roll > 0 ? "lateral" : "medial")}, ${deg(was)} with the first.`,
      support: "model",
    });
}

/** Any ground: where the foot breaks over and how far its support reaches. */
function levers(
  { difference, answer, first, wording, stiffness }: Question,
  spared: Effect[],
  pays: Effect[],
): void {
  const soft = isSoft(stiffness);
  const { front, support, pull } = difference;
  const told = soft && Math.abs(difference.pitch) >= TOLD.pitchDeg;
  if (!told && Math.abs(front) >= TOLD.leverMm)
    (front < 0 ? spared : pays).push({
      who: "Deep flexor at breakover",
      text: `the lever in front is ${wording.length(Math.abs(front))} ${front < 0 ? "shorter" : "longer"}, the pull ${percent(pull - 1)} ${pull < 1 ? "less" : "more"}.`,
      support: "model",
    });
  if (Math.abs(support) < TOLD.supportMm) return;
  const longer = support > 0;
  const halves = ({ lever }: GroundNumbers) => {
    const of = Math.round((100 * lever.front) / (lever.front + lever.support));
    return `${of} : ${100 - of}`;
  };
  (longer ? spared : pays).push({
    who: "Support",
    text: `front : support ${halves(answer)}, ${halves(first.answer)} with the first.`,
    support: "model",
  });
  (longer ? pays : spared).push({
    who: "Landing",
    text: `the lever behind is ${wording.length(Math.abs(support))} ${longer ? "longer: the heels meet the ground earlier and the foot is slapped down" : "shorter"}.`,
    support: "practice",
  });
}

/** What the hoof is handed by its shoe: on firm ground only what a pad or a plate passes on, for the rest hangs on levelness. */
function hoof({ difference, answer, first, stiffness }: Question, spared: Effect[], pays: Effect[]): void {
  const { heelPeak, frog } = difference;
  const frogCarries = Math.abs(frog) >= TOLD.share;
  if (!isSoft(stiffness) && !frogCarries) return;
  if (Math.abs(heelPeak - 1) >= TOLD.peak)
    (heelPeak > 1 ? pays : spared).push({
      who: "Heels of the hoof",
      text: `the shoe presses their wall ${percent(heelPeak - 1)} ${heelPeak > 1 ? "harder" : "less"}.`,
      support: "model",
    });
  if (frogCarries)
    (frog > 0 ? pays : spared).push({
      who: "Frog",
      text: `carries ${share(answer.hoof.frog)} of the load, ${share(first.answer.hoof.frog)} with the first.`,
      support: "model",
    });
}
