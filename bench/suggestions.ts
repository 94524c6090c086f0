import { ordinaryFoot } from "~core/foot/parametric/fit";
import { sizeFactor, type FootParameters } from "~core/foot/parametric/parameters";
import { distance, type ImagePoint, type Vector } from "~core/geometry/vector";
import { normalDraw, seededRandom, type Random } from "~core/math/random";
import { fillFromPhoto, HAND_SD_MM } from "~core/photo/fill";
import { findCard } from "~core/photo/findCard";
import { greyOf } from "~core/photo/grey";
import { markMiss } from "~core/photo/markMiss";
import { truePhoto, type MarkedPhoto } from "~core/photo/truePhoto";
import { MEASURED_VIEWS, photoMarkFacts, type MeasuredView } from "~core/photo/views";
import { practiceFoot } from "~core/practice/practiceFoot";
import { besideTheHorse, phoneBend, type Conditions } from "~core/simulator/conditions";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";
import { FIRST_TAPS, suggestMarks, tapOrder, type Suggestions } from "~core/suggest/suggest";
import { median } from "./core";

/** How far feet are from the model, one sd each way, mm. */
const OWN_SD_MM = 0.8;
/** How far a practised hand misses a mark, one sd each way, mm: a millimetre in all. */
const TAP_SD_MM = 0.7;
/** What a picture's data knows of its focal length, one sd, as a part. */
const FOCAL_SD_PART = 0.03;

type Photo = MarkedPhoto & { view: MeasuredView };
type Points = MarkedPhoto["points"];

/** A foot in a picture as it is taken beside a horse. */
interface Subject {
  view: MeasuredView;
  foot: FootParameters;
  rgba: Uint8ClampedArray;
  conditions: Conditions;
  slantDeg: number;
  /** Marks and corners as they lie in this picture, and in the same one through a lens that does not bend. */
  truth: Photo;
  straight: Photo;
}

/** None of the measured seeds was used to tune anything. */
export function subject(random: Random, view: MeasuredView, foot: FootParameters, ownSeed: number): Subject {
  const scene = sceneOf(foot, view, {}, { sdMm: OWN_SD_MM, seed: ownSeed });
  const distanceMm = 900 + 900 * random();
  const slantDeg = 22 * random() ** 1.5;
  const shot = {
    width: 1280,
    height: 960,
    slantDeg,
    azimuthDeg: 360 * random(),
    rollDeg: 24 * (random() - 0.5),
    distanceMm,
    focal35: (130 * distanceMm) / 1600,
  };
  const camera = aimAt(scene, { ...shot, bend: phoneBend(random) });
  const conditions = besideTheHorse(random);
  const rgba = renderScene(scene, camera, Math.floor(1e9 * random()), conditions);
  return {
    view,
    foot,
    rgba,
    conditions,
    slantDeg,
    truth: { ...truthInPicture(scene, camera, true), view },
    straight: { ...truthInPicture(scene, aimAt(scene, shot), true), view },
  };
}

/** Where a hand puts a mark. */
function tapped(random: Random, truth: MarkedPhoto, mark: string): ImagePoint {
  const at = truth.points[mark] ?? [0, 0];
  const corners = truth.scale.kind === "card" ? truth.scale.corners : undefined;
  const px = corners ? (TAP_SD_MM * distance(corners[0], corners[1])) / 80 : 1;
  return [normalDraw(random, at[0], px), normalDraw(random, at[1], px)] as unknown as ImagePoint;
}

interface Miss {
  mark: string;
  offMm: number;
  sdMm: number;
  sure: boolean;
}
interface Outcome extends Pick<Subject, "view" | "conditions" | "slantDeg"> {
  /** After the first three taps. */
  misses: Miss[];
  /** Marks that a hand had to place until all that a reading wants had a place. */
  taps: number;
  /** Every number of the reading, from taps and accepted marks, beside the truth. */
  numbers: { name: string; unit: string; said: number; truth: number }[];
  /** The same with every mark by hand. */
  byHand: Outcome["numbers"];
  ms: number;
}

