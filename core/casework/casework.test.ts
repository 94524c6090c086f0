import { describe, expect, test } from "@jest/globals";
import { caseOf } from "../case/case.fixture";
import type { CaseStage } from "../case/caseRecord";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf, toeYOf } from "../foot/parametric/parameters";
import { recordOfMarks } from "../foot/records/keptSurvey";
import type { SolarMarks } from "../foot/survey/frame";
import { nothingRead, readingId, type Reading } from "../foot/records/reading";
import { wordingFor } from "../foot/wording";
import type { Photo } from "../photo/photoRecord";
import type { Film } from "../radiograph/filmRecord";
import { filmTruth, shotOf } from "../radiograph/filmShot";
import { filmScene, ORDINARY_INSIDE } from "../radiograph/standInFilm";
import { blankVisit, type Visit } from "../record/visit";
import { trimId } from "../trim/trimRecord";
import { filmedOn } from "../visit/filmOfFoot";
import { findingsOf } from "../visit/findings";
import { footFacts } from "../visit/footFacts";
import { visitFoot } from "../visit/visitFoot";
import { noiseOf } from "../foot/records/pairs";
import { DEFAULT_SETTINGS } from "../record/settings";
import type { Horse } from "../record/horse";
import { alertsByHorse, caseRows } from "./caseBoard";
import { caseProgress } from "./caseProgress";
import { caseAlerts, caseStanding, standingInWords } from "./caseStanding";
import { pictureChecklist } from "./checklist";
import type { CaseRecords } from "./exitFacts";
import { outsideErrors } from "./outsideError";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const gauge = (value: number) => ({ value, source: "gauge" as const });
const DAYS = ["2026-07-01", "2026-08-12", "2026-09-23", "2026-11-04"];

const visitOn = (date: string, more: Partial<Visit> = {}): Visit => ({
  id: date,
  horseId: "h",
  date,
  status: "signed",
  ...blankVisit(),
  ...more,
});
const readingOn = (date: string, limb: "LF" | "RF", wall: number, heel: number | undefined): Reading => ({
  id: readingId(date, limb, "after"),
  visitId: date,
  horseId: "h",
  limb,
  moment: "after",
  date,
  ...nothingRead(),
  values: { dorsalAngle: gauge(wall), pasternAngle: gauge(50) },
  side: heel === undefined ? {} : { heelAngle: gauge(heel) },
});
const trimOn = (date: string, limb: "LF" | "RF") => ({
  id: trimId(date, limb),
  visitId: date,
  horseId: "h",
  limb,
  date,
  cuts: { toe: 4 },
  ticks: {},
  past: {},
});
const none: CaseRecords = {
  visits: [],
  readings: [],
  trims: [],
  shoes: [],
  looks: [],
  photos: [],
  films: [],
  watchings: [],
};
/** Heels of the left fore come up from 12 to 4 degrees under the wall; the right one is not measured at the last visit. */
const records: CaseRecords = {
  ...none,
  visits: DAYS.map((date) => visitOn(date)),
  readings: DAYS.flatMap((date, at) => [
    readingOn(date, "LF", 50, [38, 42, 44.5, 46][at]),
    readingOn(date, "RF", 50, at === 3 ? undefined : 42),
  ]),
  trims: DAYS.flatMap((date) => [trimOn(date, "LF"), trimOn(date, "RF")]),
};
const stage = (id: string, more: Partial<CaseStage> = {}): CaseStage => ({
  id,
  name: id,
  says: "",
  feet: ["LF", "RF"],
  asks: {},
  exit: [{ kind: "heels like wall", within: 5 }],
  ...more,
});
const plan = caseOf({
  opened: DAYS[1]!,
  stages: [stage("raised", { shoeings: 2 }), stage("plain", { exit: [] })],
});

