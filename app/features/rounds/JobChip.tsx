import { TextButton } from "~app/ui/TextButton";
import { useDraggable } from "@dnd-kit/core";
import { Popover, TimePicker } from "antd";
import dayjs from "dayjs";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { todayHere } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { daysBetween } from "~core/calendar/date";
import { minutesInWords } from "~core/cycle/dayPlan";
import { dueReason } from "~core/cycle/dueWords";
import type { PlanningJob } from "~core/rounds/planning";
import { vetOn } from "~core/rounds/drive";
import { listed, moveInWords, vetInWords } from "~core/rounds/words";
import type { Dragged, PlanHand } from "./planHand";

interface ChipProps {
  job: PlanningJob;
  date: string | undefined;
  /** When it is begun that day, HH:MM. */
  begins?: string;
  /** Minutes by which the hour that it is pinned to cannot be kept. */
  missed?: number;
  hand: PlanHand;
}

/** One horse in the plan: carried to another day, or opened to see why it is due and what each day would cost. */
export function JobChip({ job, date, begins, missed, hand }: ChipProps) {
  const { horse, minutes } = job;
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const carried: Dragged = { horses: [horse.id], name: horse.name, from: date };
  const pinned = job.coming?.pinned === true && date !== undefined;
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({
    id: horse.id,
    data: carried,
    disabled: pinned || hand.proposed,
  });
  const late = lateness(job, date);
  const vet = vetOn(job, date);
  const met = vet === undefined || begins === undefined || vetInWords(vet, begins).met;
  return (
    <li ref={setNodeRef} className={`job-chip${isDragging ? " job-gone" : ""}`}>
      <button
        ref={button}
        type="button"
        {...listeners}
        {...attributes}
        aria-disabled={undefined}
        className="job-button"
        aria-roledescription="horse that can be moved"
        aria-expanded={open}
        onClick={() => setOpen(true)}
      >
        <span className="job-chip-name">
          {pinned && (
            <span className="job-pin" role="img" aria-label="pinned">
              ●
            </span>
          )}{" "}
          {horse.name}
        </span>
        {missed !== undefined ? (
          <span className="ember strong">
            {begins}: {minutesInWords(missed)} late
          </span>
        ) : vet === undefined ? (
          <span className={late.state === "late" ? "ember strong" : "quiet"}>
            {late.words === "" ? `${minutes}′` : late.words}
          </span>
        ) : (
          <span className={met ? "brass strong" : "ember strong"}>vet {vet}</span>
        )}
      </button>
      {open && (
        // It is made when it is opened: hundreds of horses stand in a plan.
        <Popover
          open
          onOpenChange={setOpen}
          trigger="click"
          placement="bottomLeft"
          content={
            <JobFacts
              {...{ job, date, hand, ...(begins && { begins }) }}
              onDone={() => {
                setOpen(false);
                button.current?.focus();
              }}
            />
          }
        >
          <span className="job-open" {...listeners} />
        </Popover>
      )}
    </li>
  );
}

/** How the day lies to the horse's window, in as few words as a chip has room for. */
function lateness(
  { due, windowStart }: PlanningJob,
  date: string | undefined,
): { state: string; words: string } {
  const day = date ?? todayHere();
  const over = daysBetween(due, day);
  if (over > 0) return { state: "late", words: `${over} d late` };
  const early = daysBetween(day, windowStart);
  if (date !== undefined && early > 0) return { state: "early", words: `${early} d early` };
  return { state: "window", words: "" };
}

function JobFacts({ job, date, begins, hand, onDone }: ChipProps & { onDone: () => void }) {
  const wording = useWording();
  const facts = useRef<HTMLDivElement>(null);
  // The keyboard goes on among them.
  useEffect(() => facts.current?.focus({ preventScroll: true }), []);
  const { horse, yard, last, minutes } = job;
  const pinned = job.coming?.pinned === true;
  const vet = vetOn(job, date);
  const meeting = vet !== undefined && begins !== undefined ? vetInWords(vet, begins) : undefined;
  const beside = hand.companions(job);
  const day = (on: string) => dayjs(on).format("ddd D MMM");
  return (
    <div
      className="job-facts"
      ref={facts}
      role="group"
      aria-label={horse.name}
      tabIndex={-1}
      onKeyDown={({ key }) => key === "Escape" && onDone()}
    >
      <p>
        <Link className="link strong" to={`/horses/${horse.id}`}>
          {horse.name}
        </Link>
        , {yard.name} · {minutesInWords(minutes)}
      </p>
      <p className="quiet">
        Window {day(job.windowStart)} to {day(job.due)}
        {last?.next && `; ${dueReason(last.next, horse, wording)}`}
      </p>
      {horse.habits && <p className="ember">{horse.habits}</p>}
      {beside.length > 0 && <p>Goes together with {listed(beside)}</p>}
      {date !== undefined && !hand.proposed && (
        <TextButton
          onClick={() => {
            hand.pin(job);
            onDone();
          }}
        >
          {pinned ? "Let it be moved" : "Pin to this day"}
        </TextButton>
      )}
      {date !== undefined && !hand.proposed && job.coming && (
        <div className="job-vet">
          <span id={`vet-${horse.id}`}>The vet comes at</span>
          <TimePicker
            aria-labelledby={`vet-${horse.id}`}
            format="HH:mm"
            minuteStep={5}
            needConfirm={false}
            placeholder="no vet"
            value={vet === undefined ? null : dayjs(`2000-01-01T${vet}`)}
            onChange={(time: dayjs.Dayjs | null) => hand.vet(job, time?.format("HH:mm"))}
          />
        </div>
      )}
      {meeting && <p className={meeting.met ? "quiet" : "ember"}>{meeting.words}</p>}
      {!pinned && !hand.proposed && (
        <ul className="move-list" aria-label={`Move ${horse.name}`}>
          {hand
            .costs([horse.id])
            .filter((cost) => cost.date !== date)
            .map((cost) => (
              <li key={cost.date ?? "none"}>
                <button
                  type="button"
                  onClick={() => {
                    onDone();
                    hand.move([horse.id], cost.date, `${horse.name} moved`);
                  }}
                >
                  <span>{cost.date === undefined ? "Take it off the plan" : day(cost.date)}</span>
                  <span className={cost.over > 0.5 ? "ember" : "quiet"}>
                    {cost.date === undefined ? "" : moveInWords(cost)}
                  </span>
                </button>
              </li>
            ))}
        </ul>
      )}
    </div>
  );
}
