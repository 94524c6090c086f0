import type { Specification } from "../specification";
import { ordinaryShoe } from "../specification";
import type { ShoeFacts } from "../facts";
import { FOOT_RULES } from "./footRules";
import { LIMB_RULES } from "./limbRules";
import { ARCHETYPE_NAMES, type Archetype, type ShoeRule, type SpecPatch } from "./rule";
import { WORK_RULES } from "./workRules";

/** The whole table, in the order in which rules are heard: what a later one gives stands. */
export const SHOE_RULES: readonly ShoeRule[] = [...WORK_RULES, ...LIMB_RULES, ...FOOT_RULES];

/** A rule that spoke, with what it saw. */
export interface Spoken {
  rule: ShoeRule;
  seen: string;
}

/** A whole specification with its argument. */
export interface Proposal {
  archetype: Archetype;
  spec: Specification;
  /** Rules that speak for this whole shoe, the strongest first, then those that shaped it. */
  reasonsFor: Spoken[];
  reasonsAgainst: { because: string; seen: string; rule: ShoeRule }[];
  cautions: string[];
  /** Which rule set a field. */
  by: Partial<Record<keyof Specification, string>>;
  ruledOut: boolean;
  /** True for what a vet prescribed: it outranks every rule. */
  prescribed: boolean;
}

export interface Advice {
  /** Best first; what is ruled out comes last. */
  proposals: Proposal[];
  spoken: Spoken[];
  /** True where nothing is nailed on without a vet's plan, and there is none. */
  askVet?: string;
}

/** What makes each whole shoe out of the ordinary one. */
const MAKES: Record<Archetype, (shoe: Specification) => SpecPatch> = {
  bare: () => ({ type: "bare" }),
  creased: () => ({}),
  concave: (shoe) => ({ profile: "concave", width: shoe.width - 3 }),
  broad: (shoe) => ({ width: shoe.width + 5, thickness: Math.max(8, shoe.thickness - 1) }),
  light: (shoe) => ({ material: "aluminium", thickness: shoe.thickness + 1, crease: "creased" }),
  stamped: () => ({ crease: "stamped", pattern: "square" }),
  sliding: (shoe) => ({
    type: "sliding plate",
    width: shoe.width + 8,
    thickness: 7,
    crease: "stamped",
    pattern: "slim",
  }),
  "frog pad": () => ({ pad: "frog support", packing: "setting compound" }),
  "straight bar": () => ({ type: "straight bar", support: "frog" }),
  "heart bar": () => ({ type: "heart bar", support: "frog" }),
  "egg bar": () => ({ type: "egg bar", support: "long" }),
};

/** A shoe that nobody argues for or against; a creased one is what most feet wear. */
const PRIOR: Record<Archetype, number> = {
  bare: 0,
  creased: 2,
  concave: 0.5,
  broad: 0.5,
  light: -1,
  stamped: 0.5,
  sliding: -4,
  "frog pad": -1,
  "straight bar": -1,
  "heart bar": -1.5,
  "egg bar": -2,
};

/** Fields that a bar, a plate or a pad is made of: no rule about the rest of the shoe takes them away. */
const OWN: Partial<Record<Archetype, readonly (keyof Specification)[]>> = {
  light: ["material"],
  sliding: ["crease", "traction", "studs", "clips"],
  "frog pad": ["pad", "packing"],
  "straight bar": ["support"],
  "heart bar": ["support"],
  "egg bar": ["support"],
};

/** How many proposals are a short list. */
const SHORT_LIST = 4;

/**
 * A ranked short list of whole specifications, each with reasons both ways. Weights only order the list. A prescription
 * outranks every rule and stands first; bare is always weighed. The same facts give the same list.
 */
