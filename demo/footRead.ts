import type { IsoDate } from "~core/calendar/date";
import { isFore, type Limb } from "~core/foot/limb";
import { soleLandmarks } from "~core/foot/parametric/landmarks";
import { sizeFactor, wallThickness, type FootParameters } from "~core/foot/parametric/parameters";
import { recordOfMarks } from "~core/foot/records/keptSurvey";
import type { SolarMarks } from "~core/foot/survey/frame";
import type { Wear } from "~core/foot/wear";
import { normalDraw, type Random } from "~core/math/random";
import { watchingPlace } from "~core/record/footRecords";
import type { Look } from "~core/foot/records/look";
import type { Reading } from "~core/foot/records/reading";
import type { Visit } from "~core/record/visit";
import type { WatchingRecord } from "~core/gait/watchingRecord";
import {
  CONTRACTED_HEELS,
  isContracted,
  isSheared,
  SHEARED_TILT_DEG,
  storyHorn,
  storyWatched,
} from "./stories";
import type { Story } from "./yards";

/** Heels further apart than this and the foot is seen to land on the taller one, mm. */
const LANDS_ON_MM = 5.5;
/** How exactly a practised hand places a mark, mm. */
const MARK_SD_MM = 0.8;

const half = (mm: number): number => Math.round(2 * mm) / 2 + 0;

/** Part of the wall above the live sole that lies as chalk at the point of the frog. Assumption, for the demo alone. */
const CHALK_PART = 0.4;
const BIG_FROG_UNDER_DEG = 8;

/** The sole of a foot as it was surveyed: its own marks with the error of a hand, and the walls round it. */
export function surveyedSole(
  foot: FootParameters,
  story: Story | undefined,
  random: Random,
): Pick<Reading, "sole" | "walls" | "sulcusDepthMm" | "chalkMm" | "frogProudMm" | "side" | "rear"> {
  const flared =
    story === "one-sided flare" && foot.limb === "LF"
      ? { ...foot, lateralWiderMm: foot.lateralWiderMm + 9 }
      : foot;
  const marks: SolarMarks = {};
  for (const [mark, [x, y]] of Object.entries(soleLandmarks(flared))) {
    const onMidline = mark === "sulcusBack" || mark === "sulcusFront";
    const apart = mark.startsWith("heel") && isContracted(foot, story) ? CONTRACTED_HEELS : 1;
    marks[mark as keyof SolarMarks] = {
      x: onMidline ? 0 : normalDraw(random, x * apart, MARK_SD_MM),
      y: mark === "sulcusBack" ? 0 : normalDraw(random, y, MARK_SD_MM),
    };
  }
  const wall = wallThickness(foot);
  const k = sizeFactor(foot);
  const flare = Math.max(0, foot.dishDeg * 0.9) + Math.max(0, foot.toeRunMm * 0.25);
  const vary = (mm: number) => Math.max(1, half(normalDraw(random, mm, 0.4)));
  const { toe, medial, lateral } = foot.wallAboveSoleMm;
  const thin = story === "thin soles" && isFore(foot.limb);
  return {
    sole: recordOfMarks(marks, "calliper"),
    walls: {
      toe: {
        thickness: vary(wall.toe + flare),
        above: Math.max(0, vary(Math.max(1, toe))),
        whiteLine: vary(3 + flare * 0.3),
      },
      toeQuarterMedial: { thickness: vary(wall.toe * 0.96 + flare / 2) },
      toeQuarterLateral: { thickness: vary(wall.toe * 0.96 + flare / 2) },
      quarterMedial: { thickness: vary(wall.quarter) },
      quarterLateral: {
        thickness: vary(wall.quarter + (story === "one-sided flare" && foot.limb === "LF" ? 8 : 0)),
      },
      heelMedial: { thickness: vary(wall.heel), above: Math.max(0, vary(Math.max(1, medial))) },
      heelLateral: { thickness: vary(wall.heel), above: Math.max(0, vary(Math.max(1, lateral))) },
    },
    sulcusDepthMm: half(normalDraw(random, thin ? 8 * k : 14 + 3 * (k - 1), 0.6)),
    chalkMm: half(Math.max(0, toe) * CHALK_PART),
    // Under heels that have run forward the frog stands proud of them; else it lies in.
    frogProudMm: foot.dorsalAngleDeg - foot.heelAngleDeg > BIG_FROG_UNDER_DEG ? 4 : -5,
    side: {
      heelAngle: { value: half(foot.heelAngleDeg), source: "gauge" },
      dish: { value: half(foot.dishDeg), source: "gauge" },
    },
    rear: {
      limbDeviation: { value: half(foot.limbDeviationDeg), source: "gauge" },
      ...(isSheared(foot, story) && { hairlineTilt: { value: SHEARED_TILT_DEG, source: "gauge" as const } }),
    },
  };
}

