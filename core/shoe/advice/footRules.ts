import { isFore } from "../../foot/limb";
import { onFirm } from "../facts";
import type { ShoeRule } from "./rule";

const only = (seen: boolean, words: string): string | undefined => (seen ? words : undefined);

/** Rules about the foot itself: heels, frog, sole, wall, breakover, and what is the vet's. */
export const FOOT_RULES: readonly ShoeRule[] = [
  {
    id: "low-heel-frog",
    when: "Low, crushed heels with a big or prolapsed frog",
    then: "Make the frog carry: frog-support pad with setting compound, or a heart bar; ease the toe",
    because: "The frog shares what the heels cannot carry",
    against: "A pad keeps damp in; a plate must stay passive, inside the frog’s edges, behind its true apex",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only((facts.lowHeels || facts.crushed.length > 0) && facts.bigFrog, "low heels, frog at or below them"),
    gives: { toe: "rolled" },
    favours: { "frog pad": 6, "heart bar": 4, "straight bar": 1, "egg bar": -2 },
    caution: "Frog pressure is passive. A raise only as a stage with an exit.",
  },
  {
    id: "low-heel",
    when: "Low or underrun heels",
    then: "Ends at the back of the frog, rolled toe",
    because: "Support stands where the heels ought to be, and breakover takes the lever off the toe",
    against: "Steel behind a heel that is not there",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only((facts.lowHeels || facts.heelsRunForward) && !facts.bigFrog, "heels low or run forward"),
    gives: { support: "frog", toe: "rolled" },
    favours: { "straight bar": 3, "heart bar": 2, "frog pad": 2 },
  },
  {
    id: "sore-heels",
    when: "Long sloping pasterns, sore heels",
    then: "Straight bar and eased toe",
    because: "The bar spreads the load over both heels; the toe leaves sooner",
    against: "More steel behind, and it can be trodden off",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(
        facts.slopingPastern || facts.conditions.includes("sore heels"),
        [
          facts.slopingPastern ? "long sloping pastern" : "",
          facts.conditions.includes("sore heels") ? "sore heels" : "",
        ]
          .filter(Boolean)
          .join(", "),
      ),
    gives: (facts) => ({ toe: facts.lowHeels || facts.breakoverBack > 8 ? "rolled" : "eased" }),
    favours: { "straight bar": 5, "heart bar": 1 },
  },
  {
    id: "egg-soft",
    when: "Sore heels on soft ground",
    then: "An egg bar may be argued for",
    because: "It stops the heel sinking",
    against: "Heel load on the hoof side rises, and on firm ground it is a lever behind the foot",
    source: "simulated relations of foot and ground",
    support: "disputed",
    sees: (facts) =>
      only(
        !onFirm(facts) && (facts.slopingPastern || facts.conditions.includes("sore heels")),
        "sore heels, soft ground",
      ),
    favours: { "egg bar": 3 },
  },
  {
    id: "egg-run-forward",
    when: "A heel that has run forward",
    then: "No egg bar without saying what it does",
    because: "A bar under bulbs with no heel above it is a lever behind the foot",
    against: "Its relief shows on soft ground only",
    source: "simulated relations of foot and ground",
    support: "published measurement",
    sees: (facts) => only(facts.heelsRunForward, "heels run forward"),
    favours: { "egg bar": -6 },
    caution: "A bar behind a heel that is not there presses it down at landing.",
  },
  {
    id: "crack",
    when: "Crack at a quarter",
    then: "Wall out of contact under it, high side lowered, side clips or a bar",
    because: "It has to stop moving before it can grow down",
    against: "What is unloaded here is carried beside it",
    source: "trade practice",
    support: "common practice",
    sees: ({ crackAt }) => only(crackAt !== undefined, `${crackAt ?? ""} quarter`),
    gives: { clips: "side" },
    favours: { "straight bar": 3, "heart bar": 1, bare: -2 },
    caution: "No nail into the cracked sector.",
  },
  {
    id: "thin-sole",
    when: "Thin sole",
    then: "Leave the sole and relieve the shoe",
    because: "What little there is has to stay",
    against: "A pad protects more, and keeps damp in",
    source: "trade practice",
    support: "common practice",
    sees: ({ thinSole }) => only(thinSole, "sulcus beside the frog is shallow"),
    gives: { relief: true },
    favours: { bare: -7, broad: 1 },
    caution: "Never hot-fit on a thin sole.",
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
        facts.thinSole && (facts.footing.includes("stony track") || facts.work.includes("long distances")),
        "thin sole on hard going",
      ),
    gives: { pad: "flat", packing: "soft" },
  },
  {
    id: "poor-wall",
    when: "Poor wall, or the white line separates",
    then: "Fewer nails, clips carry the hold",
    because: "A nail holds only in sound wall",
    against: "Fewer nails hold less: mind the turnout",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(facts.poorWall || facts.whiteLineSeparated, facts.poorWall ? "wall poor" : "white line separated"),
    gives: { clips: "side", nailsMedial: 3, nailsLateral: 3 },
  },
  {
    id: "breakover",
    when: "The trim leaves the breakover more than 4 mm ahead of its mark",
    then: "Make the breakover in the shoe: eased to 6 mm, rolled beyond",
    because: "The whole foot is covered, and the lever is as short as the foot wants it",
    against: "Behind the pastern line it puts work on the suspensory ligament",
    source: "trade practice",
    support: "common practice",
    sees: (facts) =>
      only(facts.breakoverBack > 4, `breakover wanted ${Math.round(facts.breakoverBack)} mm behind the toe`),
    gives: ({ breakoverBack, goes, limb }) =>
      !isFore(limb) && (goes.includes("overreaches") || goes.includes("forges"))
        ? {}
        : { toe: breakoverBack > 6 ? "rolled" : "eased" },
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
    gives: { clips: "side", toe: "rolled", nailsMedial: 2, nailsLateral: 2 },
    favours: { "heart bar": 6, "straight bar": 5, "frog pad": 2, bare: -1, sliding: -6, light: -1 },
    vetFirst: true,
    caution: "Gentle nailing, or none.",
  },
];
