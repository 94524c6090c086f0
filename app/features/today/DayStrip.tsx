import type { Stop } from "~core/cycle/dayPlan";
import { minutesInWords } from "~core/cycle/dayPlan";

const FIRST_HOUR = 7;
const LAST_HOUR = 19;
const SPAN_MINUTES = (LAST_HOUR - FIRST_HOUR) * 60;

/** The day as one line: each yard a stretch of work, by its planned start and usual minutes. */
export function DayStrip({ stops }: { stops: readonly Stop[] }) {
  const timed = stops.filter((stop): stop is Stop & { at: string } => stop.at !== undefined);
  if (timed.length === 0) return null;
  return (
    <div className="day-strip" aria-hidden="true">
      {timed.map((stop) => {
        const [hours = 0, minutes = 0] = stop.at.split(":").map(Number);
        const from = ((hours - FIRST_HOUR) * 60 + minutes) / SPAN_MINUTES;
        return (
          <div
            key={stop.yard.id}
            className="day-stretch"
            style={{ left: `${from * 100}%`, width: `${(stop.minutes / SPAN_MINUTES) * 100}%` }}
          >
            {minutesInWords(stop.minutes)}
          </div>
        );
      })}
      {Array.from({ length: (LAST_HOUR - FIRST_HOUR) / 2 + 1 }, (_, index) => (
        <span
          key={index}
          className="day-hour quiet"
          style={{ left: `${((index * 120) / SPAN_MINUTES) * 100}%` }}
        >
          {FIRST_HOUR + index * 2}
        </span>
      ))}
    </div>
  );
}
