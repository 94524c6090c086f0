import { useMemo } from "react";
import { session } from "~app/data/session";
import { useSettings } from "~app/ui/useWording";
import { outcomesInWorker } from "~app/workers/outcomes";
import { noiseOf } from "~core/foot/records/pairs";
import type { Outcome } from "~core/outcome/outcomes";
import type { Proposal } from "~core/shoe/advice/advise";
import type { ShoeFacts } from "~core/shoe/facts";
import { useAnswer } from "./useAnswer";

/**
 * The user's own outcomes beside each reason of one proposal, by the rule's name; counted when its argument is open, and
 * undefined until they are.
 */
export function useOutcomes(
  proposal: Proposal | undefined,
  facts: ShoeFacts,
): ReadonlyMap<string, Outcome> | undefined {
  const settings = useSettings();
  const asked = useMemo(
    () => proposal?.reasonsFor.map(({ rule }) => ({ rule: rule.id, base: proposal.base })) ?? [],
    [proposal],
  );
  // An argument without the own record is still one.
  const counted = useAnswer(
    asked.length > 0 ? asked : undefined,
    (rules) => `${facts.limb} ${JSON.stringify(rules)}`,
    (rules) => outcomesInWorker(session.db.name, rules, facts, noiseOf(settings)),
    [],
  );
  if (asked.length === 0) return NOTHING;
  return (
    counted &&
    new Map(
      asked.flatMap(({ rule }, index): [string, Outcome][] => {
        const outcome = counted[index];
        return outcome && outcome.feet > 0 ? [[rule, outcome]] : [];
      }),
    )
  );
}
const NOTHING: ReadonlyMap<string, Outcome> = new Map();
