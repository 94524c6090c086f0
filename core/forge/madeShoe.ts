import { distance, type SolarPoint } from "../geometry/vector";
import { lengthDownTo, pointAlong } from "../geometry/polyline";
import type { Side } from "../foot/limb";
import type { Wording } from "../foot/wording";
import type { Fit } from "../shoe/fit";
import { widestYOf } from "../shoe/outline";

/** Where a made shoe is measured from its centre: straight across to the outer edge. */
export const MADE_PLACES = ["toe", "quarterMedial", "quarterLateral", "heelMedial", "heelLateral"] as const;
export type MadePlace = (typeof MADE_PLACES)[number];
export type MadeShoe = Partial<Record<MadePlace, number | undefined>>;

/** With the words medial and lateral in them. */
export const MADE_NAMES: Record<MadePlace, string> = {
  toe: "Centre to toe",
  quarterMedial: "Centre to medial quarter",
  quarterLateral: "Centre to lateral quarter",
  heelMedial: "Centre to medial heel",
  heelLateral: "Centre to lateral heel",
};

const sideOf = (place: MadePlace): Side | undefined =>
  place === "toe" ? undefined : place.endsWith("Medial") ? "medial" : "lateral";

/** Out by less than this is on the marks, mm. Assumption: less than a hand sees on hot steel. */
const ON_MARK_MM = 1.5;
/** A clip that is drawn at a side opens the shoe by about this much, mm. Assumption, from forged shoes. */
const CLIP_OPENS_MM = 1;
/** How strongly the log is held against a few shoes. Assumption, as for the steel that a hand takes. */
const HELD_BY = 3;

/** The centre that a shoe is measured from: where its centre line crosses the foot's centre of rotation, and the places. */
export function madePlaces({ outer, toeY, question: { foot } }: Fit): {
  centre: SolarPoint;
  at: Record<MadePlace, SolarPoint>;
  wanted: Record<MadePlace, number>;
} {
  const centre: SolarPoint = [0, foot.corY];
  const quarter = (side: Side): SolarPoint =>
    pointAlong(outer[side], lengthDownTo(outer[side], widestYOf(outer[side]))).at;
  const heel = (side: Side): SolarPoint => outer[side].at(-1) ?? centre;
  const at: Record<MadePlace, SolarPoint> = {
    toe: [0, toeY],
    quarterMedial: quarter("medial"),
    quarterLateral: quarter("lateral"),
    heelMedial: heel("medial"),
    heelLateral: heel("lateral"),
  };
  return {
    centre,
    at,
    wanted: Object.fromEntries(MADE_PLACES.map((place) => [place, distance(centre, at[place])])) as Record<
      MadePlace,
      number
    >,
  };
}

export interface MadeRow {
  place: MadePlace;
  wanted: number;
  made: number;
  /** Made less wanted, mm: positive = too far out. */
  out: number;
  ok: boolean;
  /** What to do about it, with medial and lateral in it; empty where it is on its mark. */
  mend: string;
}

function mendOf(place: MadePlace, out: number, wording: Pick<Wording, "cut">): string {
  const by = wording.cut(Math.abs(out));
  const side = sideOf(place);
  if (!side)
    return out > 0
      ? `Set the toe back ${by}: the shoe is long ahead of its centre.`
      : `Bring the toe forward ${by}: open the bend of the toe.`;
  const part = place.startsWith("quarter") ? "quarter" : "heel";
  if (part === "quarter") return `${out > 0 ? "Close" : "Open"} the ${side} quarter ${by}.`;
  return out > 0
    ? `Close the ${side} heel ${by}, or cut it where it is longer than its mark.`
    : `Open the ${side} heel ${by}; where it is short of its mark, the next size of steel.`;
}

/**
 * A made shoe against its marks: for each place that was measured what is out and what to do about it, the furthest out
 * first. mm.
 */
export function madeAgainst(fit: Fit, made: MadeShoe, wording: Pick<Wording, "cut">): MadeRow[] {
  const { wanted } = madePlaces(fit);
  return MADE_PLACES.flatMap((place): MadeRow[] => {
    const mm = made[place];
    if (mm === undefined) return [];
    const out = mm - wanted[place];
    const ok = Math.abs(out) < ON_MARK_MM;
    return [{ place, wanted: wanted[place], made: mm, out, ok, mend: ok ? "" : mendOf(place, out, wording) }];
  }).sort((a, b) => Math.abs(b.out) - Math.abs(a.out));
}

/** What clips that are still to be drawn do to a made shoe: it is made that much narrower first. Empty without any. */
export function clipsOpen({ question: { spec } }: Fit, wording: Pick<Wording, "cut">): string {
  const sides = spec.clips.filter((clip) => clip !== "toe").length;
  return sides === 0
    ? ""
    : `${sides === 1 ? "A clip" : `${sides} clips`} at the side will open it about ${wording.cut(sides * CLIP_OPENS_MM)}: make it that much narrower first. An estimate.`;
}

/** What the hand misses by place, mm, from the log of like shoes: the mean drawn towards zero, n/(n + 3) of it. */
export function handByPlace(log: readonly { made?: MadeShoe | undefined }[]): MadeShoe {
  return Object.fromEntries(
    MADE_PLACES.flatMap((place) => {
      const misses = log.flatMap(({ made }) => (made?.[place] === undefined ? [] : [made[place]]));
      return misses.length === 0
        ? []
        : [[place, misses.reduce((sum, mm) => sum + mm, 0) / (misses.length + HELD_BY)]];
    }),
  );
}

/** "Your hand makes the lateral quarter 2 mm wide": said before the next shoe; empty where it misses nothing. */
export const handByPlaceInWords = (misses: MadeShoe, wording: Pick<Wording, "cut">): string[] =>
  MADE_PLACES.flatMap((place) => {
    const mm = misses[place] ?? 0;
    if (Math.abs(mm) < 1) return [];
    const side = sideOf(place);
    const part = place.startsWith("heel") ? "heel" : "quarter";
    const what = side ? `the ${side} ${part}` : "the toe";
    const way = side ? (mm > 0 ? "wide" : "narrow") : mm > 0 ? "long" : "short";
    return [`Your hand makes ${what} ${wording.cut(Math.abs(mm))} ${way}.`];
  });
