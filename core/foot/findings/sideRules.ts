import { readAxis } from "../axis";
import { levelOf } from "../level";
import { boundsOf } from "../survey/ratios";
import type { FootFacts } from "./facts";
import type { Rule } from "./rule";

const axisOf = ({ measures, noise }: FootFacts) => {
  const { dorsalAngle, pasternAngle } = measures;
  return dorsalAngle === undefined || pasternAngle === undefined
    ? undefined
    : { ...readAxis(dorsalAngle, pasternAngle, noise.angleDeg), dorsalAngle, pasternAngle };
};

/** Hairline steeper than this with a very broken-back axis and low heels is suspicious. Assumption, because a sound hairline runs at some 20 to 30 deg. */
const STEEP_HAIRLINE_DEG = 28;
const VERY_BROKEN_BACK_DEG = -8;
const LOW_HEEL_PART = 1 / 3;

const dorsalMinusHeel = ({ measures, side }: FootFacts) =>
  measures.dorsalAngle === undefined || side.heelAngle === undefined
    ? undefined
    : measures.dorsalAngle - side.heelAngle;

/** Rules that read the side view. */
export const SIDE_RULES: readonly Rule[] = [
  {
    id: "low-bone",
    subject: "axis",
    when: "Hairline steep, axis very broken back and heel low, all three together",
    next: "Radiograph before anything is cut: this is a suspicion from outside, not a diagnosis.",
    insteadOf: ["broken-back", "underrun"],
    see: (facts) => {
      const axis = axisOf(facts);
      const { hairlineAngle, heelLength } = facts.side;
      const { toeLength, heelHeightMedial, heelHeightLateral } = facts.measures;
      const heel =
        heelLength ??
        (heelHeightMedial === undefined || heelHeightLateral === undefined
          ? undefined
          : (heelHeightMedial + heelHeightLateral) / 2);
      if (!axis || hairlineAngle === undefined || heel === undefined || toeLength === undefined)
        return undefined;
      if (
        axis.axisDeg > VERY_BROKEN_BACK_DEG ||
        hairlineAngle < STEEP_HAIRLINE_DEG ||
        heel > LOW_HEEL_PART * toeLength
      )
        return undefined;
      const { angle } = facts.wording;
      return {
        level: "ask the vet",
        text: `Suspicion of a low or negative bone angle: broken back ${angle(-axis.axisDeg)}, hairline ${angle(hairlineAngle)}, heel low.`,
        evidence: `Axis beyond ${angle(-VERY_BROKEN_BACK_DEG)}, hairline from ${angle(STEEP_HAIRLINE_DEG)}, heel under a third of the toe.`,
      };
    },
  },
  {
    id: "broken-back",
    subject: "axis",
    lens: "straight-axis",
    when: "Dorsal angle below the pastern's by more than the noise",
    next: "Less toe, or more heel, brings it nearer. Lowering the heel makes it worse.",
    see: (facts) => {
      const axis = axisOf(facts);
      if (axis?.word !== "broken back") return undefined;
      return {
        level: axis.level,
        text: `Broken back ${facts.wording.angle(-axis.axisDeg)}.`,
        evidence: axisEvidence(facts),
      };
    },
  },
  {
    id: "broken-forward",
    subject: "axis",
    lens: "straight-axis",
    when: "Dorsal angle above the pastern's by more than the noise",
    next: "The heel is high for this pastern. Look why before lowering it.",
    see: (facts) => {
      const axis = axisOf(facts);
      if (axis?.word !== "broken forward") return undefined;
      return {
        level: axis.level,
        text: `Broken forward ${facts.wording.angle(axis.axisDeg)}.`,
        evidence: axisEvidence(facts),
      };
    },
  },
  {
    id: "straight",
    subject: "axis",
    lens: "straight-axis",
    when: "Dorsal and pastern angle alike within the noise",
    next: "Keep it.",
    see: (facts) => {
      const axis = axisOf(facts);
      if (axis?.word !== "straight") return undefined;
      return {
        level: "steady",
        text: `Axis straight within the noise of ${facts.wording.angle(axis.noiseDeg)}.`,
        evidence: axisEvidence(facts),
      };
    },
  },
  {
    id: "underrun",
    subject: "heels",
    when: "Heel shallower than the front wall by more than 5°",
    next: "Back to strong horn at the widest of the frog; support there while it grows down.",
    see: (facts) => {
      const off = dorsalMinusHeel(facts);
      const bounds = boundsOf("heelShallowerDeg", facts.bounds);
      if (off === undefined || off <= bounds[0]) return undefined;
      const { angle } = facts.wording;
      return {
        level: levelOf(off, bounds),
        text: `Underrun: the heel stands ${angle(off)} shallower than the front wall.`,
        evidence: `Dorsal ${angle(facts.measures.dorsalAngle ?? 0)}, heel ${angle(facts.side.heelAngle ?? 0)}. Underrun beyond ${angle(bounds[0])}, act beyond ${angle(bounds[1])}.`,
      };
    },
  },
  {
    id: "toe-run",
    subject: "toe",
    lens: "even-halves",
    when: "Toe longer than its yardstick, dished, or further ahead of the centre of rotation than the back of the foot lies behind it",
    next: "Bring the toe back from the outside and underneath; do not thin the sole behind it.",
    see: toeRun,
  },
  {
    id: "toe-right",
    subject: "toe",
    when: "Toe length at its yardstick, or under it",
    next: "There is nothing to shorten.",
    see: (facts) => {
      const { toeLength } = facts.measures;
      if (toeLength === undefined || toeRun(facts)) return undefined;
      const over = toeLength - facts.target.toeLengthMm;
      const { length } = facts.wording;
      const target = length(facts.target.toeLengthMm);
      if (over > facts.noise.lengthMm) return undefined;
      const within = over >= -facts.noise.lengthMm;
      return {
        level: "steady",
        text: within
          ? `Toe length at its target of ${target}.`
          : `Toe ${length(-over)} under its target of ${target}.`,
        evidence: yardstick(facts),
      };
    },
  },
];

