import type { Bounds } from "../constants/bounds";

/** The four words in which every statement about a foot is made. */
export type Level = "steady" | "drifting" | "act" | "ask the vet";

/** Steady up to and including the first bound, act beyond the second; the sign does not matter. */
export function levelOf(value: number, [drifting, act]: Bounds): Level {
  const size = Math.abs(value);
  if (size <= drifting) return "steady";
  return size <= act ? "drifting" : "act";
}
