import { listed } from "./words";
import type { DayPlan } from "../cycle/dayPlan";
import type { Edit } from "../record/edit";
import type { Yard } from "../record/yard";
import { clockText, minutesOf } from "./drive";

/** Who is to be told that the day runs late, and what. */
export interface LateNote {
  yard: Yard;
  /** Time of the clock it was to be, and is now. */
  was: string;
  now: string;
  horses: string[];
  message: string;
}

/** The edits that put every visit that was not begun later by so many minutes. */
export function lateEdits({ stops }: DayPlan, minutes: number): Edit[] {
  return stops.flatMap(({ jobs }) =>
    jobs.flatMap(({ visit }): Edit[] =>
      visit.status !== "planned" || visit.at === undefined
        ? []
        : [
            {
              table: "visits",
              id: visit.id,
              path: ["at"],
              was: visit.at,
              now: clockText(minutesOf(visit.at) + minutes),
              label: `day put ${minutes} minutes later`,
            },
          ],
    ),
  );
}

/** The yards that still wait, each with a message ready to be sent. The times are those that stand now. */
export function lateNotes({ stops }: DayPlan, minutes: number): LateNote[] {
  return stops.flatMap(({ yard, jobs }): LateNote[] => {
    const waiting = jobs.filter(({ visit }) => visit.status === "planned");
    const first = waiting.map(({ visit }) => visit.at).find((at) => at !== undefined);
    if (first === undefined) return [];
    const now = clockText(minutesOf(first) + minutes);
    const horses = waiting.map(({ horse }) => horse.name);
    const message = `${yard.person === "" ? "Hello" : `Hello ${yard.person.split(" ")[0] ?? ""}`}, I am running about ${minutes} minutes late. I should be with you about ${now} for ${listed(horses)}.`;
    return [{ yard, was: first, now, horses, message }];
  });
}
