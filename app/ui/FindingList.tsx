import type { Finding } from "~core/foot/findings/rule";
import { Fractions } from "./Fractions";
import "./findings.css";

/** Sentences by level: a stroke of ember where something has to be done, a word as well as a colour. */
export function FindingList({ findings }: { findings: readonly Finding[] }) {
  const urgent = findings.filter(({ level }) => level !== "steady");
  const steady = findings.filter(({ level }) => level === "steady");
  return (
    <div className="findings">
      <ul className="statements" aria-label="Findings">
        {urgent.map((finding) => (
          <Said key={finding.id} finding={finding} />
        ))}
      </ul>
      {steady.length > 0 && (
        <ul className="statements statements-steady" aria-label="Steady">
          {steady.map((finding) => (
            <Said key={finding.id} finding={finding} />
          ))}
        </ul>
      )}
    </div>
  );
}

function Said({ finding }: { finding: Finding }) {
  return (
    <li className={`statement statement-${finding.level.replaceAll(" ", "-")}`}>
      <p>
        {finding.level !== "steady" && <b className="statement-level">{finding.level}</b>}
        <Fractions text={finding.text} />
      </p>
      <details>
        <summary className="quiet">{finding.level === "steady" ? "Why" : "What next, and why"}</summary>
        {finding.level !== "steady" && <p>{finding.next}</p>}
        <p className="quiet">
          <Fractions text={finding.evidence} /> Speaks for: {finding.speaksFor}.
        </p>
      </details>
    </li>
  );
}
