import { daysBetween, type IsoDate } from "../calendar/date";
import { workInWords } from "./dueWords";
import type { RosterRow } from "./dayPlan";
import { vetCases } from "../record/horse";
import { urgencyOf } from "./urgency";

/** How the horses of a board stand together. */
export const GROUPINGS = ["late first", "yard", "use", "case"] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** One horse's window on the time line, in days from today: negative is past. */
export interface BoardRow extends RosterRow {
  /** Day of the last visit, of the window's opening, of the due day. */
  last: NonNullable<RosterRow["last"]>;
  done: number;
  opens: number;
  due: number;
  /** The day it is planned for. */
  planned?: number;
  /** Days past due today, 0 while there are none. */
  over: number;
  /** Days over, weighed: a vet's plan twice, a show within the fortnight half as much again. */
  risk: number;
}

export interface BoardGroup {
  name: string;
  rows: BoardRow[];
}

/** The rows of a board: horses that were done at least once. */
export function boardRows(rows: readonly RosterRow[], today: IsoDate): BoardRow[] {
  return rows.flatMap((row): BoardRow[] => {
    const { last, coming, horse } = row;
    if (!last?.next) return [];
    const due = daysBetween(today, last.next.due);
    const over = Math.max(0, -due);
    return [
      {
        ...row,
        last,
        done: daysBetween(today, last.date),
        opens: daysBetween(today, last.next.windowStart),
        due,
        ...(coming && { planned: daysBetween(today, coming.date) }),
        over,
        risk: over * urgencyOf(horse, today),
      },
    ];
  });
}

/** Rows in groups: those most at risk first, then those due soonest. */
export function boardGroups(rows: readonly BoardRow[], by: Grouping): BoardGroup[] {
  const name = (row: BoardRow): string => {
    if (by === "yard") return row.yard.name;
    if (by === "use") return workInWords(row.horse.use);
    if (by === "case") return caseOf(row);
    return row.over > 0 ? "Late" : row.opens <= 0 ? "Window open" : "Not yet";
  };
  const groups = new Map<string, BoardRow[]>();
  const sorted = [...rows].sort(
    (a, b) => b.risk - a.risk || a.due - b.due || a.horse.name.localeCompare(b.horse.name),
  );
  for (const row of sorted) groups.set(name(row), [...(groups.get(name(row)) ?? []), row]);
  const found = [...groups].map(([group, members]) => ({ name: group, rows: members }));
  return by === "late first" ? found : found.sort((a, b) => a.name.localeCompare(b.name));
}

function caseOf({ horse, over }: BoardRow): string {
  if (vetCases(horse).length > 0) return "Under a vet’s plan";
  if (horse.cases) return "A case under way";
  if (horse.showOn !== undefined) return "Before a show";
  if (horse.habits !== "") return "Habits that can hurt";
  return over > 0 ? "Nothing special, late" : "Nothing special";
}
