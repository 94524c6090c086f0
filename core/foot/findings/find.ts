import type { Level } from "../level";
import { COMPARE_RULES } from "./compareRules";
import type { FootFacts } from "./facts";
import { HEEL_RULES } from "./heelRules";
import { lensWords, type Finding, type Rule } from "./rule";
import { PLAN_RULES } from "./planRules";
import { SIDE_RULES } from "./sideRules";
import { SOLE_RULES } from "./soleRules";

/** The whole table, in the order in which things are said where their levels are equal. */
export const FINDING_RULES: readonly Rule[] = [
  ...SIDE_RULES,
  ...HEEL_RULES,
  ...SOLE_RULES,
  ...COMPARE_RULES,
  ...PLAN_RULES,
];

const URGENCY: readonly Level[] = ["ask the vet", "act", "drifting", "steady"];

/**
 * What a foot's facts say: every rule of the table that sees something, the urgent first. A rule that another one
 * makes superfluous is silent, so that nothing is said twice in other words.
 */
export function findingsOf(facts: FootFacts): Finding[] {
  const seen = FINDING_RULES.flatMap((rule) => {
    const found = rule.see(facts);
    return found ? [{ rule, found }] : [];
  });
  const silenced = new Set(seen.flatMap(({ rule }) => rule.insteadOf ?? []));
  return seen
    .filter(({ rule }) => !silenced.has(rule.id))
    .map(({ rule, found }): Finding => ({
      ...found,
      id: rule.id,
      subject: rule.subject,
      next: found.next ?? rule.next,
      speaksFor: lensWords(rule),
    }))
    .sort((a, b) => URGENCY.indexOf(a.level) - URGENCY.indexOf(b.level));
}
