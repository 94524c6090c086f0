import { group } from "d3-array";
import dayjs from "dayjs";
import { useEffect, useState } from "react";
import { WorkloadChart } from "~app/charts/workload/WorkloadChart";
import { readForForecasts, type PlanningRecords } from "~app/data/planning";
import { useSettings } from "~app/ui/useWording";
import { forecastInWorker } from "~app/workers/forecast";
import type { ForecastHorse, WorkWeek } from "~core/cycle/workload";
import { weeksInWords } from "~core/cycle/workloadWords";
import "./board.css";

const HALF_A_YEAR = 26;

/** What falls due in each week of half a year, worked out in a worker; said in words before they are drawn. */
export function HalfYear({ rows, settings, today }: PlanningRecords & { today: string }) {
  const rules = useSettings();
  const [weeks, setWeeks] = useState<WorkWeek[]>();
  const [read, setRead] = useState(0);
  useEffect(() => {
    let gone = false;
    let cancel: (() => void) | undefined;
    const due = rows.filter(({ last }) => last?.next);
    const ids = due.map(({ horse }) => horse.id);
    void readForForecasts(ids, today, setRead, () => gone).then((readings) => {
      if (!readings || gone) return;
      const byHorse = group(readings, ({ horseId }) => horseId);
      const horses = due.flatMap(({ horse, last, minutes }): ForecastHorse[] =>
        last?.next
          ? [{ horse, last: last.date, next: last.next, minutes, readings: byHorse.get(horse.id) ?? [] }]
          : [],
      );
      const work = forecastInWorker(horses, rules, settings.week, today, HALF_A_YEAR);
      cancel = work.cancel;
      void work.answer.then(({ weeks: found }) => {
        if (!gone) setWeeks(found);
      });
    });
    return () => {
      gone = true;
      cancel?.();
    };
  }, [rows, rules, settings.week, today]);
  return (
    <section className="half-year" aria-label="Half a year">
      <p className="board-words">
        {weeks
          ? weeksInWords(weeks, (date) => dayjs(date).format("D MMMM"))
          : `Working it out: ${Math.round(100 * read)} % of the round read`}
      </p>
      {weeks && <WorkloadChart weeks={weeks} />}
      <p className="quiet board-note">
        Bars: work falling due. Strokes: your hours, a fifth of them taken for the road. Each horse done on
        its day and left as last time, by its own growth and the season: an estimate.
      </p>
    </section>
  );
}
