import { useWording } from "~app/ui/useWording";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { SIDES } from "~core/foot/limb";
import type { Shoeing } from "~app/stage/useShoe";

/** The nails on the drawing as things to tap. */
export function NailButtons({
  geometry: { at },
  shoeing,
  chosen,
  onChoose,
}: {
  geometry: ViewGeometry;
  shoeing: Shoeing;
  chosen: string | undefined;
  onChoose: (nail: string) => void;
}) {
  const wording = useWording();
  return SIDES.map((side) =>
    shoeing.bench.fit.nails[side].map(({ x, y }, index) => {
      const name = `${side}${index + 1}`;
      const [cx, cy] = at([x, y]);
      const note = shoeing.record?.nails[name]?.note;
      return (
        <g
          key={name}
          className={`nail-button${name === chosen ? " nail-chosen" : ""}`}
          role="button"
          tabIndex={0}
          aria-pressed={name === chosen}
          aria-label={`Nail ${index + 1}, ${wording.side(side)}${note ? `: ${note}` : ""}`}
          onClick={() => onChoose(name)}
          onKeyDown={(event) => {
            if (event.key !== "Enter" && event.key !== " ") return;
            event.preventDefault();
            onChoose(name);
          }}
        >
          <circle cx={cx} cy={cy} r={9} />
          {note && (
            <text x={cx + (cx > 0 ? 9 : -9)} y={cy + 1.6} textAnchor={cx > 0 ? "start" : "end"}>
              {note}
            </text>
          )}
        </g>
      );
    }),
  );
}
