import { groundOutline } from "~core/foot/parametric/outline";
import { corYOf, type FootParameters } from "~core/foot/parametric/parameters";
import { lateralOnScreen, LIMBS, type Limb } from "~core/foot/limb";
import { pathThrough } from "./path";
import "./fourFeet.css";

/** Fronts ahead of hinds, left on the left: the horse from above, head up. */
const PLACES: Record<Limb, readonly [number, number]> = { LF: [0, 0], RF: [1, 0], LH: [0, 1], RH: [1, 1] };
/** Millimetres of ground that one cell of the little figure stands for. */
const CELL_MM = 170;
/** The open back of the foot, as a part of the way to the centre of rotation. Drawing only. */
const NOTCH_PART = 0.42;

interface FourFeetProps {
  feet: Partial<Record<Limb, FootParameters>>;
  /** The foot to look at first. */
  flagged?: Limb | undefined;
  title: string;
}

/** Four small outlines, true to one scale, as the feet stand under the horse seen from above. */
export function FourFeet({ feet, flagged, title }: FourFeetProps) {
  return (
    <svg className="four-feet" viewBox={`0 0 ${2 * CELL_MM} ${2 * CELL_MM}`} role="img" aria-label={title}>
      {LIMBS.map((limb) => {
        const foot = feet[limb];
        const [column, row] = PLACES[limb];
        const centreX = (column + 0.5) * CELL_MM;
        const baseY = (row + 0.86) * CELL_MM;
        if (!foot) return <circle key={limb} className="unknown" cx={centreX} cy={baseY - 70} r={34} />;
        const side = lateralOnScreen(limb, "above");
        const points = groundOutline(foot).map(([x, y]) => [centreX + side * x, baseY - y] as const);
        const notch = `L${centreX},${baseY - corYOf(foot) * NOTCH_PART}`;
        return (
          <path
            key={limb}
            className={limb === flagged ? "flagged" : ""}
            d={`${pathThrough(points, "straight")} ${notch} Z`}
          />
        );
      })}
    </svg>
  );
}
