import { isBar, type Specification } from "../shoe/specification";
import type { Allowances } from "./stock";

/** Kinds of shoe for which a smith keeps a bump and a stretch of their own. */
export const FORGE_KINDS = ["stamped", "creased", "concave", "bar", "sliding plate", "light metal"] as const;
export type ForgeKind = (typeof FORGE_KINDS)[number];

export const kindOf = (spec: Pick<Specification, "type" | "profile" | "crease" | "material">): ForgeKind =>
  spec.material === "aluminium"
    ? "light metal"
    : isBar(spec)
      ? "bar"
      : spec.type === "sliding plate"
        ? "sliding plate"
        : spec.profile === "concave"
          ? "concave"
          : spec.crease;

/** A smith's tables: the general ones, and what is kept for a kind of shoe. */
export interface OwnTables {
  allowances: Allowances;
  kinds?: Partial<Record<ForgeKind, { bump?: number | undefined; stretch?: number | undefined }>> | undefined;
}

/** What this smith adds and takes off for a shoe of this kind: its own bump and stretch where they were kept. */
export function allowancesFor(
  { allowances, kinds = {} }: OwnTables,
  spec: Parameters<typeof kindOf>[0],
): Allowances {
  const own = kinds[kindOf(spec)];
  return {
    ...allowances,
    ...(own?.bump !== undefined && { bump: own.bump }),
    ...(own?.stretch !== undefined && { stretch: own.stretch }),
  };
}
