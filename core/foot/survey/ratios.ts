import { LEVEL_BOUNDS, type Bounds, type BoundName } from "../../constants/bounds";
import { levelOf, type Level } from "../level";
import type { SoleSurvey } from "./survey";
import { wallEvenness, type Walls } from "./walls";

/** What can be done about a ratio: the four groups in which they are shown. */
export type RatioGroup = "toe" | "heels" | "frog" | "hairline";

/** One ratio of a foot as it is, with its level. `value` is a ratio unless the unit says otherwise. */
export interface Ratio {
  name: RatioName;
  group: RatioGroup;
  label: string;
  value: number;
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
}

const RATIOS = {
  toeExcess: { group: "toe", label: "Toe excess over COR", unit: "", bound: "toeExcess" },
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
 * The ratios of a foot, each as it is with its level; no score, no sum. Toe excess, stretch and shortfall count only
 * when they are in excess: a short toe or a wide frog is steady.
 */
export function footRatios(
  survey: SoleSurvey,
  walls: Walls,
  side: SideExtras,
  own: BoundOverrides = {},
): Ratio[] {
  const s = survey.sulcus;
  const forward = [survey.heelForward.medial, survey.heelForward.lateral].filter((mm) => mm !== undefined);
  const bends = [survey.barBend.medial, survey.barBend.lateral].filter((mm) => mm !== undefined);
  const values: Record<RatioName, number | undefined> = {
    toeExcess:
      survey.toeExcess === undefined || !survey.cor ? undefined : survey.toeExcess / survey.cor.median,
    dish: side.dish,
    evenness: wallEvenness(walls),
    heelsForward: !s || forward.length === 0 ? undefined : Math.max(...forward) / s,
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
    const value = values[name];
    if (value === undefined) return [];
    const { group, label, unit, bound } = RATIOS[name];
    const bounds = boundsOf(bound, own);
    return [{ name, group, label, unit, value, bounds, level: levelOf(Math.max(0, value), bounds) }];
  });
}
