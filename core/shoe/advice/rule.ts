import type { Specification } from "../specification";
import type { ShoeFacts } from "../facts";

/** Whole shoes that are held against each other. */
export const ARCHETYPES = {
  bare: "Bare",
  creased: "Creased shoe",
  concave: "Creased concave",
  broad: "Broad web",
  light: "Light metal",
  stamped: "Plain stamped",
  sliding: "Sliding plate",
  "frog pad": "Frog-support pad",
  "straight bar": "Straight bar",
  "heart bar": "Heart bar",
  "egg bar": "Egg bar",
} as const;
export type Archetype = keyof typeof ARCHETYPES;
export const ARCHETYPE_NAMES = Object.keys(ARCHETYPES) as Archetype[];

/** How well a rule is supported. */
export type Support = "published measurement" | "common practice" | "single practitioners" | "disputed";

export type SpecPatch = Partial<Specification>;

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
  /** What it changes in every shoe that is proposed. */
  gives?: SpecPatch | ((facts: ShoeFacts) => SpecPatch);
  /** Which whole shoes it speaks for (positive) and against (negative); weights only order the list. */
  favours?: Partial<Record<Archetype, number>>;
  /** Whole shoes that it rules out: they are shown last, with the reason. */
  rulesOut?: readonly Archetype[];
  caution?: string;
  /** True where nothing is nailed on without a vet's plan. */
  vetFirst?: boolean;
}
