import { Link } from "react-router";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { outcomeInWords, type Outcome } from "~core/outcome/outcomes";
import type { ShoeFacts } from "~core/shoe/facts";
import { Disputes } from "./Disputes";
import { useGroundClaims, type GroundClaims } from "./useGroundClaims";
import { useOutcomes } from "./useOutcomes";
import type { FittedProposal } from "~core/shoe/advice/fitted";
import type { GroundBench } from "~core/visit/groundShoes";

/** A word before what speaks against: how it does. */
const AS = { "ruled out": "Ruled out: ", against: "", "not in it": "", price: "" } as const;
/** As many prices as are read; the rest is what stands in every such shoe. */
const MOST_AGAINST = 6;

interface ArgumentProps {
  proposal: FittedProposal;
  facts: ShoeFacts;
  /** The foot and its shoes, as they are stood on the ground. */
  bench: GroundBench;
  /** The page where this foot stands on the ground. */
  groundAt: string;
}

/** Reasons both ways, each with what was seen and how well it is supported; what it breaks; what is disputed. */
export function Argument({ proposal, facts, bench, groundAt }: ArgumentProps) {
  const wording = useWording();
  const ground = useGroundClaims(proposal, facts, bench);
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
            <OnGround claims={ground} rule={rule.id} groundAt={groundAt} />
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
              {as !== "price" && <OnGround claims={ground} rule={rule.id} groundAt={groundAt} />}
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

/** What the model of the ground says to a reason on this foot, with the way to look at it. */
function OnGround({
  claims,
  rule,
  groundAt,
}: {
  claims: GroundClaims | undefined;
  rule: string;
  groundAt: string;
}) {
  const says = claims?.says.get(rule);
  if (!claims || !says) return null;
  return (
    <span className="reason-ground">
      <b>By the model, on this foot, against {claims.against}:</b> <Fractions text={says} />.{" "}
      <Link className="link" to={`${groundAt}?shoes=${claims.shoes}`}>
        On the ground
      </Link>
    </span>
  );
}
