import { Link } from "react-router";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { outcomeInWords, type Outcome } from "~core/outcome/outcomes";
import type { ShoeFacts } from "~core/shoe/facts";
import { Disputes } from "./Disputes";
import { useGroundClaims, type GroundClaims } from "./useGroundClaims";
import { useOutcomes } from "./useOutcomes";
import type { ShoeRule } from "~core/shoe/advice/rule";
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
  /** The foot was shod before: there is an own record to come, whose place is kept. */
  recorded: boolean;
}

/** About as long as what the model, and an own record, say of one reason: they take the place that is kept for them. */
const MODEL_AS_LONG = "sinks 0 mm less in the arena";
const RECORD_AS_LONG =
  "On 00 feet over 000 cycles: axis better on 0, same on 00; heels forward same on 0, worse on 0; landing, lost shoes the same.";

/** Reasons both ways, each with what was seen and how well it is supported; what it breaks; what is disputed. */
export function Argument({ proposal, facts, bench, groundAt, recorded }: ArgumentProps) {
  const wording = useWording();
  const ground = useGroundClaims(proposal, facts, bench);
  const outcomes = useOutcomes(proposal, facts);
  const counting = recorded && outcomes === undefined;
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
            <OnGround claims={ground} rule={rule} groundAt={groundAt} />
            <OwnRecord outcome={outcomes?.get(rule.id)} counting={counting} />
          </li>
        ))}
        {reasonsFor.length === 0 && <li className="quiet">Nothing speaks for it in particular.</li>}
      </ul>
      {(counting || (outcomes?.size ?? 0) > 0) && (
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
              {as !== "price" && <OnGround claims={ground} rule={rule} groundAt={groundAt} />}
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

/** What the user's own feet say to a reason; while they are counted, the place for it. */
function OwnRecord({ outcome, counting }: { outcome: Outcome | undefined; counting: boolean }) {
  if (!outcome && !counting) return null;
  return (
    <span className="reason-outcome" data-awaited={counting} aria-hidden={counting}>
      <b>Your own.</b> {outcome ? outcomeInWords(outcome) : RECORD_AS_LONG}
    </span>
  );
}

/** What the model of the ground says to a reason on this foot, with the way to look at it; until it does, its place. */
function OnGround({
  claims,
  rule,
  groundAt,
}: {
  claims: GroundClaims | undefined;
  rule: ShoeRule;
  groundAt: string;
}) {
  if (!claims || !rule.onGround) return null;
  const asking = claims.says === undefined;
  const says = claims.says ? claims.says.get(rule.id) : MODEL_AS_LONG;
  if (!says) return null;
  return (
    <span className="reason-ground" data-awaited={asking} aria-hidden={asking}>
      <b>By the model, on this foot, against {claims.against}:</b> <Fractions text={says} />.{" "}
      <Link className="link" to={`${groundAt}?shoes=${claims.shoes}`}>
        On the ground
      </Link>
    </span>
  );
}
