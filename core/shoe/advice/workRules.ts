import { isFore } from "../../foot/limb";
import { onFirm, onRoad, onSoft, onTurf, type ShoeFacts } from "../facts";
import type { ShoeRule } from "./rule";

const worksAt = (facts: ShoeFacts, ...works: ShoeFacts["work"][number][]): string | undefined => {
  const found = facts.work.filter((work) => works.includes(work));
  return found.length > 0 ? found.join(", ") : undefined;
};
const stands = (facts: ShoeFacts, ...footing: ShoeFacts["footing"][number][]): string | undefined => {
  const found = facts.footing.filter((one) => footing.includes(one));
  return found.length > 0 ? found.join(", ") : undefined;
};
const only = (seen: boolean, words: string): string | undefined => (seen ? words : undefined);

/** Rules about work, ground and keeping. */
export const WORK_RULES: readonly ShoeRule[] = [
  {
    id: "turf",
    when: "It works on turf",
    then: "Creased and concave, a narrower web",
    because: "A crease fills with soil, and held soil shears against soil; a narrow web bites",
    against: "A narrow web sinks in soft ground and gives the sole less cover",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => (onTurf(facts) ? stands(facts, "firm turf", "wet turf") : undefined),
    favours: { concave: 5, broad: -2, stamped: -1, sliding: -4 },
  },
  {
    id: "soft-arena",
    when: "It works on a soft arena or deep ground",
    then: "A broad web",
    because: "A broad web sinks less, and sinking works the tendons",
    against: "More steel to carry, and less bite on turf",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => (onSoft(facts) ? stands(facts, "soft arena", "deep ground") : undefined),
    favours: { broad: 5, concave: -1 },
  },
  {
    id: "jumping",
    when: "It jumps",
    then: "Eased toe, steel, holes tapped for studs",
    because: "It has to turn and leave the ground freely, and stand when it lands",
    against: "A stud stops the foot before the leg: as small as the ground allows",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => worksAt(facts, "jumping"),
    gives: (facts) => ({
      toe: "eased",
      material: "steel",
      traction: "stud holes",
      studs: facts.footing.includes("wet turf") ? "large" : onTurf(facts) ? "small" : "none",
    }),
    favours: { light: -4, concave: 1 },
    caution: "Studs out for the road and the box.",
  },
  {
    id: "studs-wet",
    when: "Wet turf at speed",
    then: "Holes tapped, larger studs for the day",
    because: "Wet ground gives way; a larger stud reaches what holds",
    against: "Twist at every turn goes up the limb",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      facts.footing.includes("wet turf") && facts.work.includes("fast work on turf")
        ? "fast work on wet turf"
        : undefined,
    gives: { traction: "stud holes", studs: "large" },
  },
  {
    id: "light-front",
    when: "Fast or long work where grams count, in front",
    then: "Light metal in front only",
    because: "Less mass at the end of the limb",
    against: "It wears faster; worth it only where lightness is",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      isFore(facts.limb) && !onRoad(facts)
        ? worksAt(facts, "fast work on turf", "long distances")
        : undefined,
    favours: { light: 2 },
  },
  {
    id: "light-road",
    when: "Light metal on road or stones, or behind",
    then: "Steel",
    because: "It wears through before the foot has grown",
    against: "Heavier",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(onRoad(facts), stands(facts, "road", "stony track") ?? "") ??
      only(!isFore(facts.limb), "hind foot"),
    favours: { light: -5 },
  },
  {
    id: "sliding-stops",
    when: "Sliding stops, hind foot",
    then: "Wide, flat, smooth plate, nailed in the front half, heels open",
    because: "It has to slide, and dirt has to run through",
    against: "No grip for anything else",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(!isFore(facts.limb) && facts.work.includes("sliding stops"), "sliding stops, hind"),
    gives: {
      heels: "open",
      traction: "none",
      studs: "none",
      crease: "stamped",
      clips: "none",
      fullMedial: 1,
    },
    favours: { sliding: 8, concave: -4, broad: -1 },
    caution: "Inner branch tucked, so that it cannot step on it.",
  },
  {
    id: "spreads",
    when: "A hind that spreads outward in the stop",
    then: "Inner toe full, inner branch longer than the outer, turned a little inward",
    because: "The inner toe must not dig, and the longer inner branch steers",
    against: "How much is found out on this horse; what overhangs is bevelled",
    source: "trade practice",
    support: "single practitioners",
    sees: (facts) =>
      only(!isFore(facts.limb) && facts.goes.includes("spreads in the stop"), "spreads in the stop, hind"),
    gives: { longerMedial: 6 },
    favours: { sliding: 2 },
  },
  {
    id: "haulage",
    when: "Haulage or driving on roads",
    then: "Braking traction at the heels, placed parallel to the line of breakover",
    because: "Losing the load downhill is the worst case",
    against: "A foot that is stopped short carries it in heel and joint",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => {
      const works = worksAt(facts, "haulage", "driving");
      return works && (onRoad(facts) || facts.footing.length === 0 || facts.work.includes("haulage"))
        ? works
        : undefined;
    },
    gives: (facts) => ({
      traction: facts.work.includes("haulage") ? "heel blocks" : "road pins",
      studs: "none",
    }),
    favours: { stamped: 3, creased: 1, concave: -2, light: -4, sliding: -4 },
    caution: "One piece further back than the other where the breakover is turned.",
  },
  {
    id: "haulage-heavy",
    when: "Haulage",
    then: "Stouter section, four nails a side",
    because: "Weight and pull tear a light shoe off",
    against: "More mass to lift",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => worksAt(facts, "haulage"),
    gives: (facts) => ({
      clips: isFore(facts.limb) ? "toe" : "side",
      nailsMedial: 4,
      nailsLateral: 4,
    }),
  },
  {
    id: "road",
    when: "Roads",
    then: "Small road pins, no studs",
    because: "Steel on asphalt slides, and a stud has nothing to go into",
    against: "Anything that stops the slide is paid for in the limb",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.footing.includes("road") && !facts.work.includes("haulage") && !facts.work.includes("jumping"),
        "road",
      ),
    gives: { traction: "road pins", studs: "none" },
    favours: { creased: 2, sliding: -6 },
  },
  {
    id: "stones",
    when: "Stony tracks, long or hard",
    then: "Relief for the sole, a little more cover",
    because: "Stones bruise what stands out",
    against: "A pad keeps in what ought to dry",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.footing.includes("stony track") &&
          (facts.effort === "hard" || facts.work.includes("long distances")),
        "stony track",
      ),
    gives: { relief: true },
    favours: { bare: -3, broad: 1 },
  },
  {
    id: "herd",
    when: "Turned out in a herd, or pulls shoes off",
    then: "Side clips, heels no longer than they need be, breakover where the foot wants it",
    because: "Clips and a breakover set where the foot wants it keep shoes on",
    against: "Two clips cut into the wall",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(facts.turnout === "in a herd", "herd turnout") ??
      only(facts.goes.includes("pulls shoes off"), "pulls shoes off"),
    gives: { clips: "side" },
    favours: { "egg bar": -3, sliding: -1 },
  },
  {
    id: "egg-firm",
    when: "Firm ground",
    then: "No egg bar",
    because: "It is a lever behind the foot: it presses the heel down at landing",
    against: "On soft ground it stops the heel sinking",
    source: "simulated relations of foot and ground",
    support: "published measurement",
    sees: (facts) =>
      only(onFirm(facts), facts.footing.length > 0 ? facts.footing.join(", ") : "no soft ground named"),
    rulesOut: ["egg bar"],
  },
  {
    id: "kept-bare",
    when: "It is kept bare",
    then: "Bare again, a margin of wall and a bevel",
    because: "What goes well without is left without",
    against: "Stones and hard roads want watching, and boots for the worst of them",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(facts.keptBare, "kept bare until now"),
    favours: { bare: 15 },
  },
  {
    id: "bare",
    when: "Growth exceeds wear, soles are sound and the work allows it",
    then: "Barefoot",
    because: "Nothing holds a foot as well as its own horn",
    against: "Short cycles; stones and roads wear it away",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        (facts.growsMoreThanItWears === true || facts.work.includes("no work")) &&
          !facts.thinSole &&
          !(facts.effort === "hard" && onRoad(facts)) &&
          !facts.work.some((work) => work === "haulage" || work === "sliding stops"),
        facts.work.includes("no work")
          ? "no work, soles not thin"
          : "grows more than it wears, soles not thin",
      ),
    favours: { bare: 7 },
  },
  {
    id: "not-bare",
    when: "Wear outruns growth: roads, stones or pulling",
    then: "Shod",
    because: "What is worn away is not grown again in time",
    against: "Every nail costs wall",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        !facts.keptBare &&
          facts.growsMoreThanItWears !== true &&
          (onRoad(facts) ||
            facts.work.some((work) => ["haulage", "driving", "sliding stops"].includes(work))),
        [...facts.work, ...facts.footing].join(", "),
      ),
    favours: { bare: -6 },
  },
];
