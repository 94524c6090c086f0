import { MM_PER_INCH } from "~core/constants/exact";
import type { Bar, BarMark } from "~core/forge/marks";
import { SIDES } from "~core/foot/limb";
import type { Wording } from "~core/foot/wording";

interface BarDrawingProps {
  bar: Bar;
  wording: Wording;
  /** Drawn standing, its medial end at the top: on a phone. */
  standing: boolean;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  title: string;
}

/** Room round the bar, mm: for letters on one side, the ruler on the other, and a little at the ends. */
const LETTERS = 14;
const RULER = 16;
const END = 6;
/** A clip is marked this far in from the outer edge, where it is drawn from, mm. */
const CLIP_MM = 6;

export const letterOf = (mark: BarMark): string =>
  ({
    centre: "C",
    clip: "clip",
    "toe bend": "T",
    nail: String(mark.nail ?? ""),
    quarter: "Q",
    heel: "H",
    end: "",
  })[mark.kind];

/** The straight bar to scale with a ruler and every mark on it; its outer edge on top, or to the left where it stands. */
export function BarDrawing({ bar, wording, standing, chosen, onChoose, title }: BarDrawingProps) {
  const [long, wide] = [bar.length + 2 * END, bar.width + LETTERS + RULER];
  /** Along the bar from its medial end, and across it from its outer edge. */
  const at = (s: number, across: number): [number, number] =>
    standing ? [LETTERS + across, END + s] : [END + s, LETTERS + across];
  const line = (from: [number, number], to: [number, number], className: string, key?: string) => (
    <line key={key} className={className} x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
  );
  const { crease } = bar;
  const step = wording.unit === "mm" ? 10 : MM_PER_INCH / 2;
  const ticks = Array.from({ length: Math.floor(bar.length / step) + 1 }, (_, index) => index);
  const [x0, y0] = at(0, 0);
  const size = standing ? [bar.width, bar.length] : [bar.length, bar.width];
  return (
    <svg
      className={`bar-drawing${standing ? " bar-standing" : ""}`}
      viewBox={standing ? `0 0 ${wide} ${long}` : `0 0 ${long} ${wide}`}
      role="group"
      aria-label={title}
    >
      <rect className="bar-steel" x={x0} y={y0} width={size[0]} height={size[1]} rx={0.8} />
      {crease &&
        SIDES.map((side) => {
          const { from, to, insetToe, insetHeel } = crease[side];
          const [left, right] = side === "medial" ? [insetHeel, insetToe] : [insetToe, insetHeel];
          return line(at(from, left), at(to, right), "bar-crease", side);
        })}
      {ticks.map((index) => {
        const major = wording.unit === "mm" ? index % 5 === 0 : index % 2 === 0;
        const s = index * step;
        const [tx, ty] = at(s, bar.width + (standing ? 11 : 10.5));
        return (
          <g key={index}>
            {line(at(s, bar.width + 1.5), at(s, bar.width + (major ? 5 : 3)), "bar-tick")}
            {major && (
              <text className="bar-number" x={tx} y={ty} dy={standing ? "0.35em" : 0} textAnchor="middle">
                {wording.unit === "mm" ? s : index / 2}
              </text>
            )}
          </g>
        );
      })}
      {bar.marks.map((mark) => {
        const whole = mark.kind !== "nail";
        const inset = mark.inset ?? 0;
        const nail = at(mark.at, inset);
        const outside = mark.at < 0 || mark.at > bar.length;
        if (outside) return null;
        const label = at(mark.at, labelAcross(mark, bar.width, standing));
        const hit = whole ? at(mark.at, bar.width / 2) : nail;
        return (
          <g
            key={mark.id}
            className={`bar-mark bar-mark-${mark.kind.replace(" ", "-")}`}
            data-chosen={chosen === mark.id}
            onPointerEnter={() => onChoose(mark.id)}
            onClick={() => onChoose(mark.id)}
          >
            {whole ? (
              line(at(mark.at, 0), at(mark.at, mark.kind === "clip" ? CLIP_MM : bar.width), "bar-line")
            ) : (
              <rect
                x={nail[0] - (standing ? 1 : 2)}
                y={nail[1] - (standing ? 2 : 1)}
                width={standing ? 2 : 4}
                height={standing ? 4 : 2}
              />
            )}
            <text
              x={label[0]}
              y={label[1]}
              dy={standing ? (mark.kind === "clip" ? "-0.6em" : "0.35em") : 0}
              textAnchor={standing && whole && mark.kind !== "clip" ? "end" : "middle"}
            >
              {letterOf(mark)}
            </text>
            <circle className="bar-hit" cx={hit[0]} cy={hit[1]} r={5} />
          </g>
        );
      })}
    </svg>
  );
}

/** Where a mark's letter stands across the bar: outside its edge, a nail's beside it, a clip's out of the way. */
function labelAcross({ kind, inset = 0 }: BarMark, width: number, standing: boolean): number {
  if (kind === "nail") return inset + 6.2;
  if (kind === "clip") return standing ? width - 6 : -8.2;
  return -2.4;
}