/** One picture worked through: card, three taps, what is suggested, the sure ones taken, the rest by hand. */
export function workThrough(random: Random, one: Subject): Outcome | undefined {
  const { view, truth, straight, rgba, foot, conditions, slantDeg } = one;
  const { width, height } = truth;
  const card = findCard(greyOf(rgba, width, height));
  if (!card.ok || !card.value.sure) return undefined;
  const { corners, lens } = card.value;
  const photo: Photo = {
    ...truth,
    lens,
    focalPx: (truth.focalPx ?? 0) * normalDraw(random, 1, FOCAL_SD_PART),
    scale: { kind: "card", widthMm: 80, heightMm: 80, corners },
    points: {},
  };
  const k = sizeFactor(foot);
  const all = truePhoto(straight, k);
  const trueAt = (mark: string): Vector => (all.ok ? (all.value.marks[mark]?.mm ?? [0, 0]) : [0, 0]);
  const times: number[] = [];
  const suggest = (points: Points, suggested: readonly string[]): Suggestions => {
    const from = performance.now();
    const found = suggestMarks({
      photo: { ...photo, points },
      suggested,
      picture: { width, height, rgba },
      base: ordinaryFoot(foot.limb, { kind: "horse", massKg: 500 }),
      handSdMm: HAND_SD_MM,
    });
    times.push(performance.now() - from);
    return found.ok ? found.value.marks : {};
  };
  let points: Points = Object.fromEntries(
    FIRST_TAPS[view].map((mark) => [mark, tapped(random, truth, mark)]),
  );
  const first = suggest(points, []);
  const put = truePhoto(
    { ...photo, points: Object.fromEntries(Object.entries(first).map(([mark, s]) => [mark, s?.at])) },
    k,
  );
  const misses = Object.entries(first).map(([mark, s]): Miss => ({
    mark,
    sure: s?.sure ?? false,
    sdMm: s?.sdMm ?? 0,
    offMm: markMiss(view, mark, put.ok ? (put.value.marks[mark]?.mm ?? [0, 0]) : [0, 0], trueAt),
  }));
  const wanted = tapOrder(view).filter((mark) => !photoMarkFacts(view, mark).optional);
  let taps = FIRST_TAPS[view].length;
  let taken: string[] = [];
  let now = first;
  for (;;) {
    for (const [mark, s] of Object.entries(now))
      if (s?.sure && !points[mark]) {
        points = { ...points, [mark]: s.at };
        taken = [...taken, mark];
      }
    const next = wanted.find((mark) => !points[mark]);
    if (next === undefined) break;
    points = { ...points, [next]: tapped(random, truth, next) };
    taps++;
    now = suggest(points, taken);
  }
  const read = (of: Photo, at: Points) => {
    const nothing = { values: {}, sole: {}, side: {}, rear: {}, trace: [] };
    const found = fillFromPhoto({ ...of, points: at }, foot.limb, nothing, k, "simulated");
    return found.ok ? found.value.numbers : [];
  };
  const known = read(
    straight,
    Object.fromEntries(Object.keys(points).map((mark) => [mark, straight.points[mark]])),
  );
  const numbers = read(photo, points).flatMap(({ name, unit, value }) => {
    const right = known.find((number) => number.name === name);
    return right ? [{ name, unit, said: value, truth: right.value }] : [];
  });
  // The same picture with every mark by hand, to stand beside it.
  const hand = read(
    photo,
    Object.fromEntries(
      Object.keys(points).map((mark) => [
        mark,
        points[mark] && !taken.includes(mark) ? points[mark] : tapped(random, truth, mark),
      ]),
    ),
  );
  const byHand = hand.flatMap(({ name, unit, value }) => {
    const right = known.find((number) => number.name === name);
    return right ? [{ name, unit, said: value, truth: right.value }] : [];
  });
  return { view, conditions, slantDeg, misses, taps, numbers, byHand, ms: Math.max(...times) };
}

const part = <T>(all: readonly T[], is: (one: T) => boolean): number =>
  all.filter(is).length / Math.max(1, all.length);
const rightNumber = ({ unit, said, truth }: Outcome["numbers"][number]): boolean =>
  Math.abs(said - truth) <= (unit === "°" ? 1.5 : 3);

export interface SuggestionRow {
  of: string;
  pictures: number;
  /** Suggested after three taps, a picture. */
  suggested: number;
  within2: number;
  sure: number;
  /** Sure and off by more than 6 mm, and the worst, mm. */
  over6: number;
  worstSure: number;
  /** Numbers of the reading within 1.5 deg and 3 mm. */
  right: number;
  /** The same with every mark by hand. */
  rightByHand: number;
  taps: number;
}

