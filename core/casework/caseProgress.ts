import { addDays, daysBetween, type IsoDate } from "../calendar/date";
import { seasonDays, type Hemisphere } from "../calendar/season";
import type { Case } from "../case/caseRecord";
import { PROGRESS, type ProgressName } from "../case/progress";
import { sideByHand } from "../foot/records/byHand";
import type { Limb } from "../foot/limb";
import { readFilm } from "../radiograph/readFilm";
import { defectsOf } from "./defects";
import type { CaseRecords } from "./exitFacts";

/** How one measure of a case has gone on one foot, in its own unit. */
export interface Progress {
  name: ProgressName;
  limb: Limb;
  kind: "angle" | "length";
  target: number | undefined;
  points: { date: IsoDate; value: number }[];
  /** What growth alone makes of it, from its first value on; only of a defect. */
  byGrowth: { date: IsoDate; value: number }[];
}

interface ProgressContext {
  hemisphere: Hemisphere;
  /** Horn a season-even day, mm. */
  perDay: number | undefined;
  /** Wall from hairline to ground where the defect is, mm. */
  wallMm: number | undefined;
  today: IsoDate;
}

/** One row of a case's progress as a series, oldest first. */
export function caseProgress(
  one: Case,
  { name, limb, target }: Case["progress"][number],
  records: CaseRecords,
  context: ProgressContext,
): Progress {
  const { kind, from } = PROGRESS[name];
  const points =
    from === "visit"
      ? visitPoints(name, limb, records)
      : from === "film"
        ? filmPoints(name, limb, records)
        : defectsOf(one, limb, records).flatMap(({ date, length, below, gone }) => {
            const value = name === "defect length" ? (gone ? 0 : length) : below;
            return value === undefined ? [] : [{ date, value }];
          });
  return {
    name,
    limb,
    kind,
    target,
    points: sinceCase(one, points),
    byGrowth: from === "defect" ? grown(one, name, limb, records, context) : [],
  };
}

/** From the day on which the case was opened, with the last value before it. */
function sinceCase({ opened }: Case, points: Progress["points"]): Progress["points"] {
  if (opened === undefined) return points;
  const first = points.findIndex(({ date }) => date >= opened);
  return first < 0 ? points.slice(-1) : points.slice(Math.max(0, first - 1));
}

function visitPoints(name: ProgressName, limb: Limb, { readings, visits }: CaseRecords): Progress["points"] {
  return [...visits]
    .filter(({ status }) => status !== "planned")
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap(({ id, date }) => {
      const own = readings.filter((one) => one.visitId === id && one.limb === limb);
      const [before, after] = (["before", "after"] as const).map((moment) =>
        own.find((one) => one.moment === moment),
      );
      const values = { ...before?.values, ...after?.values };
      const at = (measure: keyof typeof values) => values[measure]?.value;
      const [medial, lateral] = [at("heelHeightMedial"), at("heelHeightLateral")];
      const widths = Object.values({ ...before?.walls, ...after?.walls }).flatMap(
        (wall) => wall.whiteLine ?? [],
      );
      const side = {
        ...sideByHand(before?.values ?? {}, before?.side),
        ...sideByHand(after?.values ?? {}, after?.side),
      };
      const [dorsal, pastern] = [at("dorsalAngle"), at("pasternAngle")];
      const found: Partial<Record<ProgressName, number | undefined>> = {
        "dorsal angle": dorsal,
        axis: dorsal === undefined || pastern === undefined ? undefined : dorsal - pastern,
        "toe length": at("toeLength"),
        "heel height": medial === undefined || lateral === undefined ? undefined : (medial + lateral) / 2,
        "heel angle": side.heelAngle?.value,
        "white line": widths.length > 0 ? Math.max(...widths) : undefined,
      };
      const value = found[name];
      return value === undefined ? [] : [{ date, value }];
    });
}

function filmPoints(name: ProgressName, limb: Limb, { films }: CaseRecords): Progress["points"] {
  return [...films]
    .filter((film) => film.limb === limb && film.view === "lateral")
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap((film) => {
      const read = readFilm(film);
      if (!read.ok || !read.value.lateral) return [];
      const { soleDepth, palmarAngle, capsuleRotation } = read.value.lateral;
      const value =
        name === "sole depth" ? soleDepth?.tip : name === "palmar angle" ? palmarAngle : capsuleRotation;
      return value === undefined ? [] : [{ date: film.date, value }];
    });
}

/** Days between two points of the line of growth. */
const STEP_DAYS = 14;

/**
 * What growth alone does to the first defect that was measured: its upper end goes down with the horn, its lower end too
 * until it comes to the ground, and what lies past the ground is gone. Mm.
 */
function grown(
  one: Case,
  name: ProgressName,
  limb: Limb,
  records: CaseRecords,
  { hemisphere, perDay, wallMm, today }: ProgressContext,
): Progress["byGrowth"] {
  const first = defectsOf(one, limb, records).find(
    ({ below, length }) => below !== undefined && length !== undefined,
  );
  if (first?.below === undefined || first.length === undefined || perDay === undefined) return [];
  const { below, length, above, date } = first;
  const wall = above === undefined ? wallMm : below + length + above;
  if (wall === undefined) return [];
  const days = Math.max(0, daysBetween(date, today));
  const line: Progress["byGrowth"] = [];
  for (let day = 0; ; day = Math.min(day + STEP_DAYS, days)) {
    const at = addDays(date, day);
    const horn = perDay * seasonDays(date, at, hemisphere);
    const upper = below + horn;
    line.push({
      date: at,
      value:
        name === "defect length"
          ? Math.max(0, Math.min(below + length + horn, wall) - upper)
          : Math.min(upper, wall),
    });
    if (day >= days) return line;
  }
}

/** The measures that a case of a kind is usually followed by, offered when it is opened. */
export const USUAL_PROGRESS: Record<Case["kind"], readonly ProgressName[]> = {
  "sore heels": ["heel angle", "axis", "heel height"],
  laminitis: ["palmar angle", "sole depth", "capsule rotation"],
  crack: ["defect length", "defect below hairline"],
  "resected wall": ["defect length", "defect below hairline"],
  "white line disease": ["white line", "defect length"],
  abscess: ["defect below hairline"],
  "club foot": ["dorsal angle", "axis"],
  "sheared heel": ["heel height"],
  injury: [],
  other: [],
};
