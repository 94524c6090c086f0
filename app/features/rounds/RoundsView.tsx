import { Link } from "react-router";
import type { PlanningRecords } from "~app/data/planning";
import { ViewTabs } from "~app/ui/ViewTabs";
import { useView } from "~app/ui/useView";
import type { CaseAlert } from "~core/casework/caseStanding";
import type { Call } from "~core/record/call";
import { CallsView } from "./CallsView";
import { BoardView } from "./BoardView";
import { HalfYear } from "./HalfYear";
import { DaysView } from "./DaysView";
import { PlanView } from "./PlanView";
import "./rounds.css";

const VIEWS = { plan: "Plan", board: "Cycles", year: "Half a year", calls: "Calls", days: "Days" } as const;

/** Who is due when, and days that work. */
export function RoundsView(
  props: PlanningRecords & {
    today: string;
    calls: Call[];
    /** What of a horse's cases cannot wait. */
    alerts: Record<string, CaseAlert[]>;
  },
) {
  const { view, show } = useView<keyof typeof VIEWS>(VIEWS, "plan");
  const { rows, settings } = props;
  return (
    <div className="page rounds">
      <header className="page-head">
        <h1>Rounds</h1>
        <ViewTabs label="Rounds" views={VIEWS} view={view} onShow={show} />
      </header>
      {rows.length === 0 ? (
        <section className="empty">
          <h2>No horses to plan for</h2>
          <p className="quiet">Add one, or load the demo round from Today.</p>
          <Link className="link" to="/horses/new">
            Add a horse
          </Link>
        </section>
      ) : view === "board" ? (
        <BoardView {...props} />
      ) : view === "year" ? (
        <HalfYear {...props} />
      ) : view === "calls" ? (
        <CallsView {...props} />
      ) : view === "days" ? (
        <DaysView {...props} />
      ) : settings.home ? (
        <PlanView {...props} settings={{ ...settings, home: settings.home }} />
      ) : (
        <section className="empty">
          <h2>Where do your rounds begin?</h2>
          <p className="quiet">Days are driven from home and back. Say where home is, once.</p>
          <button type="button" className="go-button rounds-go" onClick={() => show("days")}>
            Set home and hours
          </button>
        </section>
      )}
    </div>
  );
}