const axisEvidence = (facts: FootFacts): string =>
  `Dorsal ${facts.wording.angle(facts.measures.dorsalAngle ?? 0)} minus pastern ${facts.wording.angle(facts.measures.pasternAngle ?? 0)}. Aim 0; marked beyond 5°.`;

const yardstick = ({ target }: FootFacts): string =>
  `Yardstick, not a verdict: ${target.published ? "Balch and others; Turner, by body mass" : "own target, or carried on beyond the table"}.`;

/** A toe that has run: the worst of its length, its dish and its excess by survey, each said once. */
function toeRun(facts: FootFacts) {
  const { wording, measures, survey, side, bounds } = facts;
  const parts: { level: ReturnType<typeof levelOf>; text: string; why: string }[] = [];
  if (measures.toeLength !== undefined) {
    const over = measures.toeLength - facts.target.toeLengthMm;
    const level = levelOf(Math.max(0, over), boundsOf("toeOverYardstickMm", bounds));
    if (over > facts.noise.lengthMm && level !== "steady")
      parts.push({
        level,
        text: `${wording.length(over)} over its target of ${wording.length(facts.target.toeLengthMm)}`,
        why: yardstick(facts),
      });
  }
  const excess = facts.ratios.find(({ name }) => name === "toeExcess");
  if (excess && excess.level !== "steady")
    parts.push({
      level: excess.level,
      text: `${wording.length(survey.toeExcess ?? 0)} further ahead of the centre of rotation than its back half`,
      why: `Toe excess over COR ${excess.value.toFixed(2)}; bounds ${excess.bounds.join(" and ")}.`,
    });
  const dish = side.dish;
  if (dish !== undefined && levelOf(Math.max(0, dish), boundsOf("dishDeg", bounds)) !== "steady")
    parts.push({
      level: levelOf(Math.max(0, dish), boundsOf("dishDeg", bounds)),
      text: `dished by ${wording.angle(dish)}`,
      why: `Upper wall minus lower wall; bounds ${boundsOf("dishDeg", bounds).join("° and ")}°.`,
    });
  if (parts.length === 0) return undefined;
  return {
    level: parts.some(({ level }) => level === "act") ? ("act" as const) : ("drifting" as const),
    text: `The toe has run: ${parts.map(({ text }) => text).join("; ")}.`,
    evidence: parts.map(({ why }) => why).join(" "),
  };
}
