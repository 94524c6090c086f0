import type { Wording } from "../foot/wording";
import type { GroundClaim } from "../shoe/advice/rule";
import { isSoft, type Ground } from "./grounds";
import type { StoodShoe } from "./compare";
import { TOLD } from "./told";

/** A shoe and the one it is held against on one ground. */
export interface ClaimOnGround {
  ground: Ground;
  first: StoodShoe | undefined;
  own: StoodShoe | undefined;
}

const percent = (part: number): string => `${Math.round(100 * part)} %`;

/** What the model says to a claim of one rule, ground by ground; empty where it has no answer. */
export function claimInWords(
  claim: GroundClaim,
  grounds: readonly ClaimOnGround[],
  wording: Wording,
): string {
  const said = grounds.flatMap(({ ground: { on, stiffness }, first, own }) => {
    if (!first?.answer || !own?.answer || !own.difference) return [];
    const { pitch, sink, roll, support } = own.difference;
    const soft = isSoft(stiffness);
    if (claim === "frog") {
      const [now, was] = [own.answer.hoof.frog, first.answer.hoof.frog];
      return [
        Math.abs(now - was) < TOLD.share
          ? `the frog carries no more ${on}`
          : `the frog carries ${percent(now)} ${on}, ${percent(was)} without`,
      ];
    }
    if (claim === "sides") {
      const less = Math.abs(first.answer.roll) - Math.abs(first.answer.roll + roll);
      return [
        soft && Math.abs(less) >= TOLD.rollDeg
          ? `tilts ${Math.abs(less).toFixed(1)}° ${less > 0 ? "less" : "more"} ${on}`
          : `tilts no other way ${on}`,
      ];
    }
    if (claim === "sink")
      return [
        soft && Math.abs(sink) >= TOLD.sinkMm
          ? `sinks ${wording.length(Math.abs(sink))} ${sink < 0 ? "less" : "more"} ${on}`
          : `sinks the same ${on}`,
      ];
    const reach =
      Math.abs(support) >= TOLD.supportMm
        ? `, its support ${wording.length(Math.abs(support))} ${support > 0 ? "further back" : "less far back"}`
        : "";
    return [
      soft && Math.abs(pitch) >= TOLD.pitchDeg
        ? `stands ${Math.abs(pitch).toFixed(1)}° ${pitch > 0 ? "steeper" : "shallower"} ${on}${reach}`
        : `stands the same ${on}${reach}`,
    ];
  });
  return said.join("; ");
}
