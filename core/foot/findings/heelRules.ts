import { levelBeyond } from "../level";
import { boundsOf } from "../survey/ratios";
import { angleSd, lengthSd, type FootFacts } from "./facts";
import { heelDifferenceLevel } from "./handLevels";
import type { Rule, Seen } from "./rule";

/** Lateral minus medial heel height, mm. */
const heelDifference = ({ measures }: FootFacts) =>
  measures.heelHeightLateral === undefined || measures.heelHeightMedial === undefined
    ? undefined
    : measures.heelHeightLateral - measures.heelHeightMedial;

const uneven = (facts: FootFacts): Seen | undefined => {
  const difference = heelDifference(facts);
  const bounds = boundsOf("heelHeightDifferenceMm", facts.bounds);
  if (difference === undefined) return undefined;
  const level = heelDifferenceLevel(difference, facts);
  if (level === "steady") return undefined;
  const { wording } = facts;
  const taller = difference > 0 ? "lateral" : "medial";
  const forward = facts.survey.heelDifference;
  const curled =
    forward !== undefined && Math.abs(forward) > facts.noise.lengthMm
      ? forward > 0 === difference > 0
        ? ` It has also run ${wording.length(Math.abs(forward))} further forward: the curled one is the taller one, whatever the limb looks like.`
        : ` Yet the other heel lies further forward by ${wording.length(Math.abs(forward))}: measure both again.`
      : "";
  return {
    level,
    text: `The ${wording.side(taller)} heel stands ${wording.length(Math.abs(difference))} taller.${curled}`,
    evidence: `Heel heights, hairline straight down to the ground, lateral minus medial. Steady to ${bounds[0]} mm, act beyond ${bounds[1]} mm, and the noise of a difference.`,
  };
};

/** Heel buttresses apart over the width of the foot. Assumption, because drawn and surveyed sound feet lie about there. */
const SOUND_HEEL_WIDTH = 0.66;

/** True where the heel heights differ and the hairline tilts the same way, both beyond their noise: sheared heels. */
export function isSheared(facts: FootFacts): boolean {
  const difference = heelDifference(facts);
  const tilt = facts.rear.hairlineTilt;
  if (difference === undefined || tilt === undefined || difference > 0 !== tilt > 0) return false;
  return (
    heelDifferenceLevel(difference, facts) === "act" &&
    levelBeyond(tilt, Math.SQRT2 * angleSd(facts), boundsOf("hairlineTiltDeg", facts.bounds)) !== "steady"
  );
}

