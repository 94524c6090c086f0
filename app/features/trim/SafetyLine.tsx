import { pathThrough } from "~app/drawing/path";
import { SoleView } from "~app/drawing/SoleView";
import { useWording } from "~app/ui/useWording";
import type { FootFacts } from "~core/foot/findings/facts";

/** The safety line as it is drawn on the foot: round the live sole, as traced or as the walls tell it. */
export function SafetyLine({ facts, corY }: { facts: FootFacts; corY: number | undefined }) {
  const wording = useWording();
  const { outline, drawn, marks } = facts;
  if (!outline) return null;
  return (
    <figure className="safety-line">
      <SoleView
        foot={drawn}
        marks={marks}
        corY={corY}
        wording={wording}
        guess={false}
        labels={false}
        title="Safety line on the sole"
        overlay={({ at }) => (
          <path className="safety-edge" d={pathThrough(outline.soleEdge.map(at), "smooth")} />
        )}
      />
      <figcaption className="quiet">
        {outline.soleEdgeFrom === "trace" ? "as it was traced" : "as the walls tell it, an estimate"}
      </figcaption>
    </figure>
  );
}
