import { halvesFrom, halvesInWords } from "../foot/parametric/halves";
import type { Wording } from "../foot/wording";
import { fitShoe, leastRoll, type Fit } from "../shoe/fit";
import { NO_SETTING } from "../shoe/fitQuestion";
import type { FoundShoe } from "../shoe/foundShoe";
import { footToShoe } from "../shoe/shodFoot";
import { clipsInWords } from "../shoe/specWords";
import { nailCount, ordinaryShoe, type Specification } from "../shoe/specification";
import type { VisitFoot } from "./visitFoot";
import type { ShoeBench, VisitShoe } from "./visitShoe";

/** The shoe that came off, drawn on the foot as it came: what was found of it, over what was last nailed on. */
export interface FoundBench {
  spec: Specification;
  fit: Fit;
  /** Where it is known from: looked at today, or the record of the last visit alone. */
  from: "found" | "last visit";
  /** What of it was noted, or is on record as it was nailed on; the rest is drawn as an ordinary shoe has it. */
  noted: ReadonlySet<FoundFact>;
}

/** What is told of a shoe that came off. */
export type FoundFact = "type" | "pad" | "raise" | "breakover" | "length" | "clips" | "nails" | "mass";
const FACTS: readonly FoundFact[] = ["type", "pad", "raise", "breakover", "length", "clips", "nails", "mass"];

/** Which facts of a shoe are known: those that were noted, and all where it is the shoe on record. */
export function notedOf(found: FoundShoe | undefined, nailedOn: Specification | undefined): Set<FoundFact> {
  const { type, pad, wedgeDeg, breakoverMm, lengthMm, nailsMedial, nailsLateral } = found ?? {};
  if (nailedOn && (type === undefined || type === nailedOn.type)) return new Set(FACTS);
  const seen: Partial<Record<FoundFact, boolean>> = {
    type: type !== undefined,
    pad: pad !== undefined,
    raise: wedgeDeg !== undefined,
    breakover: breakoverMm !== undefined,
    length: lengthMm !== undefined,
    nails: nailsMedial !== undefined && nailsLateral !== undefined,
  };
  return new Set(FACTS.filter((fact) => seen[fact]));
}

/** A breakover this far back was made by an edge, and from there on by a roll, mm. Source: trade practice. */
const EASED_FROM_MM = 2;
const ROLLED_FROM_MM = 6;

const edgeOf = (breakoverMm: number): Specification["toeEdge"] =>
  breakoverMm > ROLLED_FROM_MM ? "rolled" : breakoverMm >= EASED_FROM_MM ? "eased" : "plain";

/** What was found of a shoe as a specification; what was not looked at is as it was nailed on, else an ordinary shoe's. */
export function specOfFound(found: FoundShoe | undefined, nailedOn: Specification): Specification {
  const { type, pad, wedgeDeg, breakoverMm, nailsMedial, nailsLateral } = found ?? {};
  const same = type === undefined || type === nailedOn.type;
  return {
    ...nailedOn,
    ...(type !== undefined && { type }),
    ...(!same && { raise: undefined, pad: "none", packing: "none" as const }),
    ...(pad !== undefined && { pad }),
    ...(wedgeDeg !== undefined && {
      raise: wedgeDeg > 0 ? { degrees: wedgeDeg, cycles: 1, exit: "" } : undefined,
    }),
    ...(breakoverMm !== undefined && { toeEdge: edgeOf(breakoverMm) }),
    ...(nailsMedial !== undefined && { nailsMedial }),
    ...(nailsLateral !== undefined && { nailsLateral }),
  };
}

/** The shoe as it was found, fitted to the untrimmed foot; undefined where nothing is known of it. */
export function foundBench(shoe: VisitShoe, foot: VisitFoot, massKg: number): FoundBench | undefined {
  const found = foot.shoe?.found;
  const known = found !== undefined && Object.keys(found).length > 0;
  const last = foot.lastShoe?.spec;
  if (!known && !last) return undefined;
  const spec = specOfFound(found, last ?? ordinaryShoe(shoe.limb, massKg));
  const question = {
    foot: footToShoe(shoe.facts, {}).foot,
    spec,
    setting: NO_SETTING,
    breakover: { fromToe: found?.breakoverMm ?? leastRoll(spec), direction: 0 },
    skip: [],
  };
  const fit = fitShoe(question);
  const short = found?.lengthMm === undefined ? 0 : fit.length - found.lengthMm;
  return {
    spec,
    from: known ? "found" : "last visit",
    noted: notedOf(found, last),
    fit:
      short === 0
        ? fit
        : fitShoe({
            ...question,
            spec: {
              ...spec,
              longerMedial: spec.longerMedial - short,
              longerLateral: spec.longerLateral - short,
            },
          }),
  };
}

/** One number of both shoes, and how much it changes; in words of the user. */
export interface FoundRow {
  name: string;
  was: string;
  now: string;
  changed: boolean;
}

export const NOT_NOTED = "not noted";

/** What changes from the shoe that came off to the one that goes on; what was not noted of it is not told. */
export function foundRows(was: FoundBench, now: ShoeBench, wording: Wording): FoundRow[] {
  const raise = (spec: Specification) => (spec.raise ? wording.angle(spec.raise.degrees) : "none");
  const row = (name: string, wants: readonly FoundFact[], of: (fit: Fit) => string): FoundRow => {
    const noted = wants.every((fact) => was.noted.has(fact));
    const [a, b] = [noted ? of(was.fit) : NOT_NOTED, of(now.fit)];
    return { name, was: a, now: b, changed: noted && a !== b };
  };
  return [
    row("Shoe", ["type"], ({ question: { spec } }) => spec.type),
    row("Pad", ["pad"], ({ question: { spec } }) => spec.pad),
    row("Raise", ["raise"], ({ question: { spec } }) => raise(spec)),
    row("Front : support", ["breakover", "length"], (fit) =>
      halvesInWords(halvesFrom(fit.front, fit.support)),
    ),
    row("Front", ["breakover"], (fit) => wording.length(fit.front)),
    row("Support", ["length"], (fit) => wording.length(fit.support)),
    row("Rolled off the toe", ["breakover"], (fit) => wording.cut(fit.roll)),
    row("Length", ["length"], (fit) => wording.length(fit.length)),
    row("Clips", ["clips"], ({ question: { spec } }) =>
      wording.inOwnWords(clipsInWords(spec.clips) || "none"),
    ),
    row("Nails", ["nails"], ({ question: { spec } }) => String(nailCount(spec))),
    row("Mass, estimate", ["mass"], (fit) => `${Math.round(fit.mass)} g`),
  ];
}