/** Rules about both heels and the bars. */
export const HEEL_RULES: readonly Rule[] = [
  {
    id: "sheared-heels",
    subject: "heels",
    lens: "even-sole",
    when: "Heel heights differ by more than 5 mm and the hairline tilts with them",
    next: "Relieve the taller side, more often and less at a time; watch the landing.",
    // What is seen of it as well is no second trouble: it stands with the witnesses of the high side.
    insteadOf: ["heels-uneven", "hairline-tilted", "hairline-pushed", "lands-one-side", "tubules-forward"],
    see: (facts) => {
      const difference = heelDifference(facts);
      const tilt = facts.rear.hairlineTilt;
      if (difference === undefined || tilt === undefined || !isSheared(facts)) return undefined;
      const bounds = boundsOf("heelHeightDifferenceMm", facts.bounds);
      const tiltBounds = boundsOf("hairlineTiltDeg", facts.bounds);
      const { wording } = facts;
      const side = wording.side(difference > 0 ? "lateral" : "medial");
      return {
        level: "act",
        text: `Sheared heels: the ${side} heel stands ${wording.length(Math.abs(difference))} taller and the hairline is pushed up ${wording.angle(Math.abs(tilt))} over it.`,
        evidence: `Heel heights differ by more than ${bounds[1]} mm and the hairline, read by itself, by more than ${tiltBounds[0]}°, the same way, both beyond their noise.`,
      };
    },
  },
  {
    id: "heels-uneven",
    subject: "heels",
    lens: "even-sole",
    when: "Heel heights differ by more than 2 mm and the noise of a difference",
    next: "Check both against the live sole before lowering one.",
    see: uneven,
  },
  {
    id: "heels-level",
    subject: "heels",
    when: "Heel heights alike within 2 mm and the noise of a difference",
    next: "Keep them.",
    see: (facts) => {
      const difference = heelDifference(facts);
      if (difference === undefined || uneven(facts)) return undefined;
      return {
        level: "steady",
        text:
          Math.abs(difference) <= boundsOf("heelHeightDifferenceMm", facts.bounds)[0]
            ? "Heels level, hairline to ground."
            : `Heels level within what a hand can tell: ${facts.wording.length(Math.abs(difference))}.`,
        evidence: `Lateral minus medial ${facts.wording.length(difference)}.`,
      };
    },
  },
  {
    id: "hairline-tilted",
    subject: "hairline",
    lens: "level-hairline",
    when: "Seen from behind, the hairline is not parallel to the ground",
    next: "It lags by weeks: use it to follow change, not to set today's cut.",
    see: (facts) => {
      const tilt = facts.rear.hairlineTilt;
      const bounds = boundsOf("hairlineTiltDeg", facts.bounds);
      if (tilt === undefined) return undefined;
      const level = levelBeyond(tilt, Math.SQRT2 * angleSd(facts), bounds);
      if (level === "steady") return undefined;
      return {
        level,
        text: `Hairline tilted: higher over the ${facts.wording.side(tilt > 0 ? "lateral" : "medial")} heel by ${facts.wording.angle(Math.abs(tilt))}.`,
        evidence: `From behind, against the line through both heels. Bounds ${bounds.join("° and ")}°.`,
      };
    },
  },
  {
    id: "heels-forward",
    subject: "heels",
    lens: "even-halves",
    when: "The heels bear well ahead of the back of the sulcus",
    next: "Trim back to sound horn; end the shoe at the back of the frog, not where the heel has gone.",
    see: (facts) => {
      const ratio = facts.ratios.find(({ name }) => name === "heelsForward");
      if (!ratio || ratio.level === "steady") return undefined;
      const { medial, lateral } = facts.survey.heelForward;
      const { length } = facts.wording;
      const said = [medial, lateral].map((mm) => (mm === undefined ? "–" : length(mm))).join(" / ");
      return {
        level: ratio.level,
        text: `Heels run forward: ${said} ahead of the back of the sulcus, ${facts.wording.side("medial")} / ${facts.wording.side("lateral")}.`,
        evidence: `The further one over the sulcus ${ratio.value.toFixed(2)}; bounds ${ratio.bounds.join(" and ")}.`,
      };
    },
  },
  {
    id: "contracted-heels",
    subject: "heels",
    insteadOf: ["frog-shrinking"],
    when: "The heels stand closer together than those of a sound foot of this width",
    next: "Ask how long; open the heels to the ground and the frog to work, a little at a time. Tight and sore: the vet.",
    see: (facts) => {
      const { heelHalfWidth: half, width } = facts.survey;
      if (half.medial === undefined || half.lateral === undefined || !width) return undefined;
      const ratio = (half.medial + half.lateral) / width;
      const bounds = boundsOf("heelContraction", facts.bounds);
      const short = 1 - ratio / SOUND_HEEL_WIDTH;
      const sd = (Math.SQRT2 * Math.hypot(1, ratio) * lengthSd(facts)) / (width * SOUND_HEEL_WIDTH);
      const level = levelBeyond(Math.max(0, short), sd, bounds);
      if (level === "steady") return undefined;
      const frog = facts.survey.frogWidthRatio;
      const shortfall = facts.ratios.find(({ name }) => name === "frogShortfall")?.level;
      return {
        // The frog tells how far it has gone: the graver of the two counts.
        level: shortfall === "act" ? shortfall : level,
        text: `Contracted heels: ${facts.wording.length(half.medial + half.lateral)} apart on a foot ${facts.wording.length(width)} wide${frog !== undefined && frog < 1 ? ", and the frog narrow" : ""}.`,
        evidence: `Heels apart over the width ${ratio.toFixed(2)} ± ${(sd * SOUND_HEEL_WIDTH).toFixed(2)}; about ${SOUND_HEEL_WIDTH} on a sound foot. Marked where ${bounds.map((one) => `${Math.round(one * 100)} %`).join(" and ")} less.`,
      };
    },
  },
  {
    id: "bars-bent",
    subject: "heels",
    when: "A bar bends away from the frog",
    next: "The heel on the bent bar's side is as a rule the taller one: look there first.",
    see: (facts) => {
      const ratio = facts.ratios.find(({ name }) => name === "barBend");
      if (!ratio || ratio.level === "steady") return undefined;
      const { medial = 0, lateral = 0 } = facts.survey.barBend;
      return {
        level: ratio.level,
        text: `The ${facts.wording.side(lateral > medial ? "lateral" : "medial")} bar bends ${facts.wording.length(Math.max(medial, lateral))} off the line of the frog.`,
        evidence: `Bend over the sulcus ${ratio.value.toFixed(2)}; bounds ${ratio.bounds.join(" and ")}.`,
      };
    },
  },
];
