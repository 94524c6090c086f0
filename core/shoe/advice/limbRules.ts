import { isFore, type Side } from "../../foot/limb";
import type { ShoeFacts } from "../facts";
import type { ShoeRule } from "./rule";

const only = (seen: boolean, words: string): string | undefined => (seen ? words : undefined);
/** Degree of a limb's deviation in words of millimetres of web: small steps. */
const EXTRA_WEB_MM = 2;
const EXTRA_WEB_DEVIATED_MM = 3;

/** Lands hard on one side and wears it: which side, and whether that heel is already crushed. */
const oneSided = (facts: ShoeFacts): { side: Side; crushed: boolean } | undefined => {
  const side = facts.landsOn ?? facts.wornOn;
  if (!side || (facts.landsOn && facts.wornOn && facts.landsOn !== facts.wornOn)) return undefined;
  return { side, crushed: facts.crushed.includes(side) };
};

/** Rules about the limb and how it goes. */
export const LIMB_RULES: readonly ShoeRule[] = [
  {
    id: "overreach",
    when: "Overreaches or forges, hind foot",
    then: "Square hind toe set under",
    because: "So that wall and not steel strikes",
    against: "Less steel at the toe to push from",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        !isFore(facts.limb) && (facts.goes.includes("overreaches") || facts.goes.includes("forges")),
        facts.goes.filter((one) => one === "overreaches" || one === "forges").join(", "),
      ),
    gives: { toe: "square", clips: "side" },
  },
  {
    id: "overreach-front",
    when: "Overreaches or forges, fore foot",
    then: "Breakover back, heels no longer than the foot",
    because: "The fore has to be gone before the hind arrives, and a long heel is trodden on",
    against: "Less support behind",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        isFore(facts.limb) && (facts.goes.includes("overreaches") || facts.goes.includes("forges")),
        facts.goes.filter((one) => one === "overreaches" || one === "forges").join(", "),
      ),
    gives: { toe: "rolled", support: "heel" },
    favours: { "egg bar": -4 },
  },
  {
    id: "brushing",
    when: "Brushes",
    then: "Safe inner edge, close inner branch",
    because: "What strikes the other leg is rounded and out of the way",
    against: "A close branch gives the heel less to stand on",
    source: "trade practice",
    support: "common practice",
    sees: ({ goes }) => only(goes.includes("brushes"), "brushes"),
    gives: { heels: "safe inner edge", fullMedial: 1 },
    favours: { sliding: -1, "egg bar": -1 },
  },
  {
    id: "treads",
    when: "Treads on itself",
    then: "Inner branch 1 mm full",
    because: "What stands out is trodden off",
    against: "The inner heel grows over it sooner",
    source: "trade practice",
    support: "common practice",
    sees: ({ goes }) => only(goes.includes("treads on itself"), "treads on itself"),
    gives: { fullMedial: 1 },
  },
  {
    id: "dragged-toe",
    when: "A straight stifle or a dragged toe",
    then: "Protected, eased toe",
    because: "It lets the foot leave, and saves the wall from the ground",
    against: "A dragged toe is also a question for the vet",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        (facts.goes.includes("drags a toe") || facts.goes.includes("straight stifle")) && !isFore(facts.limb),
        facts.goes.filter((one) => one === "drags a toe" || one === "straight stifle").join(", "),
      ),
    gives: ({ goes }) => ({
      toe: goes.includes("overreaches") || goes.includes("forges") ? "square" : "eased",
    }),
  },
  {
    id: "one-side",
    when: "Lands hard and wears on one side",
    then: "Trim first; then a little more web on that side, from where its quarter turns in",
    because: "A wider landing is a softer one",
    against: "Each overhang lengthens a lever: small steps",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => {
      const seen = oneSided(facts);
      return seen && !seen.crushed ? `${seen.side} side, landing and wear` : undefined;
    },
    gives: (facts) => ({
      extraSide: oneSided(facts)?.side ?? "none",
      extraWeb: facts.deviates ? EXTRA_WEB_DEVIATED_MM : EXTRA_WEB_MM,
    }),
    caution: "Ask first whether the trim alone can do it.",
  },
  {
    id: "crushed-side",
    when: "Lands hard on a side whose heel is already crushed",
    then: "Ease the outer edge there, no more steel",
    because: "So that it settles softly instead of being pressed again",
    against: "Less ground under that side",
    source: "trade practice",
    support: "single practitioners",
    sees: (facts) => {
      const seen = oneSided(facts);
      return seen?.crushed ? `${seen.side} heel crushed, and landed on` : undefined;
    },
    gives: { extraSide: "none", extraWeb: 0, heels: "open" },
  },
  {
    id: "base",
    when: "Base-narrow or toe-in",
    then: "Both branches under the foot, outer one a little fuller",
    because: "The outer branch is the one that is landed on",
    against: "Each overhang lengthens a lever: small steps",
    source: "trade practice",
    support: "disputed",
    sees: (facts) =>
      only(
        facts.base === "narrow" || facts.toeDirection === "toe-in",
        [facts.base === "narrow" ? "base-narrow" : "", facts.toeDirection === "toe-in" ? "toe-in" : ""]
          .filter(Boolean)
          .join(", "),
      ),
    gives: { fullLateral: 4 },
  },
  {
    id: "base-wide",
    when: "Base-wide or toe-out",
    then: "Inner branch as close as the outer, safe inner edge",
    because: "A limb that stands or swings like this comes near the other one",
    against: "A close branch gives the heel less to stand on",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.base === "wide" || facts.toeDirection === "toe-out",
        [facts.base === "wide" ? "base-wide" : "", facts.toeDirection === "toe-out" ? "toe-out" : ""]
          .filter(Boolean)
          .join(", "),
      ),
    gives: { heels: "safe inner edge", fullMedial: 2 },
  },
];
