import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useWording } from "~app/ui/useWording";
import { startOf, type HeatPlan, type Operation } from "~core/forge/heats/operation";
import { heatsIn } from "~core/forge/heats/plan";
import { againRun, begunRun, runCounts, steppedRun } from "~core/forge/heats/run";
import { lookFor } from "~core/forge/heats/words";
import { likeShoes } from "~core/forge/anvil/job";
import { LogShoe } from "./LogShoe";
import { Swatch } from "./Swatch";
import type { ForgeContext } from "./forgeContext";
import { counted } from "~core/units/counted";

interface RunningSheetProps extends ForgeContext {
  operations: readonly Operation[];
  plan: HeatPlan;
  onLeave: () => void;
}

/** One heat at a time in type that is read from the anvil; next and back with one key or tap; every heat timed. */
export function RunningSheet(props: RunningSheetProps) {
  const { operations, plan, job, anvil, forged, onLeave } = props;
  const wording = useWording();
  const stored = anvil.forging.run;
  // Where it opens is kept from the first tap on; until then it stands at the beginning.
  const [opened] = useState(() => new Date().toISOString());
  const run = stored ?? begunRun(opened);
  const now = useNow();
  const put = (next: typeof run | undefined) => void anvil.keep(["run"], next, "running sheet");
  const step = plan[run.at];
  const over = step === undefined;
  const go = (by: 1 | -1) => {
    const next = steppedRun(run, plan, by, new Date().toISOString());
    if (next) put(next);
  };
  useShortcuts({
    ArrowRight: () => go(1),
    PageDown: () => go(1),
    ArrowLeft: () => go(-1),
    PageUp: () => go(-1),
    a: () => step?.kind === "heat" && put(againRun(run, new Date().toISOString())),
  });
  const counts = runCounts(run, plan);
  if (over) {
    const earlier = likeShoes(job, forged).flatMap(({ heats }) => (heats ? [heats.taken] : []));
    return (
      <div className="running-sheet">
        <p className="running-head">
          <b>{counted(counts.taken, "heat")}</b>, {counts.planned} planned · {Math.round(counts.seconds / 60)}{" "}
          min
        </p>
        <p>
          {earlier.length === 0
            ? "The first of its kind in your log: the next ones are held against it."
            : `Earlier ones like it: ${earlier.slice(-3).join(", ")} heats.`}
        </p>
        <LogShoe {...props} heats={counts} onKept={onLeave} />
        <div className="trim-actions">
          <Button size="large" onClick={() => go(-1)}>
            Back to the last heat
          </Button>
          <Button
            size="large"
            onClick={() => {
              put(undefined);
              onLeave();
            }}
          >
            Put it away without logging
          </Button>
        </div>
      </div>
    );
  }
  const byId = new Map(operations.map((op) => [op.id, op]));
  const ops = step.ops.flatMap((id): Operation[] => [byId.get(id)].filter((op) => op !== undefined));
  const start = startOf(ops);
  const startC = "startC" in start ? start.startC : 0;
  const taken = run.taken[String(run.at)] ?? 0;
  const seconds =
    (run.seconds[String(run.at)] ?? 0) + (run.since ? Math.max(0, (now - Date.parse(run.since)) / 1000) : 0);
  const next = plan[run.at + 1];
  return (
    <div className="running-sheet" aria-live="polite">
      <p className="running-head">
        <b>
          {step.kind === "cold" ? "Cold" : `Heat ${heatsIn(plan.slice(0, run.at + 1))} of ${heatsIn(plan)}`}
        </b>
        {taken > 1 && <span className="ember"> taken {taken} times</span>}
        <span className="running-time">{clock(seconds)}</span>
      </p>
      {step.kind === "heat" && (
        <p className="running-colour">
          <Swatch startC={startC} material={job.spec.material} big />
          <span>{lookFor(startC, job.spec.material)}</span>
        </p>
      )}
      <ol className="running-ops">
        {ops.map((op) => (
          <li key={op.id}>
            <p className="running-do">{wording.inOwnWords(op.words)}</p>
            {op.check && <p className="running-check">Check: {wording.inOwnWords(op.check)}</p>}
            {op.caution && <p className="ember">{op.caution}</p>}
          </li>
        ))}
      </ol>
      <div className="running-keys">
        <button type="button" className="running-back" disabled={run.at === 0} onClick={() => go(-1)}>
          Back
        </button>
        {step.kind === "heat" && (
          <button
            type="button"
            className="running-again"
            onClick={() => put(againRun(run, new Date().toISOString()))}
          >
            Once more
            <span className="visually-hidden"> in the fire</span>
          </button>
        )}
        <button type="button" className="running-next" onClick={() => go(1)}>
          {next === undefined ? "Done" : next.kind === "cold" ? "Next: cold" : "Next heat"}
        </button>
      </div>
      <p className="quiet running-foot">
        <span>→ next, ← back, a once more in the fire</span>
        <TextButton onClick={onLeave}>Back to the plan, keeping the place</TextButton>
      </p>
    </div>
  );
}

function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const every = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(every);
  }, []);
  return now;
}

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;
