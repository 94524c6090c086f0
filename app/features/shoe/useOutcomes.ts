import { useEffect, useMemo, useState } from "react";
import { session } from "~app/data/session";
import { useSettings } from "~app/ui/useWording";
import { outcomesInWorker } from "~app/workers/outcomes";
import { noiseOf } from "~core/foot/records/pairs";
import type { Outcome } from "~core/outcome/outcomes";
import type { Proposal } from "~core/shoe/advice/advise";
import type { ShoeFacts } from "~core/shoe/facts";

/**
 * The user's own outcomes beside each reason of one proposal, by the rule's name; counted when its argument is open, and
 * undefined until they are.
 */
export function useOutcomes(
  proposal: Proposal | undefined,
  facts: ShoeFacts,
): ReadonlyMap<string, Outcome> | undefined {
  const settings = useSettings();
  const [counted, setCounted] = useState<{ of: string; found: ReadonlyMap<string, Outcome> }>();
  const asked = useMemo(
    () => proposal?.reasonsFor.map(({ rule }) => ({ rule: rule.id, base: proposal.base })) ?? [],
    [proposal],
  );
  const of = `${facts.limb} ${JSON.stringify(asked)}`;
  useEffect(() => {
    if (asked.length === 0) return;
    const { answer, cancel } = outcomesInWorker(session.db.name, asked, facts, noiseOf(settings));
    let left = false;
    answer.then(
      (outcomes) => {
        if (left) return;
        const rows = asked.flatMap(({ rule }, index): [string, Outcome][] => {
          const outcome = outcomes[index];
          return outcome && outcome.feet > 0 ? [[rule, outcome]] : [];
        });
        setCounted({ of, found: new Map(rows) });
      },
      // An argument without the own record is still one.
      () => left || setCounted({ of, found: NOTHING }),
    );
    return () => {
      left = true;
      cancel();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `of` says what is asked; settings change rarely
  }, [of]);
  if (asked.length === 0) return NOTHING;
  return counted?.of === of ? counted.found : undefined;
}
const NOTHING: ReadonlyMap<string, Outcome> = new Map();
