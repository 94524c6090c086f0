import type { ShoeFacts } from "../facts";
import type { Base } from "./rule";
import type { Specification } from "../specification";

/** A whole situation as a practitioner would put it, and how the list has to answer. */
export interface Situation {
  says: string;
  facts: Partial<ShoeFacts>;
  first: Base;
  spec?: Partial<Specification>;
  /** Bases that must not stand in the list unless they are marked as spoken against. */
  never?: Base[];
  /** Rules that must speak for the first. */
  because?: string[];
  askVet?: true;
  /** Checks that the first proposal may break, on purpose. */
  breaks?: string[];
}

const BOTH_SIDES: Specification["clips"] = ["side medial", "side lateral"];

/** What practitioners meet: use, ground, limb, findings, prescription. */
export const SITUATIONS: readonly Situation[] = [
  {
    says: "A hack on the road, nothing wrong with its feet",
    facts: { work: ["hacking"], footing: ["road"], thinSole: false },
    first: "open",
    spec: { crease: "creased", profile: "flat", traction: "road pins", material: "steel" },
    never: ["egg bar", "sliding"],
    because: ["road"],
  },
  {
    says: "An eventer on firm turf: bites, and can be studded",
    facts: { work: ["jumping"], footing: ["firm turf"], effort: "hard" },
    first: "open",
    spec: {
      profile: "concave",
      crease: "creased",
      toeEdge: "eased",
      traction: "stud holes",
      studsGood: "small",
      studsWet: "large",
      material: "steel",
    },
    because: ["turf", "jumping"],
  },
  {
    says: "The same on wet turf",
    facts: { work: ["jumping"], footing: ["wet turf"] },
    first: "open",
    spec: { profile: "concave", studsWet: "large" },
  },
  {
    says: "A jumper that goes in a soft arena only",
    facts: { work: ["jumping"], footing: ["soft arena"] },
    first: "open",
    spec: { profile: "flat", toeEdge: "eased", traction: "stud holes", studsGood: "none", studsWet: "none" },
    because: ["soft-arena"],
  },
  {
    says: "A jumper with sore heels: the bar before any concave shoe",
    facts: { work: ["jumping"], footing: ["firm turf"], conditions: ["sore heels"] },
    first: "straight bar",
    spec: { toeEdge: "eased" },
    because: ["sore-heels"],
  },
  {
    says: "Low heels with a frog hanging past them, on turf: the frog carries, raised as a stage",
    facts: {
      footing: ["firm turf"],
      lowHeels: true,
      frogProudMm: 10,
      brokenBackDeg: 4.2,
      thinSole: false,
    },
    first: "frog pad",
    spec: {
      pad: "frog support",
      packing: "setting compound",
      toeEdge: "eased",
      raise: { degrees: 4, cycles: 3, exit: "heel angle within 5° of the wall, then level" },
    },
    because: ["low-heel-frog", "raise-stage"],
  },
  {
    says: "Low heels, the frog not past them, axis straight: support, no raise",
    facts: { footing: ["firm turf"], lowHeels: true, frogProudMm: 0 },
    first: "straight bar",
    spec: { toeEdge: "rolled", raise: undefined },
    because: ["low-heel"],
  },
  {
    says: "A wide frog that nobody held a straightedge to is no hanging frog",
    facts: { footing: ["soft arena"], lowHeels: false },
    first: "open",
    never: ["heart bar"],
  },
  {
    says: "Heels that have run forward, firm ground",
    facts: { footing: ["road"], heelsRunForward: true, breakoverBack: 9 },
    first: "straight bar",
    spec: { toeEdge: "rolled", support: "frog" },
    never: ["egg bar"],
  },
  {
    says: "Long sloping pasterns in a deep arena",
    facts: { footing: ["deep ground"], slopingPastern: true, longPasterns: true },
    first: "straight bar",
    spec: { toeEdge: "eased" },
    because: ["sore-heels"],
  },
  {
    says: "A sloping pastern alone, neither long nor sore: no bar for it",
    facts: { footing: ["firm turf"], slopingPastern: true },
    first: "open",
    spec: { profile: "concave" },
  },
  {
    says: "A slider's hind",
    facts: { limb: "LH", work: ["sliding stops"], footing: ["soft arena"], toeDirection: "toe-out" },
    first: "sliding",
    spec: {
      type: "sliding plate",
      clips: [],
      traction: "none",
      endLateral: "open",
      endMedial: "tucked",
      edges: {},
      longerMedial: 0,
    },
    because: ["sliding-stops"],
  },
  {
    says: "A slider's hind that spreads outward in the stop",
    facts: {
      limb: "RH",
      work: ["sliding stops"],
      footing: ["soft arena"],
      goes: ["spreads in the stop"],
      base: "wide",
      turnout: "in a herd",
    },
    first: "sliding",
    spec: {
      fullToeMedial: 1,
      turn: -1,
      longerLateral: -6,
      longerMedial: 0,
      clips: [],
      edges: { toeQuarterMedial: "boxed" },
    },
    because: ["spreads"],
    breaks: ["heels"],
  },
  {
    says: "A slider's fore: no plate",
    facts: { work: ["sliding stops"], footing: ["soft arena"] },
    first: "open",
    never: ["sliding"],
  },
  {
    says: "A heavy horse hauling timber",
    facts: { work: ["haulage"], footing: ["stony track"], massKg: 860 },
    first: "open",
    spec: { traction: "heel blocks", nailsMedial: 4, nailsLateral: 4, crease: "stamped", pattern: "heavy" },
    because: ["haulage", "haulage-heavy"],
  },
  {
    says: "A driving horse that breaks over its outer toe quarter",
    facts: { work: ["driving"], footing: ["road"], breakoverTurnDeg: 14 },
    first: "open",
    spec: { toeEdge: "eased", traction: "road pins" },
    because: ["turned-breakover", "haulage"],
  },
  {
    says: "A flat thin foot turned out with others that pulls its shoes off",
    facts: { thinSole: true, turnout: "in a herd", goes: ["pulls shoes off"], footing: ["firm turf"] },
    first: "open",
    spec: { relief: true, clips: BOTH_SIDES, toeEdge: "eased" },
    never: ["bare"],
    because: ["thin-sole-herd", "thin-sole"],
  },
  {
    says: "Thin soles, long rides over stones",
    facts: { thinSole: true, work: ["long distances"], footing: ["stony track"], effort: "hard" },
    first: "open",
    spec: { pad: "flat", packing: "soft", riveted: true, relief: true, material: "steel" },
    never: ["bare"],
  },
  {
    says: "Fast work on turf, hard: light metal in front",
    facts: { work: ["fast work on turf"], footing: ["firm turf"], effort: "hard" },
    first: "open",
    spec: { material: "aluminium" },
  },
  {
    says: "The same behind: steel",
    facts: { limb: "LH", work: ["fast work on turf"], footing: ["firm turf"], effort: "hard" },
    first: "open",
    spec: { material: "steel" },
  },
  {
    says: "Polo ponies on wet turf: studs by the ground",
    facts: { work: ["fast work on turf"], footing: ["wet turf"], effort: "light" },
    first: "open",
    spec: { traction: "stud holes", studsGood: "small", studsWet: "large", material: "steel" },
  },
  {
    says: "A hind that overreaches",
    facts: { limb: "LH", goes: ["overreaches"], footing: ["firm turf"] },
    first: "open",
    spec: { toe: "square set under", clips: BOTH_SIDES },
  },
  {
    says: "Its fore",
    facts: { goes: ["overreaches"], footing: ["firm turf"] },
    first: "open",
    spec: { toeEdge: "rolled", support: "heel" },
  },
  {
    says: "A horse that brushes",
    facts: { goes: ["brushes"], footing: ["road"] },
    first: "open",
    spec: {
      fullMedial: 1,
      edges: { toeQuarterMedial: "safe inside", quarterMedial: "safe inside", heelMedial: "safe inside" },
    },
  },
  {
    says: "A straight stifle that drags its toe",
    facts: { limb: "RH", goes: ["drags a toe", "straight stifle"] },
    first: "open",
    spec: { toeEdge: "eased" },
  },
  {
    says: "Lands on and wears its outside, the limb a little off: three millimetres, after the trim",
    facts: { landsOn: "lateral", wornOn: "lateral", footing: ["road"] },
    first: "open",
    spec: { outLateral: 3, widerLateral: 3, outMedial: 0, widerMedial: 0, changeFrom: "toe quarter" },
    because: ["one-side"],
  },
  {
    says: "The same with a crushed heel there: eased, no steel added",
    facts: { landsOn: "lateral", wornOn: "lateral", crushed: ["lateral"], toeDirection: "toe-in" },
    first: "open",
    spec: { outLateral: 0, widerLateral: 0, fullLateral: 3, edges: { heelLateral: "eased" } },
    because: ["crushed-side"],
  },
  {
    says: "The same with a crack there: unloaded, held, no steel added",
    facts: { landsOn: "lateral", wornOn: "lateral", crackAt: "lateral", base: "narrow", limbDeviationDeg: 6 },
    first: "straight bar",
    spec: {
      outLateral: 0,
      widerLateral: 0,
      fullLateral: 3,
      unloaded: ["quarterLateral"],
      clips: BOTH_SIDES,
    },
    because: ["cracked-side", "crack"],
  },
  {
    says: "Landing and wear that contradict each other decide nothing",
    facts: { landsOn: "lateral", wornOn: "medial" },
    first: "open",
    spec: { outLateral: 0, outMedial: 0 },
  },
  {
    says: "Nine and a half millimetres of horn: a web that has its holes in the middle",
    facts: { hornMm: 12, footing: ["firm turf"] },
    first: "open",
    spec: { width: 24 },
    because: ["wall-web"],
  },
  {
    says: "Poor wall in a heavy horse",
    facts: { massKg: 800, poorWall: true },
    first: "open",
    spec: { nailsMedial: 3, nailsLateral: 3, clips: BOTH_SIDES },
  },
  {
    says: "A retiree kept bare",
    facts: { keptBare: true, work: ["no work"], turnout: "in a herd" },
    first: "bare",
  },
  {
    says: "Growth exceeds wear, soles measured and sound",
    facts: { growsMoreThanItWears: true, thinSole: false, work: ["hacking"], footing: ["firm turf"] },
    first: "bare",
  },
  {
    says: "Growth exceeds wear, but nobody measured the sole: not bare yet",
    facts: { growsMoreThanItWears: true, work: ["hacking"], footing: ["firm turf"] },
    first: "open",
  },
  {
    says: "Turf and arena both",
    facts: { work: ["jumping"], footing: ["firm turf", "soft arena"] },
    first: "open",
    spec: { crease: "creased", profile: "flat", width: 22 },
  },
  {
    says: "Laminitis, no plan yet",
    facts: { conditions: ["laminitis"], footing: ["soft arena"] },
    first: "heart bar",
    spec: { clips: BOTH_SIDES, toeEdge: "rolled" },
    askVet: true,
  },
  {
    says: "A resected wall under a plan: the heart bar as prescribed",
    facts: {
      conditions: ["missing wall"],
      unsoundWall: ["toe", "toeQuarterLateral"],
      prescription: { by: "the vet", until: "2026-12-31", says: "", type: "heart bar" },
    },
    first: "heart bar",
    spec: { type: "heart bar", clips: ["side medial"] },
  },
  {
    says: "An egg bar prescribed on firm ground is an egg bar",
    facts: {
      footing: ["firm turf"],
      conditions: ["sore heels"],
      prescription: { by: "the vet", until: "2026-12-31", says: "", type: "egg bar" },
    },
    first: "egg bar",
    spec: { type: "egg bar" },
    breaks: ["egg-firm"],
  },
  {
    says: "An egg bar prescribed on deep ground is an egg bar, once",
    facts: {
      footing: ["deep ground"],
      prescription: { by: "the vet", until: "2026-12-31", says: "", type: "egg bar", toeEdge: "rolled" },
    },
    first: "egg bar",
    spec: { type: "egg bar", toeEdge: "rolled" },
  },
  {
    says: "A small pony in an arena: broad, and no thicker than an ordinary shoe",
    facts: { kind: "pony", massKg: 220, footing: ["soft arena"] },
    first: "open",
    spec: { width: 20, thickness: 6 },
  },
  {
    says: "A donkey kept bare",
    facts: { kind: "donkey", massKg: 180, keptBare: true },
    first: "bare",
  },
];
