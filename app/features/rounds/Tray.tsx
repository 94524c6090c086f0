import { useDroppable } from "@dnd-kit/core";
import { useShown } from "~app/ui/useShown";
import type { MoveCost } from "~core/rounds/moveCosts";
import type { PlanningJob } from "~core/rounds/planning";
import { JobChip } from "./JobChip";
import { NO_DAY, type PlanHand } from "./planHand";

/** Horses that want doing and have no day yet. */
export function Tray({
  left,
  hand,
  cost,
}: {
  left: readonly PlanningJob[];
  hand: PlanHand;
  cost: MoveCost | undefined;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: NO_DAY });
  const list = useShown(left.length);
  return (
    <section
      ref={setNodeRef}
      className={`plan-tray sheet${isOver ? " plan-day-over" : ""}`}
      aria-label="No day yet"
    >
      <h2>
        No day yet <span className="quiet">{left.length}</span>
      </h2>
      {cost && <p className="verdigris strong">Take it off the plan</p>}
      {left.length === 0 && <p className="quiet">Everybody who is due has a day.</p>}
      <ul>
        {left.slice(0, list.shown).map((job) => (
          <JobChip key={job.horse.id} job={job} date={undefined} hand={hand} />
        ))}
      </ul>
      {list.more}
    </section>
  );
}
