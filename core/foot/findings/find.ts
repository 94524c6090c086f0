import type { Level } from "../level";
import type { FootFacts } from "./facts";
import { lensWords, type Finding, type Rule } from "./rule";

const URGENCY: readonly Level[] = ["ask the vet", "act", "drifting", "steady"];

/**
 * What a foot's facts say by a table of rules: every rule that sees something, the urgent first, and in the order of the
 * table where levels are equal. A rule that another one makes superfluous is silent, so that nothing is said twice in
 * other words.
 */
export function findBy<Facts extends FootFacts>(rules: readonly Rule<Facts>[], facts: Facts): Finding[] {
  const seen = rules.flatMap((rule) => {
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
