import { Segmented } from "antd";
import { scaleLinear } from "d3-scale";
import dayjs from "dayjs";
import { Link, useSearchParams } from "react-router";
import type { PlanningRecords } from "~app/data/planning";
import { useShown } from "~app/ui/useShown";
import { useWording } from "~app/ui/useWording";
import type { CaseAlert } from "~core/casework/caseStanding";
import { addDays } from "~core/calendar/date";
import { boardGroups, boardRows, GROUPINGS, type BoardRow, type Grouping } from "~core/cycle/board";
import { dueReason } from "~core/cycle/dueWords";
import "./board.css";

/** Days before and after today on the time line. */
const [BEFORE, AFTER] = [28, 56];

interface BoardProps extends PlanningRecords {
  today: string;
  alerts: Record<string, CaseAlert[]>;
}

/** Every horse's window on one time line, the late ones first. */
export function BoardView({ rows, today, alerts }: BoardProps) {
  const [search, setSearch] = useSearchParams();
  const asked = search.get("by") as Grouping | null;
  const by = asked && GROUPINGS.includes(asked) ? asked : "late first";
  const board = boardRows(rows, today);
  const groups = boardGroups(board, by);
  const list = useShown(board.length);
  const drawn = firstRows(groups, list.shown);
  const late = board.filter(({ over }) => over > 0).length;
  const open = board.filter(({ over, opens }) => over === 0 && opens <= 0).length;
  const x = scaleLinear().domain([-BEFORE, AFTER]).range([0, 100]);
  return (
    <div className="board">
      <section aria-label="Cycles">
        <div className="board-head">
          <p className="board-count">
            <span className={late > 0 ? "ember strong" : "strong"}>{late} late</span>, {open} in their window,{" "}
            {board.length - late - open} not yet
          </p>
          <Segmented
            aria-label="Stand together by"
            options={GROUPINGS.map((value) => ({ value, label: value }))}
            value={by}
            onChange={(value) =>
              setSearch(
                (now) => {
                  const next = new URLSearchParams(now);
                  next.set("by", value);
                  return next;
                },
                { replace: true, preventScrollReset: true },
              )
            }
          />
        </div>
        <div className="board-axis" aria-hidden="true">
          <div>
            {Array.from({ length: (BEFORE + AFTER) / 14 + 1 }, (_, index) => index * 14 - BEFORE).map(
              (day) => (
                <span key={day} style={{ left: `${x(day)}%` }}>
                  {day === 0 ? "today" : dayjs(addDays(today, day)).format("D MMM")}
                </span>
              ),
            )}
          </div>
        </div>
        {drawn.map(({ name, rows: members, all }) => (
          <section key={name} className="board-group" aria-label={name}>
            <h2>
              {name} <span className="quiet">{all}</span>
            </h2>
            <ul>
              {members.map((row) => (
                <Row key={row.horse.id} row={row} x={x} alerts={alerts[row.horse.id] ?? []} />
              ))}
            </ul>
          </section>
        ))}
        {list.more}
      </section>
    </div>
  );
}

/** As many rows as are to be drawn, in their groups; `all` is how many a group has. */
function firstRows(groups: ReturnType<typeof boardGroups>, most: number) {
  let left = most;
  return groups.flatMap(({ name, rows }) => {
    const drawn = rows.slice(0, Math.max(0, left));
    left -= rows.length;
    return drawn.length > 0 ? [{ name, rows: drawn, all: rows.length }] : [];
  });
}

interface RowProps {
  row: BoardRow;
  x: (day: number) => number;
  alerts: readonly CaseAlert[];
}

function Row({ row, x, alerts }: RowProps) {
  const wording = useWording();
  const { horse, yard, last, done, opens, due, over, planned } = row;
  const at = (day: number) => Math.max(0, Math.min(100, x(day)));
  const span = (from: number, to: number) => ({ left: `${at(from)}%`, width: `${at(to) - at(from)}%` });
  const state = over > 0 ? "late" : opens <= 0 ? "open" : "early";
  return (
    <li>
      <Link to={`/horses/${horse.id}`} className="board-row">
        <span className="board-name">
          <span className="strong">{horse.name}</span> <span className="quiet">{yard.name}</span>
        </span>
        <span className="board-line" aria-hidden="true">
          <i className="board-run" style={span(done, due)} />
          <i className="board-window" style={span(opens, due)} />
          {over > 0 && <i className="board-over" style={span(due, 0)} />}
          <i className="board-today" style={{ left: `${x(0)}%` }} />
          {planned !== undefined && <i className="board-planned" style={{ left: `${at(planned)}%` }} />}
        </span>
        <span className={`board-state board-${state}`}>
          {over > 0 ? `${over} d late` : due === 0 ? "due today" : `due in ${due} d`}
        </span>
        <span className="quiet board-why">
          {last.next && dueReason(last.next, horse, wording)}
          {planned === undefined
            ? over > 0
              ? ", no day yet"
              : ""
            : `, planned ${planned <= 0 ? "today" : dayjs().add(planned, "day").format("ddd D MMM")}`}
        </span>
        {alerts.map(({ says, level }) => (
          <span key={says} className={`board-alert ${level === "act" ? "ember" : "verdigris"}`}>
            {says}
          </span>
        ))}
      </Link>
    </li>
  );
}
