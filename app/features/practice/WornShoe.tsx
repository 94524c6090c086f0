import { useWording } from "~app/ui/useWording";
import type { Limb } from "~core/foot/limb";

/** Across and up, in the drawing's own unit: a shoe's web straightened, its thickness drawn larger than it is. */
const FRAME = { width: 400, height: 170, floor: 128, perMm: 9, side: 14 };

/** A worn shoe straightened and seen along its edge: from the inside heel round the toe to the outside heel. */
export function WornShoe({ worn, limb }: { worn: readonly number[]; limb: Limb }) {
  const wording = useWording();
  const { width, height, floor, perMm, side } = FRAME;
  const x = (index: number) => side + ((width - 2 * side) * index) / Math.max(1, worn.length - 1);
  const top = worn.map((mm, index) => `${x(index)},${floor - mm * perMm}`);
  return (
    <svg
      className="worn-shoe"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`A worn shoe of a ${wording.limb(limb)}, straightened and seen along its edge`}
    >
      <line
        className="worn-new"
        x1={side}
        x2={width - side}
        y1={floor - 10 * perMm}
        y2={floor - 10 * perMm}
      />
      <polygon
        className="worn-web"
        points={[`${x(0)},${floor}`, ...top, `${width - side},${floor}`].join(" ")}
      />
      {[
        [0.03, `${wording.side("medial")} heel`, "start"],
        [0.5, "toe", "middle"],
        [0.97, `${wording.side("lateral")} heel`, "end"],
      ].map(([part, name, anchor]) => (
        <text
          key={name}
          className="worn-name"
          x={side + (width - 2 * side) * Number(part)}
          y={floor + 24}
          textAnchor={anchor as "start"}
        >
          {name}
        </text>
      ))}
      <text className="worn-name" x={side} y={floor - 10 * perMm - 8}>
        as it was new
      </text>
    </svg>
  );
}