interface Place {
  visit: Pick<Visit, "id" | "horseId" | "date">;
  limb: Limb;
}

/** How the foot was seen to land and leave: on its taller side, over the toe or the quarter that its limb leans to. */
export function watchedFoot(
  { visit, limb }: Place,
  foot: FootParameters,
  story: Story | undefined,
  random: Random,
): WatchingRecord {
  const difference = foot.heelHeightMm.lateral - foot.heelHeightMm.medial;
  const side = Math.abs(difference) > LANDS_ON_MM ? Math.sign(difference) * 42 : 4 * (random() - 0.5);
  const leaves =
    Math.max(-40, Math.min(40, Math.round(normalDraw(random, foot.limbDeviationDeg * 4, 3)))) + 0;
  return {
    ...watchingPlace(visit, limb, "before"),
    toeDirection:
      foot.limbDeviationDeg > 2.2 ? "toe-out" : foot.limbDeviationDeg < -2.2 ? "toe-in" : "straight",
    base: "under the limb",
    slide: "none",
    flight: "straight",
    lands: [Math.round(side) + 0, 58],
    leaves,
    ...storyWatched(foot, story),
  };
}

/** The same foot when all was done: it lands nearer to flat; how the limb is built stays. */
export function watchedDone(came: WatchingRecord): WatchingRecord {
  const { lands, slide } = came;
  const stays = { ...came };
  delete stays.slideReach;
  return {
    ...stays,
    id: came.id.replace(/before$/, "after"),
    look: "after",
    ...(lands && { lands: [Math.round(lands[0] * LEFT_OF_LANDING) + 0, 60] }),
    ...(slide && { slide: "none" }),
  };
}
/** What a trim leaves of a landing to one side. */
const LEFT_OF_LANDING = 0.4;

/**
 * The old shoe's wear and what was found, by the horse's story; `toGrowMm` is what the wall has still to grow until the
 * last visit, since what was found grows down with it.
 */
export function lookedAtFoot(
  { visit, limb }: Place,
  foot: FootParameters,
  watched: WatchingRecord,
  story: Story | undefined,
  toGrowMm: number,
): Look {
  const side =
    (watched.lands?.[0] ?? 0) > 20 ? "Lateral" : (watched.lands?.[0] ?? 0) < -20 ? "Medial" : undefined;
  const toe: Wear = { toe: "worn" };
  const worn = (on: "Medial" | "Lateral"): Wear => ({
    ...toe,
    [`quarter${on}`]: "thin",
    [`heel${on}`]: "thin",
    [`toeQuarter${on}`]: "worn",
  });
  const wear: Wear =
    story === "wear mismatch" && limb === "LF"
      ? worn("Medial")
      : story === "one-sided wear" && limb === "LH"
        ? worn("Lateral")
        : side && story !== "one-sided wear"
          ? worn(side)
          : { ...toe, toeQuarterMedial: "worn", toeQuarterLateral: "worn" };
  const below = (mm: number): number => Math.max(0, Math.round(mm - toGrowMm));
  const finds: Look["finds"] = {};
  if (story === "quarter crack" && limb === "RF")
    finds["crack"] = {
      kind: "crack",
      at: [52, 70],
      note: "dry edges",
      wall: "quarterLateral",
      belowMm: below(12),
      lengthMm: 18,
    };
  if (story === "old scar" && limb === "LF")
    finds["crack"] = {
      kind: "crack",
      at: [-30, 108],
      note: "below the old scar",
      wall: "toeQuarterMedial",
      belowMm: below(16),
      lengthMm: 22,
    };
  if (story === "thin soles" && limb === "LF")
    finds["tract"] = {
      kind: "old tract",
      at: [24, 104],
      note: "healed, dry",
      wall: "toeQuarterLateral",
      belowMm: below(41),
      lengthMm: 9,
    };
  return {
    id: `${visit.id}.${limb}`,
    visitId: visit.id,
    horseId: visit.horseId,
    limb,
    date: visit.date,
    wear: wear as Look["wear"],
    finds,
    ...storyHorn(foot, story),
  };
}

/** Surveys are taken at the last visits only, as a round that has begun to survey would have them. */
export const isSurveyed = (days: readonly IsoDate[], date: IsoDate): boolean => days.slice(-2).includes(date);
