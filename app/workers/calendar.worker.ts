import { expose } from "comlink";
import dayjs from "dayjs";
import { readAppointments } from "~core/record/appointmentsIcs";

const calendarWorker = {
  read: (text: string, from: string, until: string) =>
    readAppointments(text, from, until, (instant) => {
      const there = dayjs(instant);
      return { date: there.format("YYYY-MM-DD"), at: there.format("HH:mm") };
    }),
};
export type CalendarWorker = typeof calendarWorker;

expose(calendarWorker);
