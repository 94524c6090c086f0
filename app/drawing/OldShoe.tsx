import type { ViewGeometry } from "~app/drawing/viewGeometry";

interface OldShoeProps {
  geometry: ViewGeometry;
  /** Where it broke over and where its longer branch ended, y of the foot, mm. */
  brokeOver: number;
  ended: number;
  /** Half the width over which both are drawn, mm. */
  half: number;
}

/** The shoe that was on, as far as two numbers tell it: where it broke over and where it ended. */
export function OldShoe({ geometry: { at }, brokeOver, ended, half }: OldShoeProps) {
  return (
    <g className="old-shoe" aria-hidden>
      {[brokeOver, ended].map((y) => {
        const [[x1, y1], [x2, y2]] = [at([-half, y]), at([half, y])];
        return <line key={y} {...{ x1, y1, x2, y2 }} />;
      })}
    </g>
  );
}
