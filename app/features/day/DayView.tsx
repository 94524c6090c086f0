import { Button } from "antd";
import { Link } from "react-router";
import { download } from "~app/data/files";
import { longDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { minutesInWords, type DayPlan } from "~core/cycle/dayPlan";
import { dueReason } from "~core/cycle/dueWords";
import type { CaseAlert } from "~core/casework/caseStanding";
import { jobName } from "~core/cycle/jobMinutes";
import type { PlannedHorse } from "~core/visit/comingShoes";
import type { Forged } from "~core/forge/forgeRecord";
import type { Appointment } from "~core/record/appointment";
import { bookedByStop } from "~core/rounds/daySheet";
import type { NailRow } from "~core/shoe/shoeRecord";
import { Load } from "./Load";
import "./day.css";
import { counted } from "~core/units/counted";

interface DayProps {
  date: string;
  plan: DayPlan;
  load: PlannedHorse[];
  appointments: Appointment[];
  log: Forged[];
  nails: NailRow[];
  /** What of a horse's cases cannot wait. */
  alerts: Record<string, CaseAlert[]>;
}

/** One day on paper: where, when, who, what to watch, what to load. */
export function DayView({ date, plan, load, appointments, log, nails, alerts }: DayProps) {
  const wording = useWording();
  const { stops, horses, workMinutes } = plan;
  const booked = bookedByStop(stops, appointments);
  const out = async (kind: "ics" | "csv") => {
    const { planCalendar, planCsv } = await import("~core/cycle/planCalendar");
    const days = [{ date, plan }];
    if (kind === "ics")
      download(`plumbline-day-${date}.ics`, "text/calendar", planCalendar(days, new Date().toISOString()));
    else download(`plumbline-day-${date}.csv`, "text/csv", planCsv(days));
  };
  return (
    <div className="page day-sheet">
      <header className="page-head">
        <div>
          <h1>{longDay(date)}</h1>
          <p className="quiet">
            {horses === 0
              ? "Nobody is planned for this day."
              : `${counted(horses, "horse")}, about ${minutesInWords(workMinutes)} of work`}
          </p>
        </div>
        <div className="day-acts">
          <Link className="link" to="/rounds">
            Rounds
          </Link>
          <Button onClick={() => void out("ics")}>Calendar</Button>
          <Button onClick={() => void out("csv")}>CSV</Button>
          <Button type="primary" onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </header>
      <Booked times={booked.before} />
      {stops.map(({ yard, at, jobs }, index) => (
        <section key={yard.id} className="day-stop" aria-label={yard.name}>
          <p className="stop-time brass">{at ?? "—"}</p>
          <div>
            <h2>{yard.name}</h2>
            <p className="day-access">
              {[yard.access, yard.person, yard.phone].filter((part) => part !== "").join(" · ")}
            </p>
            <table>
              <thead>
                <tr>
                  <th scope="col">Horse</th>
                  <th scope="col">Work</th>
                  <th scope="col">Due</th>
                  <th scope="col">Watch</th>
                </tr>
              </thead>
              <tbody>
                {jobs.map(({ horse, visit, minutes, last }) => (
                  <tr key={visit.id}>
                    <th scope="row">{horse.name}</th>
                    <td>
                      {jobName(horse, visit)}, {minutes} min
                    </td>
                    <td>{last?.next ? dueReason(last.next, horse, wording) : "first visit"}</td>
                    <td>
                      {visit.vetAt && <span className="strong">Vet at {visit.vetAt}. </span>}
                      {horse.habits && <span className="ember strong">{horse.habits} </span>}
                      {last?.watch}
                      {(alerts[horse.id] ?? []).map(({ says }) => (
                        <span key={says} className="strong day-case">
                          {says}
                        </span>
                      ))}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <Booked times={booked.at[index] ?? []} />
          </div>
        </section>
      ))}
      {horses > 0 && <Load horses={load} log={log} nails={nails} />}
      <p className="quiet day-foot">
        <Fractions text="Times, minutes and lengths are estimates. Local law decides who may shoe; a lame horse is the vet’s first." />
      </p>
    </div>
  );
}

/** What is booked besides the horses, by time. */
function Booked({ times }: { times: readonly Appointment[] }) {
  if (times.length === 0) return null;
  return (
    <ul className="day-booked" aria-label="Booked">
      {times.map(({ id, at, title, minutes }) => (
        <li key={id}>
          <b className="brass">{at}</b> {title}, {minutesInWords(minutes)}
        </li>
      ))}
    </ul>
  );
}
