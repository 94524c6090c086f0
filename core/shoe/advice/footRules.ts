import { isFore } from "../../foot/limb";
import { onFirm, type ShoeFacts } from "../facts";
import { ordinaryShoe } from "../specification";
import type { ShoeRule } from "./rule";

const only = (seen: boolean, words: string): string | undefined => (seen ? words : undefined);

/** A frog this far past the heels' plane meets the ground before them, mm. Assumption, about half an ordinary shoe. */
const FROG_PAST_MM = 4;
/** A breakover this far behind the toe wants an edge, and from there on a roll, mm. Source: trade practice. */
const EDGE_FROM_MM = 2.5;
const ROLL_FROM_MM = 6;
/** An axis broken back by less than this asks for no raise; a raise gives back no more than this, deg. Assumptions. */
const RAISE_FROM_DEG = 3;
const RAISE_MOST_DEG = 5;
const RAISE_CYCLES = 3;
/** A wall this many times as broad as its web is nailed in the middle of it. Source: trade practice. */
const WEB_OF_HORN = 2;
/** No web is made broader for its nails than this part of the ordinary one: it closes over the frog. Assumption. */
const WEB_MOST_PART = 1.35;
/** The web that its horn asks for, mm. */
const webOfHorn = ({ hornMm = 0, limb, massKg }: ShoeFacts): number =>
  Math.min(Math.ceil(WEB_OF_HORN * hornMm), Math.floor(WEB_MOST_PART * ordinaryShoe(limb, massKg).width));

const lowWithFrog = (facts: ShoeFacts): boolean =>
  (facts.lowHeels || facts.crushed.length > 0) && (facts.frogProudMm ?? 0) >= FROG_PAST_MM;
const longSloping = (facts: ShoeFacts): boolean =>
  facts.slopingPastern && (facts.longPasterns === true || facts.conditions.includes("sore heels"));
const soreOrSloping = (facts: ShoeFacts): boolean =>
  longSloping(facts) || facts.conditions.includes("sore heels");
const soreWords = (facts: ShoeFacts): string =>
  [
    longSloping(facts) ? "long sloping pastern" : "",
    facts.conditions.includes("sore heels") ? "sore heels" : "",
  ]
    .filter(Boolean)
    .join(", ");
const pulledOff = (facts: ShoeFacts): boolean =>
  facts.turnout === "in a herd" || facts.goes.includes("pulls shoes off");

