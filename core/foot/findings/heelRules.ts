import { levelOf } from "../level";
import { boundsOf } from "../survey/ratios";
import type { FootFacts } from "./facts";
import type { Rule, Seen } from "./rule";

/** Lateral minus medial heel height, mm. */
const heelDifference = ({ measures }: FootFacts) =>
  measures.heelHeightLateral === undefined || measures.heelHeightMedial === undefined
    ? undefined
    : measures.heelHeightLateral - measures.heelHeightMedial;

/** The hairline's tilt as it was read from behind, or as the two heel heights make it over the heels' width. */
const hairlineTilt = ({ rear, survey, ...facts }: FootFacts): number | undefined => {
  if (rear.hairlineTilt !== undefined) return rear.hairlineTilt;
  const { medial, lateral } = survey.heelHalfWidth;
  const difference = heelDifference({ rear, survey, ...facts });
  if (difference === undefined || medial === undefined || lateral === undefined) return undefined;
  return (Math.atan(difference / (medial + lateral)) * 180) / Math.PI;
};

const uneven = (facts: FootFacts): Seen | undefined => {
  const difference = heelDifference(facts);
  const bounds = boundsOf("heelHeightDifferenceMm", facts.bounds);
  if (difference === undefined || levelOf(difference, bounds) === "steady") return undefined;
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
    level: levelOf(difference, bounds),
    text: `The ${wording.side(taller)} heel stands ${wording.length(Math.abs(difference))} taller.${curled}`,
    evidence: `Heel heights, hairline straight down to the ground, lateral minus medial. Steady to ${bounds[0]} mm, act beyond ${bounds[1]} mm.`,
  };
};

/** Rules about both heels and the bars. */
export const HEEL_RULES: readonly Rule[] = [
  {
    id: "sheared-heels",
    subject: "heels",
    lens: "even-sole",
    when: "Heel heights differ by more than 5 mm and the hairline tilts with them",
    next: "Relieve the taller side, more often and less at a time; watch the landing.",
    insteadOf: ["heels-uneven", "hairline-tilted"],
    see: (facts) => {
      const difference = heelDifference(facts);
      const tilt = hairlineTilt(facts);
      const bounds = boundsOf("heelHeightDifferenceMm", facts.bounds);
      const tiltBounds = boundsOf("hairlineTiltDeg", facts.bounds);
      if (difference === undefined || tilt === undefined) return undefined;
      if (Math.abs(difference) <= bounds[1] || Math.abs(tilt) <= tiltBounds[0] || difference > 0 !== tilt > 0)
        return undefined;
      const { wording } = facts;
      const side = wording.side(difference > 0 ? "lateral" : "medial");
      return {
        level: "act",
        text: `Sheared heels: the ${side} heel stands ${wording.length(Math.abs(difference))} taller and the hairline is pushed up ${wording.angle(Math.abs(tilt))} over it.`,
        evidence: `Heel heights differ by more than ${bounds[1]} mm and the hairline by more than ${tiltBounds[0]}°, the same way.`,
      };
    },
  },
  {
    id: "heels-uneven",
    subject: "heels",
    lens: "even-sole",
    when: "Heel heights differ by more than 2 mm",
    next: "Check both against the live sole before lowering one.",
    see: uneven,
  },
  {
    id: "heels-level",
    subject: "heels",
    when: "Heel heights alike within 2 mm",
    next: "Keep them.",
    see: (facts) => {
      const difference = heelDifference(facts);
      if (difference === undefined || uneven(facts)) return undefined;
      return {
        level: "steady",
        text: "Heels level, hairline to ground.",
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
      if (tilt === undefined || levelOf(tilt, bounds) === "steady") return undefined;
      return {
        level: levelOf(tilt, bounds),
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
