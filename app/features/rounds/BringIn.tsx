import { Button } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { readText } from "~app/data/readText";
import { longDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { addDays } from "~core/calendar/date";
import { minutesInWords } from "~core/cycle/dayPlan";
import type { Appointment } from "~core/record/appointment";
import { appointmentsChange, type AppointmentsChange } from "~core/record/appointmentsIcs";

/** How far ahead a calendar file is read. */
const AHEAD_DAYS = 183;

/** Appointments out of a calendar file: looked at first, kept by one press, taken back by undo. */
export function BringIn({ appointments, today }: { appointments: Appointment[]; today: string }) {
  const { save } = useEdits();
  const [found, setFound] = useState<AppointmentsChange>();
  const [issue, setIssue] = useState<string>();
  const read = async (file: File) => {
    const { readAppointments } = await import("~core/record/appointmentsIcs");
    const text = await readText(file);
    const result = text.ok
      ? readAppointments(text.value, today, addDays(today, AHEAD_DAYS), (instant) => ({
          date: dayjs(instant).format("YYYY-MM-DD"),
          at: dayjs(instant).format("HH:mm"),
        }))
      : text;
    setIssue(result.ok ? undefined : result.issues[0]?.message);
    setFound(result.ok ? appointmentsChange(appointments, result.value) : undefined);
  };
  const keep = ({ fresh, moved }: AppointmentsChange) => {
    const edit = (id: string, was: Appointment | undefined, now: Appointment) => ({
      table: "appointments" as const,
      id,
      path: [],
      was,
      now,
      label: "appointments brought in",
    });
    void save(
      ...fresh.map((now) => edit(now.id, undefined, now)),
      ...moved.map(({ was, now }) => edit(now.id, was, now)),
    );
    setFound(undefined);
  };
  const rows = found ? [...found.fresh, ...found.moved.map(({ now }) => now)] : [];
  return (
    <div className="bring-in">
      <label className="file-choose">
        <span>Bring in a calendar file</span>
        <input
          type="file"
          accept=".ics,text/calendar"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void read(file);
            event.target.value = "";
          }}
        />
      </label>
      {issue && (
        <p className="ember" role="alert">
          {issue}
        </p>
      )}
      {found && (
        <>
          <p>
            <span className="strong">{found.fresh.length} new</span>, {found.moved.length} moved, {found.same}{" "}
            as they were.
          </p>
          <ul className="booked">
            {rows.map((one) => (
              <li key={one.id}>
                <span className="strong">{longDay(one.date)}</span>
                <span>
                  {one.at}, {minutesInWords(one.minutes)}
                </span>
                <span>{one.title}</span>
              </li>
            ))}
          </ul>
          <div className="plan-acts">
            <Button type="primary" disabled={rows.length === 0} onClick={() => keep(found)}>
              Keep {rows.length === 1 ? "it" : `these ${rows.length}`}
            </Button>
            <Button onClick={() => setFound(undefined)}>Leave them</Button>
          </div>
        </>
      )}
    </div>
  );
}