/** Rules about the foot itself: heels, frog, sole, wall, breakover, and what is the vet's. */
export const FOOT_RULES: readonly ShoeRule[] = [
  {
    id: "low-heel-frog",
    when: "Low or crushed heels with a frog that stands past them",
    then: "Make the frog carry: frog-support pad with setting compound, or a heart bar with a passive plate; ease the toe",
    because: "The frog shares what the heels cannot carry",
    against: "A pad keeps damp in; a plate must stay passive, inside the frog’s edges, behind its true apex",
    source: "trade practice",
    support: "common practice",
    onGround: "frog",
    sees: (facts) =>
      only(
        lowWithFrog(facts),
        `${facts.lowHeels ? "low" : "crushed"} heels, frog ${Math.round(facts.frogProudMm ?? 0)} mm past them`,
      ),
    gives: ({ breakoverBack }) => ({ toeEdge: breakoverBack > ROLL_FROM_MM ? "rolled" : "eased" }),
    weight: 2,
    bases: { "frog pad": 8, "heart bar": 6, "straight bar": -1, open: -3, "egg bar": -2 },
    caution: "Frog pressure is passive.",
  },
  {
    id: "raise-stage",
    when: "Low heels, axis broken back, and a frog that can carry",
    then: "A raise as a stage, for a counted number of cycles, with the frog carrying",
    because: "It gives back the angle while the heels grow, and the frog makes it bearable",
    against:
      "A raise presses on the heels that it spares the tendon for; one without an end becomes the way the horse lives",
    source: "trade practice",
    support: "disputed",
    sees: (facts) =>
      only(
        facts.lowHeels && lowWithFrog(facts) && (facts.brokenBackDeg ?? 0) >= RAISE_FROM_DEG,
        `axis broken back ${(facts.brokenBackDeg ?? 0).toFixed(1)}°`,
      ),
    gives: (facts) => ({
      raise: {
        degrees: Math.min(RAISE_MOST_DEG, Math.round(2 * (facts.brokenBackDeg ?? 0)) / 2),
        cycles: RAISE_CYCLES,
        exit: "heel angle within 5° of the wall, then level",
      },
    }),
    weight: 2,
    only: ["frog pad", "heart bar"],
    caution: "A raise only as a stage with an exit.",
  },
  {
    id: "low-heel",
    when: "Low or underrun heels, the frog not past them",
    then: "Ends at the back of the frog, toe rolled",
    because: "Support stands where the heels ought to be, and breakover takes the lever off the toe",
    against: "Steel behind a heel that is not there",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        (facts.lowHeels || facts.heelsRunForward) && !lowWithFrog(facts),
        [facts.lowHeels ? "heels low" : "", facts.heelsRunForward ? "heels run forward" : ""]
          .filter(Boolean)
          .join(", "),
      ),
    gives: { support: "frog", toeEdge: "rolled" },
    weight: 2,
    bases: { "straight bar": 4, "heart bar": 2, "frog pad": 2 },
  },
  {
    id: "sore-heels",
    when: "Long sloping pasterns, or sore heels",
    then: "Straight bar and eased toe before any open shoe",
    because: "The bar spreads the load over both heels; the toe leaves sooner",
    against: "More steel behind, and it can be trodden off",
    source: "trade practice",
    support: "common practice",
    onGround: "posture",
    sees: (facts) => only(soreOrSloping(facts), soreWords(facts)),
    gives: (facts) => ({
      toeEdge: facts.lowHeels || facts.breakoverBack > ROLL_FROM_MM ? "rolled" : "eased",
    }),
    weight: 2,
    bases: { "straight bar": 6, "heart bar": 2, open: -2 },
  },
  {
    id: "sore-heels-ask",
    when: "Sore heels",
    then: "Has a vet seen them?",
    because: "Sore heels have many causes, and most of them are not the shoe",
    against: "The shoe is not put off for it where the horse is sound",
    source: "welfare practice",
    support: "common practice",
    sees: ({ conditions, prescription }) =>
      only(conditions.includes("sore heels") && !prescription, "sore heels"),
    caution: "Sore heels: has a vet seen them?",
  },
  {
    id: "egg-soft",
    when: "Sore heels or a long sloping pastern on soft ground",
    then: "An egg bar may be argued for",
    because: "It stops the heel sinking",
    against: "Heel load on the hoof side rises, and on firm ground it is a lever behind the foot",
    source: "simulated relations of foot and ground",
    support: "a model, not a measurement",
    onGround: "posture",
    sees: (facts) => only(!onFirm(facts) && soreOrSloping(facts), `${soreWords(facts)}, soft ground`),
    bases: { "egg bar": 4 },
  },
  {
    id: "egg-run-forward",
    when: "A heel that has run forward",
    then: "No egg bar without saying what it does",
    because: "A bar under bulbs with no heel above it is a lever behind the foot",
    against: "Its relief shows on soft ground only",
    source: "simulated relations of foot and ground",
    support: "a model, not a measurement",
    onGround: "posture",
    sees: (facts) => only(facts.heelsRunForward, "heels run forward"),
    bases: { "egg bar": -6 },
    caution: "A bar behind a heel that is not there presses it down at landing.",
  },
  {
    id: "crack",
    when: "Crack at a quarter",
    then: "Two side clips, or a bar, to hold it still",
    because: "It has to stop moving before it can grow down",
    against: "What is unloaded here is carried beside it",
    source: "trade practice",
    support: "common practice",
    sees: ({ crackAt }) => only(crackAt !== undefined, `crack at the ${crackAt ?? ""} quarter`),
    gives: { clips: ["side medial", "side lateral"] },
    weight: 3,
    bases: { "straight bar": 4, "heart bar": 1, bare: -2 },
    caution: "No nail into the cracked sector.",
  },
  {
    id: "thin-sole",
    when: "Thin sole",
    then: "An ordinary or broader web with relief, never the narrowest",
    because: "What little there is has to stay, and wants cover",
    against: "A broader web carries more soil and grips less",
    source: "trade practice",
    support: "common practice",
    sees: ({ thinSole }) => only(thinSole === true, "sulcus beside the frog is shallow"),
    gives: (facts) => ({ relief: true, ...(!pulledOff(facts) && { web: "ordinary" as const }) }),
    weight: 3,
    bases: { bare: -7 },
    caution: "Fit cold: heat goes through what is thin.",
  },
  {
    id: "thin-sole-herd",
    when: "Thin sole, turned out with others or pulling shoes off",
    then: "A broader web with relief, two side clips and an eased toe",
    because: "The sole needs cover, and the shoe has to stay on",
    against: "More steel to tread on",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(facts.thinSole === true && pulledOff(facts), "thin sole, shoes pulled off"),
    gives: { web: "broad", profile: "flat", toeEdge: "eased", clips: ["side medial", "side lateral"] },
    weight: 3.5,
    only: ["open", "frog pad", "straight bar"],
  },
  {
    id: "thin-sole-stones",
    when: "Thin sole and stones or long distances",
    then: "A flat pad with soft packing",
    because: "Stones find what is thin",
    against: "It keeps damp in; out again when the ground allows",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.thinSole === true &&
          (facts.footing.includes("stony track") || facts.work.includes("long distances")),
        "thin sole on hard going",
      ),
    gives: { pad: "flat", packing: "soft", riveted: true },
    only: ["open", "straight bar"],
  },
  {
    id: "poor-wall",
    when: "Poor wall, or the white line separates",
    then: "A nail fewer on each side, two clips or a bar carry the hold",
    because: "A nail holds only in sound wall",
    against: "Fewer nails hold less: mind the turnout",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(facts.poorWall || facts.whiteLineSeparated, facts.poorWall ? "wall poor" : "white line separated"),
    gives: ({ limb, massKg }) => {
      const { nailsMedial } = ordinaryShoe(limb, massKg);
      const fewer = Math.max(2, nailsMedial - 1);
      return { clips: ["side medial", "side lateral"], nailsMedial: fewer, nailsLateral: fewer };
    },
    weight: 2.5,
    bases: { "straight bar": 1 },
  },
  {
    id: "wall-web",
    when: "A thick wall",
    then: "A web about twice its horn",
    because: "The holes then stand in the middle of the web, over the outer edge of the white line",
    against: "A broader web on a foot that may not ask for it otherwise",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      facts.hornMm !== undefined && webOfHorn(facts) > ordinaryShoe(facts.limb, facts.massKg).width
        ? `${facts.hornMm.toFixed(1)} mm of horn`
        : undefined,
    gives: (facts) => ({ leastWidth: webOfHorn(facts) }),
  },
  {
    id: "breakover",
    when: "The trim leaves the breakover more than 2.5 mm ahead of its mark",
    then: "Make the breakover in the shoe: eased to 6 mm, rolled beyond",
    because: "The whole foot is covered, and the lever is as short as the foot wants it",
    against: "Behind the pastern line it puts work on the suspensory ligament",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.breakoverBack > EDGE_FROM_MM,
        `breakover wanted ${facts.breakoverBack.toFixed(1)} mm behind the toe`,
      ),
    gives: ({ breakoverBack, goes, limb }) =>
      !isFore(limb) && (goes.includes("overreaches") || goes.includes("forges"))
        ? {}
        : { toeEdge: breakoverBack > ROLL_FROM_MM ? "rolled" : "eased" },
    // The mark was measured: it weighs more than what a kind of work usually wants.
    weight: 2.5,
  },
  {
    id: "vet-first",
    when: "Missing or resected wall, white-line disease, laminitis, fracture",
    then: "Under a vet’s plan only",
    because: "What unloads one part loads another, and the diagnosis is not ours",
    against:
      "Typical parts, once it is prescribed: bar or heart bar, two side clips, breakover well back, nails only into sound wall",
    source: "welfare practice",
    support: "common practice",
    sees: ({ conditions }) => {
      const found = conditions.filter((one) => one !== "sore heels");
      return found.length > 0 ? found.join(", ") : undefined;
    },
    gives: {
      clips: ["side medial", "side lateral"],
      toeEdge: "rolled",
      nailsMedial: 2,
      nailsLateral: 2,
      profile: "flat",
    },
    weight: 6,
    only: ["open", "frog pad", "straight bar", "heart bar", "egg bar"],
    bases: { "heart bar": 7, "straight bar": 6, "frog pad": 2, bare: -1, open: -2 },
    vetFirst: true,
    caution: "Gentle nailing, or none.",
  },
];
