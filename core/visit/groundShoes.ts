import { corHeightOf } from "../foot/parametric/parameters";
import { COR_HEIGHT_PART } from "../foot/parametric/predict";
import { fitTwoMeasures } from "../forge/twoMeasures";
import type { ComparedShoe, GroundQuestion } from "../ground/compare";
import type { StandingFoot } from "../ground/fittedPlan";
import { USUAL_GROUND } from "../ground/groundModel";
import { groundsOf, HARDEST, type Ground } from "../ground/grounds";
import { paceLoad } from "../ground/loads";
import type { Footing } from "../shoe/facts";
import { fail, ok, type Result } from "../result";
import { asBase } from "../shoe/advice/dress";
import { questionOn } from "../shoe/advice/fitted";
import { proposalName } from "../shoe/advice/proposalName";
import { BASE_NAMES } from "../shoe/advice/rule";
import { FRONT_FULLNESS_MM, ordinaryShoe, specDifferences, type Specification } from "../shoe/specification";
import { foundBench } from "./foundBench";
import type { VisitFoot } from "./visitFoot";
import { advisedShoes, fitChoice, type VisitShoe } from "./visitShoe";
import type { Wording } from "../foot/wording";

/** Where a shoe that can be stood on the ground comes from. */
export const SHOE_FROM = {
  on: "on the foot",
  chosen: "chosen today",
  advised: "advised",
  ordinary: "an ordinary shoe",
  otherwise: "to compare",
} as const;

/** A shoe that can be stood on the ground beside others. */
export interface GroundChoice extends ComparedShoe {
  spec: Specification;
  from: keyof typeof SHOE_FROM;
}

/** What is stood: the foot, and the shoes there are for it; the first is the one that others are held against. */
export interface GroundBench {
  foot: StandingFoot;
  choices: GroundChoice[];
  /** The shoe that this foot would wear with nothing in particular. */
  ordinary: Specification;
  /** Any shoe as it would be tried on this foot, not moved by hand. */
  tried: (spec: Specification) => GroundChoice["question"];
  /** Its outline goes through measured points, not through a guess. */
  measured: boolean;
}

/** A broad web against the shoe's own, mm. */
const BROADER_MM = 6;

type Asked = Omit<GroundChoice, "question" | "name"> & { name?: string };

/** The same shoe otherwise: open, with each bar, on a frog pad, with a broader web, and none at all. */
const otherwise = (spec: Specification): Asked[] => [
  ...BASE_NAMES.filter((base) => base !== "sliding").map((base): Asked => ({
    id: base.replace(" ", "-"),
    spec: asBase(spec, base),
    from: "otherwise",
  })),
  {
    id: "broad",
    name: "A broader web",
    spec: { ...asBase(spec, "open"), width: spec.width + BROADER_MM },
    from: "otherwise",
  },
];

/** Each shoe once, the first of those that are alike; named as the adviser names shoes. */
function eachOnce(
  asked: readonly Asked[],
  ordinary: Specification,
  question: (spec: Specification, from: GroundChoice["from"]) => GroundChoice["question"],
): GroundChoice[] {
  const list: GroundChoice[] = [];
  for (const one of asked)
    if (!list.some(({ spec }) => specDifferences(spec, one.spec).length === 0))
      list.push({
        ...one,
        name: one.name ?? proposalName(one.spec, ordinary),
        question: question(one.spec, one.from),
      });
  return list;
}

/**
 * A foot of the records: the shoe that is on it first, what was chosen for it, what is advised, and the same otherwise. After
 * a signed visit the shoe that was chosen there is the one that is on.
 */
export function groundOfFoot(
  shoe: VisitShoe,
  foot: VisitFoot,
  { massKg, signed }: { massKg: number; signed: boolean },
  wording: Wording,
): GroundBench {
  const ordinary = ordinaryShoe(shoe.limb, massKg);
  const on =
    (signed ? foot.shoe?.spec : undefined) ??
    foundBench(shoe, foot, massKg)?.spec ??
    (shoe.shoeFacts.keptBare ? asBase(ordinary, "bare") : ordinary);
  const chosen = signed ? undefined : foot.shoe?.spec;
  const shod = [chosen, on, ordinary].find((spec) => spec && spec.type !== "bare") ?? ordinary;
  const asked: Asked[] = [
    { id: "on", spec: on, from: "on" },
    ...(chosen ? [{ id: "chosen", spec: chosen, from: "chosen" as const }] : []),
    ...advisedShoes(shoe).proposals.map(({ spec }, at): Asked => ({
      id: `advised-${at + 1}`,
      spec,
      from: "advised",
    })),
    ...otherwise(shod),
    ...(on.type === "bare"
      ? []
      : [
          {
            id: "on-open",
            name: "The one that is on, open",
            spec: asBase(on, "open"),
            from: "otherwise",
          } as const,
        ]),
    { id: "ordinary", spec: ordinary, from: "ordinary" },
  ];
  const { drawn, measured } = shoe.toShoe;
  const tried = (spec: Specification) => questionOn(shoe.tried, spec);
  return {
    foot: {
      corHeight: corHeightOf(drawn),
      frogProud: shoe.shoeFacts.frogProudMm,
      sulcusDepth: shoe.facts.sulcusDepthMm,
    },
    choices: eachOnce(asked, ordinary, (spec, from) =>
      from === "chosen" && foot.shoe ? fitChoice(shoe, foot.shoe, spec, wording).fit.question : tried(spec),
    ),
    ordinary,
    tried,
    measured,
  };
}

