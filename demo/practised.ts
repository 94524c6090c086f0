import { addDays, type IsoDate } from "~core/calendar/date";
import type { ImagePoint } from "~core/geometry/vector";
import { normalDraw, seededRandom, type Random } from "~core/math/random";
import { cutTask, PRACTICE_CUTS, scoreCuts } from "~core/practice/cutRoom";
import { lengthTask, scoreLength } from "~core/practice/lengthRoom";
import { levelAfter, levelAfterAnswer } from "~core/practice/level";
import { measureTask, scoreMarks, taskName } from "~core/practice/measureRoom";
import { pictureTruth } from "~core/practice/picture";
import { HOUSE_PROTOCOL, scoreRun } from "~core/practice/protocol";
import { readTask, ROUND_SECONDS, scoreAnswers, type Answer } from "~core/practice/readRoom";
import { keptTry, type PracticeRoom, type Try } from "~core/practice/tryRecord";
import { MEASURED_VIEWS } from "~core/photo/views";

/** Tries in each room over the last weeks. */
const TRIES: Record<PracticeRoom, number> = { measure: 33, read: 10, cut: 14, length: 16, run: 8 };
/** Days over which they were made. */
const WEEKS_BACK = 24;
/** The hand on a picture when it began and now, px; how often the eye was right. */
const HAND_PX = [9, 3.7] as const;
const EYE = [0.6, 0.82] as const;
/** One mark that this hand never finds well. */
const HARD_MARK = "hairlineHeel";
const ANSWERS_A_MINUTE = 12;

type Done = Pick<Try, "what" | "score" | "seconds" | "misses"> & { next: number };
/** One try: how far along the practice is (0 to 1), its level and its own chance. */
type Practise = (at: { part: number; index: number; level: number; seed: number; random: Random }) => Done;

const along = ([from, to]: readonly [number, number], part: number): number => from + (to - from) * part;

const HAND: Record<PracticeRoom, Practise> = {
  measure: ({ part, index, level, seed, random }) => {
    const task = measureTask(seed, level, MEASURED_VIEWS[index % MEASURED_VIEWS.length] ?? "side");
    const truth = pictureTruth(task.picture).points;
    const sd = along(HAND_PX, part);
    const points = Object.fromEntries(
      task.marks.map((mark): [string, ImagePoint] => {
        const [x, y] = truth[mark] ?? [0, 0];
        const own = mark === HARD_MARK ? 2.2 * sd : sd;
        return [mark, [normalDraw(random, x, own), normalDraw(random, y, own)]];
      }),
    );
    const scored = scoreMarks(task, points);
    if (!scored.ok) throw new Error(scored.issues[0]?.message);
    const { score, misses } = scored.value;
    return { what: taskName(task), score, misses, seconds: 95 - 40 * part, next: levelAfter(level, score) };
  },
  read: ({ part, level, seed, random }) => {
    let now = level;
    const answers: Answer[] = [];
    for (let answer = 0; answer < ANSWERS_A_MINUTE; answer++) {
      const { question } = readTask(seed + answer, now);
      const right = random() < along(EYE, part);
      answers.push({ question, level: now, right });
      now = levelAfterAnswer(now, right);
    }
    return { what: "One minute", ...scoreAnswers(answers), seconds: ROUND_SECONDS, next: now };
  },
  cut: ({ part, level, seed, random }) => {
    const task = cutTask(seed, level);
    const chosen = Object.fromEntries(
      PRACTICE_CUTS.map((name) => [
        name,
        Math.max(
          0,
          Math.round(2 * normalDraw(random, task.plan.cuts[name] - 0.3, along([1.2, 0.35], part))) / 2,
        ),
      ]),
    ) as Record<(typeof PRACTICE_CUTS)[number], number>;
    const scored = scoreCuts(task, chosen);
    if (!scored.ok) throw new Error(scored.issues[0]?.message);
    const { score, misses } = scored.value;
    return { what: task.aim, score, misses, seconds: 60, next: levelAfter(level, score) };
  },
  length: ({ part, level, seed, random }) => {
    const task = lengthTask(seed, level);
    const { score, misses } = scoreLength(task, normalDraw(random, task.stock.total, along([24, 8], part)));
    const { width, thickness } = task.section;
    return { what: `${width} × ${thickness}`, score, misses, seconds: 25, next: levelAfter(level, score) };
  },
  run: ({ part, level, random }) => {
    const chosen = HOUSE_PROTOCOL.steps.map(({ id }) => id);
    const swaps = Math.round(along([5, 1], part));
    for (let swap = 0; swap < swaps; swap++) {
      const [one] = chosen.splice(Math.floor(random() * chosen.length), 1);
      if (one) chosen.splice(Math.floor(random() * chosen.length), 0, one);
    }
    const { score, misses } = scoreRun(HOUSE_PROTOCOL, chosen);
    return {
      what: HOUSE_PROTOCOL.name,
      score,
      misses,
      seconds: 210 - 60 * part,
      next: levelAfter(level, score),
    };
  },
};

/** Weeks of practice of a hand that gets steadier, made through the rooms themselves: every score is computed. */
export function practised(today: IsoDate, seed: number): Try[] {
  return (Object.keys(TRIES) as PracticeRoom[]).flatMap((room, at) => {
    const random = seededRandom(seed + 101 * at);
    const count = TRIES[room];
    let level = 1;
    return Array.from({ length: count }, (_, index): Try => {
      const part = index / Math.max(1, count - 1);
      const date = addDays(today, -1 - Math.round(WEEKS_BACK * (1 - part)));
      const [hour, minute] = [19 + Math.floor(index / 20), 3 * (index % 20)].map((n) =>
        String(n).padStart(2, "0"),
      );
      const { next, ...done } = HAND[room]({ part, index, level, seed: seed + 7919 * (index + 1), random });
      const made = keptTry({
        id: `demo-try-${room}-${index + 1}`,
        date,
        at: `${date}T${hour ?? ""}:${minute ?? ""}:${String(at).padStart(2, "0")}.000Z`,
        room,
        level,
        next,
        ...done,
      });
      level = next;
      return made;
    });
  });
}
