import {
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  pointerWithin,
  rectIntersection,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragStartEvent,
} from "@dnd-kit/core";
import { Button } from "antd";
import { useMemo, useState } from "react";
import type { PlanningRecords } from "~app/data/planning";
import { useEdits } from "~app/ui/useEdits";
import { weekday } from "~core/calendar/date";
import { minutesInWords } from "~core/cycle/dayPlan";
import type { RoundsSettings } from "~core/record/settings";
import type { RoundsPlan } from "~core/rounds/question";
import { placedEdits, vetEdits } from "~core/rounds/edits";
import { layOut, placedNow, type Placed } from "~core/rounds/layout";
import { moveCosts, type MoveCost } from "~core/rounds/moveCosts";
import { fortnightFrom, planning, withCompanions } from "~core/rounds/planning";
import { missingInWords, planInWords } from "~core/rounds/words";
import { DayColumn } from "./DayColumn";
import { NO_DAY, type Dragged, type PlanHand } from "./planHand";
import { TodayColumn } from "./TodayColumn";
import { PlanOut } from "./PlanOut";
import { RoundMap } from "./RoundMap";
import { Tray } from "./Tray";
import { usePlan } from "./usePlan";
import { counted } from "~core/units/counted";

interface PlanProps extends PlanningRecords {
  settings: RoundsSettings & { home: NonNullable<RoundsSettings["home"]> };
  today: string;
}