/** What a foot without records is told by. */
export interface TwoMeasuresOfFoot {
  end: "fore" | "hind";
  /** Across the widest part and heels to toe, mm. */
  width: number;
  length: number;
}
const FEET_MM = { from: 50, to: 260 };
/** A foot is no more than so much longer than wide, or wider than long. */
const MOST_RATIO = 1.6;
/** The horse that a foot without records is taken to carry, kg. */
export const MEASURES_KG = 520;

/**
 * A foot by two measures, the shape a sound one's: an estimate. Errors: `range` for a measure that no foot has,
 * `out-of-order` for two that do not make a foot together.
 */
export function groundByMeasures({ end, width, length }: TwoMeasuresOfFoot): Result<GroundBench> {
  for (const [name, mm] of Object.entries({ width, length }))
    if (!(mm >= FEET_MM.from && mm <= FEET_MM.to))
      return fail("range", name, `A foot’s ${name} lies between ${FEET_MM.from} and ${FEET_MM.to} mm.`, mm);
  if (Math.max(width / length, length / width) > MOST_RATIO)
    return fail(
      "out-of-order",
      "length",
      "These two measures do not make one foot. Measure both again.",
      length,
    );
  const ordinary = ordinaryShoe(end === "fore" ? "LF" : "LH", MEASURES_KG);
  // These two measures are the foot's; a shoe's stand out by its fullness.
  const tried = (spec: Specification) =>
    fitTwoMeasures({
      end,
      width: width + 2 * FRONT_FULLNESS_MM,
      length: length + FRONT_FULLNESS_MM,
      spec,
    }).question;
  return ok({
    foot: { corHeight: COR_HEIGHT_PART * length },
    choices: eachOnce(
      [{ id: "on", spec: ordinary, from: "ordinary" }, ...otherwise(ordinary)],
      ordinary,
      tried,
    ),
    ordinary,
    tried,
    measured: false,
  });
}

/** The four that are looked at unless somebody chooses: what is on, what was chosen or is advised first, bars, a broad web. */
const USUAL_IDS = ["on", "chosen", "advised-1", "egg-bar", "broad", "heart-bar", "straight-bar"];
export const MOST_SHOES = 4;
export const usualShoes = ({ choices }: GroundBench): string[] =>
  USUAL_IDS.filter((id) => choices.some((one) => one.id === id)).slice(0, MOST_SHOES);

/** A proposed shoe and another, as they are put to the model. */
export interface GroundCase {
  /** The two by their place in the bench. */
  id: string;
  against: string;
  /** The other one in words, as "the shoe that is on". */
  againstInWords: string;
  grounds: Ground[];
  question: GroundQuestion;
}

/**
 * What is put to the model for a proposed shoe: itself and another, on each ground that the horse goes on, at a walk. The
 * other is the shoe that is on, else the same one open, else an ordinary one; what was chosen by hand meanwhile changes
 * nothing of it.
 */
export function groundCaseOf(
  bench: GroundBench,
  spec: Specification,
  { massKg, fore, footing }: { massKg: number; fore: boolean; footing: readonly Footing[] },
): GroundCase | undefined {
  const same = (one: Specification, other: Specification) => specDifferences(one, other).length === 0;
  const { choices, ordinary, tried } = bench;
  const on = choices.find(({ id }) => id === "on")?.spec ?? ordinary;
  const others: [Specification, string][] = [
    [on, on.type === "bare" ? "the bare foot" : "the shoe that is on"],
    [asBase(spec, "open"), "the same one open"],
    [ordinary, "an ordinary shoe"],
  ];
  const [other, againstInWords] = others.find(([one]) => !same(one, spec)) ?? [];
  const own = choices.find((one) => same(one.spec, spec));
  const against = other && choices.find((one) => same(one.spec, other));
  if (!own || !against || againstInWords === undefined) return undefined;
  const grounds = groundsOf(footing);
  return {
    id: own.id,
    against: against.id,
    againstInWords,
    grounds,
    question: {
      foot: bench.foot,
      shoes: [against, own].map((one) => ({ id: one.id, name: one.name, question: tried(one.spec) })),
      standing: {
        stiffness: (grounds[0] ?? HARDEST).stiffness,
        load: { newtons: paceLoad("walk", massKg, fore), x: 0, lead: 0 },
        spring: USUAL_GROUND.spring,
      },
    },
  };
}
