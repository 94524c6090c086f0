import { useDraggable, useDroppable } from "@dnd-kit/core";
import dayjs from "dayjs";
import { Link } from "react-router";
import { minutesInWords } from "~core/cycle/dayPlan";
import type { LaidStop } from "~core/rounds/drive";
import type { LaidDay } from "~core/rounds/layout";
import type { MoveCost } from "~core/rounds/moveCosts";
import { moveInWords } from "~core/rounds/words";
import { JobChip } from "./JobChip";
import type { Dragged, PlanHand } from "./planHand";

interface DayProps {
  day: LaidDay;
  style: React.CSSProperties;
  hand: PlanHand;
  /** What dropping here would cost, while something is carried. */
  cost: MoveCost | undefined;
  chosen: boolean;
  onChoose: () => void;
}

/** One day: how full it is, and its yards in the order they are driven. */
export function DayColumn({ day, style, hand, cost, chosen, onChoose }: DayProps) {
  const { date, minutes, taken, stops, over } = day;
  const { setNodeRef, isOver } = useDroppable({ id: date });
  const full = minutes > 0 ? day.spent / minutes : day.spent > 0 ? 1.2 : 0;
  const name = dayjs(date).format("ddd D MMM");
  return (
    <section
      ref={setNodeRef}
      style={style}
      className={`plan-day sheet${isOver ? " plan-day-over" : ""}${chosen ? " plan-day-chosen" : ""}`}
      aria-label={name}
    >
      <header>
        <button type="button" className="plan-day-name" aria-pressed={chosen} onClick={onChoose}>
          {name}
        </button>
        {cost ? (
          <p className={cost.over > 0.5 ? "ember strong" : "verdigris strong"}>{moveInWords(cost)}</p>
        ) : (
          <p className={over > 0.5 ? "ember strong" : "quiet"}>
            {over > 0.5
              ? `${minutesInWords(Math.ceil(over))} too long`
              : stops.length > 0
                ? `home ${day.home}`
                : minutes === 0
                  ? "off"
                  : "free"}
          </p>
        )}
        <div className="plan-gauge" aria-hidden="true">
          <span className="plan-work" style={{ width: `${share(day.work, day) * 100}%` }} />
          <span className="plan-drive" style={{ width: `${share(day.spent - day.work, day) * 100}%` }} />
        </div>
        <p className="visually-hidden">
          {minutesInWords(Math.round(day.spent))} of {minutesInWords(minutes)}, {Math.round(full * 100)} per
          cent
        </p>
      </header>
      {chosen && stops.length > 0 && !hand.proposed && (
        <Link className="link plan-sheet" to={`/rounds/${date}`}>
          Day sheet and load
        </Link>
      )}
      {taken.map((one) => (
        <p key={one.id} className="plan-taken quiet">
          {one.at} {one.title}
        </p>
      ))}
      {stops.map((stop) => (
        <YardStop key={stop.yard.id} date={date} stop={stop} hand={hand} />
      ))}
    </section>
  );
}

/** A part of the gauge: the day's own minutes, or what it holds where that is more. */
const share = (part: number, { minutes, spent }: LaidDay): number => part / Math.max(minutes, spent, 1);

function YardStop({ date, stop, hand }: { date: string; stop: LaidStop; hand: PlanHand }) {
  const { yard, at, jobs } = stop;
  const carried: Dragged = {
    horses: jobs.filter(({ job }) => !job.coming?.pinned).map(({ job }) => job.horse.id),
    name: `${yard.name}, ${jobs.length}`,
    from: date,
  };
  const { setNodeRef, listeners, attributes } = useDraggable({
    id: `${date}/${yard.id}`,
    data: carried,
    disabled: carried.horses.length === 0 || hand.proposed,
  });
  return (
    <div className="plan-stop">
      <h3
        ref={setNodeRef}
        {...listeners}
        {...attributes}
        className="plan-yard"
        aria-roledescription="yard that can be moved"
      >
        <span className="brass">{at}</span> {yard.name}
      </h3>
      <ul>
        {jobs.map(({ job, at: begins, late }) => (
          <JobChip key={job.horse.id} {...{ job, date, begins, hand }} {...(late && { missed: late })} />
        ))}
      </ul>
    </div>
  );
}
