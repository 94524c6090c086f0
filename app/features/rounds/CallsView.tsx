import { Select } from "antd";
import dayjs from "dayjs";
import { Link } from "react-router";
import type { PlanningRecords } from "~app/data/planning";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { SortedTable } from "~app/ui/SortedTable";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { daysBetween } from "~core/calendar/date";
import { minutesInWords, type RosterRow } from "~core/cycle/dayPlan";
import { isForVet, isLoss, LOSS_CAUSES, type Call } from "~core/record/call";
import { planVisit } from "~core/record/planVisit";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { fitIn, type FitIn } from "~core/rounds/fitIn";
import { shoeWorn, whatStaysOn } from "~core/visit/staying";
import "./calls.css";

/** Ways to fit a call in that are offered. */
const OFFERED = 3;

interface CallsProps extends PlanningRecords {
  today: string;
  calls: Call[];
  shoes: ShoeRecord[];
}

/** What happened between visits: fitted into today or tomorrow at the least extra road, and what stays on, on whom. */
export function CallsView({ rows, settings, calls, shoes, today }: CallsProps) {
  const wording = useWording();
  const staying = whatStaysOn(shoes, calls, wording).filter(({ lost }) => lost > 0);
  const set = whatStaysOn(shoes, calls, wording).reduce((sum, row) => sum + row.set, 0);
  const nameOf = (id: string) => rows.find(({ horse }) => horse.id === id)?.horse.name ?? "a horse that left";
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
      <section aria-label="What stays on">
        <h2>What stays on, on whom</h2>
        {staying.length === 0 ? (
          <p className="quiet">{set} shoes were set, none is noted as lost.</p>
        ) : (
          <SortedTable
            rowKey={({ end, words }) => end + words}
            dataSource={staying}
            columns={[
              {
                title: "Shoe",
                render: (_, { end, words }) => (
                  <>
                    {end}: <Fractions text={words} />
                  </>
                ),
                sorter: (a, b) => (a.end + a.words).localeCompare(b.end + b.words),
              },
              { title: "set", dataIndex: "set", align: "right", sorter: (a, b) => a.set - b.set },
              {
                title: "lost",
                align: "right",
                render: (_, { lost }) => <b>{lost}</b>,
                sorter: (a, b) => a.lost - b.lost,
              },
              {
                title: "days on",
                align: "right",
                render: (_, { daysOn }) => (daysOn === undefined ? "–" : Math.round(daysOn)),
                sorter: (a, b) => (a.daysOn ?? 0) - (b.daysOn ?? 0),
              },
              { title: "by", render: (_, { horses }) => horses.map(nameOf).join(", ") },
            ]}
          />
        )}
      </section>
    </div>
  );
}

interface CallRowProps extends Pick<CallsProps, "rows" | "settings" | "shoes" | "today"> {
  call: Call;
  row: RosterRow;
}

function CallRow({ call, row, rows, settings, shoes, today }: CallRowProps) {
  const wording = useWording();
  const { save } = useEdits();
  const { horse, yard, coming } = row;
  const worn = isLoss(call) ? shoeWorn(shoes, call) : undefined;
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
            {worn && `, ${daysBetween(worn.date, call.date)} days after it was set`}
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
                  <button type="button" className="tap" onClick={() => fit(one)}>
                    <span>
                      {one.date === today ? "Today" : dayjs(one.date).format("dddd")} {one.at}
                    </span>
                    <span className="quiet">
                      {one.there
                        ? "you are there anyway"
                        : `${one.after ? `after ${one.after.name}` : "first"}, +${minutesInWords(Math.round(one.drive))} road`}
                    </span>
                  </button>
                </li>
              ))}
          </ul>
        )}
      </div>
    </li>
  );
}
