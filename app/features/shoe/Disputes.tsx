import type { Dispute } from "~core/shoe/advice/disputes";

/** What practitioners differ about in a shoe, both sides said. */
export function Disputes({ disputes }: { disputes: readonly Dispute[] }) {
  return disputes.map(({ id, about, one, other, ours }) => (
    <details key={id} className="dispute">
      <summary>
        {about}: <span className="quiet">disputed</span>
      </summary>
      <p>
        {one} {other} <span className="quiet">Here: {ours}</span>
      </p>
    </details>
  ));
}
