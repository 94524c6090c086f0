import { isFore, SIDES, type Side } from "../../foot/limb";
import type { ShoeFacts } from "../facts";
import { lastOneSideInWords, oneSideOf } from "../oneSide";
import { sectorFor } from "../sectors";
import { sidedField } from "../specification";
import type { Base, Dressing, ShoeRule } from "./rule";

const only = (seen: boolean, words: string): string | undefined => (seen ? words : undefined);
const goes = (facts: ShoeFacts, ...ways: ShoeFacts["goes"][number][]): string =>
  facts.goes.filter((one) => ways.includes(one)).join(", ");

/** Everything but a sliding plate, whose inner branch has its own way. */
const NOT_SLIDING: readonly Base[] = ["open", "frog pad", "straight bar", "heart bar", "egg bar"];

/** Sides on which no steel is added: the heel is crushed, or the quarter cracked. */
const sparedSides = (facts: ShoeFacts): Side[] =>
  SIDES.filter((side) => facts.crushed.includes(side) || facts.crackAt === side);

/** A breakover turned further than this is turned, deg. Assumption, about what three watchers agree within. */
const TURNED_DEG = 8;
/** What a heel that is spared stands full at most, mm: an ordinary one's. */
const SPARED_FULL_MM = 3;

/** Rules about the limb and how it goes. */
export const LIMB_RULES: readonly ShoeRule[] = [
  {
    id: "overreach",
    when: "Overreaches or forges, hind foot",
    then: "Square hind toe set under, two side clips",
    because: "So that wall and not steel strikes",
    against: "Less steel at the toe to push from",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        !isFore(facts.limb) && goes(facts, "overreaches", "forges") !== "",
        goes(facts, "overreaches", "forges"),
      ),
    gives: { toe: "square set under", clips: ["side medial", "side lateral"] },
    weight: 3,
    only: NOT_SLIDING,
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
        isFore(facts.limb) && goes(facts, "overreaches", "forges") !== "",
        goes(facts, "overreaches", "forges"),
      ),
    gives: { toeEdge: "rolled", support: "heel" },
    weight: 3,
    only: ["open", "frog pad"],
    bases: { "egg bar": -4, "straight bar": -1 },
  },
  {
    id: "brushing",
    when: "Brushes",
    then: "Safe inner edge, close inner branch",
    because: "What strikes the other leg is rounded and out of the way",
    against: "A close branch gives the heel less to stand on",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(facts.goes.includes("brushes"), "brushes"),
    gives: {
      edges: { toeQuarterMedial: "safe inside", quarterMedial: "safe inside", heelMedial: "safe inside" },
      fullMedial: 1,
    },
    weight: 2,
    only: NOT_SLIDING,
    bases: { "egg bar": -1 },
  },
  {
    id: "treads",
    when: "Treads on itself",
    then: "Inner branch 1 mm full, its heel tucked",
    because: "What stands out is trodden off",
    against: "The inner heel grows over it sooner",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(facts.goes.includes("treads on itself"), "treads on itself"),
    gives: { fullMedial: 1, endMedial: "tucked" },
    weight: 2,
  },
  {
    id: "dragged-toe",
    when: "A straight stifle or a dragged toe, hind foot",
    then: "Protected, eased toe",
    because: "It lets the foot leave, and saves the wall from the ground",
    against: "A dragged toe is also a question for the vet",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        !isFore(facts.limb) && goes(facts, "drags a toe", "straight stifle") !== "",
        goes(facts, "drags a toe", "straight stifle"),
      ),
    gives: { toeEdge: "eased" },
    only: NOT_SLIDING,
  },
  {
    id: "turned-breakover",
    when: "Breaks over a toe quarter",
    then: "Toe eased along the line of its breakover",
    because: "The foot leaves where it wants to leave, and the edge is out of its way there",
    against: "It may tempt the limb to turn further: look again next time",
    source: "trade practice",
    support: "common practice",
    sees: ({ breakoverTurnDeg: turn }) =>
      turn === undefined || Math.abs(turn) < TURNED_DEG
        ? undefined
        : `breaks over ${Math.round(Math.abs(turn))}° to ${turn > 0 ? "lateral" : "medial"}`,
    gives: ({ breakoverBack }) => ({ toeEdge: breakoverBack > 6 ? "rolled" : "eased" }),
    weight: 2,
    only: NOT_SLIDING,
  },
  {
    id: "one-side",
    when: "Lands hard and wears on one side",
    then: "Trim first; then a little more on that side, from where its quarter turns in",
    because: "A wider landing is a softer one",
    against: "Each overhang lengthens a lever: small steps",
    source: "trade practice",
    support: "common practice",
    onGround: "sides",
    sees: (facts) => {
      const seen = oneSideOf(facts);
      if (!seen || seen.spared) return undefined;
      const last = lastOneSideInWords(facts);
      return `${seen.side}: ${seen.witnesses.join(", ")}${last ? `; ${last}` : ""}`;
    },
    gives: (facts) => {
      const seen = oneSideOf(facts);
      return seen
        ? {
            [sidedField("wider", seen.side)]: seen.mm,
            [sidedField("out", seen.side)]: seen.mm,
            changeFrom: "toe quarter",
          }
        : {};
    },
    weight: 2,
    only: NOT_SLIDING,
    caution: "Ask first whether the trim alone can do it.",
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
        (facts.base === "narrow" || facts.toeDirection === "toe-in") &&
          !sparedSides(facts).includes("lateral"),
        [facts.base === "narrow" ? "base-narrow" : "", facts.toeDirection === "toe-in" ? "toe-in" : ""]
          .filter(Boolean)
          .join(", "),
      ),
    gives: { fullLateral: 4 },
    only: NOT_SLIDING,
  },
  {
    id: "base-wide",
    when: "Base-wide or toe-out",
    then: "Inner branch close, safe inner edge",
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
    gives: { edges: { quarterMedial: "safe inside", heelMedial: "safe inside" }, fullMedial: 2 },
    only: NOT_SLIDING,
  },
  {
    id: "crushed-side",
    when: "A heel is crushed",
    then: "Ease the outer edge at that heel, no more steel there",
    because: "So that it settles softly instead of being pressed again",
    against: "Less ground under that side",
    source: "trade practice",
    support: "single practitioners",
    sees: (facts) =>
      only(
        facts.crushed.length > 0,
        `${facts.crushed.join(" and ")} heel crushed${oneSideOf(facts)?.spared === "crushed" ? ", and landed on" : ""}`,
      ),
    gives: (facts) => sparing(facts.crushed, "heel"),
    weight: 5,
    only: NOT_SLIDING,
  },
  {
    id: "cracked-side",
    when: "A quarter is cracked",
    then: "That side lowered in the trim and unloaded in the shoe, no more steel there",
    because: "What is pushed up there keeps the crack open",
    against: "The rest of the wall carries what it is spared",
    source: "trade practice",
    support: "common practice",
    sees: ({ crackAt }) => only(crackAt !== undefined, `crack at the ${crackAt ?? ""} quarter`),
    gives: ({ crackAt }) =>
      crackAt ? { ...sparing([crackAt], undefined), unloaded: [sectorFor("quarter", crackAt)] } : {},
    weight: 5,
  },
];

/** No steel more on these sides; the outer edge of the heel eased where it is to settle. */
function sparing(sides: readonly Side[], eased: "heel" | undefined): Dressing {
  const dressing: Dressing = {};
  for (const side of sides)
    Object.assign(dressing, {
      [sidedField("wider", side)]: 0,
      [sidedField("out", side)]: 0,
      [sidedField("full", side)]: SPARED_FULL_MM,
    });
  return {
    ...dressing,
    ...(eased && { edges: Object.fromEntries(sides.map((side) => [sectorFor(eased, side), "eased"])) }),
  };
}
