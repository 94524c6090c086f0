/** How dry or wet the feet have stood. */
export const HORN_STATES = ["dry", "ordinary", "wet"] as const;
export type HornState = (typeof HORN_STATES)[number];
