import type { IsoDate } from "../calendar/date";
import type { WorkWeek } from "./workload";

/** What half a year of weeks says: when work outgrows the hours, and by how much it piles up. */
export function weeksInWords(weeks: readonly WorkWeek[], day: (date: IsoDate) => string): string {
  const most = weeks.reduce<WorkWeek | undefined>(
    (found, week) => (week.behind > (found?.behind ?? 0) ? week : found),
    undefined,
  );
  const total = weeks.reduce((sum, { minutes }) => sum + minutes, 0);
  const have = weeks.reduce((sum, week) => sum + week.have, 0);
  const full = have === 0 ? "" : `${Math.round((100 * total) / have)} % of your hours are spoken for. `;
  if (have === 0) return "No hours are set: no week has time for work.";
  if (!most) return `${full}No week is too full.`;
  const first = weeks.find(({ behind }) => behind > 0);
  const hours = Math.ceil(most.behind / 60);
  if (first === most || !first) return `${full}The week of ${day(most.monday)} is ${hours} h too full.`;
  return `${full}From the week of ${day(first.monday)} you fall behind; by that of ${day(most.monday)} ${hours} h have piled up.`;
}