describe("where a case stands", () => {
  const standing = caseStanding(plan, records, "2026-11-10", wording);
  const [left, right] = standing.feet;

  test("shoeings are counted from the day the stage began, each foot for itself", () => {
    expect([left?.shoeings, left?.since]).toEqual([3, DAYS[1]]);
    const moved = caseStanding(
      { ...plan, moves: { m: { on: DAYS[3]!, limb: "LF", stage: "plain", because: "" } } },
      records,
      "2026-11-10",
      wording,
    );
    expect(moved.feet.map(({ stage: at, shoeings }) => [at?.id, shoeings])).toEqual([
      ["plain", 1],
      ["raised", 3],
    ]);
  });

  test("each test is answered at every visit of the stage: not yet, not yet, met on the left; not measured on the right", () => {
    expect(left?.tested.map(({ date, answers }) => [date, answers[0]?.answer.state])).toEqual([
      [DAYS[1], "not yet"],
      [DAYS[2], "not yet"],
      [DAYS[3], "met"],
    ]);
    expect(right?.tested.at(-1)?.answers[0]?.answer.state).toBe("not measured");
  });

  test("ready where all are met; overdue where its shoeings are worn through and they are not", () => {
    expect([left?.ready, left?.overdue, right?.ready, right?.overdue]).toEqual([true, false, false, true]);
    expect(standingInWords(left!)).toBe("Raised: 3 of 2 shoeings, 1 of 1 tests met");
  });

  test("what cannot wait is said: overdue first, then ready; a paper that ran out; a stage without an exit", () => {
    expect(caseAlerts(standing, wording).map(({ kind, level }) => [kind, level])).toEqual([
      ["overdue", "act"],
      ["ready", "know"],
    ]);
    const paper = { by: "the vet", until: "2026-11-08", feet: ["LF" as const], says: "" };
    const bad = caseStanding(
      { ...plan, prescription: paper, stages: [stage("a", { exit: [] }), stage("b")] },
      records,
      "2026-11-10",
      wording,
    );
    const said = caseAlerts(bad, wording);
    expect(said.map(({ kind }) => kind)).toEqual(["expired", "no exit"]);
    expect(said[0]?.says).toContain("ran out 2 days ago");
  });

  test("while a visit is under way and has not measured all, the one before it counts; what it did measure counts at once", () => {
    const today = visitOn("2026-12-16", { status: "open" });
    const on = (...more: Reading[]) =>
      caseStanding(
        plan,
        { ...records, visits: [...records.visits, today], readings: [...records.readings, ...more] },
        "2026-12-16",
        wording,
      ).feet[0];
    expect([on()?.ready, on()?.latest?.date, on()?.tested.at(-1)?.date]).toEqual([
      true,
      DAYS[3],
      "2026-12-16",
    ]);
    expect(on(readingOn("2026-12-16", "LF", 50, 44))?.ready).toBe(false);
  });

  test("a closed case says nothing, and nothing is overdue in it", () => {
    const closed = caseStanding({ ...plan, status: "closed" }, records, "2026-11-10", wording);
    expect(caseAlerts(closed, wording)).toEqual([]);
    expect(closed.feet.some(({ overdue }) => overdue)).toBe(false);
  });

  test("on the board what wants somebody comes first, closed ones last; alerts by horse", () => {
    const rows = caseRows(
      {
        ...records,
        cases: [caseOf({ id: "quiet", horseId: "other" }), { ...plan, id: "done", status: "closed" }, plan],
      },
      "2026-11-10",
      wording,
    );
    expect(rows.map(({ one }) => one.id)).toEqual(["case", "quiet", "done"]);
    expect(alertsByHorse(rows)["h"]?.length).toBe(2);
    expect(alertsByHorse(rows)["other"]).toEqual([]);
  });
});

/** A film of a foot with every mark in its place. */
function filmOn(date: string, soleMm: number, points?: (truth: Film["points"]) => Film["points"]): Film {
  const foot = ordinaryFoot("LF", { kind: "horse", massKg: 520 });
  const scene = filmScene(foot, { ...ORDINARY_INSIDE, soleMm, breakoverMm: 0 }, "lateral");
  const truth = filmTruth(scene, shotOf(foot)) as unknown as Film["points"];
  return {
    id: `film ${date}`,
    horseId: "h",
    limb: "LF",
    view: "lateral",
    date,
    pictureId: "p",
    width: 900,
    height: 900,
    standIn: true,
    scale: { kind: "marker", mm: scene.markerMm },
    points: points ? points(truth) : truth,
    taken: {},
    shown: { low: 0, high: 1, invert: false },
    note: "",
  };
}

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

describe("a defect in pictures", () => {
  const photoOn = (date: string, below: number, length: number): Photo => ({
    id: date,
    visitId: date,
    horseId: "h",
    limb: "LF",
    moment: "before",
    view: "defect",
    date,
    takenAt: `${date}T09:00:00Z`,
    pictureId: "p",
    width: 800,
    height: 600,
    simulated: true,
    scale: { kind: "two-point", a: [0, 0], b: [100, 0], mm: 50 },
    points: {
      hairline: [400, 100],
      ground: [400, 300],
      defectUpper: [400, 100 + 2 * below],
      defectLower: [400, 100 + 2 * (below + length)],
      defectFront: [420, 180],
      defectBack: [380, 180],
    },
  });
  const one = caseOf({
    kind: "resected wall",
    feet: ["LF"],
    opened: DAYS[0]!,
    stages: [
      stage("open", { feet: ["LF"], exit: [{ kind: "defect under", under: 30 }] }),
      stage("nailed", { feet: ["LF"] }),
    ],
  });
  const pictured = { ...records, photos: [photoOn(DAYS[0]!, 10, 40), photoOn(DAYS[3]!, 45, 28)] };
  const context = { hemisphere: "north" as const, perDay: 0.28, wallMm: undefined, today: DAYS[3]! };

  test("its length is followed, and what growth alone does stands beside it: down to the ground and gone there", () => {
    const { points, byGrowth } = caseProgress(one, { name: "defect length", limb: "LF" }, pictured, context);
    expect(points.map(({ value }) => Math.round(value))).toEqual([40, 28]);
    expect(byGrowth[0]?.value).toBeCloseTo(40, 5);
    // 100 mm of wall: 10 + 40 + some 35 mm of horn are short of the ground, so none of it is gone yet.
    expect(byGrowth.at(-1)?.value).toBeCloseTo(40, 5);
    const far = caseProgress(one, { name: "defect length", limb: "LF" }, pictured, {
      ...context,
      today: "2027-06-01",
    });
    expect(far.byGrowth.at(-1)!.value).toBeLessThan(12);
  });

  test("its exit test reads the picture of the visit, and says not measured where there is none", () => {
    const { feet } = caseStanding(one, pictured, "2026-11-10", wording);
    expect(feet[0]?.tested.map(({ answers }) => answers[0]?.answer.state)).toEqual([
      "not yet",
      "not measured",
      "not measured",
      "met",
    ]);
  });

  test("the checklist asks the same views at every visit, and the defect where there is one", () => {
    const list = pictureChecklist(one, pictured.photos, DAYS[3]);
    expect(list.map(({ view }) => view)).toEqual(["front", "side", "rear", "sole", "defect"]);
    expect(list.at(-1)).toMatchObject({ last: DAYS[3], taken: true });
    expect(pictureChecklist(caseOf(), [], undefined)).toHaveLength(8);
  });
});
