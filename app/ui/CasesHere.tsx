import { useMemo } from "react";
import { Link } from "react-router";
import type { HorseFile } from "~app/data/queries";
import { caseAlerts, caseStanding, standingInWords } from "~core/casework/caseStanding";
import { exitInWords } from "~core/case/exitTests";
import { CaseAlerts } from "./CaseAlerts";
import { Fractions } from "./Fractions";
import { shortDay } from "./days";
import { useWording } from "./useWording";
import "./casesHere.css";

/** The open cases of a horse: prescription, each foot's stage, the tests that are not met yet. */
export function CasesHere({ file, day }: { file: HorseFile; day: string }) {
  const wording = useWording();
  const standings = useMemo(
    () =>
      file.cases
        .filter(({ status }) => status === "open")
        .map((one) => caseStanding(one, file, day, wording)),
    [file, day, wording],
  );
  if (standings.length === 0) return null;
  return (
    <section className="cases-here" aria-label="Cases under way">
      {standings.map((standing) => {
        const { one, name, feet, prescription } = standing;
        return (
          <div key={one.id}>
            <h2>
              <Link className="link" to={`/horses/${file.horse.id}/cases/${one.id}`}>
                {name}
              </Link>
              {prescription && (
                <span className={prescription.state === "valid" ? "quiet" : "ember"}>
                  {" "}
                  prescribed until {shortDay(prescription.until)}
                </span>
              )}
            </h2>
            <CaseAlerts alerts={caseAlerts(standing, wording)} horseId={file.horse.id} />
            <ul>
              {feet.map((foot) => {
                const unmet = (foot.latest?.answers ?? []).filter(({ answer }) => answer.state !== "met");
                return (
                  <li key={foot.limb}>
                    <b>{foot.limb}</b> {foot.stage ? standingInWords(foot) : "no stages"}
                    {unmet.length > 0 && (
                      <span className="quiet">
                        {" "}
                        · still wanted:{" "}
                        <Fractions
                          text={unmet.map(({ test }) => exitInWords(test, wording).toLowerCase()).join("; ")}
                        />
                      </span>
                    )}
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
    </section>
  );
}
