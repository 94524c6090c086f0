import type { IsoDate } from "~core/calendar/date";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { blankVisit } from "~core/record/visit";
import { noRecords, type Records } from "~core/record/tables";

/** The first day: one yard, one horse, nothing measured, a visit planned for today. */
export function makeFirstDay(today: IsoDate): Records {
  const records = noRecords();
  records.yards.push({
    id: "first-yard",
    name: "Ferryfield",
    person: "Jory Penhallick",
    phone: "",
    access: "Field gate sticks.",
  });
  records.horses.push({
    id: "first-horse",
    yardId: "first-yard",
    name: "Dunlin",
    kind: "cob",
    massKg: 500,
    use: "maintenance",
    finish: "trim",
    habits: "",
    notes: "",
  });
  records.visits.push({
    id: "first-visit",
    horseId: "first-horse",
    date: today,
    at: "09:00",
    status: "planned",
    ...blankVisit(),
  });
  records.settings.push(DEFAULT_SETTINGS);
  return records;
}
