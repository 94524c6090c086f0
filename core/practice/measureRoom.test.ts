import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { pairOf } from "../foot/limb";
import { distance, type ImagePoint } from "../geometry/vector";
import { normalDraw, seededRandom } from "../math/random";
import { sidesChanged } from "../photo/fill";
import { MEASURED_VIEWS, PHOTO_MARKS } from "../photo/views";
import type { Result } from "../result";
import { pairsOfReadings } from "../foot/records/pairs";
import { levelAfter, LEVELS } from "./level";
import { measureTask, scoreMarks, twinTask, type MeasureTask } from "./measureRoom";
import { pictureTruth } from "./picture";
import { trySchema } from "./tryRecord";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.issues[0]?.message);
  return result.value;
};
const seeds = fc.integer({ min: 1, max: 1e9 });
const levels = fc.integer({ min: 1, max: LEVELS });
const views = fc.constantFrom(...MEASURED_VIEWS);
const truthOf = (task: MeasureTask) => pictureTruth(task.picture).points as Record<string, ImagePoint>;
const moved = (points: Record<string, ImagePoint>, mark: string, [dx, dy]: readonly [number, number]) => ({
  ...points,
  [mark]: [(points[mark]?.[0] ?? 0) + dx, (points[mark]?.[1] ?? 0) + dy] as ImagePoint,
});

