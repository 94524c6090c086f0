import type { Specification } from "../specification";
import type { ShoeFacts } from "../facts";

/** Whole shoes that are held against each other; what dresses them is argued apart. */
export const BASES = {
  bare: "Bare",
  open: "Open shoe",
  sliding: "Sliding plate",
  "frog pad": "Frog-support pad",
  "straight bar": "Straight bar",
  "heart bar": "Heart bar",
  "egg bar": "Egg bar",
} as const;
export type Base = keyof typeof BASES;
export const BASE_NAMES = Object.keys(BASES) as Base[];

/** How well a rule is supported; a model is called a model. */
export type Support =
  | "published measurement"
  | "common practice"
  | "single practitioners"
  | "disputed"
  | "a model, not a measurement";

/** How broad the web is against an ordinary foot's of this size. */
export const WEBS = ["narrow", "ordinary", "broad"] as const;
export type Web = (typeof WEBS)[number];

/**
 * What a rule claims of the ground, to be put to the model of contact for this foot: how it stands, how deep it sinks, what
 * the frog carries, how far it tilts to a side.
 */
export type GroundClaim = "posture" | "sink" | "frog" | "sides";

/** What a rule wants of a shoe: fields of its specification, how broad it is, the least web that holds its nails. */
export interface Dressing extends Partial<Specification> {
  web?: Web;
  leastWidth?: number;
}

/** A rule of advice: data with a test of when it speaks. Words in the trade's language, with medial and lateral. */
export interface ShoeRule {
  id: string;
  when: string;
  then: string;
  because: string;
  against: string;
  source: string;
  support: Support;
  /** What it saw in the facts, as evidence; undefined where it does not speak. */
  sees: (facts: ShoeFacts) => string | undefined;
  /** What it wants of a shoe; it speaks only for shoes that have it. */
  gives?: Dressing | ((facts: ShoeFacts) => Dressing);
  /** How much its wishes weigh against other rules' for the same field, 1 unless said; an unspoken field weighs 0.5. */
  weight?: number | ((facts: ShoeFacts) => number);
  /** The whole shoes that it dresses; every shod one unless said. */
  only?: readonly Base[];
  /** Which whole shoes it speaks for (positive) and against (negative); weights only order the list. */
  bases?: Partial<Record<Base, number>>;
  /** Whole shoes that it rules out: they are shown last, with the reason. */
  rulesOut?: readonly Base[];
  caution?: string;
  /** What of it can be put to the model of the ground. */
  onGround?: GroundClaim;
  /** True where nothing is nailed on without a vet's plan. */
  vetFirst?: boolean;
}
