import type { WearSector } from "../../foot/wear";
import { SIDES } from "../../foot/limb";
import { clipWall } from "../clips";
import type { ShoeFacts } from "../facts";
import { sectorFor } from "../sectors";
import {
  bySide,
  ordinaryShoe,
  sidedField,
  type Edge,
  type Specification,
  type SpecField,
} from "../specification";
import { HEEL_OUT_MOST_MM, PAD_FULLNESS_MM } from "../standsOut";
import type { Base, Dressing, ShoeRule, Web } from "./rule";

/** A rule that spoke, with what it saw. */
export interface Spoken {
  rule: ShoeRule;
  seen: string;
}

/** What makes each whole shoe out of the ordinary one. */
const MAKES: Record<Base, (shoe: Specification) => Partial<Specification>> = {
  bare: () => ({ type: "bare" }),
  open: () => ({}),
  sliding: (shoe) => ({
    type: "sliding plate",
    width: shoe.width + 8,
    thickness: 7,
    profile: "flat",
    crease: "stamped",
    pattern: "slim",
    clips: [],
    traction: "none",
    studsGood: "none",
    studsWet: "none",
  }),
  "frog pad": () => ({
    pad: "frog support",
    packing: "setting compound",
    packed: "injected",
    riveted: true,
  }),
  "straight bar": () => ({ type: "straight bar", support: "frog" }),
  "heart bar": () => ({ type: "heart bar", support: "frog" }),
  "egg bar": () => ({ type: "egg bar", support: "heel" }),
};

/** A shoe made to another base, its section and toe kept: what the base is made of, nothing of what it was before. */
export const asBase = (spec: Specification, base: Base): Specification => {
  const open: Specification = {
    ...spec,
    type: "plain",
    support: spec.type === "egg bar" ? "frog" : spec.support,
    pad: "none",
    packing: "none",
    riveted: false,
  };
  return { ...open, ...MAKES[base](open) };
};

/** Web of a narrow and a broad shoe against the ordinary one, mm. */
const WEB_MM: Record<Web, number> = { narrow: -3, ordinary: 0, broad: 5 };
/** A broad web is not made thinner than this for it, and light metal is made thicker by this, mm. */
const BROAD_THICKNESS_MM = 8;
const LIGHT_THICKER_MM = 1;
/** A field for which nobody speaks stays the ordinary shoe's against a wish that weighs less than this. */
const PRIOR_WEIGHT = 0.5;

const weightOf = ({ weight = 1 }: ShoeRule, facts: ShoeFacts): number =>
  typeof weight === "function" ? weight(facts) : weight;

/** A wish of one rule for one place of a shoe. */
interface Wish {
  key: string;
  value: unknown;
  weight: number;
  rule: ShoeRule;
}

/** What a rule wants of a shoe on this foot; nothing where it does not dress this base. */
export const wantsOf = (rule: ShoeRule, facts: ShoeFacts, base: Base): Dressing =>
  base === "bare" || (rule.only && !rule.only.includes(base))
    ? {}
    : ((typeof rule.gives === "function" ? rule.gives(facts) : rule.gives) ?? {});

/** A dressed shoe: its specification, and which rules' wishes stand in it and which do not. */
export interface Dressed {
  base: Base;
  spec: Specification;
  stands: ReadonlySet<ShoeRule>;
  lost: ReadonlySet<ShoeRule>;
  /** Rules of which at least one wish does not stand. */
  lacks: ReadonlySet<ShoeRule>;
  by: Partial<Record<SpecField, string>>;
  weight: number;
}

/** A wish without a place of its own: what is unloaded adds up, the least web is a floor. */
const ADDS_UP = ["unloaded", "leastWidth"];
const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/**
 * A base dressed by the rules that speak: for each field the value with the most weight behind it, the later rule where
 * two weigh the same; what the base itself is made of is not argued. `forced` names a rule whose wishes stand whatever
 * the others weigh; `without` keeps the ordinary shoe's for some fields.
 */
