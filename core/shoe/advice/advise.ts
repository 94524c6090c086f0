import { ordinaryShoe, specDifferences, type Specification, type SpecField } from "../specification";
import type { ShoeFacts } from "../facts";
import { disputesOf, type Dispute } from "./disputes";
import { dress, wantsOf, type Dressed, type Spoken } from "./dress";
import { FOOT_RULES } from "./footRules";
import { LIMB_RULES } from "./limbRules";
import { proposalName } from "./proposalName";
import { BASE_NAMES, type Base, type ShoeRule } from "./rule";
import { WORK_RULES } from "./workRules";

export type { Spoken } from "./dress";

/** The whole table, in the order in which rules are heard: where two weigh the same, what a later one gives stands. */
export const SHOE_RULES: readonly ShoeRule[] = [...WORK_RULES, ...LIMB_RULES, ...FOOT_RULES];

export interface Against extends Spoken {
  /** Why it speaks against this shoe: as a rule of its own, as a wish that this shoe does not have, or as the price. */
  as: "ruled out" | "against" | "not in it" | "price";
  because: string;
}

/** A whole specification with its argument. */
export interface Proposal {
  id: string;
  base: Base;
  /** Its base and what dresses it, in words. */
  name: string;
  spec: Specification;
  /** Rules that speak for this base, the strongest first, then those whose wishes stand in it. */
  reasonsFor: Spoken[];
  reasonsAgainst: Against[];
  cautions: string[];
  disputes: Dispute[];
  /** Which rule set a field. */
  by: Partial<Record<SpecField, string>>;
  ruledOut: boolean;
  /** True for what a vet prescribed: it outranks every rule. */
  prescribed: boolean;
}

export interface Advice {
  /** Best first; what is ruled out comes last. */
  proposals: Proposal[];
  spoken: Spoken[];
  /** Set where nothing is nailed on without a vet's plan, and there is none. */
  askVet?: string;
}

/** A whole shoe that nobody argues for or against; an open one is what most feet wear. */
const PRIOR: Record<Base, number> = {
  bare: 0,
  open: 2,
  sliding: -4,
  "frog pad": -1,
  "straight bar": -1,
  "heart bar": -1.5,
  "egg bar": -2,
};
/** How much a dressing's wishes count against the argument about the base. Assumption: they order shoes of one base. */
const DRESSING_PART = 0.1;
/** How many proposals are a short list, and how many of them may be one base in another dress. */
const SHORT_LIST = 4;
const OF_ONE_BASE = 2;

/**
 * A ranked short list of whole specifications, each with reasons both ways. A base is dressed by every rule that speaks;
 * where a wish is outweighed, the shoe that has it stands in the list as well; a bar, a plate or a frog pad for which nobody speaks does
 * not. Weights only order the list. A prescription
 * outranks every rule and stands first, as itself; bare is always weighed. No shoe stands in it twice. The same facts give
 * the same list.
 */
export function adviseShoe(facts: ShoeFacts): Advice {
  const spoken = SHOE_RULES.flatMap((rule): Spoken[] => {
    const seen = rule.sees(facts);
    return seen === undefined ? [] : [{ rule, seen }];
  });
  const about = (base: Base) =>
    spoken.reduce((sum, { rule }) => sum + (rule.bases?.[base] ?? 0), PRIOR[base]);
  const isOut = (base: Base) => spoken.some(({ rule }) => rule.rulesOut?.includes(base));
  const speaksFor = (base: Base) =>
    base === "open" || base === "bare" || spoken.some(({ rule }) => (rule.bases?.[base] ?? 0) > 0);
  const ranked = BASE_NAMES.filter(
    (base) => speaksFor(base) || (facts.prescription && prescribesBase(base, facts.prescription)),
  )
    .flatMap((base) =>
      dresses(base, facts, spoken).map((dressed) => ({
        dressed,
        out: isOut(base),
        score: about(base) + DRESSING_PART * dressed.weight,
      })),
    )
    .sort((a, b) => Number(a.out) - Number(b.out) || b.score - a.score);
  const { prescription } = facts;
  const first =
    prescription &&
    prescribed(
      ranked.find(({ dressed }) => prescribesBase(dressed.base, prescription))?.dressed ??
        dress("open", facts, spoken),
      prescription,
    );
  const list: Dressed[] = [];
  for (const { dressed } of ranked) {
    if (list.length === SHORT_LIST) break;
    const twice = [...list, ...(first ? [first] : [])].some(
      ({ spec }) => specDifferences(spec, dressed.spec).length === 0,
    );
    if (
      twice ||
      dressed.base === first?.base ||
      !speaksFor(dressed.base) ||
      list.filter(({ base }) => base === dressed.base).length === OF_ONE_BASE
    )
      continue;
    list.push(dressed);
  }
  if (!list.some(({ base }) => base === "bare") && first?.base !== "bare")
    list.push(dress("bare", facts, spoken));
  const vet = spoken.find(({ rule }) => rule.vetFirst);
  const argued = (dressed: Dressed, isPrescribed: boolean, index: number): Proposal =>
    argue(dressed, facts, spoken, isPrescribed, index);
  return {
    proposals: [
      ...(first ? [argued(first, true, 0)] : []),
      ...list.map((dressed, index) => argued(dressed, false, index + 1)),
    ],
    spoken,
    ...(vet &&
      !prescription && {
        askVet: `${vet.seen}: under a vet’s plan only. Nothing is nailed on before the vet has been asked.`,
      }),
  };
}

