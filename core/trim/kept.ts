import type { LensChoice } from "../foot/lens";
import { addDays, type IsoDate } from "../calendar/date";
import { seasonDays, type Hemisphere } from "../calendar/season";
import { cutFoot, growFoot, hairlineTiltDeg } from "../foot/parametric/cut";
import { trimFootOf, type FootParameters } from "../foot/parametric/parameters";
import type { Cuts, PredictedFoot } from "../foot/parametric/predict";
import { radians } from "../math/angle";
import { ok, type Result } from "../result";
import { toeDressing } from "./dressing";
import { bestCuts } from "./plan";
import type { TrimQuestion } from "./question";
import { visitBounds, visitsFor } from "./stages";

/** A foot and how it is kept. */
export interface KeptQuestion {
  /** As it stands, with the wall above its live sole. */
  foot: FootParameters;
  lenses: LensChoice;
  finish: TrimQuestion["finish"];
  margins?: { shod: number; barefoot: number } | undefined;
  /** Wall at the toe, white line in it, horn outside the foot's own shape, mm in the ground plane. */
  toeWall?: number | undefined;
  whiteLine?: number | undefined;
  outside?: number | undefined;
  holdAxis?: boolean | undefined;
  minToeLength?: number | undefined;
  /** The yardstick for the animal: what has grown over it comes off again, as far as the limits allow. */
  toeTarget: number;
  sulcusDepth?: number | undefined;
  /** Roll still wanted by a sighted lens, deg. */
  sideAngle?: number | undefined;
  /** This foot's own: mm a season-weighted day, deg a day. */
  growthPerDay: number;
  driftPerDay: number;
  from: IsoDate;
  hemisphere: Hemisphere;
}

/** A foot on its way through trims and growth. */
export interface KeptFoot {
  foot: FootParameters;
  /** Dressed off its toe wall and not grown back yet, mm at right angles to it. */
  dressed: number;
  /** Roll that a sighted lens still wants, deg. */
  sideAngle: number;
}

export const startOf = ({ foot, sideAngle = 0 }: KeptQuestion): KeptFoot => ({ foot, dressed: 0, sideAngle });

/** Wall that dressing may take in all, mm at right angles to it. */
const dressedInAll = ({ foot, toeWall, whiteLine, outside }: KeptQuestion): number =>
  toeDressing({ foot: trimFootOf(foot), ...given({ toeWall, whiteLine, outside }) }).most;

/** What such a foot asks of a plan on its day. */
export function questionOf(kept: KeptQuestion, { foot, dressed, sideAngle }: KeptFoot): TrimQuestion {
  const { lenses, finish, margins, toeWall, whiteLine, outside, holdAxis, minToeLength, sulcusDepth } = kept;
  const gone = dressed / Math.sin(radians(foot.dorsalAngleDeg));
  const { toe, medial, lateral } = foot.wallAboveSoleMm;
  return {
    foot: trimFootOf(foot),
    finish,
    above: { toe: Math.max(0, toe), heelMedial: Math.max(0, medial), heelLateral: Math.max(0, lateral) },
    ...lenses,
    // The foot of months ahead has no other witness than its own wall.
    side: lenses.side === "every-witness" ? "even-sole" : lenses.side,
    sideAngle: lenses.side === "level-hairline" ? hairlineTiltDeg(foot) : sideAngle,
    ...given({
      margins,
      toeWall: toeWall === undefined ? undefined : Math.max(whiteLine ?? 0, toeWall - gone),
      whiteLine,
      outside: outside === undefined ? undefined : outside - gone,
      holdAxis,
      minToeLength,
      sulcusDepth,
    }),
  };
}

/** The cuts of one visit: the best plan, or where it asks too much at once the best within what one visit takes. */
export function cutsOfVisit(
  question: TrimQuestion,
  flexural?: boolean,
): Result<{ cuts: Cuts; whole: boolean }> {
  const whole = bestCuts(question);
  if (!whole.ok) return whole;
  const bounds = visitBounds(question.foot, flexural);
  if (visitsFor(question.foot, whole.value.cuts, bounds) === 1)
    return ok({ cuts: whole.value.cuts, whole: true });
  const part = bestCuts({ ...question, atOnce: bounds, upTo: whole.value.cuts });
  return part.ok ? ok({ cuts: part.value.cuts, whole: false }) : part;
}

/** The foot after a trim. Errors: those of the prediction. */
export function trimKept(
  { foot, dressed, sideAngle }: KeptFoot,
  cuts: Cuts,
): Result<{ after: KeptFoot; predicted: PredictedFoot }> {
  const cut = cutFoot(foot, cuts);
  if (!cut.ok) return cut;
  const { predicted } = cut.value;
  return ok({
    after: { foot: cut.value.foot, dressed: dressed + cuts.dress, sideAngle: sideAngle - predicted.roll },
    predicted,
  });
}

/**
 * The foot grown from one day of the question to a later one, at its own pace with the season. A dressed wall gets its
 * thickness back while half a toe's length grows down (assumption). Errors: those of the prediction.
 */
export function growKept(kept: KeptQuestion, now: KeptFoot, from: number, to: number): Result<KeptFoot> {
  const hornMm =
    kept.growthPerDay * seasonDays(addDays(kept.from, from), addDays(kept.from, to), kept.hemisphere);
  const grown = growFoot(now.foot, { hornMm, driftDeg: kept.driftPerDay * (to - from) });
  if (!grown.ok) return grown;
  const back = Math.min(now.dressed, (dressedInAll(kept) * hornMm) / (now.foot.toeLengthMm / 2));
  return ok({
    ...now,
    dressed: now.dressed - back,
    foot: {
      ...grown.value,
      toeRunMm: grown.value.toeRunMm + back / Math.sin(radians(grown.value.dorsalAngleDeg)),
    },
  });
}

/** The keys that have a value. */
const given = <T extends object>(values: T) =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as {
    [Key in keyof T]?: Exclude<T[Key], undefined>;
  };
