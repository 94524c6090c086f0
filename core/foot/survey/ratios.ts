import { sdOfSmallestChange, type Noise } from "../../repeatability/repeatability";
import { LEVEL_BOUNDS, type Bounds, type BoundName } from "../../constants/bounds";
import { levelBeyond, levelOf, type Level } from "../level";
import type { SoleSurvey } from "./survey";
import { evennessBeyondNoise, evennessSd, wallEvenness, type Walls } from "./walls";

/** What can be done about a ratio: the four groups in which they are shown. */
export type RatioGroup = "toe" | "heels" | "frog" | "hairline";

/** One ratio of a foot as it is, with its level. `value` is a ratio unless the unit says otherwise. */
export interface Ratio {
  name: RatioName;
  group: RatioGroup;
  label: string;
  value: number;
  /** How far the value would wander if the foot were measured again: its sd, in the same unit. */
  sd: number;
  unit: "" | "mm" | "°";
  level: Level;
  bounds: Bounds;
}

/** Side-view values that take part; missing where no side view was read. */
export interface SideExtras {
  dish?: number | undefined;
  heelAngle?: number | undefined;
  dorsalAngle?: number | undefined;
  heelHeightDifference?: number | undefined;
  toeLength?: number | undefined;
  /** What the toe ought to be long. */
  toeTarget?: number | undefined;
}

const RATIOS = {
  toeExcess: { group: "toe", label: "Toe excess over COR, beyond its length", unit: "", bound: "toeExcess" },
  dish: { group: "toe", label: "Dish of the wall", unit: "°", bound: "dishDeg" },
  evenness: { group: "toe", label: "Unevenness of the wall", unit: "", bound: "wallEvenness" },
  heelsForward: { group: "heels", label: "Heels forward over sulcus", unit: "", bound: "heelsForward" },
  heelShallower: { group: "heels", label: "Heel shallower than wall", unit: "°", bound: "heelShallowerDeg" },
  barBend: { group: "heels", label: "Bend of the bars over sulcus", unit: "", bound: "barBend" },
  heelDifference: {
    group: "heels",
    label: "Heel heights differ",
    unit: "mm",
    bound: "heelHeightDifferenceMm",
  },
  frogStretch: { group: "frog", label: "Frog stretched", unit: "", bound: "frogStretch" },
  frogShortfall: { group: "frog", label: "Frog narrower than its sulcus", unit: "", bound: "frogShortfall" },
} as const satisfies Record<
  string,
  { group: RatioGroup; label: string; unit: Ratio["unit"]; bound: BoundName }
>;
export type RatioName = keyof typeof RATIOS;

export type BoundOverrides = Partial<Record<BoundName, Bounds | undefined>>;

/** The bounds that count: the user's own where there are some, else the house's. */
export const boundsOf = (name: BoundName, own: BoundOverrides = {}): Bounds =>
  own[name] ?? LEVEL_BOUNDS[name].value;

/**
 * How far the toe stands further ahead of the centre of rotation than the foot's back half lies behind it, mm, less
 * what a toe longer than its target reaches forward by its length alone: a long toe is long, not run.
 */
function toeRunBeyondLength(survey: SoleSurvey, side: SideExtras): number | undefined {
  const { toeExcess } = survey;
  const { toeLength, toeTarget, dorsalAngle } = side;
  if (toeExcess === undefined || toeLength === undefined || toeTarget === undefined) return toeExcess;
  const over = Math.max(0, toeLength - toeTarget);
  return toeExcess - over * Math.cos(((dorsalAngle ?? USUAL_WALL_DEG) * Math.PI) / 180);
}
/** What the heels of a foot come forward by growth alone, over what its toe has gained: as `growFoot` has it on ordinary feet of 500 kg (0.57 hind to 0.59 fore). */
const HEELS_GROW_PART = 0.58;
/** Where the wall's angle was not read. Assumption, because most feet stand within a few degrees of it. */
const USUAL_WALL_DEG = 50;

/**
 * The sd of each ratio, from that of one mark or length `m` and of one angle `a`, by the first terms of its error. A
 * centre of rotation from several ways is as sure as a mark or so. Source: propagation of error; the herd's table in
 * docs/findings.md holds it against what was seen.
 */
function ratioSd(survey: SoleSurvey, walls: Walls, m: number, a: number): Record<RatioName, number> {
  const s = survey.sulcus ?? Infinity;
  const cor = survey.cor?.median ?? Infinity;
  return {
    toeExcess: (Math.sqrt(1 + 4 + 0.4) * m) / cor,
    dish: Math.SQRT2 * a,
    evenness: evennessSd(walls, m) ?? 0,
    heelsForward: (Math.hypot(1, HEELS_GROW_PART, Math.max(0, ...values(survey.heelForward)) / s) * m) / s,
    heelShallower: Math.SQRT2 * a,
    barBend: (1.25 * m) / s,
    heelDifference: Math.SQRT2 * m,
    frogStretch: (Math.sqrt(5) * m) / (2 * s),
    frogShortfall: (Math.hypot(Math.SQRT2, survey.frogWidthRatio ?? 1) * m) / s,
  };
}
const values = (pair: { medial?: number; lateral?: number }): number[] =>
  [pair.medial, pair.lateral].filter((mm) => mm !== undefined);

/**
 * The ratios of a foot, each as it is with its level; no score, no sum. Toe excess, stretch and shortfall count only
 * when they are in excess: a short toe or a wide frog is steady. Each speaks only beyond its own noise.
 */
export function footRatios(
  survey: SoleSurvey,
  walls: Walls,
  side: SideExtras,
  noise: Noise,
  own: BoundOverrides = {},
): Ratio[] {
  const s = survey.sulcus;
  const [m, a] = [sdOfSmallestChange(noise.lengthMm), sdOfSmallestChange(noise.angleDeg)];
  const sds = ratioSd(survey, walls, m, a);
  const run = toeRunBeyondLength(survey, side);
  const over = Math.max(0, (side.toeLength ?? 0) - (side.toeTarget ?? Infinity));
  const forward = values(survey.heelForward);
  const bends = values(survey.barBend);
  const found: Record<RatioName, number | undefined> = {
    toeExcess: run === undefined || !survey.cor ? undefined : run / survey.cor.median,
    dish: side.dish,
    evenness: wallEvenness(walls),
    heelsForward:
      !s || forward.length === 0 ? undefined : (Math.max(...forward) - HEELS_GROW_PART * over) / s,
    heelShallower:
      side.dorsalAngle === undefined || side.heelAngle === undefined
        ? undefined
        : side.dorsalAngle - side.heelAngle,
    barBend: !s || bends.length === 0 ? undefined : Math.max(...bends) / s,
    heelDifference: side.heelHeightDifference === undefined ? undefined : Math.abs(side.heelHeightDifference),
    frogStretch: survey.frogStretch,
    frogShortfall: survey.frogWidthRatio === undefined ? undefined : 1 - survey.frogWidthRatio,
  };
  return (Object.keys(RATIOS) as RatioName[]).flatMap((name) => {
    const value = found[name];
    if (value === undefined) return [];
    const { group, label, unit, bound } = RATIOS[name];
    const bounds = boundsOf(bound, own);
    const level =
      name === "evenness"
        ? // A range is no normal quantity: its noise is taken off in its own way.
          levelOf(evennessBeyondNoise(walls, m) ?? 0, bounds)
        : levelBeyond(Math.max(0, value), sds[name], bounds);
    return [{ name, group, label, unit, value, sd: sds[name], bounds, level }];
  });
}
