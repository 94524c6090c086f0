/** How dry or wet the feet have stood. */
export const HORN_STATES = ["dry", "ordinary", "wet"] as const;
export type HornState = (typeof HORN_STATES)[number];

/** Width of the white line where nobody measured it, mm. Source: trade practice. */
export const USUAL_WHITE_LINE_MM = 3;

/** Horn of a wall: its thickness less its white line, mm, never under 0; undefined where the wall was not measured. */
export const hornOf = (
  wall: { thickness?: number | undefined; whiteLine?: number | undefined } | undefined,
): number | undefined =>
  wall?.thickness === undefined
    ? undefined
    : Math.max(0, wall.thickness - (wall.whiteLine ?? USUAL_WHITE_LINE_MM));
