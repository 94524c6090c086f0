import { Button } from "antd";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { lastBackup } from "~app/data/backupNote";
import { session } from "~app/data/session";
import { firstSteps, type FirstDayState, type FirstStep } from "./firstSteps";
import "./firstDay.css";

/** Noted once somebody has put the path away. */
const AWAY = "first-day-away";
/** Who has signed so many visits has found the way. */
const ENOUGH = 3;

async function readState(): Promise<FirstDayState | undefined> {
  const { db } = session;
  const signed = db.visits.where("status").equals("signed");
  if ((await db.facts.get(AWAY)) || (await signed.count()) >= ENOUGH) return undefined;
  const horse = await db.horses.toCollection().first();
  const visits = horse ? await db.visits.where("horseId").equals(horse.id).sortBy("date") : [];
  const visit = visits.findLast(({ status }) => status !== "planned") ?? visits[0];
  const readings = visit ? await db.readings.where("visitId").equals(visit.id).toArray() : [];
  return {
    horse,
    visit,
    measured: readings.some(({ values }) => Object.keys(values).length > 0),
    backedUp: (await lastBackup(db)) !== undefined,
  };
}

/** On Today, of one's own round: five steps of a first day with one's own horse, until they are done or put away. */
export default function FirstDay() {
  const [steps, setSteps] = useState<FirstStep[]>();
  useEffect(() => {
    if (session.round === "own") void readState().then((state) => setSteps(state && firstSteps(state)));
  }, []);
  const next = steps?.find(({ done }) => !done);
  if (!steps || !next) return null;
  const away = async () => {
    await session.db.facts.put({ key: AWAY, value: "yes" });
    setSteps(undefined);
  };
  return (
    <section className="first-day sheet" aria-label="A first day">
      <header>
        <h2>A first day, with your own horse</h2>
        <Button type="text" onClick={() => void away()}>
          Put away
        </Button>
      </header>
      <ol>
        {steps.map((step) => (
          <li
            key={step.name}
            className={step.done ? "first-done" : step === next ? "first-next" : undefined}
            aria-current={step === next ? "step" : undefined}
          >
            {step.to && !step.done ? (
              <Link className={step === next ? "strong" : undefined} to={step.to}>
                {step.name}
              </Link>
            ) : (
              <span>
                {step.name}
                {step.done && <span className="first-said"> · done</span>}
              </span>
            )}
            {!step.done && <p className="quiet">{step.why}</p>}
          </li>
        ))}
      </ol>
    </section>
  );
}
