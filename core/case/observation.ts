/** How a horse answers on a foot: seen while it is held, nailed or stood on. An observation, not a finding. */
export const ANSWERS = [
  "settles on it",
  "eases",
  "no different",
  "shifts off it",
  "pulls away",
  "minds the hammer",
] as const;
export type Answer = (typeof ANSWERS)[number];

const UNEASY: readonly Answer[] = ["shifts off it", "pulls away", "minds the hammer"];

/** Whether it stood on the foot quietly; undefined where nothing was noted of it. */
export const stoodQuietly = (seen: readonly Answer[] | undefined): boolean | undefined =>
  seen === undefined || seen.length === 0 ? undefined : !seen.some((one) => UNEASY.includes(one));
