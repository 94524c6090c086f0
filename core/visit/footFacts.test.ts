import { describe, expect, test } from "@jest/globals";
import { visitFoot, type FootRecords } from "./visitFoot";
import { progressWords, stageDone } from "./progress";
import { footEdit, footPlace } from "../record/footRecords";
import { applyEdit } from "../record/edit";
import { readingSchema, type Moment, type Reading } from "../foot/records/reading";
import { DEFAULT_SETTINGS } from "../record/settings";
import { TABLES } from "../record/schemas";
import { blankVisit, type Visit } from "../record/visit";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { wordingFor } from "../foot/wording";
import { HORSE as horse } from "../record/horse.fixture";
import type { Limb } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleFigure } from "../foot/parametric/figure";
import { fitFoot } from "../foot/parametric/fit";
import { halvesOf } from "../foot/parametric/halves";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { recordOfMarks, surveyOfRecord } from "../foot/records/keptSurvey";
import type { SolarMarks } from "../foot/survey/frame";
import { footFacts } from "./footFacts";
import { findingsOf } from "./findings";
import { standingFindings } from "./standing";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const visit = (id: string, date: string, status: Visit["status"] = "signed"): Visit => ({
  id,
  horseId: "h",
  date,
  status,
  ...blankVisit(),
});
const [OLD, NOW] = [visit("old", "2026-10-01"), visit("now", "2026-11-10", "open")];

const marks = (change: Partial<ReturnType<typeof ordinaryFoot>>, limb: Limb = "LF"): SolarMarks =>
  Object.fromEntries(
    Object.entries(soleLandmarks({ ...ordinaryFoot(limb, horse), ...change })).map(([mark, [x, y]]) => [
      mark,
      { x, y },
    ]),
  );
const reading = (at: Visit, moment: Moment, toe: number, sole: SolarMarks = {}, limb: Limb = "LF"): Reading =>
  readingSchema.parse({
    ...footPlace("readings", at, limb, moment),
    values: {
      toeLength: { value: toe, source: "calliper" },
      dorsalAngle: { value: 50, source: "gauge" },
      pasternAngle: { value: 50, source: "gauge" },
    },
    sole: recordOfMarks(sole, "calliper"),
  });
const records = (...readings: Reading[]): FootRecords => ({
  readings,
  trims: [],
  watchings: [],
  looks: [],
  photos: [],
  shoes: [],
});

const factsAt = (kept: FootRecords, moment: Moment = "before") => {
  const foot = visitFoot(NOW, "LF", kept);
  return footFacts(
    foot,
    visitFoot(NOW, "RF", kept),
    {
      visit: NOW,
      moment,
      horse,
      noise: GENERAL_NOISE.value,
      wording,
      bounds: {},
    },
    foot.values[moment],
  );
};

describe("footFacts", () => {
  test("before the trim a foot is held against how the last visit left it", () => {
    const facts = factsAt(
      records(reading(OLD, "before", 95), reading(OLD, "after", 86), reading(NOW, "before", 97)),
    );
    expect(facts.last?.measures.toeLength).toBe(86);
    expect(findingsOf(facts).find(({ id }) => id === "change")?.text).toBe(
      "Since the last trim: toe up 11 mm.",
    );
  });

  test("after the trim it is held against before it", () => {
    const facts = factsAt(records(reading(NOW, "before", 97), reading(NOW, "after", 88)), "after");
    expect(facts.last?.measures.toeLength).toBe(97);
    expect(facts.lastName).toBe("before the trim");
  });

  test("a survey made before the last trim is history, not how the foot was left", () => {
    const kept = records(
      reading(OLD, "before", 95, marks({ toeRunMm: 14 })),
      reading(OLD, "after", 86),
      reading(NOW, "before", 96, marks({ toeRunMm: 4 })),
    );
    const facts = factsAt(kept);
    expect(facts.last?.survey.front).toBeUndefined();
    expect(facts.earlier?.date).toBe("2026-10-01");
    expect(facts.earlier?.state.survey.toeExcess).toBeGreaterThan(facts.survey.toeExcess ?? 99);
  });

  test("a foot keeps the size of its first survey: a flare later does not make the bone larger", () => {
    const kept = records(
      reading(OLD, "before", 86, marks({})),
      reading(NOW, "before", 90, { ...marks({}), wideLateral: { x: 90, y: 63 } }),
    );
    const { survey } = factsAt(kept);
    expect(survey.width).toBeGreaterThan(140);
    expect(survey.k).toBeCloseTo(surveyOfRecord(kept.readings[0]?.sole ?? {}, "LF").survey.k ?? 0, 9);
  });

  test("the pair at the same visit takes part; a foot without a reading has none", () => {
    const kept = records(reading(NOW, "before", 90), reading(NOW, "before", 90, marks({}, "RF"), "RF"));
    expect(factsAt(kept).pair?.limb).toBe("RF");
    expect(factsAt(records(reading(NOW, "before", 90))).pair).toBeUndefined();
  });

  test("what stands on the horse's page is what was left, and says nothing of change", () => {
    const kept = records(reading(OLD, "before", 100), reading(OLD, "after", 86));
    const found = standingFindings(horse, "LF", OLD, kept, DEFAULT_SETTINGS, wording);
    expect(found.map(({ id }) => id)).toEqual(["straight", "toe-right"]);
  });
});

