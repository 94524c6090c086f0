import { Button, Switch } from "antd";
import { useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import { SideView } from "~app/drawing/SideView";
import { SoleView } from "~app/drawing/SoleView";
import { PickOne } from "~app/ui/PickOne";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useWording } from "~app/ui/useWording";
import { seededRandom } from "~core/math/random";
import { atLevel, levelAfter } from "~core/practice/level";
import { practiceFoot } from "~core/practice/practiceFoot";
import {
  checkProtocol,
  HOUSE_PROTOCOL,
  offeredSteps,
  scoreRun,
  type Protocol,
} from "~core/practice/protocol";
import { standings } from "~core/practice/progress";
import type { Try } from "~core/practice/tryRecord";
import { RoomHead, ScoreLine } from "./RoomHead";
import { RunMap } from "./RunMap";
import { useNewProtocol } from "./useNewProtocol";
import { useSitting, useStopwatch } from "./useSitting";

const TICK_MS = 500;

interface Run {
  index: number;
  chosen: readonly string[];
  level: number;
  over: boolean;
}

const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;

/** A whole protocol on one made-up foot: the next step is chosen each time, and each is marked. */
export function RunRoom({ tries, protocols }: { tries: readonly Try[]; protocols: readonly Protocol[] }) {
  const sitting = useSitting("run", tries);
  const watch = useStopwatch();
  const wording = useWording();
  const makeNew = useNewProtocol();
  const [asked, setAsked] = useState(HOUSE_PROTOCOL.id);
  const [byClock, setByClock] = useState(false);
  const [run, setRun] = useState<Run>();
  const [passed, setPassed] = useState(0);
  const protocol = protocols.find(({ id }) => id === asked) ?? HOUSE_PROTOCOL;
  const allowed = (protocol.minutes ?? HOUSE_PROTOCOL.minutes ?? 5) * 60;
  const checked = checkProtocol(protocol);
  const going = run !== undefined && !run.over;
  const scored = useMemo(() => scoreRun(protocol, run?.chosen ?? []), [protocol, run?.chosen]);
  const seed = sitting.seedOf(run?.index ?? 0);
  const { foot } = useMemo(
    () => practiceFoot(seededRandom(seed), { count: 2, size: atLevel(sitting.level, [0.5, 1]) }),
    [seed, sitting.level],
  );
  const offered = useMemo(
    () =>
      going ? offeredSteps(seededRandom(seed + run.chosen.length), protocol, run.chosen, run.level) : [],
    [going, seed, run, protocol],
  );
  const begin = () => {
    if (!checked.ok) return;
    watch.begin();
    setPassed(0);
    setRun({ index: (run?.index ?? -1) + 1, chosen: [], level: sitting.level, over: false });
  };
  const end = (now: Run) => {
    const done = scoreRun(protocol, now.chosen);
    sitting.keep({
      what: protocol.name,
      level: now.level,
      next: levelAfter(now.level, done.score),
      score: done.score,
      seconds: watch.seconds(),
      misses: done.misses,
    });
    setPassed(watch.seconds());
    setRun({ ...now, over: true });
  };
  const choose = (id: string | undefined) => {
    if (!run || !going || id === undefined) return;
    const now = { ...run, chosen: [...run.chosen, id] };
    if (now.chosen.length === protocol.steps.length) end(now);
    else setRun(now);
  };
  useEffect(() => {
    if (!going) return undefined;
    const timer = setInterval(() => {
      setPassed(watch.seconds());
      if (byClock && watch.seconds() >= allowed) end(run);
    }, TICK_MS);
    return () => clearInterval(timer);
  });
  useShortcuts({
    Enter: () => {
      if (!going) begin();
    },
    ...Object.fromEntries(
      ["1", "2", "3", "4", "5", "6", "7", "8", "9"].map((key, at) => [key, () => choose(offered[at]?.id)]),
    ),
  });
  const states = new Map(scored.steps.map((one) => [one.step.id, one]));
  return (
    <div className="page practice-room">
      <RoomHead room="run" level={run?.level ?? sitting.level} now={run && protocol.name}>
        {going && (
          <span className="read-time">
            <span role="timer">
              {byClock ? `${minutes(Math.max(0, allowed - passed))} left` : minutes(passed)} ·{" "}
              {run.chosen.length} of {protocol.steps.length}
            </span>
            <Button onClick={() => end(run)}>I am done</Button>
          </span>
        )}
      </RoomHead>
      {going ? (
        <div className="run-room">
          <section aria-label="The next step" className="run-next">
            <h2>What comes next?</h2>
            <div className="read-answers" role="group" aria-label="Steps">
              {offered.map((step, at) => (
                <button key={step.id} type="button" className="read-answer" onClick={() => choose(step.id)}>
                  <kbd>{at + 1}</kbd> {step.text}
                </button>
              ))}
            </div>
          </section>
          <RunSoFar run={run} states={states} />
          <div className="run-foot">
            <SoleView
              foot={foot}
              wording={wording}
              guess={false}
              labels={false}
              title={`The made-up ${wording.limb(foot.limb)}`}
              overlay={(geometry) => <RunMap foot={foot} chosen={run.chosen} geometry={geometry} />}
            />
            <SideView
              foot={foot}
              wording={wording}
              guess={false}
              labels={run.chosen.includes("axis")}
              title="From the outside"
            />
          </div>
        </div>
      ) : (
        <div className="run-rest">
          <section className="run-choose" aria-label="Protocol">
            <label className="spec-field">
              <span>Protocol</span>
              <PickOne
                value={protocol.id}
                label="Protocol"
                options={[HOUSE_PROTOCOL, ...protocols].map(({ id, name }) => ({ value: id, label: name }))}
                onPick={(id) => {
                  setAsked(id);
                  setRun(undefined);
                }}
              />
            </label>
            <label className="run-clock">
              <Switch checked={byClock} onChange={setByClock} /> Against the clock: {allowed / 60} minutes
            </label>
            {!checked.ok && (
              <p className="ember" role="alert">
                {checked.issues[0]?.message}
              </p>
            )}
            <Button type="primary" size="large" disabled={!checked.ok} onClick={begin}>
              {run ? "Run it again" : "Begin"}
            </Button>
            <p className="run-own">
              {protocol.id !== HOUSE_PROTOCOL.id && (
                <Link className="link" to={`/practice/run/${protocol.id}`}>
                  Change this protocol, print its form
                </Link>
              )}
              <Button onClick={() => makeNew({ name: "", steps: [] })}>Write one of your own</Button>
              <Button onClick={() => makeNew({ ...protocol, name: `${protocol.name}, mine` })}>
                Begin from this one
              </Button>
            </p>
          </section>
          <section className="run-steps" aria-label={run ? "How it went" : "Steps of this protocol"}>
            {run && (
              <ScoreLine score={scored.score} level={run.level} next={levelAfter(run.level, scored.score)} />
            )}
            {run && <p className="quiet">{minutes(passed)} minutes</p>}
            <ol>
              {(run ? scored.steps : []).map(({ step, state, where }) => (
                <li key={step.id} data-state={state}>
                  <b>{step.text}</b> <span className="run-state">{state}</span>
                  {where && <span> {where}</span>}
                  <p className="quiet">{step.why}</p>
                </li>
              ))}
            </ol>
            {!run && <OftenWrong tries={tries} protocol={protocol} />}
          </section>
        </div>
      )}
    </div>
  );
}

