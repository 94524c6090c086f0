import { addDays } from "../calendar/date";
import { roster } from "../cycle/roster";
import type { RosterRow } from "../cycle/dayPlan";
import { caseOf } from "../case/case.fixture";
import type { Case } from "../case/caseRecord";
import type { Horse } from "../record/horse";
import { DEFAULT_ROUNDS, type RoundsSettings } from "../record/settings";
import { blankVisit, type Visit } from "../record/visit";
import type { Yard } from "../record/yard";

/** A Monday. */
export const TODAY = "2026-11-23";

export const ROUNDS: RoundsSettings & { home: [number, number] } = {
  ...DEFAULT_ROUNDS,
  speedKmh: 60,
  home: [54, -2],
};

/** Two yards: one ten minutes north of home by the straight line, one as far east of that. */
export const YARDS: Yard[] = [
  {
    id: "north",
    name: "Tarn Farm",
    person: "Wenna Hathergill",
    phone: "00000 100101",
    access: "Second gate.",
    at: [54.0691, -2],
  },
  { id: "far", name: "Ferryfield", person: "", phone: "", access: "", at: [54.0691, -1.8823] },
];

/** A horse that was done last on a day and is due on another, both counted from today. */
export function horseAt(
  yardId: string,
  name: string,
  {
    done = -35,
    due = 3,
    ...more
  }: {
    done?: number;
    due?: number;
    on?: number;
    at?: string;
    pinned?: boolean;
    /** Under a vet's plan. */
    vetPlan?: boolean;
  } & Partial<Horse> = {},
): { horse: Horse; visits: Visit[]; cases: Case[] } {
  const { on, at, pinned, vetPlan, ...own } = more;
  const id = name.toLowerCase();
  const signed: Visit = {
    id: `${id}-last`,
    horseId: id,
    date: addDays(TODAY, done),
    status: "signed",
    ...blankVisit(),
    next: { due: addDays(TODAY, due), windowStart: addDays(TODAY, due - 7), reason: "cap", day: due - done },
  };
  const planned: Visit[] =
    on === undefined
      ? []
      : [
          {
            id: `${id}-next`,
            horseId: id,
            date: addDays(TODAY, on),
            status: "planned",
            ...blankVisit(),
            ...(at !== undefined && { at }),
            ...(pinned && { pinned }),
          },
        ];
  return {
    horse: {
      id,
      yardId,
      name,
      kind: "cob",
      massKg: 500,
      use: "riding",
      finish: "full set",
      habits: "",
      notes: "",
      ...own,
    },
    visits: [signed, ...planned],
    cases: vetPlan ? [caseOf({ id: `${id}-case`, horseId: id })] : [],
  };
}

export const rowsOf = (horses: ReturnType<typeof horseAt>[], yards: Yard[] = YARDS): RosterRow[] =>
  roster(
    horses.map(({ horse }) => horse),
    yards,
    horses.flatMap(({ visits }) => visits),
    [],
    horses.flatMap(({ cases }) => cases),
  );
