import { useWording } from "~app/ui/useWording";
import { pathThrough } from "~app/drawing/path";
import { lateralOnScreen, SIDES, type Limb } from "~core/foot/limb";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { groundOutline } from "~core/foot/parametric/outline";
import { sizeFactor } from "~core/foot/parametric/parameters";
import { WEAR_SECTOR_NAMES, WEAR_SECTORS, type WearSector } from "~core/foot/wear";
import { inEqualSteps, offsetPolyline } from "~core/geometry/polyline";
import type { Vector } from "~core/geometry/vector";

interface SectorShoeProps {
  limb: Limb;
  /** What each place is painted with. */
  states: Partial<Record<WearSector, string | undefined>>;
  /** Class of a painted place: `wear-thin`, `print-gap`. */
  classOf: (state: string) => string;
  title: string;
  /** Said of a place that was not painted. */
  none: string;
  onPaint: (sector: WearSector) => void;
}

/** Width of the branch that is drawn, mm on a foot of size 1. */
const WEB_MM = 24;
/** Where each sector ends along the shoe, 0 medial heel to 1 lateral heel. */
const ENDS = [0, 0.13, 0.3, 0.43, 0.57, 0.7, 0.87, 1];

/** A shoe as it lies on the foot, seen from below, in seven places to paint: an old one's wear, a new one's print. */
export function SectorShoe({ limb, states, classOf, title, none, onPaint }: SectorShoeProps) {
  const wording = useWording();
  const foot = ordinaryFoot(limb, { kind: "horse", massKg: 500 });
  const k = sizeFactor(foot);
  const lateral = lateralOnScreen(limb, "below");
  const outer = inEqualSteps(
    groundOutline(foot).map(([x, y]): Vector => [x / k, y / k]),
    112,
  );
  const inner = offsetPolyline(outer, () => -WEB_MM);
  const at = ([x, y]: Vector): Vector => [lateral * x, -y];
  return (
    <svg className="drawing wear-shoe" viewBox="-86 -142 172 166" role="group" aria-label={title}>
      {WEAR_SECTORS.map((sector, index) => {
        const from = Math.round((ENDS[index] ?? 0) * (outer.length - 1));
        const to = Math.round((ENDS[index + 1] ?? 1) * (outer.length - 1));
        const ring = [...outer.slice(from, to + 1), ...inner.slice(from, to + 1).reverse()];
        const state = states[sector];
        return (
          <path
            key={sector}
            className={`wear-sector${state ? ` ${classOf(state)}` : ""}`}
            d={pathThrough(ring.map(at), "closed")}
            role="button"
            tabIndex={0}
            aria-label={`${wording.inOwnWords(WEAR_SECTOR_NAMES[sector])}: ${state ?? none}`}
            onClick={() => onPaint(sector)}
            onKeyDown={(event) => {
              if (event.key !== "Enter" && event.key !== " ") return;
              event.preventDefault();
              onPaint(sector);
            }}
          />
        );
      })}
      {SIDES.map((side) => (
        <text
          key={side}
          className="side-letter"
          x={(side === "lateral" ? lateral : -lateral) * 62}
          y={16}
          textAnchor="middle"
          style={{ fontSize: 9 }}
        >
          {side === "lateral" ? "L" : "M"}
          <tspan className="small"> {wording.side(side)}</tspan>
        </text>
      ))}
    </svg>
  );
}