describe("the drawn foot follows its survey", () => {
  const sole = marks({ toeRunMm: 12, heelRunMm: 11, curlMm: { medial: 3, lateral: 0 } });
  const { survey } = surveyOfRecord(recordOfMarks(sole, "calliper"), "LF");

  test("front and support of the side view are those of the survey, not the estimate", () => {
    const { foot } = fitFoot({}, ordinaryFoot("LF", horse), { survey });
    const { frontMm, supportMm } = halvesOf(foot);
    expect(frontMm).toBeCloseTo(survey.front ?? 0, 6);
    expect(supportMm).toBeCloseTo(survey.support ?? 0, 6);
  });

  test("heel angle, dish and lean are drawn as they were read, not as the base had them", () => {
    const { foot } = fitFoot({ dorsalAngle: { value: 46, source: "photo" } }, ordinaryFoot("LF", horse), {
      side: { heelAngle: { value: 37, source: "photo" }, dish: { value: 4, source: "photo" } },
      rear: { limbDeviation: { value: -3, source: "photo" } },
    });
    expect(foot).toMatchObject({ dorsalAngleDeg: 46, heelAngleDeg: 37, dishDeg: 4, limbDeviationDeg: -3 });
  });

  test("the sole's figure goes through the marks, with the survey's centre of rotation", () => {
    const figure = soleFigure(ordinaryFoot("LF", horse), sole, survey.cor?.median);
    expect(figure.corY).toBe(survey.cor?.median);
    expect(figure.toeY).toBe(sole.toe?.y);
    expect(figure.heelY).toBeCloseTo(((sole.heelMedial?.y ?? 0) + (sole.heelLateral?.y ?? 0)) / 2, 9);
    expect(figure.outline.flat().every(Number.isFinite)).toBe(true);
  });
});

describe("a foot's records", () => {
  test("a change to a record that is there is an edit of one place; to one that is not, the record with that value", () => {
    const blank = footPlace("looks", NOW, "LH", "before");
    const made = footEdit(blank, "looks", undefined, { path: ["wear", "toe"], now: "thin", label: "wear" });
    expect(made.path).toEqual([]);
    const applied = applyEdit(undefined, made);
    if (applied.kind !== "applied") throw new Error("conflict");
    const record = TABLES.looks.parse(applied.record);
    expect(record.wear).toEqual({ toe: "thin" });
    const changed = footEdit(blank, "looks", record, {
      path: ["wear", "toe"],
      now: "through",
      label: "wear",
    });
    expect(changed).toMatchObject({ path: ["wear", "toe"], was: "thin", now: "through" });
  });

  test.each(["readings", "trims", "watchings", "looks"] as const)(
    "an empty %s record passes its own schema",
    (table) => {
      expect(TABLES[table].safeParse(footPlace(table, NOW, "RF", "after")).success).toBe(true);
    },
  );

  test("a stage's dot and words follow what was watched, read and surveyed", () => {
    const kept: FootRecords = {
      ...records(
        readingSchema.parse({
          ...footPlace("readings", NOW, "LF", "before"),
          walls: { toe: { thickness: 10 } },
        }),
      ),
      watchings: [
        TABLES.watchings.parse({ ...footPlace("watchings", NOW, "LF", "before"), flight: "swings in" }),
      ],
      looks: [TABLES.looks.parse({ ...footPlace("looks", NOW, "LF", "before"), wear: { toe: "worn" } })],
    };
    const [left, right] = [visitFoot(NOW, "LF", kept), visitFoot(NOW, "RF", kept)];
    for (const stage of ["watch", "read", "survey"] as const)
      expect([stageDone(stage, NOW, left), stageDone(stage, NOW, right)]).toEqual([true, false]);
    expect([
      progressWords("watch", left),
      progressWords("read", left),
      progressWords("survey", left),
    ]).toEqual(["seen", "read", "sole"]);
    expect(progressWords("watch", right)).toBe("·");
  });
});
