import type { CycleState } from "~core/cycle/dueWords";
import "./cycle.css";

/** The cycle as a line from the last visit: the window a brass band, the due day a stroke, today a bob. */
export function CycleLine({ cycle }: { cycle: CycleState }) {
  const reach = Math.max(cycle.of * 1.3, cycle.day + 2);
  const x = (day: number) => 4 + (Math.max(0, day) / reach) * 192;
  const bob = x(cycle.day);
  return (
    <svg
      className={`cycle cycle-${cycle.state}`}
      viewBox="0 0 200 26"
      preserveAspectRatio="xMinYMid"
      aria-hidden="true"
    >
      <line className="cycle-line" x1={4} x2={196} y1={13} y2={13} />
      <rect
        className="cycle-window"
        x={x(cycle.windowDay)}
        width={x(cycle.of) - x(cycle.windowDay)}
        y={7}
        height={12}
      />
      <line className="cycle-due" x1={x(cycle.of)} x2={x(cycle.of)} y1={2} y2={24} />
      <path className="cycle-bob" d={`M${bob - 6},2 h12 l-2,10 L${bob},21 l-4,-9 Z`} />
    </svg>
  );
}
