import { Tap } from "~app/ui/Tap";
import { TextButton } from "~app/ui/TextButton";
import { useState } from "react";
import type { DayPlan } from "~core/cycle/dayPlan";
import { lateEdits, lateNotes, type LateNote } from "~core/rounds/late";
import { useEdits } from "~app/ui/useEdits";

const STEPS = [15, 30, 45, 60] as const;

/** One tap puts the rest of the day later; who is to be told stands there with the words ready to be copied. */
export function RunningLate({ plan }: { plan: DayPlan }) {
  const { save } = useEdits();
  const [open, setOpen] = useState(false);
  const [notes, setNotes] = useState<LateNote[]>([]);
  const [copied, setCopied] = useState<string>();
  const waiting = plan.stops.some(({ jobs }) =>
    jobs.some(({ visit }) => visit.status === "planned" && visit.at !== undefined),
  );
  if (!waiting && notes.length === 0) return null;
  const put = (minutes: number) => {
    setNotes(lateNotes(plan, minutes));
    setCopied(undefined);
    void save(...lateEdits(plan, minutes));
    setOpen(false);
  };
  return (
    <section className="late" aria-label="Running late">
      {open ? (
        <p className="late-steps">
          <span>How much?</span>
          {STEPS.map((minutes) => (
            <Tap key={minutes} onClick={() => put(minutes)}>
              {minutes} min
            </Tap>
          ))}
          <TextButton onClick={() => setOpen(false)}>Not late</TextButton>
        </p>
      ) : (
        <TextButton className="late-open" onClick={() => setOpen(true)}>
          Running late
        </TextButton>
      )}
      {notes.length > 0 && (
        <>
          <h2>Tell them</h2>
          <ul>
            {notes.map(({ yard, was, now, message }) => (
              <li key={yard.id}>
                <p>
                  <span className="strong">{yard.name}</span> {yard.person}, {yard.phone}{" "}
                  <span className="quiet">
                    {was} is now {now}
                  </span>
                </p>
                <p className="late-message">{message}</p>
                <TextButton
                  onClick={() => {
                    void navigator.clipboard.writeText(message).then(
                      () => setCopied(yard.id),
                      () => setCopied(undefined),
                    );
                  }}
                >
                  {copied === yard.id ? "Copied" : "Copy the message"}
                </TextButton>
              </li>
            ))}
          </ul>
          <TextButton onClick={() => setNotes([])}>All told</TextButton>
        </>
      )}
    </section>
  );
}
