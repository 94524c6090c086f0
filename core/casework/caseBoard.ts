import type { IsoDate } from "../calendar/date";
import type { Case } from "../case/caseRecord";
import type { Wording } from "../foot/wording";
import { caseAlerts, caseStanding, type CaseAlert, type CaseStanding } from "./caseStanding";
import type { CaseRecords } from "./exitFacts";

/** The records of several horses that their cases are judged from. */
export interface CareRecords extends CaseRecords {
  cases: readonly Case[];
}

/** A case with where it stands and what cannot wait. */
export interface CaseRow extends CaseStanding {
  alerts: CaseAlert[];
}

const ofHorse = <Row extends { horseId: string }>(rows: readonly Row[], horseId: string): Row[] =>
  rows.filter((row) => row.horseId === horseId);

/** What of the records is one horse's. */
export const careOf = (care: CaseRecords, horseId: string): CaseRecords => ({
  visits: ofHorse(care.visits, horseId),
  readings: ofHorse(care.readings, horseId),
  trims: ofHorse(care.trims, horseId),
  shoes: ofHorse(care.shoes, horseId),
  looks: ofHorse(care.looks, horseId),
  photos: ofHorse(care.photos, horseId),
  films: ofHorse(care.films, horseId),
  watchings: [],
});

const urgency = ({ alerts }: CaseRow): number =>
  alerts.some(({ level }) => level === "act") ? 0 : alerts.length > 0 ? 1 : 2;

/** Every case with its standing on a day: what wants somebody first, closed ones last. */
export function caseRows(care: CareRecords, day: IsoDate, wording: Wording): CaseRow[] {
  return care.cases
    .map((one): CaseRow => {
      const standing = caseStanding(one, careOf(care, one.horseId), day, wording);
      return { ...standing, alerts: caseAlerts(standing, wording) };
    })
    .sort(
      (a, b) =>
        Number(a.one.status === "closed") - Number(b.one.status === "closed") ||
        urgency(a) - urgency(b) ||
        a.name.localeCompare(b.name),
    );
}

/** What cannot wait, by horse. */
export function alertsByHorse(rows: readonly CaseRow[]): Record<string, CaseAlert[]> {
  const found: Record<string, CaseAlert[]> = {};
  for (const { one, alerts } of rows) found[one.horseId] = [...(found[one.horseId] ?? []), ...alerts];
  return found;
}
