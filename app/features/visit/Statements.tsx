import { Fractions } from "~app/ui/Fractions";
import type { Statement } from "~core/foot/meaning";

/** Sentences by level: a stroke of ember where something has to be done, a word as well as a colour. */
export function Statements({ statements }: { statements: readonly Statement[] }) {
  return (
    <ul className="statements">
      {statements.map((statement) => (
        <li key={statement.subject} className={`statement statement-${statement.level.replaceAll(" ", "-")}`}>
          <p>
            {statement.level !== "steady" && <b className="statement-level">{statement.level}</b>}
            <Fractions text={statement.text} />
          </p>
          <details>
            <summary className="quiet">Why</summary>
            <p className="quiet">{statement.evidence}</p>
          </details>
        </li>
      ))}
    </ul>
  );
}
