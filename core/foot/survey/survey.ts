import { COINCIDENT_PART, PARALLEL_SINE } from "../../geometry/tolerance";
import { dot, length, minus, type SolarPoint, type Vector } from "../../geometry/vector";
import type { Issue, Result } from "../../result";
import { isFore, SIDES, type Limb, type Side } from "../limb";
import { SIZE_ONE_WIDTH_MM } from "../sizeOne";
import { solarFrame, type FreeMarks, type SolarMarks } from "./frame";
import { isOptional, MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "./marks";

/** Where the centre of rotation lies by each way there is, y in mm of the solar frame. */
export interface CorEstimates {
  /** Mean y of the widest points. */
  widest?: number;
  /** Twice the sulcus less 25 k. */
  apex?: number;
  /** Mean y of the bar ends. */
  bars?: number;
  /** Where the diagonals from seat of corn to opposite toe quarter cross. */
  diagonals?: number;
  /** Off a radiograph, which then stands for the median too. */
  film?: number;
  median: number;
  /** Largest minus smallest, 0 with one way only. */
  spread: number;
}

/** Everything a sole survey can say; what its marks do not give is missing. Lengths mm, ratios without unit. */
export interface SoleSurvey {
  sulcus?: number;
  trueApex?: number;
  /** How far the point of the frog lies beyond the true apex, over the true apex. */
  frogStretch?: number;
  /** Frog width over sulcus length. */
  frogWidthRatio?: number;
  footLength?: number;
  width?: number;
  widthToLength?: number;
  /** Size: width over that of a foot of size 1 (127 mm fore, 120 mm hind). */
  k?: number;
  cor?: CorEstimates;
  /** Toe ahead of the centre of rotation. */
  front?: number;
  /** Centre of rotation ahead of the back of the sulcus, where the heels ought to be. */
  back?: number;
  /** Centre of rotation ahead of the heels, where they are. */
  support?: number;
  toeExcess?: number;
  /** front / (front + support). */
  frontShare?: number;
  /** Estimate of the coffin bone's tip. */
  coffinTip?: number;
  /** Breakover by survey. */
  breakover?: number;
  /** Each heel ahead of the back of the sulcus. */
  heelForward: Partial<Record<Side, number>>;
  /** y of the lateral heel minus y of the medial one. */
  heelDifference?: number;
  halfWidth: Partial<Record<Side, number>>;
  heelHalfWidth: Partial<Record<Side, number>>;
  /** How far the bar's bend lies from the line between frog's widest and its point. */
  barBend: Partial<Record<Side, number>>;
  /** Crossing of the diagonals from the midline at the widest part: sideways and towards the toe. */
  drift?: { lateral: number; toe: number };
}

/** Places of the survey's marks, mm on a foot of size 1. Source: trade practice. */
const UNIT = { corBehindApex: 25, tipAhead: 22, breakoverAhead: 6, corDisagree: 6 };

/**
 * The survey of a sole from its marks in the solar frame. Each measure needs only its own marks; a foot already known
 * keeps its size factor `knownK`, else it follows from the width. Nothing is invented: without width and without a
 * known size there is no estimate that needs one.
 */
export function surveySole(marks: SolarMarks, limb: Limb, knownK?: number): SoleSurvey {
  const x = (mark: SurveyMark) => marks[mark]?.x;
  const y = (mark: SurveyMark) => marks[mark]?.y;
  const survey: SoleSurvey = { heelForward: {}, halfWidth: {}, heelHalfWidth: {}, barBend: {} };
  const s = y("sulcusFront");
  const width = less(x("wideLateral"), x("wideMedial"));
  const k =
    knownK ?? (width === undefined ? undefined : width / SIZE_ONE_WIDTH_MM[isFore(limb) ? "fore" : "hind"]);
  const heelMean = mean(y("heelMedial"), y("heelLateral"));
  put(survey, "sulcus", s);
  put(survey, "width", width);
  put(survey, "k", k);
  if (s !== undefined && s > 0) {
    survey.trueApex = 2 * s;
    const apex = y("frogApex");
    if (apex !== undefined) survey.frogStretch = (apex - 2 * s) / (2 * s);
    const frog = less(x("frogLateral"), x("frogMedial"));
    if (frog !== undefined) survey.frogWidthRatio = frog / s;
    if (k !== undefined) {
      survey.coffinTip = 2 * s + UNIT.tipAhead * k;
      survey.breakover = survey.coffinTip + UNIT.breakoverAhead * k;
    }
  }
  put(survey, "footLength", less(y("toe"), heelMean));
  if (width !== undefined && survey.footLength) survey.widthToLength = width / survey.footLength;
  for (const side of SIDES) {
    const [heel, wide] =
      side === "medial" ? (["heelMedial", "wideMedial"] as const) : (["heelLateral", "wideLateral"] as const);
    put(survey.heelForward, side, y(heel));
    put(survey.heelHalfWidth, side, absolute(x(heel)));
    put(survey.halfWidth, side, absolute(x(wide)));
    put(survey.barBend, side, barBend(marks, side));
  }
  put(survey, "heelDifference", less(y("heelLateral"), y("heelMedial")));
  const crossing = diagonalCrossing(marks);
  const widest = mean(y("wideMedial"), y("wideLateral"));
  const cor = corEstimates({
    widest,
    apex: s === undefined || k === undefined ? undefined : 2 * s - UNIT.corBehindApex * k,
    bars: mean(y("barEndMedial"), y("barEndLateral")),
    diagonals: crossing?.[1],
  });
  if (crossing && widest !== undefined) survey.drift = { lateral: crossing[0], toe: crossing[1] - widest };
  if (cor) {
    survey.cor = cor;
    survey.back = cor.median;
    const toe = y("toe");
    put(survey, "front", less(toe, cor.median));
    put(survey, "support", less(cor.median, heelMean));
    if (toe !== undefined) survey.toeExcess = toe - 2 * cor.median;
    if (survey.front !== undefined && survey.support !== undefined)
      survey.frontShare = survey.front / (survey.front + survey.support);
  }
  return survey;
}

/** How far the ways spread by the marking alone, over the sd of one mark, in 95 of 100: the apex rule doubles its mark. */
const SPREAD_95 = 4;

/** Heels ahead of the back of the sulcus on a sound foot of size 1, mm. Assumption, as the ordinary foot has it. */
const SOUND_HEEL_RUN = 3.8;

/**
 * How far the crossing of the diagonals has gone forward with heels and toe quarters, mm, never under 0: growth and a foot
 * that has run take it along, which is no fault of the marks. It lies half way between the two ends of its diagonals.
 */
function diagonalsTaken({ heelForward, toeExcess, k = 1 }: SoleSurvey): number {
  const heels = mean(heelForward.medial, heelForward.lateral);
  if (heels === undefined || toeExcess === undefined) return 0;
  return Math.max(0, (heels - SOUND_HEEL_RUN * k + toeExcess) / 2);
}

/**
 * True when the ways to the centre of rotation lie further apart than 6 mm on a foot of size 1, beyond what marks of
 * `markSdMm` spread by themselves, and beyond what a foot that has grown or run forward does to the diagonals.
 */
export function corDisagrees(survey: SoleSurvey, markSdMm: number): boolean {
  const { cor, k } = survey;
  if (!cor || k === undefined) return false;
  const { widest, apex, bars, diagonals } = cor;
  const others = [widest, apex, bars].filter((at) => at !== undefined);
  const crossing =
    diagonals === undefined
      ? []
      : [diagonals - Math.min(diagonalsTaken(survey), Math.max(0, diagonals - cor.median))];
  const ways = [...others, ...crossing];
  const spread = Math.max(...ways) - Math.min(...ways);
  return spread > Math.hypot(UNIT.corDisagree * k, SPREAD_95 * markSdMm);
}

/**
 * Marks that make no foot, named one by one: a heel ahead of the toe or of the widest part, the front of the sulcus
 * behind its back, a side's mark across the midline, the point of the frog behind the sulcus. Only what is known is
 * judged. The marks of an issue are to be left out of the survey; the rest still works.
 */
export function impossibleMarks(marks: SolarMarks): Issue[] {
  const issues: Issue[] = [];
  const y = (mark: SurveyMark) => marks[mark]?.y;
  const say = (code: string, mark: SurveyMark, message: string, value: unknown) =>
    issues.push({ code, path: `points.${mark}`, message, value });
  const inOrder = (behind: SurveyMark, ahead: SurveyMark, message: string) => {
    const [a, b] = [y(behind), y(ahead)];
    if (a !== undefined && b !== undefined && a >= b) say("out-of-order", behind, message, a);
  };
  inOrder("heelMedial", "toe", "The medial heel lies ahead of the toe. Check both marks.");
  inOrder("heelLateral", "toe", "The lateral heel lies ahead of the toe. Check both marks.");
  inOrder("wideMedial", "toe", "The widest part, medial, lies ahead of the toe. Check both marks.");
  inOrder("wideLateral", "toe", "The widest part, lateral, lies ahead of the toe. Check both marks.");
  inOrder(
    "sulcusFront",
    "frogApex",
    "The point of the frog lies behind the front of the sulcus. Check both.",
  );
  for (const side of SIDES)
    for (const mark of SURVEY_MARKS) {
      const x = marks[mark]?.x;
      if (x === undefined || !mark.endsWith(side === "medial" ? "Medial" : "Lateral")) continue;
      if (side === "medial" ? x >= 0 : x <= 0)
        say(
          "across-midline",
          mark,
          `${MARK_FACTS[mark].name}: it lies across the midline, on the other side. Check it.`,
          x,
        );
    }
  return issues;
}

/** The marks without those that an issue names. */
export function withoutNamed(marks: SolarMarks, issues: readonly Issue[]): SolarMarks {
  const named = new Set(issues.map(({ path }) => path.replace("points.", "")));
  return Object.fromEntries(Object.entries(marks).filter(([mark]) => !named.has(mark)));
}

/** A survey of which every required mark is there. */
export type WholeSurvey = Required<Omit<SoleSurvey, "barBend" | "drift" | "cor" | SidePairs>> &
  Record<SidePairs, Record<Side, number>> & {
    cor: CorEstimates & { widest: number; apex: number };
    barBend?: Record<Side, number>;
    drift?: { lateral: number; toe: number };
  };
type SidePairs = "heelForward" | "halfWidth" | "heelHalfWidth";

/**
 * A whole survey from marks in any frame (see {@link solarFrame}); all required marks must be there.
 *
 * Errors: `missing`, `no-midline`, `no-sides`, `sides-swapped`, `out-of-order`, `across-midline`, each with its mark.
 */
export function readSurvey(free: FreeMarks, limb: Limb, mmPerPx = 1): Result<WholeSurvey> {
  const missing = SURVEY_MARKS.filter((mark) => !isOptional(mark) && !free[mark]).map((mark) => ({
    code: "missing",
    path: `points.${mark}`,
    message: `${MARK_FACTS[mark].name} is wanted.`,
  }));
  if (missing.length > 0) return { ok: false, issues: missing };
  const frame = solarFrame(free, mmPerPx);
  if (!("marks" in frame)) return { ok: false, issues: frame.issues };
  const issues = [...frame.issues, ...impossibleMarks(frame.marks)];
  if (issues.length > 0) return { ok: false, issues };
  const { barBend: bend, ...survey } = surveySole(frame.marks, limb);
  const both = bend.medial !== undefined && bend.lateral !== undefined;
  return { ok: true, value: { ...survey, ...(both && { barBend: bend }) } as WholeSurvey };
}

function corEstimates(
  ways: Record<"widest" | "apex" | "bars" | "diagonals", number | undefined>,
): CorEstimates | undefined {
  const found = Object.fromEntries(Object.entries(ways).filter(([, at]) => at !== undefined)) as Record<
    string,
    number
  >;
  const sorted = Object.values(found).sort((a, b) => a - b);
  const [least, most] = [sorted[0], sorted.at(-1)];
  if (least === undefined || most === undefined) return undefined;
  const middle = sorted.length / 2;
  const median = ((sorted[Math.ceil(middle) - 1] ?? 0) + (sorted[Math.floor(middle)] ?? 0)) / 2;
  return { ...found, median, spread: most - least };
}

const whole = (marks: SolarMarks, mark: SurveyMark): SolarPoint | undefined => {
  const { x, y } = marks[mark] ?? {};
  return x === undefined || y === undefined ? undefined : [x, y];
};

/** Where cornMedial to toeQuarterLateral crosses cornLateral to toeQuarterMedial; nothing when they run side by side. */
function diagonalCrossing(marks: SolarMarks): SolarPoint | undefined {
  const a = whole(marks, "cornMedial");
  const b = whole(marks, "toeQuarterLateral");
  const c = whole(marks, "cornLateral");
  const d = whole(marks, "toeQuarterMedial");
  if (!a || !b || !c || !d) return undefined;
  const [first, second] = [minus(b, a), minus(d, c)];
  const sine = first[0] * second[1] - first[1] * second[0];
  if (Math.abs(sine) <= length(first) * length(second) * PARALLEL_SINE) return undefined;
  const gap = minus(c, a);
  const part = (gap[0] * second[1] - gap[1] * second[0]) / sine;
  return [a[0] + first[0] * part, a[1] + first[1] * part];
}

function barBend(marks: SolarMarks, side: Side): number | undefined {
  const bar = whole(marks, side === "medial" ? "barMedial" : "barLateral");
  const frog = whole(marks, side === "medial" ? "frogMedial" : "frogLateral");
  const apex = whole(marks, "frogApex");
  if (!bar || !frog || !apex) return undefined;
  const line = minus(apex, frog);
  if (length(line) <= length(apex) * COINCIDENT_PART) return undefined;
  const across: Vector = [-line[1] / length(line), line[0] / length(line)];
  return Math.abs(dot(minus(bar, frog), across));
}

const less = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? undefined : a - b;
const mean = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? undefined : (a + b) / 2;
const absolute = (a: number | undefined): number | undefined => (a === undefined ? undefined : Math.abs(a));
function put<T, Key extends keyof T>(into: T, key: Key, value: T[Key] | undefined): void {
  if (value !== undefined) into[key] = value;
}
