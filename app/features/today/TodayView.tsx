import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { minutesInWords, type DayPlan, type PlannedJob, type Stop } from "~core/cycle/dayPlan";
import { dueReason, workInWords } from "~core/cycle/dueWords";
import { alertsByHorse, type CaseRow } from "~core/casework/caseBoard";
import type { CaseAlert } from "~core/casework/caseStanding";
import type { FeetOfHorse } from "~core/visit/feetOfHorse";
import { CycleLine } from "~app/drawing/CycleLine";
import { FourFeet } from "~app/drawing/FourFeet";
import { longDay, shortDay } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { Waiting } from "./Waiting";
import { RunningLate } from "./RunningLate";
import { DayStrip } from "./DayStrip";
import "./today.css";
import { counted } from "~core/units/counted";

const FirstDay = lazy(() => import("./FirstDay"));
const EmptyRound = lazy(() => import("./EmptyRound"));
const BackupLine = lazy(() => import("~app/ui/BackupLine"));
/** Wanted on an empty day and for a demo of another day: a day like any other does without. */
const DemoLoader = lazy(() =>
  import("~app/ui/DemoLoader").then(({ DemoLoader: loader }) => ({ default: loader })),
);

interface TodayProps {
  today: string;
  plan: DayPlan;
  feet: Record<string, FeetOfHorse>;
  /** No horse at all yet. */
  empty: boolean;
  /** The open cases as they stand. */
  cases: CaseRow[];
  /** Of the horses, by id. */
  names: Readonly<Record<string, string>>;
  madeFor: string | undefined;
  /** The address asked for the demo round. */
  wanted: "demo" | undefined;
}

/** Where to be, in order, and who is waiting. */
export function TodayView({ today, plan, feet, cases, names, empty, madeFor, wanted }: TodayProps) {
  const alerts = alertsByHorse(cases);
  const next = plan.stops.flatMap(({ jobs }) => jobs).find(({ visit }) => visit.status !== "signed");
  return (
    <div className="today">
      <div className="page today-page">
        <header className="page-head">
          <div>
            <h1>{longDay(today)}</h1>
            <p className="quiet">{summary(plan)}</p>
          </div>
          {next && (
            <Link className="go-button" to={`/visits/${next.visit.id}`}>
              {next.visit.status === "open"
                ? `Go on with ${next.horse.name}`
                : `Start with ${next.horse.name}`}
            </Link>
          )}
        </header>
        {madeFor !== undefined && madeFor !== today && (
          <p className="stale brass">
            This demo round was made for {shortDay(madeFor)}.{" "}
            <Suspense>
              <DemoLoader kind="demo" label="Make it anew for today" quiet />
            </Suspense>
          </p>
        )}
        {!empty && madeFor === undefined && (
          <Suspense>
            <BackupLine />
            <FirstDay />
          </Suspense>
        )}
        {(empty || wanted) && (
          <Suspense>
            <EmptyRound start={wanted !== undefined} />
          </Suspense>
        )}
        {plan.stops.length > 0 && (
          <>
            <div className="today-acts">
              <Link className="link" to={`/rounds/${today}`}>
                Day sheet and what to load
              </Link>
              <RunningLate plan={plan} />
            </div>
            <DayStrip stops={plan.stops} />
          </>
        )}
        {plan.stops.map((stop) => (
          <StopSection key={stop.yard.id} stop={stop} feet={feet} alerts={alerts} />
        ))}
        {!empty && plan.stops.length === 0 && (
          <section className="empty">
            <h2>Nothing is planned for today.</h2>
            <p className="quiet">
              {plan.behind[0]
                ? `Most overdue is ${plan.behind[0].horse.name}, ${counted(plan.behind[0].cycle.daysOver, "day")} over. Plan it from the list.`
                : "No horse is over its due day."}
            </p>
            <Link className="go-button" to="/rounds">
              Plan the fortnight
            </Link>
          </section>
        )}
      </div>
      {!empty && <Waiting plan={plan} cases={cases} names={names} today={today} />}
    </div>
  );
}

function summary({ horses, stops, workMinutes }: DayPlan): string {
  if (horses === 0) return "No horses planned";
  const yards = counted(stops.length, "yard");
  return `${counted(horses, "horse")}, ${yards} · about ${minutesInWords(workMinutes)} of work`;
}

interface StopProps {
  stop: Stop;
  feet: Record<string, FeetOfHorse>;
  alerts: Record<string, CaseAlert[]>;
}

function StopSection({ stop, feet, alerts }: StopProps) {
  return (
    <section className="stop" aria-label={stop.yard.name}>
      <p className="stop-time brass">{stop.at ?? "—"}</p>
      <div>
        <h2>
          {stop.yard.name} <span className="stop-access quiet">{stop.yard.access}</span>
        </h2>
        {stop.jobs.map((job) => (
          <JobRow
            key={job.visit.id}
            job={job}
            feet={feet[job.horse.id] ?? {}}
            alerts={alerts[job.horse.id] ?? []}
          />
        ))}
      </div>
    </section>
  );
}

const FINISH_WORDS = { "full set": "full set", fronts: "fronts", trim: "trim" } as const;

interface JobProps {
  job: PlannedJob;
  feet: FeetOfHorse;
  alerts: readonly CaseAlert[];
}

function JobRow({ job, feet, alerts }: JobProps) {
  const { horse, visit, cycle, last } = job;
  const wording = useWording();
  const state = visit.status === "signed" ? "signed" : visit.status === "open" ? "open" : undefined;
  return (
    <Link
      className="job sheet"
      to={`/visits/${visit.id}`}
      aria-label={`${horse.name}, ${state ?? "start the visit"}`}
    >
      <FourFeet feet={feet} flagged={last?.next?.limb} title={`Feet of ${horse.name}`} />
      <div className="job-name">
        <h3>{horse.name}</h3>
        <p className="quiet">
          {horse.kind} · {job.visit.job ?? FINISH_WORDS[horse.finish]} · {minutesInWords(job.minutes)}
        </p>
        {state && <p className="verdigris strong">{state === "signed" ? "Signed off" : "Visit open"}</p>}
      </div>
      {cycle && last?.next ? (
        <div className="job-cycle">
          <CycleLine cycle={cycle} />
          <p>
            <span className={`day day-${cycle.state}`}>day {cycle.day}</span>{" "}
            <span className="quiet">
              of {cycle.of} · {dueReason(last.next, horse, wording)}
            </span>
          </p>
        </div>
      ) : (
        <p className="quiet job-cycle">First visit · {workInWords(horse.use)}</p>
      )}
      <div className="job-watch">
        {visit.vetAt && <p className="strong">Vet at {visit.vetAt}</p>}
        {horse.habits && <p className="ember">{horse.habits}</p>}
        {alerts.map(({ says, level }) => (
          <p key={says} className={level === "act" ? "ember strong" : "verdigris strong"}>
            {says}
          </p>
        ))}
        {last?.watch && <p>{last.watch}</p>}
        {!horse.habits && !last?.watch && !visit.vetAt && alerts.length === 0 && (
          <p className="quiet">Nothing to watch.</p>
        )}
      </div>
    </Link>
  );
}
