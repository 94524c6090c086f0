import { useMemo } from "react";
import { useWording } from "~app/ui/useWording";
import { onGroundsInWorker } from "~app/workers/ground";
import { isFore } from "~core/foot/limb";
import { claimInWords } from "~core/ground/claim";
import type { FittedProposal } from "~core/shoe/advice/fitted";
import type { ShoeFacts } from "~core/shoe/facts";
import { groundCaseOf, type GroundBench, type GroundCase } from "~core/visit/groundShoes";
import { useAnswer } from "./useAnswer";

/** What the model of the ground says to each reason that claims something of it, and the shoes it was asked with. */
export interface GroundClaims {
  /** By the rule's id; undefined until the model has answered. */
  says: ReadonlyMap<string, string> | undefined;
  /** What the proposed shoe is held against, in words. */
  against: string;
  shoes: string;
}

/**
 * Puts the reasons of one proposal that speak of ground to the model, for this foot on the horse's own grounds. An edit
 * of the shoe makes the bench anew: the model is asked again only where what it is asked is another question, so that
 * the argument does not lose its lines, and the page its place, at each edit.
 */
export function useGroundClaims(
  { spec, reasonsFor, reasonsAgainst }: FittedProposal,
  facts: ShoeFacts,
  bench: GroundBench,
): GroundClaims | undefined {
  const wording = useWording();
  const asked = useMemo(
    () =>
      groundCaseOf(bench, spec, { massKg: facts.massKg, fore: isFore(facts.limb), footing: facts.footing }),
    [bench, spec, facts],
  );
  const rules = [...reasonsFor, ...reasonsAgainst].flatMap(({ rule }) =>
    rule.onGround ? [{ id: rule.id, claim: rule.onGround }] : [],
  );
  const speaks = rules.length > 0;
  // An argument without the model is still one.
  const stood = useAnswer(
    speaks ? asked : undefined,
    inWords,
    ({ question, grounds }) =>
      onGroundsInWorker(
        question,
        grounds.map(({ stiffness }) => stiffness),
      ),
    [],
  );
  if (!asked || !speaks) return undefined;
  const grounds = asked.grounds.map((ground, at) => ({
    ground,
    first: stood?.[at]?.[0],
    own: stood?.[at]?.[1],
  }));
  return {
    says: stood && new Map(rules.map(({ id, claim }) => [id, claimInWords(claim, grounds, wording)])),
    against: asked.againstInWords,
    shoes: `${asked.against},${asked.id}`,
  };
}

/** The same shoe may be the advised one now and the chosen one next: its names are not the question. */
const inWords = ({ question, grounds }: GroundCase): string =>
  JSON.stringify([question, grounds], (key, value: unknown) =>
    key === "id" || key === "name" ? null : value,
  );
