import type { FootFacts, FootState } from "../foot/findings/facts";
import type { Rule } from "../foot/findings/rule";
import { isFore } from "../foot/limb";
import { wornSide } from "../foot/wear";
import { landingOf, onlyThisOne, type Watching } from "./watching";
import { wearAgreement } from "./wearAgreement";

/** A foot with how it, and the other one of its pair, was seen to move. */
export interface MovementFacts extends FootFacts {
  watching?: Watching | undefined;
  pair?: (FootState & { watching?: Watching | undefined }) | undefined;
}

/** Half widths that differ by more than this are a flare to one side, mm. Assumption. */
const FLARE_MM = 6;

const flareOf = ({ survey }: FootState): number | undefined =>
  survey.halfWidth.lateral === undefined || survey.halfWidth.medial === undefined
    ? undefined
    : survey.halfWidth.lateral - survey.halfWidth.medial;

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
      const [mine, other] = [flareOf(facts), flareOf(pair)];
      if (
        mine !== undefined &&
        other !== undefined &&
        Math.abs(mine) > FLARE_MM &&
        Math.abs(other) <= FLARE_MM / 2
      )
        parts.push(`flared to ${mine > 0 ? "lateral" : "medial"}`);
      const [worn, pairWorn] = [
        facts.look && wornSide(facts.look.wear),
        pair.look && wornSide(pair.look.wear),
      ];
      if (worn && pair.look && Object.keys(pair.look.wear).length > 0 && worn !== pairWorn)
        parts.push(`worn on the ${worn} side`);
      parts.push(...onlyThisOne(facts.watching, pair.watching));
      if (parts.length === 0) return undefined;
      return {
        level: "act",
        text: facts.wording.inOwnWords(
          `Only this ${isFore(facts.limb) ? "fore" : "hind"} foot of the pair: ${parts.join(", ")}.`,
        ),
        evidence: facts.wording.inOwnWords(
          `Half widths differ by more than ${FLARE_MM} mm on this foot and by less than half of that on its pair; worn side from the painted shoe; the rest as it was watched.`,
        ),
      };
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
    next: "Check that side against the live sole: it is the taller one as a rule.",
    insteadOf: [],
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
