import { addDays, type IsoDate } from "~core/calendar/date";
import type { Appointment } from "~core/record/appointment";
import type { Call } from "~core/record/call";

/** Where the van stands at night. */
export const HOME: [number, number] = [50.131, -13.956];

/** Time that is taken already in the weeks to come. */
export const BOOKED: ((today: IsoDate) => Omit<Appointment, "id">)[] = [
  (today) => ({ date: addDays(today, 2), at: "13:00", minutes: 120, title: "Van to the garage" }),
  (today) => ({ date: addDays(today, 9), at: "09:00", minutes: 90, title: "Steel delivery" }),
];

/** What happened between visits, by days ago. */
export const HAPPENED: (Pick<Call, "kind" | "limb" | "cause" | "found"> & {
  horse: string;
  daysAgo: number;
})[] = [
  { horse: "Sallow", daysAgo: 0, kind: "lost shoe", limb: "LF", cause: "trodden on", found: true },
  { horse: "Larkspur", daysAgo: 1, kind: "sprung shoe", limb: "RH", cause: "caught", found: true },
  { horse: "Cinder", daysAgo: 12, kind: "lost shoe", limb: "RF", cause: "trodden on", found: false },
];