/** The next fortnight: days as columns, yards in the order they are driven, horses moved by hand with what it costs. */
export function PlanView({ rows, settings, appointments, today }: PlanProps) {
  const { save } = useEdits();
  const plan = useMemo(
    () => planning(rows, settings, appointments, today, fortnightFrom(today)),
    [rows, settings, appointments, today],
  );
  const { state, start, stop, drop } = usePlan(today);
  const proposed = state.kind === "found" ? state.placed : undefined;
  const stored = useMemo(() => placedNow(plan), [plan]);
  const placed = proposed ?? stored;
  const laid = useMemo(() => layOut(plan, placed), [plan, placed]);
  const [dragged, setDragged] = useState<Dragged & { costs: MoveCost[] }>();
  const [chosen, setChosen] = useState<string>();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // A finger that moves at once is scrolling.
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 6 } }),
    // The space bar takes a horse up; Enter opens it, as it does any button.
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ["Space"], cancel: ["Escape"], end: ["Space", "Enter"] },
    }),
  );
  const keep = (next: Placed, label: string) => {
    const edits = placedEdits(plan, next, () => crypto.randomUUID(), label);
    if (edits.length > 0) void save(...edits);
    drop();
  };
  const shown = laid.days.filter(
    ({ minutes, taken, stops }) => minutes > 0 || taken.length > 0 || stops.length > 0,
  );
  const hand: PlanHand = {
    costs: (horses) =>
      moveCosts(plan, placed, withCompanions(plan, placed, horses)).filter(
        ({ date }) => date === undefined || shown.some((one) => one.date === date),
      ),
    move: (named, date, label) => {
      const horses = withCompanions(plan, placed, named);
      const rest = Object.entries(placed).filter(([id]) => !horses.includes(id));
      const there = date === undefined ? [] : horses.map((id): [string, string] => [id, date]);
      keep(Object.fromEntries([...rest, ...there]), label);
    },
    pin: ({ coming, horse, on }) => {
      if (!coming || on === undefined) return;
      void save({
        table: "visits",
        id: coming.id,
        path: ["pinned"],
        was: coming.pinned,
        now: coming.pinned ? undefined : true,
        label: `${coming.pinned ? "unpin" : "pin"} ${horse.name}`,
      });
    },
    vet: ({ horse }, at) => void save(...vetEdits(plan, stored, horse.id, at)),
    companions: ({ horse, with: group }) =>
      plan.jobs.flatMap((job) =>
        group !== undefined && job.with === group && job.horse.id !== horse.id ? [job.horse.name] : [],
      ),
    proposed: proposed !== undefined,
  };
  const onStart = ({ active }: DragStartEvent) => {
    const what = active.data.current as Dragged;
    setDragged({ ...what, costs: moveCosts(plan, placed, withCompanions(plan, placed, what.horses)) });
  };
  const onEnd = ({ over }: DragEndEvent) => {
    if (dragged && over) {
      const date = over.id === NO_DAY ? undefined : String(over.id);
      if (dragged.from !== date) hand.move(dragged.horses, date, `${dragged.name} moved`);
    }
    setDragged(undefined);
  };
  const costOn = (date: string | undefined) =>
    dragged && dragged.from !== date ? dragged.costs.find((one) => one.date === date) : undefined;
  const columns = Math.max(5, ...shown.map(({ date }) => weekday(date) + 1));
  const missing = laid.left.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <>
      <section className="plan-bar" aria-label="Plan">
        <div className="plan-words" aria-live="polite">
          {state.kind === "running" ? (
            <p>
              Planning{" "}
              {state.progress && (
                <span className="quiet">
                  {gapSoFar(state.progress.plan)} · {Math.floor(state.progress.seconds)} s
                </span>
              )}
            </p>
          ) : state.kind === "found" ? (
            <p className="strong">{planInWords(state.plan)}</p>
          ) : state.kind === "failed" ? (
            <p className="ember">{state.message}</p>
          ) : (
            <p>
              {counted(Object.keys(placed).length, "horse")} on days, {minutesInWords(Math.round(laid.drive))}{" "}
              on the road, an estimate
            </p>
          )}
          <p className="plan-key quiet">
            <span className="key-work" aria-hidden="true" /> work{" "}
            <span className="key-drive" aria-hidden="true" /> road and stops
          </p>
          {state.kind === "found" && laid.left.length > 0 && (
            <p className="quiet">{missingInWords(missing)}</p>
          )}
        </div>
        <div className="plan-acts">
          {state.kind === "running" && (
            <Button onClick={stop}>{state.progress ? "That will do" : "Stop"}</Button>
          )}
          {state.kind === "found" && (
            <>
              <Button type="primary" onClick={() => keep(state.placed, "plan taken")}>
                Take this plan
              </Button>
              <Button onClick={drop}>Leave it as it was</Button>
            </>
          )}
          {(state.kind === "idle" || state.kind === "failed") && (
            <Button type="primary" onClick={() => start(plan.question)}>
              Plan the fortnight
            </Button>
          )}
        </div>
      </section>
      <DndContext
        sensors={sensors}
        collisionDetection={(args) => {
          const under = pointerWithin(args);
          return under.length > 0 ? under : rectIntersection(args);
        }}
        onDragStart={onStart}
        onDragEnd={onEnd}
        onDragCancel={() => setDragged(undefined)}
      >
        <div className="plan-board">
          <div className="plan-days" style={{ "--columns": columns } as React.CSSProperties}>
            {weekday(today) < columns && (
              <TodayColumn today={today} rows={rows} style={{ gridColumn: weekday(today) + 1 }} />
            )}
            {shown.map((day) => (
              <DayColumn
                key={day.date}
                day={day}
                style={{ gridColumn: weekday(day.date) + 1 }}
                hand={hand}
                cost={costOn(day.date)}
                chosen={chosen === day.date}
                onChoose={() => setChosen(chosen === day.date ? undefined : day.date)}
              />
            ))}
          </div>
          <aside className="plan-side">
            <Tray left={laid.left} hand={hand} cost={costOn(undefined)} />
            <RoundMap plan={plan} laid={laid} chosen={chosen} />
            {!proposed && <PlanOut rows={rows} days={[today, ...shown.map(({ date }) => date)]} />}
          </aside>
        </div>
        <DragOverlay dropAnimation={null}>
          {dragged && <p className="job-chip job-carried">{dragged.name}</p>}
        </DragOverlay>
      </DndContext>
    </>
  );
}

const gapSoFar = ({ gap, bound }: RoundsPlan): string =>
  bound <= 0 ? "a first plan stands" : `within ${Math.ceil(gap * 100)} % of the best possible`;
