import { useWording } from "~app/ui/useWording";
import { outcomeInWords, type Outcome } from "~core/outcome/outcomes";
import type { ShoeFacts } from "~core/shoe/facts";
import { Disputes } from "./Disputes";
import { useOutcomes } from "./useOutcomes";
import type { FittedProposal } from "~core/shoe/advice/fitted";

/** A word before what speaks against: how it does. */
const AS = { "ruled out": "Ruled out: ", against: "", "not in it": "", price: "" } as const;
/** As many prices as are read; the rest is what stands in every such shoe. */
const MOST_AGAINST = 6;

/** Reasons both ways, each with what was seen and how well it is supported; what it breaks; what is disputed. */
export function Argument({ proposal, facts }: { proposal: FittedProposal; facts: ShoeFacts }) {
  const wording = useWording();
  const outcomes = useOutcomes(proposal, facts);
  const { reasonsFor, reasonsAgainst, cautions, breaks, disputes } = proposal;
  const own = wording.inOwnWords;
  return (
    <div className="argument">
      <ul aria-label="For">
        {reasonsFor.map(({ rule, seen }) => (
          <li key={rule.id} className="reason-for">
            <b>{own(rule.then)}</b>
            <span>
              {own(rule.because)}.{" "}
              <span className="quiet">
                {own(seen)}; {rule.support}
              </span>
            </span>
            {outcomes.has(rule.id) && (
              <span className="reason-outcome">
                <b>Your own.</b> {outcomeInWords(outcomes.get(rule.id) as Outcome)}
              </span>
            )}
          </li>
        ))}
        {reasonsFor.length === 0 && <li className="quiet">Nothing speaks for it in particular.</li>}
      </ul>
      {outcomes.size > 0 && (
        <p className="quiet">
          Your own record, as the feet came before and after; beyond what your hand’s noise is. Feet are often
          at their worst when something new is tried, and better after it anyway.
        </p>
      )}
      {reasonsAgainst.length > 0 && (
        <ul aria-label="Against">
          {reasonsAgainst.slice(0, MOST_AGAINST).map(({ rule, because, as, seen }) => (
            <li key={`${rule.id} ${as}`} className="reason-against" data-as={as}>
              {AS[as]}
              {own(because)}
              {as !== "price" && (
                <span className="quiet">
                  {" "}
                  {own(seen)}; {rule.support}
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      {breaks.map(({ id, name, text }) => (
        <p key={id} className="reason-breaks">
          <b>It breaks “{name}”.</b> {text}
        </p>
      ))}
      <Disputes disputes={disputes} />
      {cautions.map((caution) => (
        <p key={caution} className="ember">
          {own(caution)}
        </p>
      ))}
    </div>
  );
}