export function dress(
  base: Base,
  facts: ShoeFacts,
  spoken: readonly Spoken[],
  { forced, without }: { forced?: ShoeRule; without?: (key: string) => boolean } = {},
): Dressed {
  const ordinary = ordinaryShoe(facts.limb, facts.massKg);
  const made = MAKES[base](ordinary);
  const spec: Specification = { ...ordinary, ...made };
  const wishes: Wish[] = spoken.flatMap(({ rule }) => {
    const weight = weightOf(rule, facts);
    const { edges, ...rest } = wantsOf(rule, facts, base);
    return [
      ...Object.entries(rest)
        .filter(([key]) => !(key in made) && !(key === "web" && "width" in made))
        .map(([key, value]) => ({ key, value: value as unknown, weight, rule })),
      ...Object.entries(edges ?? {}).map(([sector, value]) => ({
        key: `edges.${sector}`,
        value,
        weight,
        rule,
      })),
    ];
  });
  /** Of each rule, how many of its wishes stand and how many do not. */
  const heard = new Map<ShoeRule, { stands: number; lost: number }>();
  const hear = (rule: ShoeRule, won: boolean) => {
    const so = heard.get(rule) ?? { stands: 0, lost: 0 };
    heard.set(rule, { stands: so.stands + Number(won), lost: so.lost + Number(!won) });
  };
  const by: Dressed["by"] = {};
  let [web, leastWidth, weight]: [Web, number, number] = ["ordinary", 0, 0];
  for (const key of new Set(wishes.map((one) => one.key))) {
    const here = wishes.filter((one) => one.key === key);
    if (ADDS_UP.includes(key)) {
      here.forEach(({ rule }) => hear(rule, true));
      if (key === "leastWidth") leastWidth = Math.max(...here.map(({ value }) => value as number));
      else spec.unloaded = [...new Set(here.flatMap(({ value }) => value as WearSector[]))];
      continue;
    }
    const plain: unknown =
      key === "web" ? "ordinary" : key.startsWith("edges.") ? undefined : ordinary[key as SpecField];
    const sums = new Map<string, { value: unknown; sum: number }>([
      [JSON.stringify(plain ?? null), { value: plain, sum: PRIOR_WEIGHT }],
    ]);
    for (const one of here) {
      const at = JSON.stringify(one.value ?? null);
      const own = one.rule === forced ? Number.POSITIVE_INFINITY : one.weight;
      sums.set(at, { value: one.value, sum: (sums.get(at)?.sum ?? 0) + own });
    }
    const best = without?.(key)
      ? { value: plain }
      : [...sums.values()].reduce((a, b) => (b.sum >= a.sum ? b : a));
    weight += same(plain, best.value) ? PRIOR_WEIGHT : -PRIOR_WEIGHT;
    for (const one of here) {
      const won = same(one.value, best.value);
      hear(one.rule, won);
      weight += (won ? 1 : -1) * one.weight;
      if (won && !key.startsWith("edges.")) by[(key === "web" ? "width" : key) as SpecField] = one.rule.id;
    }
    if (key === "web") web = best.value as Web;
    else if (key.startsWith("edges.")) {
      const sector = key.slice("edges.".length) as WearSector;
      if (best.value) spec.edges = { ...spec.edges, [sector]: best.value as Edge };
    } else Object.assign(spec, { [key]: best.value });
  }
  if (!("width" in made)) {
    spec.width = Math.max(ordinary.width + WEB_MM[web], leastWidth);
    if (web === "broad")
      spec.thickness = Math.min(spec.thickness, Math.max(BROAD_THICKNESS_MM, spec.thickness - 1));
    if (spec.material === "aluminium") spec.thickness += LIGHT_THICKER_MM;
  }
  // A rule speaks for a shoe that has more of its wishes than it lacks; what lacks any is another shoe to it.
  const rules = [...heard];
  return {
    base,
    spec: consistent(spec, facts),
    stands: new Set(rules.filter(([, so]) => so.stands > so.lost).map(([rule]) => rule)),
    lost: new Set(rules.filter(([, so]) => so.stands <= so.lost).map(([rule]) => rule)),
    lacks: new Set(rules.filter(([, so]) => so.lost > 0).map(([rule]) => rule)),
    by,
    weight,
  };
}

/** What hangs together in a shoe: one sum at the heels, no clip on wall that holds none, no studs without holes. */
function consistent(spec: Specification, { unsoundWall, crackAt }: ShoeFacts): Specification {
  const next = { ...spec };
  for (const side of SIDES) {
    const rest = bySide(spec, "full", side) + (spec.pad === "none" ? 0 : PAD_FULLNESS_MM);
    const out = sidedField("out", side);
    next[out] = Math.max(0, Math.min(spec[out], HEEL_OUT_MOST_MM - rest));
  }
  if (next.traction !== "stud holes") [next.studsGood, next.studsWet] = ["none", "none"];
  if (next.packing === "setting compound" && next.packed === "injected") next.riveted = true;
  const noClip = (clip: Specification["clips"][number]): boolean =>
    unsoundWall.includes(clipWall(clip)) ||
    (crackAt !== undefined && clipWall(clip) === sectorFor("quarter", crackAt));
  next.clips = spec.clips.filter((clip) => !noClip(clip));
  return next;
}
