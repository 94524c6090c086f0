import { Button } from "antd";
import { useState } from "react";
import { readText } from "~app/data/readText";
import { longDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { detailOf } from "~app/data/trouble";
import { readCalendar } from "~app/workers/calendar";
import { addDays } from "~core/calendar/date";
import { minutesInWords } from "~core/cycle/dayPlan";
import type { Appointment } from "~core/record/appointment";
import type { AppointmentsChange } from "~core/record/appointmentsIcs";
import { fail, type Issue } from "~core/result";

/** How far ahead a calendar file is read. */
const AHEAD_DAYS = 183;
/** Events that could not be read, of which so many are named. */
const MOST_SHOWN = 8;

/** Appointments out of a calendar file: looked at first, kept by one press, taken back by undo. */
export function BringIn({ appointments, today }: { appointments: Appointment[]; today: string }) {
  const { save } = useEdits();
  const [found, setFound] = useState<AppointmentsChange>();
  const [issues, setIssues] = useState<Issue[]>([]);
  const read = async (file: File) => {
    const text = await readText(file);
    const { appointmentsChange } = await import("~core/record/appointmentsIcs");
    const result = text.ok
      ? await readCalendar(text.value, today, addDays(today, AHEAD_DAYS)).answer.catch((error: unknown) =>
          fail("not-read", "", `This file could not be read: ${detailOf(error)}`),
        )
      : text;
    setIssues(result.ok ? result.value.unread : result.issues);
    setFound(result.ok ? appointmentsChange(appointments, result.value, today) : undefined);
  };
  const keep = ({ fresh, moved, gone }: AppointmentsChange) => {
    const edit = (id: string, was: Appointment | undefined, now: Appointment | undefined) => ({
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
      ...gone.map((was) => edit(was.id, was, undefined)),
    );
    setFound(undefined);
  };
  const rows = found ? [...found.fresh, ...found.moved.map(({ now }) => now)] : [];
  const changes = rows.length + (found?.gone.length ?? 0);
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
      {issues.length > 0 && (
        <ul className="people-list ember" role="alert">
          {issues.slice(0, MOST_SHOWN).map(({ message }) => (
            <li key={message}>{message}</li>
          ))}
          {issues.length > MOST_SHOWN && <li>and {issues.length - MOST_SHOWN} more</li>}
        </ul>
      )}
      {found && (
        <>
          <p>
            <span className="strong">{found.fresh.length} new</span>, {found.moved.length} moved, {found.same}{" "}
            as they were{found.gone.length > 0 && `, ${found.gone.length} cancelled: taken off`}.
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
            <Button type="primary" disabled={changes === 0} onClick={() => keep(found)}>
              Keep {changes === 1 ? "it" : `these ${changes}`}
            </Button>
            <Button onClick={() => setFound(undefined)}>Leave them</Button>
          </div>
        </>
      )}
    </div>
  );
}
