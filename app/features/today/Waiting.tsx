import { Button } from "antd";
import { Link } from "react-router";
import { planVisit } from "~core/record/planVisit";
import type { CaseRow } from "~core/casework/caseBoard";
import type { DayPlan, WaitingHorse } from "~core/cycle/dayPlan";
import { CaseAlerts } from "~app/ui/CaseAlerts";
import { useEdits } from "~app/ui/useEdits";
import { counted } from "~core/units/counted";

const MOST_BEHIND = 7;
const MOST_OPEN = 6;

interface WaitingProps {
  plan: DayPlan;
  cases: readonly CaseRow[];
  /** Of the horses, by id. */
  names: Readonly<Record<string, string>>;
  today: string;
}

/** Who is over the due day or in the window and not in today's plan; one press plans the horse for today. */
export function Waiting({ plan, cases, names, today }: WaitingProps) {
  return (
    <aside className="waiting" aria-label="Waiting">
      {cases.length > 0 && (
        <section className="waiting-cases" aria-label="Cases">
          <h2>
            <Link to="/cases">Cases</Link>
          </h2>
          {cases.every(({ alerts }) => alerts.length === 0) && (
            <p className="quiet">{cases.length} under way, nothing overdue.</p>
          )}
          {cases.map(({ one, alerts }) => (
            <CaseAlerts key={one.id} alerts={alerts} horseId={one.horseId} name={names[one.horseId] ?? ""} />
          ))}
          <Link className="link" to="/cases">
            All {cases.length}
          </Link>
        </section>
      )}
      <h2>Falling behind</h2>
      {plan.behind.length === 0 && <p className="quiet">Nobody.</p>}
      <ul>
        {plan.behind.slice(0, MOST_BEHIND).map((row) => (
          <WaitingRow key={row.horse.id} row={row} today={today}>
            <span className="ember strong">{counted(row.cycle.daysOver, "day")} over</span>
          </WaitingRow>
        ))}
      </ul>
      <h2>Window open</h2>
      {plan.windowOpen.length === 0 && <p className="quiet">Nobody.</p>}
      <ul>
        {plan.windowOpen.slice(0, MOST_OPEN).map((row) => (
          <WaitingRow key={row.horse.id} row={row} today={today}>
            <span className="strong">due in {row.cycle.of - row.cycle.day} d</span>
          </WaitingRow>
        ))}
      </ul>
      {plan.windowOpen.length > MOST_OPEN && (
        <Link className="link" to="/horses?due=window">
          All {plan.windowOpen.length}
        </Link>
      )}
    </aside>
  );
}

function WaitingRow({
  row,
  today,
  children,
}: {
  row: WaitingHorse;
  today: string;
  children: React.ReactNode;
}) {
  const { save } = useEdits();
  return (
    <li>
      <Link to={`/horses/${row.horse.id}`}>
        <span className="strong">{row.horse.name}</span>
        <span className="quiet waiting-yard">{row.yard.name}</span>
      </Link>
      <span className="waiting-side">
        {children}
        <Button
          type="text"
          size="small"
          className="waiting-plan"
          aria-label={`Plan ${row.horse.name} for today`}
          onClick={() => void save(planVisit(row.horse, today, crypto.randomUUID()))}
        >
          Plan today
        </Button>
      </span>
    </li>
  );
}
