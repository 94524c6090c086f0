import { Link } from "react-router";
import { dayPlan, type RosterRow } from "~core/cycle/dayPlan";

/** Today, under way: it is left as it stands. */
export function TodayColumn({
  today,
  rows,
  style,
}: {
  today: string;
  rows: readonly RosterRow[];
  style: React.CSSProperties;
}) {
  const { stops } = dayPlan(rows, today);
  return (
    <section className="plan-day plan-today" aria-label="Today" style={style}>
      <header>
        <Link className="plan-day-name link" to="/">
          Today
        </Link>
        <p className="quiet">{stops.length === 0 ? "nothing planned" : "as it stands"}</p>
      </header>
      {stops.map(({ yard, at, jobs }) => (
        <div key={yard.id}>
          <h3 className="plan-yard">
            <span className="brass">{at}</span> {yard.name}
          </h3>
          {jobs.map(({ horse }) => (
            <p key={horse.id} className="plan-done">
              {horse.name}
            </p>
          ))}
        </div>
      ))}
    </section>
  );
}
