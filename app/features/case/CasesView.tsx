import { Link } from "react-router";
import { sentenceCase } from "~core/foot/wording";
import type { Horse } from "~core/record/horse";
import { standingInWords } from "~core/casework/caseStanding";
import type { CaseRow } from "~core/casework/caseBoard";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import "./case.css";
import { counted } from "~core/units/counted";

/** Every case of the round at a glance: what wants somebody first. */
export function CasesView({
  rows,
  horses,
}: {
  rows: CaseRow[];
  horses: readonly Pick<Horse, "id" | "name">[];
}) {
  const wording = useWording();
  const open = rows.filter(({ one }) => one.status === "open");
  const closed = rows.filter(({ one }) => one.status === "closed");
  const nameOf = (id: string) => horses.find((horse) => horse.id === id)?.name ?? "";
  return (
    <div className="page cases-page">
      <header className="page-head">
        <div>
          <h1>Cases</h1>
          <p className="quiet">
            {open.length === 0
              ? "No case is under way."
              : `${open.length} under way, ${open.filter(({ alerts }) => alerts.length > 0).length} of them want something`}
          </p>
        </div>
      </header>
      {rows.length === 0 && (
        <section className="empty">
          <h2>No case yet</h2>
          <p className="quiet">
            A case is opened on a horse’s page: a problem that outlives one visit, with its plan and its
            proof.
          </p>
          <Link className="go-button" to="/horses">
            To the horses
          </Link>
        </section>
      )}
      <ul className="cases-list">
        {open.map(({ one, name, feet, prescription, alerts }) => (
          <li key={one.id}>
            <Link className="cases-row sheet" to={`/horses/${one.horseId}/cases/${one.id}`}>
              <span className="cases-who">
                <b>{nameOf(one.horseId)}</b>
                <span>{name}</span>
                <span className="quiet">
                  {one.lead === "vet" ? "the vet leads" : "the farrier leads"}
                  {one.opened && ` · since ${shortDay(one.opened)}`}
                </span>
              </span>
              <span className="cases-feet">
                {feet.map((foot) => (
                  <span key={foot.limb}>
                    <b>{foot.limb}</b>{" "}
                    <span
                      className={foot.overdue ? "ember strong" : foot.ready ? "verdigris strong" : undefined}
                    >
                      {foot.stage ? standingInWords(foot) : "no stages"}
                    </span>
                  </span>
                ))}
              </span>
              <span className="cases-says">
                {prescription && (
                  <span className={prescription.state === "valid" ? "quiet" : "ember strong"}>
                    Prescribed until {shortDay(prescription.until)}
                    {prescription.state === "expires" && `, ${counted(prescription.days, "day")} left`}
                    {prescription.state === "expired" && ", run out"}
                  </span>
                )}
                {alerts
                  .filter(({ kind }) => kind !== "expires" && kind !== "expired")
                  .map(({ says, level }) => (
                    <span key={says} className={level === "act" ? "ember strong" : "verdigris strong"}>
                      <Fractions text={sentenceCase(says.slice(name.length + 2))} />
                    </span>
                  ))}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {closed.length > 0 && (
        <section aria-label="Closed">
          <h2>Closed</h2>
          <ul className="cases-closed">
            {closed.map(({ one, name }) => (
              <li key={one.id}>
                <Link className="link" to={`/horses/${one.horseId}/cases/${one.id}`}>
                  {nameOf(one.horseId)}: {name}
                </Link>{" "}
                <span className="quiet">
                  {one.outcome && `${one.outcome.how}, ${shortDay(one.outcome.on)}`} ·{" "}
                  {one.feet.map((limb) => wording.limb(limb)).join(", ")}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
