import { Button, Input, Segmented, Select } from "antd";
import { group } from "d3-array";
import { useMemo, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { cycleOf, type RosterRow } from "~core/cycle/dayPlan";
import { dueReason, workInWords, type CycleState } from "~core/cycle/dueWords";
import type { Reading } from "~core/foot/records/reading";
import { feetOfHorse } from "~core/visit/feetOfHorse";
import { vetCases, type Horse } from "~core/record/horse";
import type { Yard } from "~core/record/yard";
import { CycleLine } from "~app/drawing/CycleLine";
import { FourFeet } from "~app/drawing/FourFeet";
import { shortDay } from "~app/ui/days";
import { useShown } from "~app/ui/useShown";
import { useWording } from "~app/ui/useWording";
import { useLastReadings } from "./useLastReadings";
import "./horses.css";
import { counted } from "~core/units/counted";

interface HorsesProps {
  rows: RosterRow[];
  yards: Yard[];
  /** No longer on the round. */
  gone: Horse[];
  /** Readings of the first rows’ last visits. */
  readings: readonly Reading[];
  today: string;
}

const NONE: readonly Reading[] = [];

const DUE_CHOICES = [
  { label: "All", value: "all" },
  { label: "Window open", value: "window" },
  { label: "Over", value: "over" },
];

/** Every horse of the round: find it, see at a glance how far its cycle has run. */
export function HorsesView({ rows, yards, gone, readings, today }: HorsesProps) {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const [filter, setFilter] = useState({
    text: search.get("text") ?? "",
    yard: search.get("yard") ?? "",
    due: search.get("due") ?? "all",
  });
  const { text, yard, due } = filter;
  // The choice is kept here, so that no letter waits for the address; the address follows, so that it can be shared.
  const choose = (name: keyof typeof filter, value: string) => {
    const next = { ...filter, [name]: value };
    setFilter(next);
    const chosen = Object.entries(next).filter(([, one]) => one !== "" && one !== "all");
    setSearch(Object.fromEntries(chosen), { replace: true });
  };
  const shown = rows
    .map((row) => ({ row, cycle: cycleOf(row, today) }))
    .filter(
      ({ row, cycle }) =>
        matches(row, text) &&
        (yard === "" || row.yard.id === yard) &&
        (due === "all" || cycle?.state === due),
    );
  const list = useShown(shown.length);
  const drawn = shown.slice(0, list.shown);
  const read = useLastReadings(
    drawn.map(({ row }) => row),
    readings,
  );
  const byHorse = useMemo(() => group(read, ({ horseId }) => horseId), [read]);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <h1>Horses</h1>
          <p className="quiet">
            {shown.length === rows.length
              ? counted(rows.length, "horse")
              : `${shown.length} of ${counted(rows.length, "horse")}`}
            , {counted(yards.length, "yard")}
          </p>
        </div>
        <span className="horses-acts">
          <Link className="link" to="/cases">
            Cases
          </Link>
          <Button type="primary" onClick={() => void navigate("/horses/new")}>
            Add a horse
          </Button>
        </span>
      </header>
      <div className="horse-filters">
        <Input
          aria-label="Find by name"
          placeholder="Name or yard"
          allowClear
          value={text}
          onChange={(event) => choose("text", event.target.value)}
        />
        <Select
          aria-label="Yard"
          value={yard}
          onChange={(value: string) => choose("yard", value)}
          options={[
            { value: "", label: "All yards" },
            ...yards.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <Segmented
          aria-label="Due"
          options={DUE_CHOICES}
          value={due}
          onChange={(value) => choose("due", value)}
        />
      </div>
      {rows.length === 0 && (
        <section className="empty">
          <h2>No horses here yet</h2>
          <p className="quiet">Add the first one, or load the demo round from Today.</p>
        </section>
      )}
      {rows.length > 0 && shown.length === 0 && <p className="quiet">No horse fits. Clear a filter.</p>}
      <ul className="horse-list">
        {drawn.map(({ row, cycle }) => (
          <HorseRow key={row.horse.id} row={row} cycle={cycle} readings={byHorse.get(row.horse.id) ?? NONE} />
        ))}
      </ul>
      {list.more}
      {gone.length > 0 && (
        <section className="horses-gone" aria-label="No longer on the round">
          <h2>No longer on the round</h2>
          <ul>
            {gone.map(({ id, name, left }) => (
              <li key={id}>
                <Link className="link" to={`/horses/${id}`}>
                  {name}
                </Link>{" "}
                <span className="quiet">{left && `${left.why}, ${shortDay(left.on)}`}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

const matches = ({ horse, yard }: RosterRow, text: string): boolean =>
  `${horse.name} ${yard.name}`.toLowerCase().includes(text.trim().toLowerCase());

function HorseRow({
  row,
  cycle,
  readings,
}: {
  row: RosterRow;
  cycle: CycleState | undefined;
  readings: readonly Reading[];
}) {
  const { horse, yard, last, coming } = row;
  const feet = useMemo(() => feetOfHorse(horse, readings), [horse, readings]);
  const wording = useWording();
  const flags = [
    ...(horse.habits ? [{ text: "Take care", className: "ember" }] : []),
    ...(vetCases(horse).length > 0 ? [{ text: "Vet’s plan", className: "strong" }] : []),
    ...(horse.showOn ? [{ text: `Show ${shortDay(horse.showOn)}`, className: "brass" }] : []),
    ...(coming ? [{ text: `Planned ${shortDay(coming.date)}`, className: "verdigris" }] : []),
  ];
  return (
    <li>
      <Link to={`/horses/${horse.id}`} className="horse-row">
        <FourFeet feet={feet} flagged={last?.next?.limb} title={`Feet of ${horse.name}`} />
        <span className="horse-name">
          <b>{horse.name}</b>
          <span className="quiet">{yard.name}</span>
        </span>
        <span className="quiet horse-kind">
          {horse.kind}, {horse.massKg} kg
          <br />
          {workInWords(horse.use)}, {horse.finish}
        </span>
        <span className="horse-cycle">
          {cycle && last?.next ? (
            <>
              <CycleLine cycle={cycle} />
              <span>
                <b className={`cycle-word-${cycle.state}`}>
                  {cycle.state === "over"
                    ? `${counted(cycle.daysOver, "day")} over`
                    : `due ${shortDay(last.next.due)}`}
                </b>{" "}
                <span className="quiet">{dueReason(last.next, horse, wording)}</span>
              </span>
            </>
          ) : (
            <span className="quiet">not done yet</span>
          )}
        </span>
        <span className="horse-flags">
          {flags.map(({ text, className }) => (
            <span key={text} className={className}>
              {text}
            </span>
          ))}
        </span>
      </Link>
    </li>
  );
}