const rowOf = (of: string, all: readonly Outcome[]): SuggestionRow => {
  const misses = all.flatMap((one) => one.misses);
  const sure = misses.filter((one) => one.sure);
  return {
    of,
    pictures: all.length,
    suggested: misses.length / Math.max(1, all.length),
    within2: part(misses, ({ offMm }) => offMm <= 2),
    sure: sure.length / Math.max(1, all.length),
    over6: sure.filter(({ offMm }) => offMm > 6).length,
    worstSure: Math.max(0, ...sure.map(({ offMm }) => offMm)),
    right: part(
      all.flatMap(({ numbers }) => numbers),
      rightNumber,
    ),
    rightByHand: part(
      all.flatMap(({ byHand }) => byHand),
      rightNumber,
    ),
    taps: median(all.map(({ taps }) => taps)),
  };
};

export interface SuggestionFigures {
  rows: SuggestionRow[];
  /** Suggestions of one picture worked out, the slowest of each picture: median and slowest of all. */
  ms: number;
  slowestMs: number;
  /** The same foot twice: what two readings of it differ by, one sd, by unit. */
  again: { angle: number; length: number };
}

/** Marks suggested in `n` made pictures, and in a part of them the same foot a second time. */
export function suggestionFigures(n: number, seed = 90_004): SuggestionFigures {
  const random = seededRandom(seed);
  const all: Outcome[] = [];
  const apart: Record<string, number[]> = { "°": [], mm: [] };
  for (let index = 0; index < n; index++) {
    const { foot } = practiceFoot(random, { count: Math.floor(4 * random()), size: 1 });
    const view = MEASURED_VIEWS[index % 3] ?? "sole";
    const own = Math.floor(1e9 * random());
    const first = workThrough(random, subject(random, view, foot, own));
    if (first) all.push(first);
    if (index % 5 > 0) continue;
    const second = workThrough(random, subject(random, view, foot, own));
    if (!first || !second) continue;
    for (const { name, unit, said } of first.numbers) {
      const other = second.numbers.find((one) => one.name === name);
      if (other) apart[unit]?.push(said - other.said);
    }
  }
  const sd = (values: readonly number[] = []): number =>
    Math.sqrt(values.reduce((sum, one) => sum + one * one, 0) / (2 * Math.max(1, values.length)));
  const when = (of: string, is: (one: Outcome) => boolean) => rowOf(of, all.filter(is));
  return {
    rows: [
      rowOf("all", all),
      ...MEASURED_VIEWS.map((view) => when(view, (one) => one.view === view)),
      when("slant under 10°", ({ slantDeg }) => slantDeg < 10),
      when("slant 10° and more", ({ slantDeg }) => slantDeg >= 10),
      when("in the light", ({ conditions }) => conditions.light > 0.7 && conditions.shadow < 0.3),
      when("dark or half in shadow", ({ conditions }) => conditions.light <= 0.7 || conditions.shadow >= 0.3),
      when("clean", ({ conditions }) => conditions.dirt < 0.5 && conditions.mud < 0.3),
      when("dirty or muddy", ({ conditions }) => conditions.dirt >= 0.5 || conditions.mud >= 0.3),
      when("a hand in it", ({ conditions }) => conditions.hand),
    ],
    ms: median(all.map(({ ms }) => ms)),
    slowestMs: Math.max(...all.map(({ ms }) => ms)),
    again: { angle: sd(apart["°"]), length: sd(apart["mm"]) },
  };
}

/** The table of the page on how good it is. */
export const suggestionTable = ({ rows }: SuggestionFigures): string[] => [
  "| pictures | how many | suggested | within 2 mm | sure | worst sure | sure, over 6 mm | numbers right | all by hand | taps |",
  "| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |",
  ...rows.map(
    ({ of, pictures, suggested, within2, sure, worstSure, over6, right, rightByHand, taps }) =>
      `| ${of} | ${pictures} | ${suggested.toFixed(1)} | ${(100 * within2).toFixed(0)} % | ${sure.toFixed(1)} | ${worstSure.toFixed(1)} mm | ${over6} | ${(100 * right).toFixed(0)} % | ${(100 * rightByHand).toFixed(0)} % | ${taps} |`,
  ),
];
