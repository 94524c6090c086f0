import { LENS_FACTS, type FrontLens, type SideLens } from "../lens";
import type { Level } from "../level";
import type { FootFacts } from "./facts";

/** What a finding is about; one subject is said once. */
export type Subject =
  | "axis"
  | "toe"
  | "heels"
  | "frog"
  | "sole"
  | "wall"
  | "hairline"
  | "halves"
  | "pair"
  | "movement"
  | "change"
  | "trim"
  | "measuring";

/** What a rule saw in a foot. */
export interface Seen {
  level: Level;
  /** One sentence with its numbers. */
  text: string;
  /** How it was worked out, from which numbers, against which bound. */
  evidence: string;
  /** Said in place of the rule's own advice, where that depends on what was seen. */
  next?: string;
}

/** One line of the table: when it speaks, what to do next, and how it is seen. `Facts` is what it has to know. */
export interface Rule<Facts extends FootFacts = FootFacts> {
  id: string;
  subject: Subject;
  /** Which aim it speaks for; none where every school agrees. */
  lens?: FrontLens | SideLens;
  when: string;
  next: string;
  /** Rules that this one makes superfluous: the same thing in other words. */
  insteadOf?: readonly string[];
  see: (facts: Facts) => Seen | undefined;
}

/** A statement about a foot: level, evidence, what to do next. */
export interface Finding extends Seen {
  id: string;
  subject: Subject;
  next: string;
  /** The lens in words; "any lens" where every school agrees. */
  speaksFor: string;
}

export const lensWords = (rule: Pick<Rule<never>, "lens">): string =>
  rule.lens ? LENS_FACTS[rule.lens].name.toLowerCase() : "any lens";
