import { colourFor } from "~core/forge/heats/words";
import type { Material } from "~core/shoe/specification";

/** The colour that steel shows at this heat; light metal shows none. */
export const Swatch = ({ startC, material, big }: { startC: number; material: Material; big?: boolean }) =>
  material === "aluminium" ? (
    <span className={`swatch swatch-none${big ? " swatch-big" : ""}`} aria-hidden />
  ) : (
    <span
      className={`swatch${big ? " swatch-big" : ""}`}
      style={{ background: colourFor(startC).swatch }}
      aria-hidden
    />
  );
