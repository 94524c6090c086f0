import { limitInWords, marginInWords } from "./planWords";
import { levelRest } from "./cutsForHand";
import type { TrimPlan } from "./question";
import type { FootFacts } from "../foot/findings/facts";
import type { Rule, Seen } from "../foot/findings/rule";

/** A foot with the trim that was worked out for it, on the trim bench. */
export interface PlannedFacts extends FootFacts {
  plan?: TrimPlan | undefined;
}

/** Less than this is nothing to take, mm. */
const NOTHING_MM = 0.5;
/** An axis that a plan leaves further off than this is said, deg. */
const LEFT_DEG = 1;

/** The plan wants to cut here and there is nothing to spare. */
const refused =
  (places: readonly ("toe" | "heelMedial" | "heelLateral")[]) =>
  ({ plan, wording }: PlannedFacts): Seen | undefined => {
    if (!plan) return undefined;
    const stopped = places.filter(
      (place) => plan.stoppedBy.includes(place) && plan.limits.most[place] < NOTHING_MM,
    );
    if (stopped.length === 0) return undefined;
    return {
      level: "drifting",
      text: stopped.map((place) => limitInWords(place, plan, wording)).join(" "),
      evidence: evidenceOf(plan),
    };
  };

const evidenceOf = ({ limits }: TrimPlan): string =>
  `The plan would take more there; wall above the live sole less a margin of ${limits.marginMm} mm is what may be cut.`;

/** What a plan refuses to cut, and what it cannot reach. They speak on the trim bench only. */
export const PLAN_RULES: readonly Rule<PlannedFacts>[] = [
  {
    id: "no-heel-to-spare",
    subject: "trim",
    when: "The plan would lower a heel that has no wall to spare",
    next: "Leave it. What it cannot give is for the shoe, for a time, or for the next cycle.",
    see: refused(["heelMedial", "heelLateral"]),
  },
  {
    id: "no-toe-to-spare",
    subject: "trim",
    when: "The plan would shorten a toe that has no wall to spare",
    next: "Leave the sole under it; bring the breakover back in the shoe, or dress the wall if it is thick enough.",
    see: refused(["toe"]),
  },
  {
    id: "toe-short",
    subject: "trim",
    when: "The plan would shorten a toe that is at its shortest for this animal",
    next: "Keep its length. Stand the foot up by other means, or give it a cycle.",
    see: ({ plan, wording }) =>
      plan?.stoppedBy.includes("minToeLength")
        ? {
            level: "drifting",
            text: limitInWords("minToeLength", plan, wording),
            evidence: "The yardstick for the animal’s mass less 6 mm.",
          }
        : undefined,
  },
  {
    id: "thin-sole-margin",
    subject: "trim",
    when: "A thin sole makes the plan leave more wall",
    next: "Pare nothing. Relieve the shoe, not the sole; ask what thinned it.",
    see: ({ plan, wording }) => {
      const text = plan && marginInWords(plan, wording);
      return text === undefined
        ? undefined
        : { level: "drifting", text, evidence: "Sulcus under 10 mm: the margin grows by 2 mm." };
    },
  },
  {
    id: "length-left",
    subject: "trim",
    when: "The plan leaves a toe well over its yardstick though there is wall to spare all round",
    next: "Take it down level, the same at toe and both heels: that keeps the angle.",
    see: ({ plan, wording, target }) => {
      const level = plan ? levelRest(plan, plan.cuts, target.toeLengthMm) : 0;
      return !plan || level < 1
        ? undefined
        : {
            level: "drifting",
            text: `It leaves the toe ${wording.length(plan.predicted.toeLength - target.toeLengthMm)} over the yardstick; ${wording.cut(level)} more can come off all round.`,
            evidence: `Yardstick ${Math.round(target.toeLengthMm)} mm; wall above the live sole beyond the plan at toe and both heels.`,
          };
    },
  },
  {
    id: "axis-left",
    subject: "trim",
    lens: "straight-axis",
    when: "The plan cannot bring the axis straight",
    next: "Trim what is sound and stop. The rest is for the shoe, for a limited time, or for shorter cycles.",
    see: ({ plan, wording }) => {
      if (!plan || plan.question.frontBack !== "straight-axis") return undefined;
      const { axis } = plan.remaining;
      if (Math.abs(axis) <= LEFT_DEG) return undefined;
      return {
        level: "drifting",
        text: `The trim leaves the axis ${wording.angle(Math.abs(axis))} broken ${axis < 0 ? "back" : "forward"}.`,
        evidence: `Plan ${plan.predicted.dorsalAngle.toFixed(1)}° against the pastern’s ${plan.question.foot.pasternAngle.toFixed(1)}°.`,
      };
    },
  },
];
