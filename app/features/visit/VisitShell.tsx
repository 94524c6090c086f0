import { useMemo, useRef } from "react";
import { Link, Outlet, useParams, useRouteLoaderData, useSearchParams } from "react-router";
import { feetAt } from "~app/data/footAt";
import type { HorseFile } from "~app/data/queries";
import type { Round } from "~app/data/session";
import { shortDay } from "~app/ui/days";
import { RoundNote } from "~app/ui/Frame";
import { SaveLine } from "~app/ui/SaveLine";
import { useHeading } from "~app/ui/useHeading";
import { useNarrow } from "~app/ui/useNarrow";
import { useShortcuts } from "~app/ui/useShortcuts";
import { daysBetween } from "~core/calendar/date";
import { horseOutlook } from "~core/cycle/horseDue";
import { footOrder } from "~core/foot/order";
import { signedBefore, type Visit } from "~core/record/visit";
import { STAGE_NAMES, STAGES, type Stage } from "~core/constants/stages";
import { FlagBanner } from "./FlagBanner";
import { FootChooser } from "./FootChooser";
import { PlumbLine } from "./PlumbLine";
import type { StageContext } from "~app/stage/stageContext";
import "./visit.css";

interface ShellProps {
  visit: Visit;
  file: HorseFile;
  today: string;
}

/** Stages that are done foot by foot. */
const BY_FOOT: readonly Stage[] = ["watch", "read", "survey", "trim", "shoe", "set", "recheck"];
const SWIPE_PX = 70;

/** The frame of a visit: the plumb line with its nine knots, the horse, the four feet, the stage. */
export function VisitShell({ visit, file, today }: ShellProps) {
  const params = useParams();
  const [search] = useSearchParams();
  const narrow = useNarrow();
  const round = (useRouteLoaderData("root") as { round: Round } | undefined)?.round ?? "own";
  const stage = STAGES.find((one) => one === params["stage"]) ?? "arrive";
  const { order } = footOrder(visit.soreFoot);
  const limb = order.find((one) => one === search.get("foot")) ?? order[0] ?? "LF";
  const nextFoot = order[order.indexOf(limb) + 1];
  const { heading, go } = useHeading();
  const addressOf = (one: Stage) => `/visits/${visit.id}/${one}`;
  // Where the last press led: the next one goes on from there, even before the screen has followed.
  const asked = () => {
    const { pathname, searchParams } = heading();
    return {
      stage: STAGES.find((one) => pathname === addressOf(one)) ?? stage,
      limb: order.find((one) => one === searchParams.get("foot")) ?? limb,
    };
  };
  const goTo: StageContext["goTo"] = (place) => {
    const to = { ...asked(), ...place };
    go(new URL(`${addressOf(to.stage)}?foot=${to.limb}`, location.href));
  };
  const step = (by: 1 | -1) => {
    const next = STAGES[STAGES.indexOf(asked().stage) + by];
    if (next) goTo({ stage: next });
  };
  useShortcuts({
    "1": () => goTo({ limb: "LF" }),
    "2": () => goTo({ limb: "RF" }),
    "3": () => goTo({ limb: "LH" }),
    "4": () => goTo({ limb: "RH" }),
    "alt+1": () => goTo({ limb: "LF" }),
    "alt+2": () => goTo({ limb: "RF" }),
    "alt+3": () => goTo({ limb: "LH" }),
    "alt+4": () => goTo({ limb: "RH" }),
    "[": () => step(-1),
    "]": () => step(1),
  });
  const swipe = useSwipe(step);

  const feet = feetAt(visit, file);
  const last = signedBefore(file.visits, visit);
  const outlooks = useOutlooks(file);
  const context: StageContext = {
    visit,
    file,
    today,
    stage,
    limb,
    order,
    nextFoot,
    feet,
    outlooks,
    goTo,
  };
  const day = last && daysBetween(last.date, visit.status === "planned" ? today : visit.date);
  return (
    <div className="visit">
      <PlumbLine visit={visit} stage={stage} limb={limb} feet={feet} goTo={goTo}>
        <SaveLine />
        <RoundNote round={round} />
      </PlumbLine>
      <div className="visit-main" {...swipe}>
        <header className="visit-head">
          <Link to="/" className="visit-back" aria-label="Leave the visit, back to Today">
            ‹
          </Link>
          <div className="visit-who">
            <h1>
              <Link to={`/horses/${file.horse.id}`}>{file.horse.name}</Link>
              <span className="visit-stage-name"> · {STAGE_NAMES[stage]}</span>
            </h1>
            {narrow && (
              <div className="visit-kept">
                <SaveLine />
              </div>
            )}
            <p className="quiet">
              {visit.job && <b>{visit.job} · </b>}
              {file.yard.name} · {file.horse.kind}, {file.horse.massKg} kg
              {last &&
                day !== undefined &&
                ` · day ${day}${last.next ? ` of ${last.next.day}` : ""} · last ${shortDay(last.date)}`}
            </p>
          </div>
          <div className="stage-steps">
            <button
              type="button"
              aria-label="Stage before"
              disabled={stage === STAGES[0]}
              onClick={() => step(-1)}
            >
              ‹
            </button>
            <span>
              {STAGES.indexOf(stage) + 1} of {STAGES.length}
            </span>
            <button
              type="button"
              aria-label="Stage after"
              disabled={stage === STAGES.at(-1)}
              onClick={() => step(1)}
            >
              ›
            </button>
          </div>
          {BY_FOOT.includes(stage) && <FootChooser {...context} />}
        </header>
        <FlagBanner visit={visit} />
        <main className="visit-stage" id="work" tabIndex={-1}>
          <Outlet context={context} />
        </main>
      </div>
    </div>
  );
}

/** Growth and drift by foot, worked out once for the horse's records. */
function useOutlooks(file: HorseFile): StageContext["outlooks"] {
  return useMemo(
    () =>
      Object.fromEntries(
        horseOutlook(file.horse, file.readings, file.settings).map((outlook) => [outlook.limb, outlook]),
      ) as StageContext["outlooks"],
    [file],
  );
}

/** A sideways stroke of the finger turns the stage; strokes that start in a field, on a handle or on tabs are left alone. */
function useSwipe(step: (by: 1 | -1) => void) {
  const start = useRef<{ x: number; y: number } | undefined>(undefined);
  return {
    onTouchStart: (event: React.TouchEvent) => {
      const touch = event.touches[0];
      const inControl = (event.target as HTMLElement).closest(
        "input, textarea, .pad, .handles, .ant-segmented",
      );
      start.current = touch && !inControl ? { x: touch.clientX, y: touch.clientY } : undefined;
    },
    onTouchEnd: (event: React.TouchEvent) => {
      const touch = event.changedTouches[0];
      if (!touch || !start.current) return;
      const dx = touch.clientX - start.current.x;
      const dy = touch.clientY - start.current.y;
      start.current = undefined;
      if (Math.abs(dx) > SWIPE_PX && Math.abs(dx) > 2 * Math.abs(dy)) step(dx < 0 ? 1 : -1);
    },
  };
}
