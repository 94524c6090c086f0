import type { Side } from "../foot/limb";
import type { ShoeFacts } from "./facts";

/** Steps in which one side of a shoe is made more, mm, and the most that is proposed. Source: trade practice. */
export const SIDE_STEP_MM = 3;
const MOST_MM = 6;
/** A limb that leans more than this deviates, one that leans more than that much, deg. Assumptions. */
export const DEVIATES_DEG = 2.5;
const DEVIATES_MUCH_DEG = 5;
/** A half this much narrower than the other is the narrow one, mm. Assumption, about three times a hand's error. */
const NARROWER_MM = 4;

/** Which side wants more under it, how much, and what says so. */
export interface OneSide {
  side: Side;
  mm: number;
  witnesses: string[];
  /** That heel is crushed, or that quarter cracked: no steel is added there. */
  spared: "crushed" | "cracked" | undefined;
}

/**
 * How much more on one side: by landing, wear, half widths and lean, in steps of 3 mm, and by what it did last time.
 * Undefined where landing and wear say nothing or contradict each other, or where last time's was enough.
 */
export function oneSideOf(facts: ShoeFacts): OneSide | undefined {
  const { landsOn, wornOn, halfWidthMm, limbDeviationDeg = 0, lastOneSide } = facts;
  const side = landsOn ?? wornOn;
  if (!side || (landsOn && wornOn && landsOn !== wornOn)) return undefined;
  const witnesses = [
    ...(landsOn ? ["landing"] : []),
    ...(wornOn ? ["wear"] : []),
    ...(halfWidthMm !== undefined && halfWidthMm <= -NARROWER_MM ? ["narrower half"] : []),
    ...(Math.abs(limbDeviationDeg) > DEVIATES_DEG ? ["leaning limb"] : []),
  ];
  const much = witnesses.length >= 3 && Math.abs(limbDeviationDeg) > DEVIATES_MUCH_DEG;
  let mm = much ? MOST_MM : SIDE_STEP_MM;
  if (lastOneSide?.side === side && lastOneSide.landsNow !== undefined)
    // It still lands there: one step more. It has turned to the other side: that was too much.
    mm =
      lastOneSide.landsNow === side
        ? Math.min(MOST_MM, lastOneSide.mm + SIDE_STEP_MM)
        : lastOneSide.landsNow === "level"
          ? lastOneSide.mm
          : 0;
  if (mm <= 0) return undefined;
  return {
    side,
    mm,
    witnesses,
    spared: facts.crushed.includes(side) ? "crushed" : facts.crackAt === side ? "cracked" : undefined,
  };
}

/** "last time 3 mm lateral: it landed there then and lands level now"; empty without a last time. */
export function lastOneSideInWords({ lastOneSide }: Pick<ShoeFacts, "lastOneSide">): string {
  if (!lastOneSide) return "";
  const { side, mm, landedThen, landsNow } = lastOneSide;
  const then = landedThen ? `landed ${landedThen} then` : "landing not watched then";
  const now = landsNow ? `${landsNow} now` : "not watched now";
  return `last time ${mm} mm ${side}: ${then}, ${now}`;
}
