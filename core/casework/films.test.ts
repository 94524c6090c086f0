import { describe, expect, test } from "@jest/globals";
import { caseOf } from "../case/case.fixture";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf, toeYOf } from "../foot/parametric/parameters";
import { recordOfMarks } from "../foot/records/keptSurvey";
import type { SolarMarks } from "../foot/survey/frame";
import { readingId, type Reading } from "../foot/records/reading";
import type { Film } from "../radiograph/filmRecord";
import { filmScene, ORDINARY_INSIDE } from "../radiograph/standInFilm";
import { filmedOn } from "../visit/filmOfFoot";
import { findingsOf } from "../visit/findings";
import { footFacts } from "../visit/footFacts";
import { visitFoot } from "../visit/visitFoot";
import { noiseOf } from "../foot/records/pairs";
import { DEFAULT_SETTINGS } from "../record/settings";
import type { Horse } from "../record/horse";
import { caseProgress } from "./caseProgress";
import { caseStanding } from "./caseStanding";
import type { CaseRecords } from "./exitFacts";
import { outsideErrors } from "./outsideError";
import { wording, DAYS, visitOn, readingOn, none, records, stage, filmOn } from "./casework.fixture";

describe("films in a case", () => {
  const thin = caseOf({
    kind: "laminitis",
    opened: DAYS[0]!,
    stages: [stage("sole", { exit: [{ kind: "sole depth", least: 13 }] }), stage("next", { exit: [] })],
  });
  const withFilms = (...films: Film[]): CaseRecords => ({ ...records, films });

  test("an exit test on a radiograph takes the newest one up to the visit; one since then stands beside the visits", () => {
    const standing = caseStanding(
      thin,
      withFilms(filmOn("2026-09-01", 9), filmOn("2026-11-08", 14)),
      "2026-11-10",
      wording,
    );
    expect(standing.feet[0]?.tested.map(({ date, answers }) => [date, answers[0]?.answer.state])).toEqual([
      [DAYS[0], "not measured"],
      [DAYS[1], "not measured"],
      [DAYS[2], "not yet"],
      [DAYS[3], "not yet"],
      ["2026-11-08", "met"],
    ]);
    expect(standing.feet.map(({ ready }) => ready)).toEqual([true, false]);
  });

  test("a film of before the stage began does not count in it", () => {
    const later = {
      ...thin,
      moves: { m: { on: DAYS[3]!, limb: "LF" as const, stage: "next", because: "" } },
    };
    const only = {
      ...later,
      stages: [later.stages[0]!, stage("next", { exit: [{ kind: "sole depth", least: 13 }] })],
    };
    const standing = caseStanding(only, withFilms(filmOn("2026-09-01", 14)), "2026-11-10", wording);
    expect(standing.feet[0]?.tested.at(-1)?.answers[0]?.answer.state).toBe("not measured");
  });

  test("its progress is read off the films, oldest first", () => {
    const { points } = caseProgress(
      thin,
      { name: "sole depth", limb: "LF" },
      withFilms(filmOn("2026-11-08", 14), filmOn("2026-09-01", 9)),
      {
        hemisphere: "north",
        perDay: undefined,
        wallMm: undefined,
        today: "2026-11-10",
      },
    );
    expect(points.map(({ date, value }) => [date, Math.round(value * 10) / 10])).toEqual([
      ["2026-09-01", 9],
      ["2026-11-08", 14],
    ]);
  });
});