/** A base in every dress that somebody wants: the best, and each one in which an outweighed wish stands. */
function dresses(base: Base, facts: ShoeFacts, spoken: readonly Spoken[]): Dressed[] {
  const best = dress(base, facts, spoken);
  return [
    best,
    ...[...best.lacks]
      .filter((rule) => MAKES_ANOTHER_SHOE.some((field) => field in wantsOf(rule, facts, base)))
      .map((rule) => dress(base, facts, spoken, { forced: rule })),
    // The shoe that most feet wear stands beside what the ground would have.
    ...(base === "open"
      ? [
          dress(base, facts, spoken, {
            without: (key) => (MAKES_ANOTHER_SHOE as readonly string[]).includes(key),
          }),
        ]
      : []),
  ];
}
/** Wishes that make another shoe of the same base; the others are details of one. */
const MAKES_ANOTHER_SHOE = ["web", "profile", "material", "pad", "packing", "riveted", "crease"] as const;

type Prescription = NonNullable<ShoeFacts["prescription"]>;

/** The base that a prescription means: its type, a frog pad where it asks for one, any shod one where it names none. */
function prescribesBase(base: Base, { type, pad }: Prescription): boolean {
  if (type === undefined || type === "plain")
    return pad === "frog support"
      ? base === "frog pad"
      : type === "plain"
        ? base === "open"
        : base !== "bare";
  return base === (type === "sliding plate" ? "sliding" : type);
}

/** A shoe as the vet asked for it: what is prescribed, over what the rules gave. */
function prescribed(
  dressed: Dressed,
  { type, toe, toeEdge, support, pad, raiseDeg, until }: Prescription,
): Dressed {
  const spec: Specification = {
    ...dressed.spec,
    ...(type !== undefined && { type }),
    ...(toe !== undefined && { toe }),
    ...(toeEdge !== undefined && { toeEdge }),
    ...(support !== undefined && { support }),
    ...(pad !== undefined && { pad, riveted: pad !== "none" }),
    ...(pad === "none" && { packing: "none" as const }),
    ...(raiseDeg !== undefined &&
      raiseDeg > 0 && { raise: { degrees: raiseDeg, cycles: 1, exit: `the vet’s test, by ${until}` } }),
  };
  return { ...dressed, spec };
}

function argue(
  { base, spec, stands, lost, by }: Dressed,
  facts: ShoeFacts,
  spoken: readonly Spoken[],
  isPrescribed: boolean,
  index: number,
): Proposal {
  const weight = ({ rule }: Spoken) => rule.bases?.[base] ?? 0;
  const speaksFor = spoken.filter((one) => weight(one) > 0).sort((a, b) => weight(b) - weight(a));
  // What speaks against the base does not speak for the shoe because one of its wishes stands in it.
  const reasonsFor = [
    ...speaksFor,
    ...spoken.filter((one) => stands.has(one.rule) && weight(one) >= 0 && !speaksFor.includes(one)),
  ];
  const out = spoken.filter(({ rule }) => rule.rulesOut?.includes(base));
  const against = spoken
    .filter((one) => weight(one) < 0 && !out.includes(one))
    .sort((a, b) => weight(a) - weight(b));
  const missing = spoken.filter((one) => lost.has(one.rule) && !against.includes(one));
  const as = (kind: Against["as"], list: readonly Spoken[], because: (rule: ShoeRule) => string): Against[] =>
    list.map(({ rule, seen }) => ({ rule, seen, as: kind, because: because(rule) }));
  return {
    id: `${base}-${index}`,
    base,
    name: proposalName(spec, ordinaryShoe(facts.limb, facts.massKg)),
    spec,
    by,
    prescribed: isPrescribed,
    reasonsFor,
    reasonsAgainst: [
      ...as("ruled out", out, (rule) => rule.because),
      ...as("against", against, (rule) => rule.because),
      ...as("not in it", missing, (rule) => `${rule.then}: not in this one`),
      ...as("price", reasonsFor, (rule) => rule.against),
    ],
    cautions: [
      ...new Set(
        [...reasonsFor, ...out, ...against, ...spoken.filter(({ rule }) => asks(rule))].flatMap(({ rule }) =>
          rule.caution &&
          (stands.has(rule) || weight({ rule, seen: "" }) !== 0 || asks(rule)) &&
          spec.type !== "bare"
            ? [rule.caution]
            : [],
        ),
      ),
    ],
    disputes: disputesOf(spec, facts),
    ruledOut: out.length > 0 && !isPrescribed,
  };
}

/** A rule that changes no shoe and asks something of the hand. */
const asks = (rule: ShoeRule): boolean => !rule.gives && !rule.bases && !rule.rulesOut;
