import { Button } from "antd";
import { useMemo } from "react";
import { Link, useNavigate } from "react-router";
import type { HorseFile } from "~app/data/queries";
import { ProgressChart } from "~app/charts/progress/Chart";
import { progressModel } from "~app/charts/progress/model";
import { CaseAlerts } from "~app/ui/CaseAlerts";
import { CautionNote } from "~app/ui/CautionNote";
import { shortDay } from "~app/ui/days";
import { ThenNow } from "~app/ui/ThenNow";
import { useSettings, useWording } from "~app/ui/useWording";
import { PROGRESS } from "~core/case/progress";
import type { Case } from "~core/case/caseRecord";
import { caseAlerts, caseStanding } from "~core/casework/caseStanding";
import { caseProgress, type Progress } from "~core/casework/caseProgress";
import { pictureChecklist } from "~core/casework/checklist";
import { cautionsAt } from "~core/caution/cautions";
import { horseOutlook } from "~core/cycle/horseDue";
import { toeTarget } from "~core/foot/toeYardstick";
import { sentenceCase } from "~core/foot/wording";
import { PHOTO_VIEW_FACTS } from "~core/photo/views";
import { AnswerIn } from "./AnswerIn";
import { CaseClosing } from "./CaseClosing";
import { CaseLog } from "./CaseLog";
import { FootStage } from "./FootStage";
import { Observations } from "./Observations";
import { Prescribed } from "./Prescribed";
import { Told } from "./Told";
import "./case.css";