/** Before a run: what it will be, and which steps went wrong most often. */
function OftenWrong({ tries, protocol }: { tries: readonly Try[]; protocol: Protocol }) {
  const wrong = standings(tries, "run")
    .filter(({ what, now }) => what === protocol.name && now > 0)
    .sort((a, b) => b.now - a.now)
    .slice(0, 6);
  return (
    <>
      <p>
        {protocol.steps.length} steps. The next one is chosen each time; what comes too early or too late is
        marked, with why it stands where it stands.
      </p>
      {wrong.length > 0 && (
        <>
          <h2>Most often wrong</h2>
          <ul className="run-wrong">
            {wrong.map(({ of, now }) => (
              <li key={of}>
                {of} <span className="practice-bar" style={{ "--part": now } as React.CSSProperties} />
                <span className="practice-off">{Math.round(100 * now)} %</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** What was chosen so far, the latest first, each as it stands now. */
function RunSoFar({
  run,
  states,
}: {
  run: Run;
  states: ReadonlyMap<string, ReturnType<typeof scoreRun>["steps"][number]>;
}) {
  return (
    <section className="run-steps" aria-label="So far" aria-live="polite">
      <h2>So far</h2>
      {run.chosen.length === 0 && <p className="quiet">Nothing yet.</p>}
      <ol reversed>
        {[...run.chosen].reverse().map((id, at) => {
          const one = states.get(id);
          if (!one) return null;
          return (
            <li key={id} data-state={one.state}>
              <b>{one.step.text}</b> <span className="run-state">{one.state}</span>
              {one.where && <span> {one.where}</span>}
              {at === 0 && <p className="quiet">{one.step.why}</p>}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
