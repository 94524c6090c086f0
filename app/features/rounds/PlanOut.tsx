import { TextButton } from "~app/ui/TextButton";
import { download } from "~app/data/files";
import type { RosterRow } from "~core/cycle/dayPlan";
import { planOfDay } from "~core/rounds/daySheet";

/** The planned days as files: for a calendar, for a spreadsheet. */
export function PlanOut({ rows, days }: { rows: readonly RosterRow[]; days: readonly string[] }) {
  const out = async (kind: "ics" | "csv") => {
    const { planCalendar, planCsv } = await import("~core/cycle/planCalendar");
    const plans = days.map((date) => ({ date, plan: planOfDay(rows, date) }));
    const name = `plumbline-rounds-${days[0] ?? ""}`;
    if (kind === "ics")
      download(`${name}.ics`, "text/calendar", planCalendar(plans, new Date().toISOString()));
    else download(`${name}.csv`, "text/csv", planCsv(plans));
  };
  return (
    <p className="plan-out">
      <TextButton onClick={() => void out("ics")}>Calendar file</TextButton>
      <TextButton onClick={() => void out("csv")}>CSV</TextButton>
    </p>
  );
}
