import type { Reading, SoleRecord } from "./reading";
import type { Limb } from "../limb";
import type { Source } from "../measures";
import type { SolarMarks } from "../survey/frame";
import { SURVEY_MARKS } from "../survey/marks";
import { impossibleMarks, surveySole, withoutNamed, type SoleSurvey } from "../survey/survey";
import type { Issue } from "../../result";

/** The marks of a kept survey without their sources. */
export function marksOf(sole: SoleRecord): SolarMarks {
  const marks: SolarMarks = {};
  for (const mark of SURVEY_MARKS) {
    const kept = sole[mark];
    if (!kept) continue;
    marks[mark] = { ...(kept.x && { x: kept.x.value }), ...(kept.y && { y: kept.y.value }) };
  }
  return marks;
}

/** Marks as they are kept, all from one source; numbers to a hundredth of a millimetre. */
export function recordOfMarks(marks: SolarMarks, source: Source): SoleRecord {
  // Plus zero: a rounded -0 would not come back from a file as it was.
  const tidy = (value: number) => Math.round(value * 100) / 100 + 0;
  return Object.fromEntries(
    Object.entries(marks).map(([mark, { x, y }]) => [
      mark,
      {
        ...(x !== undefined && { x: { value: tidy(x), source } }),
        ...(y !== undefined && { y: { value: tidy(y), source } }),
      },
    ]),
  );
}

/** A kept survey read: impossible marks named and left out. */
export function surveyOfRecord(
  sole: SoleRecord,
  limb: Limb,
  knownK?: number,
): { marks: SolarMarks; survey: SoleSurvey; issues: Issue[] } {
  const all = marksOf(sole);
  const issues = impossibleMarks(all);
  const marks = withoutNamed(all, issues);
  return { marks, survey: surveySole(marks, limb, knownK), issues };
}

/** The size factor of a foot, fixed by its first survey that tells it: a length would carry the very fault measured. */
export function knownSize(surveys: readonly Pick<Reading, "sole" | "limb">[]): number | undefined {
  for (const { sole, limb } of surveys) {
    const { k } = surveyOfRecord(sole, limb).survey;
    if (k !== undefined) return k;
  }
  return undefined;
}
