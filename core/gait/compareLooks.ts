import { HAIRLINE_PLACES, JOINTS, landingOf, leavingWord, type Watching } from "./watching";
import { WALL_PLACE_NAMES } from "../foot/survey/walls";

/** One thing that is watched: how it is named in a comparison, what a foot shows of it, and what is usual. */
interface Seen {
  /** Before the first value: "landed", "flight:". */
  was: string;
  value: string | undefined;
  usual: string;
  /** The value as something this foot does: "lands lateral first". */
  does: string | undefined;
}

/** Everything that was seen of a foot at a look, in the order in which it is told. */
function seenOf(watching: Watching): Seen[] {
  const { lands, leaves, slide, slideReach, flight, toeLift, tracks, toeDirection, base } = watching;
  const landing = lands && landingOf(lands).word;
  const leaving = leaves === undefined ? undefined : leavingWord(leaves);
  const plain = (was: string, value: string | undefined, usual: string, does = value): Seen => ({
    was,
    value,
    usual,
    does,
  });
  return [
    plain("landed", landing, "flat", landing && `lands ${landing}${landing === "flat" ? "" : " first"}`),
    plain("left", leaving, "over the toe", leaving && `leaves ${leaving}`),
    plain("slide:", slide, "none"),
    plain("slides on:", slideReach, "under 1 cm", slideReach && `slides on ${slideReach}`),
    plain("flight:", flight, "straight"),
    plain(
      "toe:",
      toeLift,
      "lifts it",
      toeLift && (toeLift === "lifts it" ? "lifts the toe" : "drags the toe"),
    ),
    plain("tracks", tracks, "into the print", tracks && `tracks ${tracks}`),
    plain("toe:", toeDirection, "straight"),
    plain("base:", base, "under the limb", base && `base ${base}`),
    ...JOINTS.map((joint) => {
      const value = watching.deviation?.[joint];
      return plain(`${joint}:`, value, "straight", value && `${joint} ${value}`);
    }),
    ...HAIRLINE_PLACES.map((place) => {
      const name = WALL_PLACE_NAMES[place].toLowerCase();
      const value = watching.hairline?.[place];
      return plain(`hairline at the ${name}:`, value, "level", value && `hairline ${value} at the ${name}`);
    }),
  ];
}

const sentence = (parts: readonly string[]): string => {
  const text = parts.join("; ");
  return text && `${text[0]?.toUpperCase() ?? ""}${text.slice(1)}.`;
};

/**
 * What changed between two looks at one foot, as one sentence; empty where nothing did or one of them is missing. With
 * the words medial and lateral in it.
 */
export function watchingChange(before: Watching | undefined, after: Watching | undefined): string {
  if (!before || !after) return "";
  const now = seenOf(after);
  return sentence(
    seenOf(before).flatMap((was, index) => {
      const is = now[index];
      return was.value && is?.value && was.value !== is.value
        ? [`${was.was} ${was.value}, now ${is.value}`]
        : [];
    }),
  );
}

/** How many things were seen at both looks: with none there is nothing to compare. */
export function seenAtBoth(a: Watching | undefined, b: Watching | undefined): number {
  if (!a || !b) return 0;
  const other = seenOf(b);
  return seenOf(a).filter(({ value }, index) => value && other[index]?.value).length;
}

/** A foot against the other one of its pair at one look: what both do, what only one of them does. */
export interface PairSeen {
  /** On both it is as a rule how the horse is built. */
  both: string[];
  /** On one only it is a question. */
  onlyThis: string[];
  onlyOther: string[];
  /** Both out of the usual, each its own way. */
  unlike: string[];
}

/** What was seen of both feet of a pair, out of the usual. */
export function pairSeen(mine: Watching | undefined, other: Watching | undefined): PairSeen {
  const found: PairSeen = { both: [], onlyThis: [], onlyOther: [], unlike: [] };
  if (!mine || !other) return found;
  const theirs = seenOf(other);
  seenOf(mine).forEach((one, index) => {
    const its = theirs[index];
    if (!one.value || !its?.value) return;
    const [odd, oddOther] = [one.value !== one.usual, its.value !== its.usual];
    const [here, there] = [one.does ?? "", its.does ?? ""];
    if (odd && oddOther)
      if (one.value === its.value) found.both.push(here);
      else found.unlike.push(`${here} here, ${there} on its pair`);
    else if (odd) found.onlyThis.push(here);
    else if (oddOther) found.onlyOther.push(there);
  });
  return found;
}

/**
 * What only this foot of a pair does, where the other one was seen to do the usual: the toe's direction, the flight, a
 * slide, a dragged toe. What a finding may ask about; landing and wear have rules of their own.
 */
export function onlyThisOne(mine: Watching | undefined, other: Watching | undefined): string[] {
  const asked = ({ toeDirection, flight, slide, toeLift }: Watching): Watching => ({
    toeDirection,
    flight,
    slide,
    toeLift,
  });
  return pairSeen(mine && asked(mine), other && asked(other)).onlyThis;
}