/** One case: where each foot stands in its plan, how it has gone, its pictures, its papers. */
export function CaseView({ file, one, today }: { file: HorseFile; one: Case; today: string }) {
  const { horse } = file;
  const wording = useWording();
  const settings = useSettings();
  const navigate = useNavigate();
  const standing = useMemo(() => caseStanding(one, file, today, wording), [one, file, today, wording]);
  const outlooks = useMemo(
    () => horseOutlook(horse, file.readings, settings),
    [horse, file.readings, settings],
  );
  const progress = one.progress.map((row) =>
    caseProgress(one, row, file, {
      hemisphere: settings.hemisphere,
      perDay: outlooks.find(({ limb }) => limb === row.limb)?.growth.perDay,
      wallMm: toeTarget(horse).toeLengthMm,
      today,
    }),
  );
  const alerts = caseAlerts(standing, wording);
  const photos = file.photos.filter(({ limb }) => one.feet.includes(limb));
  const films = file.films.filter(({ limb }) => one.feet.includes(limb));
  const coming = file.visits.find(({ status }) => status !== "signed");
  return (
    <div className="page case-page">
      <header className="page-head">
        <div>
          <p className="quiet">
            <Link className="link" to={`/horses/${horse.id}`}>
              {horse.name}
            </Link>{" "}
            · {one.kind} · {one.feet.map((limb) => wording.limb(limb)).join(", ")}
          </p>
          <h1>
            {standing.name}
            {one.status === "closed" && <span className="quiet"> · closed</span>}
          </h1>
          <p className="quiet">
            {one.lead === "vet" ? "The vet leads" : "The farrier leads"}
            {one.vet && ` · ${one.vet}`}
            {one.opened && ` · since ${shortDay(one.opened)}`}
          </p>
        </div>
        <div className="case-acts">
          <Link className="link" to={`/horses/${horse.id}/cases/${one.id}/edit`}>
            Change
          </Link>
          <Button onClick={() => void navigate(`/horses/${horse.id}/sheets?for=owner`)}>For the owner</Button>
          <Button
            type="primary"
            onClick={() => void navigate(`/horses/${horse.id}/sheets?for=vet&case=${one.id}`)}
          >
            For the vet
          </Button>
        </div>
      </header>
      <CaseAlerts alerts={alerts} horseId={horse.id} />
      <div className="case-grid">
        <div className="case-main">
          <section aria-label="Where it stands">
            <h2>Where it stands</h2>
            {one.stages.length === 0 ? (
              <p className="quiet">
                No staged plan. Change the case to put one in: what is done, how long, and how it is seen that
                it is over.
              </p>
            ) : (
              <div className="foot-stages">
                {standing.feet.map((foot) => (
                  <FootStage key={foot.limb} one={one} foot={foot} today={today} />
                ))}
              </div>
            )}
          </section>
          {progress.length > 0 && (
            <section aria-label="How it has gone">
              <h2>How it has gone</h2>
              <div className="case-progress">
                {progress.map((row) => (
                  <ProgressCard key={`${row.name} ${row.limb}`} row={row} />
                ))}
              </div>
            </section>
          )}
          <ThenNow photos={photos} />
        </div>
        <aside className="case-side">
          <Prescribed one={one} today={today} />
          {one.status === "open" && <AnswerIn one={one} horse={horse} />}
          <section className="case-pictures" aria-label="Pictures wanted">
            <h2>Pictures</h2>
            <ul>
              {pictureChecklist(one, photos, coming?.date).map(({ limb, view, last, taken }) => (
                <li key={`${limb} ${view}`} className={taken ? "quiet" : undefined}>
                  <span aria-hidden>{taken ? "✓" : "○"}</span> {limb}{" "}
                  {PHOTO_VIEW_FACTS[view].name.toLowerCase()}{" "}
                  <span className="quiet">{last ? `last ${shortDay(last)}` : "none yet"}</span>
                </li>
              ))}
            </ul>
            {coming?.status === "open" ? (
              <Link className="link" to={`/visits/${coming.id}/survey?foot=${one.feet[0] ?? "LF"}`}>
                Take them at this visit
              </Link>
            ) : (
              <p className="quiet">They are taken at a visit, under Survey, with the card.</p>
            )}
          </section>
          <section aria-label="Radiographs">
            <h2>Radiographs</h2>
            <p>
              {films.length === 0
                ? "None yet."
                : `${films.length}, the last of ${shortDay([...films].sort((a, b) => a.date.localeCompare(b.date)).at(-1)?.date ?? today)}.`}{" "}
              <Link className="link" to={`/horses/${horse.id}/films`}>
                {films.length === 0 ? "Put one in" : "Look at them"}
              </Link>
            </p>
          </section>
          <Observations
            feet={one.feet}
            visits={file.visits.filter(({ date }) => date >= (one.opened ?? ""))}
          />
          <Told one={one} />
          <CaseLog one={one} today={today} />
          <CaseClosing one={one} today={today} />
          {cautionsAt("case").map((caution) => (
            <CautionNote key={caution.id} caution={caution} about={one.id} />
          ))}
        </aside>
      </div>
    </div>
  );
}

function ProgressCard({ row }: { row: Progress }) {
  const wording = useWording();
  const { name, limb, kind, target, points, byGrowth } = row;
  const model = progressModel(row);
  const show = useMemo(
    () => (value: number) => (kind === "angle" ? wording.angle(value) : wording.length(value)),
    [kind, wording],
  );
  const last = points.at(-1);
  return (
    <figure className="progress-card">
      <figcaption>
        <b>{limb}</b> {name}
        {last && <b className="progress-now"> {show(last.value)}</b>}
        {target !== undefined && <span className="verdigris"> target {show(target)}</span>}
      </figcaption>
      {model ? (
        <ProgressChart
          model={model}
          show={show}
          title={`${sentenceCase(name)}, ${wording.limb(limb)}: ${points.map(({ date, value }) => `${shortDay(date)} ${show(value)}`).join(", ")}`}
        />
      ) : (
        <p className="quiet">
          {PROGRESS[name].from === "film" ? "No radiograph measures it yet." : "Not measured yet."}
        </p>
      )}
      {byGrowth.length > 1 && <p className="quiet progress-key">Dashed: what growth alone does.</p>}
    </figure>
  );
}
