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

/** What changes from the shoe that came off to the one that goes on. */
export function foundRows(was: FoundBench, now: ShoeBench, wording: Wording): FoundRow[] {
  const raise = (spec: Specification) => (spec.raise ? wording.angle(spec.raise.degrees) : "none");
  const row = (name: string, of: (fit: Fit) => string): FoundRow => {
    const [a, b] = [of(was.fit), of(now.fit)];
    return { name, was: a, now: b, changed: a !== b };
  };
  return [
    row("Shoe", ({ question: { spec } }) => spec.type),
    row("Pad", ({ question: { spec } }) => spec.pad),
    row("Raise", ({ question: { spec } }) => raise(spec)),
    row("Front : support", (fit) => halvesInWords(halvesFrom(fit.front, fit.support))),
    row("Front", (fit) => wording.length(fit.front)),
    row("Support", (fit) => wording.length(fit.support)),
    row("Rolled off the toe", (fit) => wording.cut(fit.roll)),
    row("Length", (fit) => wording.length(fit.length)),
    row("Clips", ({ question: { spec } }) => wording.inOwnWords(clipsInWords(spec.clips) || "none")),
    row("Nails", ({ question: { spec } }) => String(nailCount(spec))),
    row("Mass, estimate", (fit) => `${Math.round(fit.mass)} g`),
  ];
}
