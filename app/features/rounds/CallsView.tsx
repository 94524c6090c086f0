import { Tap } from "~app/ui/Tap";
import { Select } from "antd";
import dayjs from "dayjs";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { readShoesSet, type PlanningRecords } from "~app/data/planning";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { daysBetween } from "~core/calendar/date";
import { minutesInWords, type RosterRow } from "~core/cycle/dayPlan";
import { isForVet, isLoss, LOSS_CAUSES, type Call } from "~core/record/call";
import { planVisit } from "~core/record/planVisit";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { fitIn, type FitIn } from "~core/rounds/fitIn";
import { shoeWorn } from "~core/visit/staying";
import { StaysOn } from "./StaysOn";
import "./calls.css";
import { counted } from "~core/units/counted";

/** Ways to fit a call in that are offered. */
const OFFERED = 3;

interface CallsProps extends PlanningRecords {
  today: string;
  calls: Call[];
}

/** What happened between visits: fitted into today or tomorrow at the least extra road, and what stays on, on whom. */
export function CallsView({ rows, settings, calls, today }: CallsProps) {
  const [shoes, setShoes] = useState<ShoeRecord[]>();
  useEffect(() => {
    let gone = false;
    void readShoesSet(today).then((found) => {
      if (!gone) setShoes(found);
    });
    return () => {
      gone = true;
    };
  }, [today]);
  const sorted = [...calls].sort((a, b) => b.date.localeCompare(a.date));
  return (
    <div className="calls">
      <section aria-label="Calls">
        {sorted.length === 0 && (
          <p className="quiet">
            Nothing happened between visits. A lost shoe, an abscess or a lame call is noted on the horse’s
            page, in two taps.
          </p>
        )}
        <ul className="call-list">
          {sorted.map((call) => {
            const row = rows.find(({ horse }) => horse.id === call.horseId);
            return row && <CallRow key={call.id} {...{ call, row, rows, settings, shoes, today }} />;
          })}
        </ul>
      </section>
      <StaysOn {...{ calls, shoes, rows }} />
    </div>
  );
}

interface CallRowProps extends Pick<CallsProps, "rows" | "settings" | "today"> {
  /** Undefined until they are read. */
  shoes: ShoeRecord[] | undefined;
  call: Call;
  row: RosterRow;
}

function CallRow({ call, row, rows, settings, shoes, today }: CallRowProps) {
  const wording = useWording();
  const { save } = useEdits();
  const { horse, yard, coming } = row;
  const worn = shoes && isLoss(call) ? shoeWorn(shoes, call) : undefined;
  const change = (path: "cause" | "found", now: unknown) =>
    void save({
      table: "calls",
      id: call.id,
      path: [path],
      was: call[path],
      now,
      label: `${horse.name}: ${path}`,
    });
  const fit = ({ date, at }: FitIn) => {
    if (coming) {
      const put = (path: string, was: unknown, now: unknown) => ({
        table: "visits" as const,
        id: coming.id,
        path: [path],
        was,
        now,
        label: `${horse.name} fitted in`,
      });
      void save(put("date", coming.date, date), put("at", coming.at, at));
    } else {
      const planned = planVisit(horse, date, crypto.randomUUID());
      void save({ ...planned, now: { ...(planned.now as object), at } });
    }
  };
  const settled = (row.last?.date ?? "") >= call.date;
  const soon = coming && daysBetween(today, coming.date) <= 1;
  return (
    <li className="sheet call">
      <div>
        <p>
          <Link className="link strong" to={`/horses/${horse.id}`}>
            {horse.name}
          </Link>
          , {yard.name}
        </p>
        <p>
          <span className="strong">
            {call.kind}, {wording.limb(call.limb)}
          </span>{" "}
          <span className="quiet">
            {shortDay(call.date)}
            {worn && `, ${counted(daysBetween(worn.date, call.date), "day")} after it was set`}
          </span>
        </p>
        {isForVet(call) && <p className="ember">The vet sees it first: nothing is nailed on a lame foot.</p>}
        {isLoss(call) && (
          <p className="call-why">
            <Select
              aria-label={`How ${horse.name} lost it`}
              size="small"
              value={call.cause}
              onChange={(value) => change("cause", value)}
              options={LOSS_CAUSES.map((value) => ({ value, label: value }))}
            />
            <label>
              <input
                type="checkbox"
                checked={call.found}
                onChange={(event) => change("found", event.target.checked)}
              />{" "}
              found
            </label>
          </p>
        )}
      </div>
      <div className="call-fit">
        {settled ? (
          <p className="quiet">Seen {shortDay(row.last?.date ?? call.date)}</p>
        ) : soon ? (
          <p className="verdigris strong">
            Fitted in: {coming.date === today ? "today" : "tomorrow"} {coming.at}
          </p>
        ) : (
          <ul aria-label={`Fit ${horse.name} in`}>
            {fitIn(rows, yard, settings, today)
              .slice(0, OFFERED)
              .map((one) => (
                <li key={`${one.date}${one.after?.id ?? ""}`}>
                  <Tap onClick={() => fit(one)}>
                    <span>
                      {one.date === today ? "Today" : dayjs(one.date).format("dddd")} {one.at}
                    </span>
                    <span className="quiet">
                      {one.there
                        ? "you are there anyway"
                        : `${one.after ? `after ${one.after.name}` : "first"}, +${minutesInWords(Math.round(one.drive))} road`}
                    </span>
                  </Tap>
                </li>
              ))}
          </ul>
        )}
      </div>
    </li>
  );
}
