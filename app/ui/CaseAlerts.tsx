import { Link } from "react-router";
import type { CaseAlert } from "~core/casework/caseStanding";
import { Fractions } from "./Fractions";
import "./findings.css";

/** What of a horse's cases cannot wait, each with the way to it. */
export function CaseAlerts({
  alerts,
  horseId,
  name,
}: {
  alerts: readonly CaseAlert[];
  horseId: string;
  name?: string;
}) {
  if (alerts.length === 0) return null;
  return (
    <ul className="case-alerts" aria-label={name ? `Cases of ${name}` : "Cases"}>
      {alerts.map(({ caseId, kind, level, says }) => (
        <li key={`${caseId} ${kind} ${says}`}>
          <Link
            to={`/horses/${horseId}/cases/${caseId}`}
            className={level === "act" ? "ember strong" : "verdigris strong"}
          >
            {name && <b>{name}. </b>}
            <Fractions text={says} />
          </Link>
        </li>
      ))}
    </ul>
  );
}
