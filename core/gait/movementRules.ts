import { lengthSd, type FootFacts, type FootState } from "../foot/findings/facts";
import { isSheared } from "../foot/findings/heelRules";
import type { Rule } from "../foot/findings/rule";
import { isFore, type Side } from "../foot/limb";
import { levelBeyond, type Level } from "../foot/level";
import { boundsOf } from "../foot/survey/ratios";
import { wornSide } from "../foot/wear";
import { onlyThisOne } from "./compareLooks";
import { landingOf, type Watching } from "./watching";
import { wearAgreement } from "./wearAgreement";

/** A foot with how it, and the other one of its pair, was seen to move. */
export interface MovementFacts extends FootFacts {
  watching?: Watching | undefined;
  pair?: (FootState & { watching?: Watching | undefined }) | undefined;
}

const flareOf = ({ survey }: FootState): number | undefined =>
  survey.halfWidth.lateral === undefined || survey.halfWidth.medial === undefined
    ? undefined
    : survey.halfWidth.lateral - survey.halfWidth.medial;

/** Level of a flare to one side, beyond the marks' own noise; a large foot may differ by more. */
function flaring(facts: MovementFacts, state: FootState): { mm: number; level: Level } | undefined {
  const mm = flareOf(state);
  if (mm === undefined) return undefined;
  const [drifting, act] = boundsOf("flareMm", facts.bounds);
  const k = state.survey.k ?? 1;
  return { mm, level: levelBeyond(mm, Math.SQRT2 * lengthSd(facts), [drifting * k, act * k]) };
}

/** Where the hairline was seen pushed up over one side while the horse stood. */
export function pushedUpSide(watching: Watching | undefined): Side | undefined {
  const up = (side: Side, other: Side) =>
    (["toeQuarter", "quarter"] as const).some((place) => {
      const at = (of: Side) => watching?.hairline?.[`${place}${of === "medial" ? "Medial" : "Lateral"}`];
      return at(side) === "pushed up" && at(other) !== "pushed up";
    });
  return up("medial", "lateral") ? "medial" : up("lateral", "medial") ? "lateral" : undefined;
}

/** Rules that hold a foot against its wear, and against the way it and its pair were seen to move. */
export const MOVEMENT_RULES: readonly Rule<MovementFacts>[] = [
  {
    id: "one-sided",
    subject: "pair",
    when: "A flare, a worn side, a turned toe or a swinging flight that only one of the pair has",
    next: "A pattern on one of a pair only is a question: something is uneven higher up, or hurts. Tell the vet if it is new.",
    see: (facts) => {
      const { pair } = facts;
      if (!pair) return undefined;
      const parts: string[] = [];
      const [mine, other] = [flaring(facts, facts), flaring(facts, pair)];
      const [bound] = boundsOf("flareMm", facts.bounds);
      // A sheared foot flares, wears and twists as it lands on its tall side: that is one trouble, and it is named already.
      const sheared = isSheared(facts);
      if (!sheared && mine && other && mine.level !== "steady" && Math.abs(other.mm) <= bound / 2)
        parts.push(`flared to ${mine.mm > 0 ? "lateral" : "medial"}`);
      const [worn, pairWorn] = [
        facts.look && wornSide(facts.look.wear),
        pair.look && wornSide(pair.look.wear),
      ];
      if (!sheared && worn && pair.look && Object.keys(pair.look.wear).length > 0 && worn !== pairWorn)
        parts.push(`worn on the ${worn} side`);
      const watching = sheared ? facts.watching && { ...facts.watching, slide: undefined } : facts.watching;
      parts.push(...onlyThisOne(watching, pair.watching));
      if (parts.length === 0) return undefined;
      return {
        level: "act",
        text: facts.wording.inOwnWords(
          `Only this ${isFore(facts.limb) ? "fore" : "hind"} foot of the pair: ${parts.join(", ")}.`,
        ),
        evidence: facts.wording.inOwnWords(
          `Half widths differ by more than ${boundsOf("flareMm", facts.bounds)[0]} mm and their noise on this foot and by less than half of that on its pair; worn side from the painted shoe; the rest as it was watched.`,
        ),
      };
    },
  },
  {
    id: "flared",
    subject: "wall",
    when: "One half of the foot is wider than the other by more than 6 mm on a foot of size 1",
    next: "Dress it from outside, lower half at most, where horn is to spare; look at the limb above for why.",
    see: (facts) => {
      const flare = flaring(facts, facts);
      if (!flare || flare.level === "steady") return undefined;
      const pair = facts.pair && flaring(facts, facts.pair);
      const both = pair && pair.level !== "steady" && pair.mm > 0 === flare.mm > 0;
      const bounds = boundsOf("flareMm", facts.bounds);
      return {
        level: flare.level,
        text: `Flared to the ${facts.wording.side(flare.mm > 0 ? "lateral" : "medial")} by ${facts.wording.length(Math.abs(flare.mm))}${both ? ", as its pair is: as a rule the way the limb is built" : ""}.`,
        evidence: `Half widths at the widest part, lateral minus medial. Bounds ${bounds.join(" and ")} mm on a foot of size 1, beyond the noise of two marks.`,
      };
    },
  },
  {
    id: "hairline-pushed",
    subject: "hairline",
    when: "Standing, the hairline is pushed up over one side",
    next: "That side takes the load: hold its wall against the live sole, and read the tilt from behind.",
    see: (facts) => {
      const side = pushedUpSide(facts.watching);
      return (
        side && {
          level: "drifting",
          text: `Standing, the hairline is pushed up on the ${facts.wording.side(side)}.`,
          evidence: "As it was seen on the standing foot, weighted.",
        }
      );
    },
  },
  {
    id: "landing-wear",
    subject: "movement",
    when: "Landing, wear of the shoe and breakover do not tell one story",
    next: "Watch it again on hard level ground, away and towards you, before the balance is changed.",
    see: (facts) => {
      const found = wearAgreement(facts.look?.wear ?? {}, facts.watching);
      if (!found || found.agrees) return undefined;
      return {
        level: "drifting",
        text: facts.wording.inOwnWords(`Landing and wear disagree: ${found.disagreements.join("; ")}.`),
        evidence: "The shoe is thinnest where the foot lands and where it leaves the ground.",
      };
    },
  },
  {
    id: "lands-one-side",
    subject: "movement",
    lens: "even-sole",
    when: "The foot lands on one side first, and the wear agrees or was not painted",
    next: "Measure before cutting. On a crooked limb the side that lands is as a rule worn down and the other has grown long; on a sheared foot, hairline pushed up over it, it is the tall one.",
    see: (facts) => {
      const lands = facts.watching?.lands;
      const landing = lands && landingOf(lands);
      if (!landing?.side) return undefined;
      const agreement = wearAgreement(facts.look?.wear ?? {}, facts.watching);
      if (agreement && !agreement.agrees) return undefined;
      return {
        level: "drifting",
        text: facts.wording.inOwnWords(
          `Lands ${landing.word} first${agreement ? ", and the wear agrees" : ""}.`,
        ),
        evidence: "As it was watched and, where it was painted, as the old shoe is worn.",
      };
    },
  },
];
