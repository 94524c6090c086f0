import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import type { Fit } from "~core/shoe/fit";

/** The shoe that came off: its outline dashed, as before always is; pale where its size was not noted. */
export function FoundOutline({
  geometry: { at },
  fit,
  guess,
}: {
  geometry: ViewGeometry;
  fit: Fit;
  guess: boolean;
}) {
  const { outside, holes } = fit.solid;
  return (
    <path
      className="found-outline"
      opacity={guess ? 0.45 : undefined}
      aria-hidden
      d={[outside, ...holes].map((ring) => pathThrough(ring.map(at), "closed")).join(" ")}
    />
  );
}