describe("a film laid onto the sole that was surveyed about its day", () => {
  const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
  const marks = Object.fromEntries(
    Object.entries(soleLandmarks(foot)).map(([mark, [x, y]]) => [mark, { x, y }]),
  ) as SolarMarks;
  const surveyed = {
    ...readingOn("2026-09-23", "LF", 50, undefined),
    sole: recordOfMarks(marks, "calliper"),
    sulcusDepthMm: 14,
  };
  const scene = filmScene(foot, { ...ORDINARY_INSIDE, soleMm: 17, breakoverMm: 0 }, "lateral");
  const corY = scene.marks["joint 3"]![0];
  const fed = (film: Film, day = "2026-11-10") =>
    filmedOn("LF", day, { films: [film], readings: [surveyed], shoes: [] });
  const without =
    (...names: string[]) =>
    (points: Film["points"]) =>
      Object.fromEntries(Object.entries(points).filter(([name]) => !names.includes(name)));

  test.each([
    ["the tack at the frog’s point", []],
    ["the tack at the widest line", ["frogTack"]],
    ["the toe, where no tack was set", ["frogTack", "wideTack"]],
  ])("by %s the centre of rotation is where it was made", (_by, left) => {
    expect(fed(filmOn("2026-09-25", 17, without(...left)))?.corY).toBeCloseTo(corY, 0);
  });

  test("no survey within three weeks, a film of later, or one older than a year: nothing is fed", () => {
    expect(fed(filmOn("2026-10-20", 17))).toBeUndefined();
    expect(fed(filmOn("2026-09-25", 17), "2026-09-24")).toBeUndefined();
    expect(fed(filmOn("2026-09-25", 17), "2027-09-26")).toBeUndefined();
  });

  test("the user’s own error is the outside estimate less the film, with its count", () => {
    const errors = outsideErrors({ films: [filmOn("2026-09-25", 17)], readings: [surveyed], shoes: [] });
    const [centre] = errors;
    expect(centre).toMatchObject({ what: "centre of rotation", n: 1, sd: undefined });
    expect(centre!.mean).toBeCloseTo(corYOf(foot) - corY, 0);
    expect(errors.find(({ what }) => what.startsWith("sulcus"))?.mean).toBeCloseTo(14 - 17, 3);
    expect(toeYOf(foot)).toBeGreaterThan(corY);
  });
});

describe("the bench with a film", () => {
  const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
  const marks = Object.fromEntries(
    Object.entries(soleLandmarks(foot)).map(([mark, [x, y]]) => [mark, { x, y }]),
  ) as SolarMarks;
  const visit = visitOn("2026-09-23");
  const horse: Horse = {
    id: "h",
    yardId: "y",
    name: "Dunlin",
    kind: "horse",
    massKg: 520,
    use: "riding",
    finish: "full set",
    habits: "",
    notes: "",
  };
  const surveyed: Reading = {
    ...readingOn(visit.date, "LF", 50, undefined),
    id: readingId(visit.id, "LF", "before"),
    moment: "before",
    sole: recordOfMarks(marks, "calliper"),
    sulcusDepthMm: 8,
  };
  const factsWith = (...films: Film[]) => {
    const own = { ...none, readings: [surveyed], films };
    const [left, right] = (["LF", "RF"] as const).map((limb) => visitFoot(visit, limb, own));
    return footFacts(
      left!,
      right!,
      { visit, moment: "before", horse, noise: noiseOf(DEFAULT_SETTINGS), wording, bounds: {} },
      surveyed.values,
    );
  };
  const says = (films: Film[]) => findingsOf(factsWith(...films)).map(({ id }) => id);

  test("centre of rotation, tip and halves are the film’s, dated; the ratios that findings go by stay the estimates’", () => {
    const [plain, filmed] = [factsWith(), factsWith(filmOn("2026-09-22", 17))];
    expect(filmed.filmed).toMatchObject({ date: "2026-09-22", standIn: true });
    const back = plain.survey.cor!.median - filmed.survey.cor!.median;
    expect(filmed.survey.cor!.film).toBe(filmed.survey.cor!.median);
    expect(back).toBeGreaterThan(5);
    expect(filmed.survey.front! - plain.survey.front!).toBeCloseTo(back, 6);
    expect(plain.survey.support! - filmed.survey.support!).toBeCloseTo(back, 6);
    expect(filmed.ratios).toEqual(plain.ratios);
  });

  test("a shallow sulcus is a suspicion that a film settles, either way", () => {
    expect(says([])).toContain("thin-sole");
    expect(says([filmOn("2026-09-22", 17)])).not.toContain("thin-sole");
    expect(says([filmOn("2026-09-22", 9)])).toContain("thin-sole");
  });
});
