import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import type { Fit } from "~core/shoe/fit";

/** The shoe that came off: its outline dashed, as before always is. */
export function FoundOutline({ geometry: { at }, fit }: { geometry: ViewGeometry; fit: Fit }) {
  const { outside, holes } = fit.solid;
  return (
    <path
      className="found-outline"
      aria-hidden
      d={[outside, ...holes].map((ring) => pathThrough(ring.map(at), "closed")).join(" ")}
    />
  );
}
