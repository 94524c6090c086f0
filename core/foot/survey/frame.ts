import { COINCIDENT_PART } from "../../geometry/tolerance";
import { distance, dot, length, minus, times, type SolarPoint, type Vector } from "../../geometry/vector";
import type { Issue } from "../../result";
import { MARK_FACTS, MARK_PAIRS, SURVEY_MARKS, type SurveyMark } from "./marks";

/** Marks in any frame: a picture's pixels, a card's millimetres; turned, mirrored and scaled as it likes. */
export type FreeMarks = Partial<Record<SurveyMark, Vector>>;

/**
 * A mark in the solar frame, mm; a coordinate that was not measured is missing. x positive to lateral, y towards the
 * toe, origin at the back of the central sulcus.
 */
export interface PartialPoint {
  x?: number | undefined;
  y?: number | undefined;
}
export type SolarMarks = Partial<Record<SurveyMark, PartialPoint>>;

export interface SolarFrame {
  marks: SolarMarks;
  /**
   * Which way lateral lies, seen along the midline towards the toe in a frame with y down (a picture): +1 to the
   * right, -1 to the left. A sole seen from below shows +1 on a left foot.
   */
  lateralTo: 1 | -1;
  /** Turns any other point of the same frame into the solar frame. */
  toSolar: (point: Vector) => SolarPoint;
  fromSolar: (point: SolarPoint) => Vector;
  issues: Issue[];
}

/**
 * Marks expressed in the solar frame. The midline runs from sulcusBack through sulcusFront; which of its sides is
 * lateral is told by the marks themselves, by the majority of the pairs, so that y may point up or down.
 *
 * `mmPerPx` scales. Answers without a frame, only issues, when the sulcus is missing (`missing`) or has no length
 * (`no-midline`), or when no pair of sides tells which is which (`no-sides`). A pair that stands the other way round
 * than the rest is named (`sides-swapped`) and left out; everything else still works.
 */
export function solarFrame(free: FreeMarks, mmPerPx = 1): SolarFrame | { issues: Issue[] } {
  const { sulcusBack: back, sulcusFront: front } = free;
  if (!back || !front) {
    const missing = back ? "sulcusFront" : "sulcusBack";
    return {
      issues: [
        issue("missing", missing, "Both ends of the central sulcus are wanted: they make the midline."),
      ],
    };
  }
  const size = Math.max(...Object.values(free).map((point) => distance(point, back)));
  const along = minus(front, back);
  if (!(length(along) > size * COINCIDENT_PART))
    return {
      issues: [
        issue(
          "no-midline",
          "sulcusFront",
          "Both ends of the central sulcus are one point: there is no midline.",
        ),
      ],
    };
  const u = times(along, 1 / length(along));
  /** To the right of the midline in a frame with y down. */
  const right: Vector = [-u[1], u[0]];
  const across = (mark: SurveyMark) => {
    const point = free[mark];
    return point && dot(minus(point, back), right);
  };
  const votes = MARK_PAIRS.flatMap(([medial, lateral]) => {
    const [m, l] = [across(medial), across(lateral)];
    return m === undefined || l === undefined || m === l ? [] : [{ medial, lateral, span: l - m }];
  });
  if (votes.length === 0)
    return {
      issues: [
        issue("no-sides", "wideLateral", "No mark of both sides yet: medial cannot be told from lateral."),
      ],
    };
  const balance = votes.reduce((sum, { span }) => sum + Math.sign(span), 0);
  const widest = votes.reduce((a, b) => (Math.abs(b.span) > Math.abs(a.span) ? b : a));
  const lateralTo = Math.sign(balance || widest.span) as 1 | -1;
  const issues: Issue[] = [];
  const left = new Set<SurveyMark>();
  for (const { medial, lateral, span } of votes) {
    if (Math.sign(span) === lateralTo) continue;
    left.add(medial).add(lateral);
    issues.push(
      issue(
        "sides-swapped",
        medial,
        `${MARK_FACTS[medial].name} and ${MARK_FACTS[lateral].name} stand the other way round than the other marks. Swapped?`,
      ),
    );
  }
  const x: Vector = times(right, lateralTo);
  const toSolar = (point: Vector): SolarPoint => {
    const step = minus(point, back);
    return [dot(step, x) * mmPerPx, dot(step, u) * mmPerPx];
  };
  const marks: SolarMarks = {};
  for (const mark of SURVEY_MARKS) {
    const point = free[mark];
    if (!point || left.has(mark)) continue;
    const [px, py] = toSolar(point);
    marks[mark] = { x: px, y: py };
  }
  return {
    marks,
    lateralTo,
    toSolar,
    fromSolar: ([px, py]) => [
      back[0] + (x[0] * px + u[0] * py) / mmPerPx,
      back[1] + (x[1] * px + u[1] * py) / mmPerPx,
    ],
    issues,
  };
}

const issue = (code: string, mark: SurveyMark, message: string): Issue => ({
  code,
  path: `points.${mark}`,
  message,
});
