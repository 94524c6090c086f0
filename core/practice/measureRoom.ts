import type { FootValues } from "../foot/measures";
import { isOptional, SURVEY_MARKS } from "../foot/survey/marks";
import { sizeFactor } from "../foot/parametric/parameters";
import type { ImagePoint, Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import { fillFromPhoto, otherSide, type PhotoReading } from "../photo/fill";
import { truePhoto, type MarkedPhoto } from "../photo/truePhoto";
import { markMiss } from "../photo/markMiss";
import { PHOTO_MARKS, PHOTO_VIEW_FACTS, photoMarkFacts, type MeasuredView } from "../photo/views";
import { fail, ok, type Result } from "../result";
import { atLevel, worthOf } from "./level";
import { pictureTruth, practicePicture, type PracticePicture } from "./picture";
import { practiceFoot } from "./practiceFoot";
import type { Miss } from "./tryRecord";

/** A picture to be marked. */
export interface MeasureTask {
  picture: PracticePicture;
  level: number;
  /** Marks that are asked for, in the order of the eye. */
  marks: readonly string[];
  /** True where this foot was shown before, from elsewhere and in other light. */
  twin: boolean;
  /** What is wrong with the foot, by name; told afterwards. */
  wrong: readonly string[];
}

/** A miss of as much is worth half a mark, mm. Assumption: four times what a practised hand misses by. */
const HALF_MARK_MM = 4;
/** Changed over they miss by less than this part of it: then that is what happened. */
const CHANGED_PART = 0.5;
/** From this level the bars and the seats of corn are asked for too. */
const ALL_MARKS_FROM = 5;

/** A picture of a made-up foot; the same seed, level and view give the same one. */
export function measureTask(seed: number, level: number, view: MeasuredView): MeasureTask {
  const random = seededRandom(seed);
  const { foot, wrong } = practiceFoot(random, {
    count: Math.round(atLevel(level, [1, 4])),
    size: atLevel(level, [0.5, 1]),
  });
  const marks =
    view === "sole" && level < ALL_MARKS_FROM
      ? SURVEY_MARKS.filter((mark) => !isOptional(mark))
      : PHOTO_MARKS[view];
  return { picture: practicePicture(random, level, { foot, view }), level, marks, twin: false, wrong };
}

/** The same foot a second time, from elsewhere and in other light. */
export function twinTask(first: MeasureTask, seed: number): MeasureTask {
  const { foot, view } = first.picture;
  return { ...first, picture: practicePicture(seededRandom(seed), first.level, { foot, view }), twin: true };
}

/** What a marked picture comes to. */
export interface ScoredMarks {
  /** By mark, mm. */
  misses: Miss[];
  /** Mean worth of the marks, 0 to 100. */
  score: number;
  /** What the marks say beside what is true. */
  numbers: { name: string; unit: "°" | "mm"; said: number; truth: number }[];
  /** True where they would lie far better with medial and lateral changed over. */
  sidesChanged: boolean;
  /** What they say as a reading, to stand against a second one of the same foot. */
  values: FootValues;
  /** Where each mark truly lies, px: on its line the nearest point of it. */
  truth: Record<string, ImagePoint>;
}

type Points = Partial<Record<string, ImagePoint>>;

/**
 * How far marks lie from the truth, in the plane of each mark, mm. A mark that only has to lie on a line (ground, front
 * of the wall, pastern, axis of the limb) misses by its distance from that line. Medial and lateral are told apart: a
 * mark on the wrong side misses by the width of the foot. Errors: `not-placed` for marks that are wanting; those of a
 * scale.
 */
export function scoreMarks(task: MeasureTask, points: Points): Result<ScoredMarks> {
  const { picture, marks } = task;
  const { foot, view } = picture;
  const missing = marks.filter((mark) => !points[mark]);
  if (missing.length > 0)
    return fail(
      "not-placed",
      "points",
      `Not placed yet: ${missing.map((mark) => photoMarkFacts(view, mark).name).join(", ")}.`,
    );
  const true_ = pictureTruth(picture);
  const k = sizeFactor(foot);
  const [placed, truth] = [truePhoto({ ...true_, points }, k), truePhoto(true_, k)];
  if (!placed.ok) return placed;
  if (!truth.ok) return truth;
  const trueAt = (mark: string): Vector => truth.value.marks[mark]?.mm ?? [0, 0];
  const off = (mark: string, put: string): number =>
    markMiss(view, mark, placed.value.marks[put]?.mm ?? [0, 0], trueAt);
  const misses = marks.map((mark): Miss => ({
    of: photoMarkFacts(view, mark).name,
    unit: "mm",
    off: off(mark, mark),
  }));
  const inAll = (put: (mark: string) => string) => marks.reduce((sum, mark) => sum + off(mark, put(mark)), 0);
  const read = (photo: MarkedPhoto) => readingOf(photo, task);
  const [said, known] = [read({ ...true_, points }), read(withMarks(true_, marks))];
  const numbers =
    said && known
      ? known.numbers.flatMap(({ name, unit, value }) => {
          const found = said.numbers.find((one) => one.name === name);
          return found ? [{ name, unit, said: found.value, truth: value }] : [];
        })
      : [];
  return ok({
    misses,
    score: (100 * misses.reduce((sum, { off }) => sum + worthOf(off, HALF_MARK_MM), 0)) / misses.length,
    numbers,
    sidesChanged: inAll((mark) => otherSide(mark) ?? mark) < CHANGED_PART * inAll((mark) => mark),
    values: said?.filled.values ?? {},
    truth: Object.fromEntries(
      marks.flatMap((mark) => (true_.points[mark] ? [[mark, true_.points[mark]]] : [])),
    ),
  });
}

const withMarks = (photo: MarkedPhoto, marks: readonly string[]): MarkedPhoto => ({
  ...photo,
  points: Object.fromEntries(marks.map((mark) => [mark, photo.points[mark]])),
});

function readingOf(photo: MarkedPhoto, { picture }: MeasureTask): PhotoReading | undefined {
  const nothing = { values: {}, sole: {}, side: {}, rear: {}, trace: [] };
  const found = fillFromPhoto(photo, picture.foot.limb, nothing, sizeFactor(picture.foot), "simulated");
  return found.ok ? found.value : undefined;
}

/** What this task is called among the tries. */
export const taskName = ({ picture }: MeasureTask): string => PHOTO_VIEW_FACTS[picture.view].name;
