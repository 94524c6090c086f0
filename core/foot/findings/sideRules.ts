import { readAxis } from "../axis";
import { beyondNoise, levelBeyond, type Level } from "../level";
import { boundsOf } from "../survey/ratios";
import { angleSd, type FootFacts } from "./facts";
import { toeOverLevel } from "./handLevels";
import type { Rule, Seen } from "./rule";

const axisOf = ({ measures, noise }: FootFacts) => {
  const { dorsalAngle, pasternAngle } = measures;
  return dorsalAngle === undefined || pasternAngle === undefined
    ? undefined
    : { ...readAxis(dorsalAngle, pasternAngle, noise.angleDeg), dorsalAngle, pasternAngle };
};

/** Hairline steeper than this with a broken-back axis and low heels is suspicious. Assumption, because a sound hairline runs at some 15 to 25 deg. */
const STEEP_HAIRLINE_DEG = 25;
const BROKEN_BACK_DEG = -5;
const LOW_HEEL_PART = 1 / 3;

const dorsalMinusHeel = ({ measures, side }: FootFacts) =>
  measures.dorsalAngle === undefined || side.heelAngle === undefined
    ? undefined
    : measures.dorsalAngle - side.heelAngle;

/** Lower than this on a radiograph a bone lies flat, deg: usual is 3 to 8, less a degree for the marks. Source: veterinary convention. */
const LOW_PALMAR_DEG = 2;

/** Rules that read the side view. */
export const SIDE_RULES: readonly Rule[] = [
  {
    id: "low-bone",
    subject: "axis",
    when: "Hairline steep, axis broken back beyond 5° and heel low, all three together",
    next: "Radiograph before anything is cut: this is a suspicion from outside, not a diagnosis.",
    insteadOf: ["broken-back", "underrun"],
    see: (facts) => {
      const axis = axisOf(facts);
      const { palmarAngleDeg, date } = facts.filmed ?? {};
      // What a radiograph shows is no suspicion any more.
      if (palmarAngleDeg !== undefined)
        return palmarAngleDeg >= LOW_PALMAR_DEG
          ? undefined
          : {
              level: "ask the vet",
              text: `A low bone angle: ${facts.wording.angle(palmarAngleDeg)} against the ground.`,
              evidence: `On the radiograph of ${date ?? ""}; about 3 to 8° is usual.`,
            };
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
        axis.axisDeg >= BROKEN_BACK_DEG ||
        beyondNoise(hairlineAngle, angleSd(facts)) <= STEEP_HAIRLINE_DEG ||
        heel > LOW_HEEL_PART * toeLength
      )
        return undefined;
      const { angle } = facts.wording;
      return {
        level: "ask the vet",
        text: `Suspicion of a low or negative bone angle: broken back ${angle(-axis.axisDeg)}, hairline ${angle(hairlineAngle)}, heel low.`,
        evidence: `Axis beyond ${angle(-BROKEN_BACK_DEG)}, hairline beyond ${angle(STEEP_HAIRLINE_DEG)} and its noise, heel under a third of the toe.`,
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
      if (off === undefined) return undefined;
      const level = levelBeyond(Math.max(0, off), Math.SQRT2 * angleSd(facts), bounds);
      if (level === "steady") return undefined;
      const { angle } = facts.wording;
      return {
        level,
        text: `Underrun: the heel stands ${angle(off)} shallower than the front wall.`,
        evidence: `Dorsal ${angle(facts.measures.dorsalAngle ?? 0)}, heel ${angle(facts.side.heelAngle ?? 0)}. Underrun beyond ${angle(bounds[0])}, act beyond ${angle(bounds[1])}, and the noise of two readings.`,
      };
    },
  },
  {
    id: "toe-run",
    subject: "toe",
    lens: "even-halves",
    when: "The wall dished, or the toe further ahead of the centre of rotation than its length alone takes it",
    next: "Bring the toe back from the outside and underneath; do not thin the sole behind it.",
    insteadOf: ["toe-long"],
    see: toeRun,
  },
  {
    id: "toe-long",
    subject: "toe",
    when: "Toe longer than its target, and no more than its length alone makes it",
    next: "Shorten it to the live sole: growth is growth. Ask whether the interval is too long for this foot.",
    see: toeLong,
  },
  {
    id: "dish-vet",
    subject: "toe",
    when: "Dish of the front wall beyond 6° and its noise",
    next: "No dressing yet: a wall this far off its bone wants a radiograph first.",
    insteadOf: ["toe-run", "toe-long"],
    see: (facts) => {
      const { dish } = facts.side;
      const bounds = boundsOf("dishDeg", facts.bounds);
      if (dish === undefined || levelBeyond(Math.max(0, dish), Math.SQRT2 * angleSd(facts), bounds) !== "act")
        return undefined;
      return {
        level: "ask the vet",
        text: `The front wall is dished by ${facts.wording.angle(dish)}: dressing waits for a radiograph.`,
        evidence: `Upper wall minus lower wall; beyond ${bounds[1]}° and the noise of two readings the bone may have let go of the wall.`,
      };
    },
  },
  {
    id: "toe-right",
    subject: "toe",
    when: "Toe length at its yardstick, or under it",
    next: "There is nothing to shorten.",
    see: (facts) => {
      const { toeLength } = facts.measures;
      if (toeLength === undefined || toeRun(facts) || toeLong(facts)) return undefined;
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

/** A toe over its target, beyond the noise: long. Whether it has also run is for {@link toeRun} to say. */
function toeLong(facts: FootFacts): Seen | undefined {
  const { wording, measures, target } = facts;
  if (measures.toeLength === undefined) return undefined;
  const over = measures.toeLength - target.toeLengthMm;
  const level = toeOverLevel(over, facts);
  if (level === "steady") return undefined;
  return {
    level,
    text: `The toe is long: ${wording.length(over)} over its target of ${wording.length(target.toeLengthMm)}.`,
    evidence: yardstick(facts),
  };
}

/** A toe that has run: its dish or its excess by survey, beyond what its length alone explains, each said once. */
function toeRun(facts: FootFacts): Seen | undefined {
  const { wording, survey, side, bounds } = facts;
  const parts: { level: Level; text: string; why: string }[] = [];
  const excess = facts.ratios.find(({ name }) => name === "toeExcess");
  if (excess && excess.level !== "steady")
    parts.push({
      level: excess.level,
      text: `${wording.length(excess.value * (survey.cor?.median ?? 0))} further ahead of the centre of rotation than its back half`,
      why: `Toe excess over COR, less what the length alone takes it forward, ${excess.value.toFixed(2)} ± ${excess.sd.toFixed(2)}; bounds ${excess.bounds.join(" and ")}.`,
    });
  const { dish } = side;
  const dishBounds = boundsOf("dishDeg", bounds);
  const dished = levelBeyond(Math.max(0, dish ?? 0), Math.SQRT2 * angleSd(facts), dishBounds);
  if (dish !== undefined && dished !== "steady")
    parts.push({
      level: dished,
      text: `dished by ${wording.angle(dish)}`,
      why: `Upper wall minus lower wall; bounds ${dishBounds.join("° and ")}°, beyond the noise of two readings.`,
    });
  if (parts.length === 0) return undefined;
  const long = toeLong(facts);
  return {
    level: [...parts, ...(long ? [long] : [])].some(({ level }) => level === "act") ? "act" : "drifting",
    text: `The toe has run: ${parts.map(({ text }) => text).join("; ")}.${long ? ` ${long.text}` : ""}`,
    evidence: [...parts.map(({ why }) => why), ...(long ? [long.evidence] : [])].join(" "),
  };
}
