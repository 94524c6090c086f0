import { Button } from "antd";
import { useDeferredValue } from "react";
import { Link, useNavigate } from "react-router";
import type { HorseFile } from "~app/data/queries";
import { CycleLine } from "~app/drawing/CycleLine";
import { shortDay } from "~app/ui/days";
import { FootBoard } from "~app/ui/FootBoard";
import { CasesHere } from "~app/ui/CasesHere";
import { LivingFinds } from "~app/ui/LivingFinds";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { cycleState, dueReason, workInWords } from "~core/cycle/dueWords";
import { horseOutlook } from "~core/cycle/horseDue";
import { planVisit, startVisit } from "~core/record/planVisit";
import type { Visit } from "~core/record/visit";
import { listed } from "~core/rounds/words";
import { Happened } from "./Happened";
import { ThenNow } from "~app/ui/ThenNow";
import { Timeline } from "./Timeline";
import { Trend } from "./Trend";
import { Wait } from "./Wait";
import "./horse.css";
import { counted } from "~core/units/counted";

/** One horse: its four feet now, when it is due and why, how it has gone, what was done. */
export function HorseView({ file, beside, today }: { file: HorseFile; beside: string[]; today: string }) {
  const { horse, yard, visits, readings, settings } = file;
  const wording = useWording();
  const navigate = useNavigate();
  // The feet and the due date first; what lies below the fold follows in the next turn.
  const below = useDeferredValue(true, false);
  const { save } = useEdits();
  const signed = visits.filter((visit) => visit.status === "signed");
  const last = signed.at(-1);
  const coming = visits.find((visit) => visit.status !== "signed");
  const signedIds = new Set(signed.map(({ id }) => id));
  const known = readings.filter((reading) => signedIds.has(reading.visitId));
  const outlooks = horseOutlook(horse, known, settings);
  const cycle = last?.next && cycleState(last.date, last.next, today);

  const start = async () => {
    if (coming) return void navigate(`/visits/${coming.id}`);
    const plan = planVisit(horse, today, crypto.randomUUID());
    await save(plan, ...startVisit(plan.now as Visit, today, new Date().toISOString()));
    void navigate(`/visits/${plan.id}/arrive`);
  };
  return (
    <div className="page horse-page">
      <header className="page-head">
        <div>
          <h1>{horse.name}</h1>
          <p className="quiet">
            {yard.name} · {horse.kind}, {horse.massKg} kg · {workInWords(horse.use)}, {horse.finish}
          </p>
          {horse.left && (
            <p className="strong">
              No longer on the round: {horse.left.why}, {shortDay(horse.left.on)}
            </p>
          )}
          {horse.habits && <p className="ember strong">{horse.habits}</p>}
          {beside.length > 0 && <p>Goes together with {listed(beside)}</p>}
          {horse.notes && <p>{horse.notes}</p>}
        </div>
        <div className="horse-acts">
          <Link className="link" to={`/horses/${horse.id}/edit`}>
            Change
          </Link>
          {!coming && !horse.left && last && (
            <Button
              onClick={() => void save(planVisit(horse, today, crypto.randomUUID(), "toe only"))}
              title="A short visit between two full trims: the heels stay, the due day too"
            >
              Toe only today
            </Button>
          )}
          {!coming && !horse.left && (
            <Button onClick={() => void save(planVisit(horse, today, crypto.randomUUID()))}>
              Plan for today
            </Button>
          )}
          {(!horse.left || coming?.status === "open") && (
            <Button type="primary" onClick={() => void start()}>
              {coming?.status === "open" ? "Go on with the visit" : "Start a visit"}
            </Button>
          )}
        </div>
      </header>
      <div className="horse-grid">
        <FootBoard horse={horse} records={{ ...file, readings: known }} outlooks={outlooks} last={last} />
        <section className="due-side" aria-label="Next due">
          {horse.left ? (
            <p className="quiet">Not due any more. Its history stays below.</p>
          ) : last?.next && cycle ? (
            <>
              <p className="quiet">
                {cycle.state === "over" ? `${counted(cycle.daysOver, "day")} over. Was due` : "Due"}
              </p>
              <p className={`due-day ${cycle.state === "over" ? "ember" : ""}`}>{shortDay(last.next.due)}</p>
              <CycleLine cycle={cycle} />
              <p>
                day {cycle.day} of {cycle.of} · <b>{dueReason(last.next, horse, wording)}</b>
                {last.next.byGrowth && ` · by growth alone ${shortDay(last.next.byGrowth)}`}
              </p>
              {last.watch && (
                <div className="due-watch">
                  <p className="quiet">To watch</p>
                  <p>{last.watch}</p>
                </div>
              )}
            </>
          ) : (
            <p className="quiet">No visit signed yet: the first one sets the due date.</p>
          )}
          <CasesHere file={file} day={today} />
          <p className="horse-care">
            {!horse.left && (
              <Link className="link" to={`/horses/${horse.id}/cases/new`}>
                Open a case
              </Link>
            )}
            <Link className="link" to={`/horses/${horse.id}/films`}>
              Radiographs{file.films.length > 0 ? ` (${file.films.length})` : ""}
            </Link>
            {(coming?.status === "open" || last) && (
              <Link
                className="link"
                to={`/ground/${(coming?.status === "open" ? coming : last)?.id ?? ""}/${last?.next?.limb ?? "LF"}`}
              >
                On the ground
              </Link>
            )}
            {last && (
              <Link className="link" to={`/horses/${horse.id}/sheets?for=owner`}>
                Sheet for the owner
              </Link>
            )}
          </p>
          <LivingFinds file={file} outlooks={outlooks} day={today} />
        </section>
        {last?.next && cycle && !horse.left && (
          <Wait
            key={horse.id}
            horse={horse}
            readings={known}
            outlooks={outlooks}
            cycle={cycle}
            first={last.next.limb}
          />
        )}
      </div>
      {!horse.left && <Happened horse={horse} today={today} />}
      {below && (
        <>
          <ThenNow photos={file.photos} />
          <Trend readings={known} outlooks={outlooks} />
          <Timeline visits={visits} records={file} />
        </>
      )}
    </div>
  );
}
