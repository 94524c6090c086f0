import { caseOf } from "../case/case.fixture";
import type { CaseStage } from "../case/caseRecord";
import { ordinaryFoot } from "../foot/parametric/fit";
import { nothingRead, readingId, type Reading } from "../foot/records/reading";
import { wordingFor } from "../foot/wording";
import type { Film } from "../radiograph/filmRecord";
import { filmTruth, shotOf } from "../radiograph/filmShot";
import { filmScene, ORDINARY_INSIDE } from "../radiograph/standInFilm";
import { blankVisit, type Visit } from "../record/visit";
import { trimId } from "../trim/trimRecord";
import type { CaseRecords } from "./exitFacts";

export const wording = wordingFor({
  unit: "mm",
  fraction: 16,
  side: "medial-lateral",
  leftRight: "left-right",
});
export const gauge = (value: number) => ({ value, source: "gauge" as const });
export const DAYS = ["2026-07-01", "2026-08-12", "2026-09-23", "2026-11-04"] as const;

export const visitOn = (date: string, more: Partial<Visit> = {}): Visit => ({
  id: date,
  horseId: "h",
  date,
  status: "signed",
  ...blankVisit(),
  ...more,
});
export const readingOn = (
  date: string,
  limb: "LF" | "RF",
  wall: number,
  heel: number | undefined,
): Reading => ({
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
export const trimOn = (date: string, limb: "LF" | "RF") => ({
  id: trimId(date, limb),
  visitId: date,
  horseId: "h",
  limb,
  date,
  cuts: { toe: 4 },
  ticks: {},
  past: {},
});
export const none: CaseRecords = {
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
export const records: CaseRecords = {
  ...none,
  visits: DAYS.map((date) => visitOn(date)),
  readings: DAYS.flatMap((date, at) => [
    readingOn(date, "LF", 50, [38, 42, 44.5, 46][at]),
    readingOn(date, "RF", 50, at === 3 ? undefined : 42),
  ]),
  trims: DAYS.flatMap((date) => [trimOn(date, "LF"), trimOn(date, "RF")]),
};
export const stage = (id: string, more: Partial<CaseStage> = {}): CaseStage => ({
  id,
  name: id,
  says: "",
  feet: ["LF", "RF"],
  asks: {},
  exit: [{ kind: "heels like wall", within: 5 }],
  ...more,
});
export const plan = caseOf({
  opened: DAYS[1],
  stages: [stage("raised", { shoeings: 2 }), stage("plain", { exit: [] })],
});

/** A film of a foot with every mark in its place. */
export function filmOn(
  date: string,
  soleMm: number,
  points?: (truth: Film["points"]) => Film["points"],
): Film {
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
