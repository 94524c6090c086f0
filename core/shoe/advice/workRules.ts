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
const slidesBehind = (facts: ShoeFacts): boolean =>
  !isFore(facts.limb) && facts.work.includes("sliding stops");

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
    onGround: "sink",
    sees: (facts) => only(onTurf(facts) && !onSoft(facts), stands(facts, "firm turf", "wet turf") ?? ""),
    gives: { profile: "concave", crease: "creased", web: "narrow" },
    weight: 2,
    only: ["open", "frog pad"],
  },
  {
    id: "turf-and-arena",
    when: "It works on turf and on a soft arena",
    then: "A creased shoe of ordinary web",
    because: "What bites on turf sinks in an arena: between them lies the ordinary web",
    against: "Neither ground gets the shoe that it would have alone",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        onTurf(facts) && onSoft(facts),
        stands(facts, "firm turf", "wet turf", "soft arena", "deep ground") ?? "",
      ),
    gives: { crease: "creased", web: "ordinary", profile: "flat" },
    weight: 2,
  },
  {
    id: "soft-arena",
    when: "It works on a soft arena or deep ground",
    then: "A broad, flat web",
    because: "A broad web sinks less, and sinking works the tendons",
    against: "More steel to carry, and less bite on turf",
    source: "trade practice",
    support: "common practice",
    onGround: "sink",
    sees: (facts) => only(onSoft(facts) && !onTurf(facts), stands(facts, "soft arena", "deep ground") ?? ""),
    gives: { web: "broad", profile: "flat" },
    weight: 2,
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
      toeEdge: "eased",
      material: "steel",
      traction: "stud holes",
      studsGood: onTurf(facts) ? "small" : "none",
      studsWet: onTurf(facts) ? "large" : "none",
    }),
    weight: 2,
    caution: "Studs out for the road and the box.",
  },
  {
    id: "studs-wet",
    when: "Fast work on wet turf",
    then: "Holes tapped: larger studs for wet ground, smaller ones for good ground",
    because: "Wet ground gives way; a larger stud reaches what holds",
    against: "Twist at every turn goes up the limb",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.footing.includes("wet turf") && facts.work.includes("fast work on turf"),
        "fast work on wet turf",
      ),
    gives: { traction: "stud holes", studsGood: "small", studsWet: "large" },
    weight: 2,
  },
  {
    id: "light-front",
    when: "Fast or long work where grams count, in front",
    then: "Light metal in front only",
    because: "Less mass at the end of the limb",
    against: "It wears faster: worth it only where lightness is",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      isFore(facts.limb) && !onRoad(facts)
        ? worksAt(facts, "fast work on turf", "long distances")
        : undefined,
    gives: { material: "aluminium" },
    // Hard work at speed is where grams are worth the wear.
    weight: ({ effort, work }) => (effort === "hard" && work.includes("fast work on turf") ? 1 : 0.4),
    only: ["open", "straight bar", "egg bar"],
  },
  {
    id: "light-road",
    when: "Light metal on road or stones, or behind",
    then: "Steel",
    because: "Light metal wears through before the foot has grown",
    against: "Heavier",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      facts.work.some((work) => work === "fast work on turf" || work === "long distances")
        ? (only(onRoad(facts), stands(facts, "road", "stony track") ?? "") ??
          only(!isFore(facts.limb), "hind foot"))
        : undefined,
    gives: { material: "steel" },
    weight: 3,
  },
  {
    id: "sliding-stops",
    when: "Sliding stops, hind foot",
    then: "Wide, flat, smooth plate on both hinds, nailed in the front half, outer heel open, inner one tucked",
    because: "It has to slide, dirt has to run through, and it must not step on itself",
    against: "No grip for anything else",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(slidesBehind(facts), "sliding stops, hind"),
    gives: { endMedial: "tucked", endLateral: "open", fullToeMedial: 1, clips: [] },
    weight: 6,
    only: ["sliding"],
    bases: { sliding: 12, open: -2, "straight bar": -3, "heart bar": -3, "egg bar": -4, "frog pad": -3 },
  },
  {
    id: "sliding-else",
    when: "No sliding stops, or a fore foot",
    then: "No sliding plate",
    because: "A plate holds nowhere",
    against: "A plate is for the stop",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => only(!slidesBehind(facts), isFore(facts.limb) ? "fore foot" : "no sliding stops"),
    rulesOut: ["sliding"],
  },
  {
    id: "spreads",
    when: "A hind that spreads outward in the stop",
    then: "Inner toe full, turned a little inward, outer branch shorter, what overhangs boxed",
    because: "The full inner toe does not dig, and the shorter outer branch lets the foot track straight",
    against:
      "How much is found out on this horse; the inner branch is not lengthened: what sticks out is trodden off",
    source: "trade practice",
    support: "single practitioners",
    sees: (facts) =>
      only(slidesBehind(facts) && facts.goes.includes("spreads in the stop"), "spreads in the stop, hind"),
    gives: {
      fullToeMedial: 1,
      turn: -1,
      longerLateral: -6,
      longerMedial: 0,
      edges: { toeQuarterMedial: "boxed" },
    },
    weight: 7,
    only: ["sliding"],
    bases: { sliding: 2 },
  },
  {
    id: "haulage",
    when: "Haulage or driving on roads",
    then: "Braking traction at the heels, parallel to the line of breakover, one piece further back than the other",
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
      studsGood: "none",
      studsWet: "none",
      crease: "stamped",
      pattern: facts.massKg >= 700 ? "heavy" : "square",
      profile: "flat",
    }),
    weight: 4,
    bases: { open: 2 },
    caution: "One piece further back than the other where the breakover is turned.",
  },
  {
    id: "haulage-heavy",
    when: "Haulage",
    then: "Four nails a side and a clip in front, two behind",
    because: "Weight and pull tear a light shoe off",
    against: "More mass to lift, and more holes in the wall",
    source: "trade practice",
    support: "common practice",
    sees: (facts) => worksAt(facts, "haulage"),
    gives: (facts) => ({
      clips: isFore(facts.limb) ? ["toe"] : ["side medial", "side lateral"],
      nailsMedial: 4,
      nailsLateral: 4,
      web: "ordinary",
    }),
    weight: 2,
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
        facts.footing.includes("road") &&
          !slidesBehind(facts) &&
          !facts.work.some((work) => work === "haulage" || work === "jumping"),
        "road",
      ),
    gives: { traction: "road pins", studsGood: "none", studsWet: "none" },
    weight: 2,
  },
  {
    id: "stones",
    when: "Stony tracks, long or hard",
    then: "Relief for the sole",
    because: "Stones bruise what stands out",
    against: "Relief takes a little of what the web carries",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.footing.includes("stony track") &&
          (facts.effort === "hard" || facts.work.includes("long distances")),
        "stony track",
      ),
    gives: { relief: true },
    bases: { bare: -3 },
  },
  {
    id: "herd",
    when: "Turned out in a herd, or pulls shoes off",
    then: "Two side clips, and a breakover set where the foot wants it",
    because: "Both keep shoes on",
    against: "Two clips cut into the wall",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(facts.turnout === "in a herd", "herd turnout") ??
      only(facts.goes.includes("pulls shoes off"), "pulls shoes off"),
    gives: { clips: ["side medial", "side lateral"] },
    weight: 2,
    bases: { "egg bar": -3 },
  },
  {
    id: "egg-firm",
    when: "Firm ground",
    then: "No egg bar for the posture",
    because:
      "On firm ground it changes the support and not the posture, and is a lever behind the foot at landing",
    against: "On soft ground it stops the heel sinking",
    source: "simulated relations of foot and ground",
    support: "a model, not a measurement",
    onGround: "posture",
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
    bases: { bare: 15 },
  },
  {
    id: "bare",
    when: "Growth exceeds wear, soles were measured sound and the work allows it",
    then: "Barefoot",
    because: "Nothing holds a foot as well as its own horn",
    against: "Short cycles; stones and roads wear it away",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        (facts.growsMoreThanItWears === true || facts.work.includes("no work")) &&
          facts.thinSole === false &&
          !(facts.effort === "hard" && onRoad(facts)) &&
          !facts.work.some((work) => work === "haulage" || work === "sliding stops"),
        facts.work.includes("no work")
          ? "no work, soles measured and not thin"
          : "grows more than it wears, soles measured and not thin",
      ),
    bases: { bare: 7 },
  },
  {
    id: "sole-unknown",
    when: "The sole was not measured",
    then: "Measure the sulcus beside the frog before it goes bare",
    because: "What was not measured is not sound",
    against: "A foot that has always gone bare tells enough by how it goes",
    source: "assumption, because a thin sole is not seen from outside",
    support: "common practice",
    sees: (facts) =>
      only(facts.thinSole === undefined && !facts.keptBare, "depth of the sulcus not measured"),
    bases: { bare: -2 },
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
    bases: { bare: -6 },
  },
];
