import { ordinaryFoot } from "~core/foot/parametric/fit";
import { sizeFactor } from "~core/foot/parametric/parameters";
import type { ImagePoint, Vector } from "~core/geometry/vector";
import { distance } from "~core/geometry/vector";
import { normalDraw, seededRandom, type Random } from "~core/math/random";
import { fillFromPhoto, HAND_SD_MM } from "~core/photo/fill";
import { markMiss } from "~core/photo/markMiss";
import { truePhoto, type MarkedPhoto } from "~core/photo/truePhoto";
import { MEASURED_VIEWS, PHOTO_MARKS, photoMarkFacts, type MeasuredView } from "~core/photo/views";
import { practiceFoot } from "~core/practice/practiceFoot";
import { besideTheHorse, type Conditions } from "~core/simulator/conditions";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";
import { FIRST_TAPS, suggestMarks, type Suggestions } from "~core/suggest/suggest";

/** How far feet are from the model, one sd each way, mm. */
const OWN_SD_MM = Number(process.env["OWN"] ?? 0.8);

export interface Subject {
  view: MeasuredView;
  foot: ReturnType<typeof practiceFoot>["foot"];
  truth: MarkedPhoto;
  rgba: Uint8ClampedArray;
  conditions: Conditions;
  slantDeg: number;
}

/** A foot as it is pictured beside a horse; none of the measured seeds was used to tune anything. */
export function subject(random: Random, width: number, only?: MeasuredView): Subject {
  const { foot } = practiceFoot(random, { count: Math.floor(4 * random()), size: 1 });
  const view = only ?? MEASURED_VIEWS[Math.floor(3 * random())] ?? "sole";
  const scene = sceneOf(foot, view, {}, { sdMm: OWN_SD_MM, seed: Math.floor(1e9 * random()) });
  const distanceMm = 900 + 900 * random();
  const slantDeg = 22 * random() ** 1.5;
  const camera = aimAt(scene, {
    width,
    height: (3 * width) / 4,
    slantDeg,
    azimuthDeg: 360 * random(),
    rollDeg: 24 * (random() - 0.5),
    distanceMm,
    focal35: (130 * distanceMm) / 1600,
  });
  const conditions = besideTheHorse(random);
  const rgba = renderScene(scene, camera, Math.floor(1e9 * random()), conditions);
  return { view, foot, truth: truthInPicture(scene, camera, true), rgba, conditions, slantDeg };
}

/** Where a hand puts a mark: near it, by its own scatter. */
export function tapped(random: Random, truth: MarkedPhoto, mark: string): ImagePoint {
  const at = truth.points[mark] ?? [0, 0];
  const scale = truth.scale.kind === "card" ? truth.scale : undefined;
  const pxPerMm = scale ? distance(scale.corners[0], scale.corners[1]) / scale.widthMm : 1;
  return [
    normalDraw(random, at[0], Number(process.env["HAND"] ?? 0.7) * pxPerMm),
    normalDraw(random, at[1], Number(process.env["HAND"] ?? 0.7) * pxPerMm),
  ] as unknown as ImagePoint;
}

export interface Outcome extends Pick<Subject, "view" | "conditions" | "slantDeg"> {
  misses: { mark: string; off: number; sdMm: number; sure: boolean }[];
  ms: number;
  suggestions: Suggestions;
  points: MarkedPhoto["points"];
}

/** Marks suggested in one picture after the first taps. */
export function outcome(random: Random, one: Subject, taps: readonly string[] = FIRST_TAPS[one.view]): Outcome {
  const { view, truth, rgba, foot } = one;
  const points = Object.fromEntries(taps.map((mark) => [mark, tapped(random, truth, mark)]));
  const photo = { ...truth, view, points };
  const from = performance.now();
  const found = suggestMarks({
    photo,
    picture: { width: truth.width, height: truth.height, rgba },
    base: ordinaryFoot(foot.limb, { kind: "horse", massKg: 500 }),
    handSdMm: HAND_SD_MM,
  });
  const ms = performance.now() - from;
  const suggestions = found.ok ? found.value.marks : {};
  const k = sizeFactor(foot);
  const all = truePhoto(truth, k);
  const put = truePhoto(
    { ...truth, points: Object.fromEntries(Object.entries(suggestions).map(([mark, s]) => [mark, s?.at])) },
    k,
  );
  const trueAt = (mark: string): Vector => (all.ok ? (all.value.marks[mark]?.mm ?? [0, 0]) : [0, 0]);
  const misses = Object.entries(suggestions).flatMap(([mark, s]) =>
    s && put.ok
      ? [{ mark, off: markMiss(view, mark, put.value.marks[mark]?.mm ?? [0, 0], trueAt), sdMm: s.sdMm, sure: s.sure }]
      : [],
  );
  return { view, conditions: one.conditions, slantDeg: one.slantDeg, misses, ms, suggestions, points };
}

export { fillFromPhoto, PHOTO_MARKS, photoMarkFacts, seededRandom };