export function adviseShoe(facts: ShoeFacts): Advice {
  const spoken = SHOE_RULES.flatMap((rule): Spoken[] => {
    const seen = rule.sees(facts);
    return seen === undefined ? [] : [{ rule, seen }];
  });
  const ranked = ARCHETYPE_NAMES.map((archetype) => propose(archetype, facts, spoken)).sort(
    (a, b) => Number(a.proposal.ruledOut) - Number(b.proposal.ruledOut) || b.score - a.score,
  );
  const short = ranked.slice(0, SHORT_LIST);
  const bare = ranked.find(({ proposal }) => proposal.archetype === "bare");
  const list = bare && !short.includes(bare) ? [...short, bare] : short;
  const { prescription } = facts;
  const proposals = list.map(({ proposal }) => proposal);
  const vet = spoken.find(({ rule }) => rule.vetFirst);
  if (prescription) {
    const from = proposals.find(({ archetype }) => fits(archetype, prescription)) ?? proposals[0];
    if (from && fits(from.archetype, prescription)) proposals.splice(proposals.indexOf(from), 1);
    if (from)
      proposals.unshift({
        ...from,
        spec: prescribedSpec(from.spec, prescription),
        prescribed: true,
        ruledOut: false,
      });
  }
  return {
    proposals,
    spoken,
    ...(vet &&
      !prescription && {
        askVet: `${vet.seen}: under a vet’s plan only. Nothing is nailed on before the vet has been asked.`,
      }),
  };
}

const fits = (archetype: Archetype, { type }: NonNullable<ShoeFacts["prescription"]>): boolean =>
  type === undefined
    ? archetype !== "bare"
    : type === "plain"
      ? archetype === "creased"
      : archetype === (type === "sliding plate" ? "sliding" : type);

/** A specification as the vet asked for it: what is prescribed, over what the rules gave. */
function prescribedSpec(
  spec: Specification,
  { type, toe, support, pad, raiseDeg, until }: NonNullable<ShoeFacts["prescription"]>,
): Specification {
  return {
    ...spec,
    ...(type !== undefined && { type }),
    ...(toe !== undefined && { toe }),
    ...(support !== undefined && { support }),
    ...(pad !== undefined && { pad }),
    ...(raiseDeg !== undefined &&
      raiseDeg > 0 && { raise: { degrees: raiseDeg, cycles: 1, exit: `the vet’s test, by ${until}` } }),
  };
}

function propose(
  archetype: Archetype,
  facts: ShoeFacts,
  spoken: readonly Spoken[],
): { proposal: Proposal; score: number } {
  const ordinary = ordinaryShoe(facts.limb, facts.massKg);
  const own = new Set(OWN[archetype] ?? []);
  const by: Proposal["by"] = {};
  const spec = { ...ordinary, ...MAKES[archetype](ordinary) };
  const bare = archetype === "bare";
  if (!bare)
    for (const { rule } of spoken) {
      const patch = typeof rule.gives === "function" ? rule.gives(facts) : rule.gives;
      for (const field of Object.keys(patch ?? {}) as (keyof Specification)[]) {
        if (own.has(field)) continue;
        Object.assign(spec, { [field]: patch?.[field] });
        by[field] = rule.id;
      }
    }
  const score = spoken.reduce((sum, { rule }) => sum + (rule.favours?.[archetype] ?? 0), PRIOR[archetype]);
  const speaks = (sign: 1 | -1) =>
    spoken
      .filter(({ rule }) => sign * (rule.favours?.[archetype] ?? 0) > 0)
      .sort((a, b) => sign * ((b.rule.favours?.[archetype] ?? 0) - (a.rule.favours?.[archetype] ?? 0)));
  const shaped = bare ? [] : spoken.filter(({ rule }) => Object.values(by).includes(rule.id));
  const speaksFor = speaks(1);
  const reasonsFor = [...speaksFor, ...shaped.filter((one) => !speaksFor.includes(one))];
  const out = spoken.filter(({ rule }) => rule.rulesOut?.includes(archetype));
  return {
    score,
    proposal: {
      archetype,
      spec,
      by,
      prescribed: false,
      reasonsFor,
      reasonsAgainst: [
        ...[...out, ...speaks(-1)].map(({ rule, seen }) => ({ because: rule.because, seen, rule })),
        ...reasonsFor.map(({ rule, seen }) => ({ because: rule.against, seen, rule })),
      ],
      cautions: reasonsFor.flatMap(({ rule }) => (rule.caution ? [rule.caution] : [])),
      ruledOut: out.length > 0,
    },
  };
}