describe("measure", () => {
  test("marks that lie true score all, miss nothing and read what is true, at every level and view (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, views, (seed, level, view) => {
        const task = measureTask(seed, level, view);
        const scored = value(scoreMarks(task, truthOf(task)));
        expect(scored.score).toBeCloseTo(100, 9);
        expect(Math.max(...scored.misses.map(({ off }) => off))).toBeLessThan(1e-9);
        for (const { said, truth } of scored.numbers) expect(said).toBeCloseTo(truth, 9);
      }),
      { seed: 11, numRuns: 60 },
    );
  });

  test("every mark and the card lie inside the picture, at every level (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, views, (seed, level, view) => {
        const { picture } = measureTask(seed, level, view);
        const { points, scale } = pictureTruth(picture);
        const corners = scale.kind === "card" ? scale.corners : [];
        for (const point of [...PHOTO_MARKS[view].map((mark) => points[mark]), ...corners]) {
          expect(point?.[0]).toBeGreaterThan(0);
          expect(point?.[0]).toBeLessThan(picture.shot.width);
          expect(point?.[1]).toBeGreaterThan(0);
          expect(point?.[1]).toBeLessThan(picture.shot.height);
        }
      }),
      { seed: 12, numRuns: 250 },
    );
  });

  test("a mark moved by so much misses by so much in millimetres, and no other does", () => {
    const task = measureTask(4, 1, "sole");
    const truth = truthOf(task);
    const { scale } = pictureTruth(task.picture);
    const pxPerMm = scale.kind === "card" ? distance(scale.corners[0], scale.corners[1]) / scale.widthMm : 1;
    const { misses } = value(scoreMarks(task, moved(truth, "toe", [5 * pxPerMm, 0])));
    const off = Object.fromEntries(misses.map((one) => [one.of, one.off]));
    expect(off["Toe"]).toBeGreaterThan(4.7);
    expect(off["Toe"]).toBeLessThan(5.3);
    expect(Object.values(off).filter((mm) => mm > 1e-9)).toHaveLength(1);
  });

  test("a mark that only has to lie on a line may lie anywhere on it, and misses by its distance from it", () => {
    const task = measureTask(8, 1, "side");
    const truth = truthOf(task);
    const along = (from: string, to: string, part: number): ImagePoint => [
      (truth[from]?.[0] ?? 0) + ((truth[to]?.[0] ?? 0) - (truth[from]?.[0] ?? 0)) * part,
      (truth[from]?.[1] ?? 0) + ((truth[to]?.[1] ?? 0) - (truth[from]?.[1] ?? 0)) * part,
    ];
    const { misses } = value(
      scoreMarks(task, {
        ...truth,
        pasternHigh: along("pasternLow", "pasternHigh", 0.8),
        wallHigh: along("hairlineToe", "wallMid", 0.4),
      }),
    );
    for (const { off } of misses) expect(off).toBeLessThan(0.3);
    const beside = value(scoreMarks(task, moved(truth, "wallHigh", [40, 0])));
    expect(beside.misses.find(({ of }) => of === "Wall, high")?.off).toBeGreaterThan(4);
  });

  test("medial and lateral changed over is a miss by the width of the foot, not a true reading", () => {
    const task = measureTask(4, 2, "sole");
    const { misses, score, sidesChanged: told } = value(scoreMarks(task, sidesChanged(truthOf(task))));
    expect(told).toBe(true);
    expect(value(scoreMarks(task, truthOf(task))).sidesChanged).toBe(false);
    expect(value(scoreMarks(task, moved(truthOf(task), "toe", [60, 0]))).sidesChanged).toBe(false);
    expect(Math.max(...misses.map(({ off }) => off))).toBeGreaterThan(60);
    expect(score).toBeLessThan(60);
  });

  test("a foot and its mirror image, missed alike, score alike", () => {
    const random = seededRandom(21);
    for (const view of MEASURED_VIEWS) {
      const slanted = measureTask(31, 3, view);
      const { foot, shot } = slanted.picture;
      // Square to the foot: the card lies on one side of both, and nothing but the foot is mirrored.
      const square = { ...slanted.picture, shot: { ...shot, slantDeg: 0, rollDeg: 0 } };
      const task: MeasureTask = { ...slanted, picture: square };
      const mirror: MeasureTask = {
        ...slanted,
        picture: { ...square, foot: { ...foot, limb: pairOf(foot.limb) } },
      };
      const [truth, other] = [truthOf(task), truthOf(mirror)];
      const [mine, theirs] = [{ ...truth }, { ...other }];
      for (const mark of task.marks) {
        const [dx, dy] = [normalDraw(random, 0, 6), normalDraw(random, 0, 6)];
        Object.assign(mine, moved(mine, mark, [dx, dy]));
        Object.assign(theirs, moved(theirs, mark, [-dx, dy]));
      }
      const [a, b] = [value(scoreMarks(task, mine)), value(scoreMarks(mirror, theirs))];
      expect(a.score).toBeLessThan(99);
      // The limb's middle lies as far off the plane as the limb does, so that its line leans a little with the place of the
      // camera, which is not mirrored.
      expect(Math.abs(b.score - a.score)).toBeLessThan(view === "rear" ? 0.05 : 1e-6);
    }
  });

  test("what is not placed is named", () => {
    const task = measureTask(4, 1, "rear");
    const { heelMedial: _left, ...rest } = truthOf(task);
    expect(scoreMarks(task, rest)).toMatchObject({
      ok: false,
      issues: [{ code: "not-placed", message: "Not placed yet: Heel, medial." }],
    });
  });

  test("a twin is the same foot from elsewhere: its true reading is the same, its picture is not, and both make pairs", () => {
    const first = measureTask(17, 6, "side");
    const twin = twinTask(first, 99);
    expect(twin.picture.foot).toEqual(first.picture.foot);
    expect(truthOf(twin)).not.toEqual(truthOf(first));
    const [a, b] = [value(scoreMarks(first, truthOf(first))), value(scoreMarks(twin, truthOf(twin)))];
    const pairs = pairsOfReadings("2026-11-23", a.values, b.values);
    expect(pairs.map(({ measure }) => measure)).toContain("dorsalAngle");
    for (const pair of pairs) expect(Math.abs(pair.a - pair.b)).toBeLessThan(1.5);
  });
});

test("a try as it is kept is what its schema wants", () => {
  const task = measureTask(4, 2, "rear");
  const { misses, score } = value(scoreMarks(task, truthOf(task)));
  const kept = {
    id: "t",
    date: "2026-11-23",
    at: "2026-11-23T10:00:00Z",
    room: "measure",
    what: "From behind",
    level: 2,
    next: levelAfter(2, score),
    score,
    seconds: 40,
    misses,
  };
  expect(trySchema.safeParse(kept).success).toBe(true);
  expect(trySchema.safeParse({ ...kept, level: 10 }).success).toBe(false);
});
