import { Button, Slider } from "antd";
import { useState } from "react";
import { RearView } from "~app/drawing/RearView";
import { SideView } from "~app/drawing/SideView";
import { Fractions } from "~app/ui/Fractions";
import { useNarrow } from "~app/ui/useNarrow";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useWording } from "~app/ui/useWording";
import { cutFoot } from "~core/foot/parametric/cut";
import { halvesFrom, halvesInWords } from "~core/foot/parametric/halves";
import { NO_CUT, predictTrim, type PredictedFoot } from "~core/foot/parametric/predict";
import {
  CUT_NAMES,
  CUT_STEP_MM,
  cutTask,
  PRACTICE_CUTS,
  scoreCuts,
  type CutTask,
  type PracticeCut,
  type ScoredCuts,
} from "~core/practice/cutRoom";
import { levelAfter } from "~core/practice/level";
import type { Wording } from "~core/foot/wording";
import { wrongsSaid } from "~core/practice/practiceFoot";
import type { Try } from "~core/practice/tryRecord";
import { RoomHead, ScoreLine } from "./RoomHead";
import { useSitting, useStopwatch } from "./useSitting";

type Chosen = Record<PracticeCut, number>;
const NOTHING: Chosen = { toe: 0, heelMedial: 0, heelLateral: 0 };
const MOST_MM = 16;

/** Choose the trim, see what it does, compare it with the plan; over-cutting ends the round. */
export function CutRoom({ tries }: { tries: readonly Try[] }) {
  const sitting = useSitting("cut", tries);
  const watch = useStopwatch();
  const wording = useWording();
  const narrow = useNarrow();
  const [index, setIndex] = useState(0);
  const [task, setTask] = useState<CutTask>(() => cutTask(sitting.seedOf(0), sitting.level));
  const [level, setLevel] = useState(sitting.level);
  const [chosen, setChosen] = useState<Chosen>(NOTHING);
  const [scored, setScored] = useState<ScoredCuts>();
  const [round, setRound] = useState<readonly number[]>([]);
  const over = (scored?.over.length ?? 0) > 0;
  const set = (name: PracticeCut, mm: number) =>
    setChosen((now) => ({ ...now, [name]: Math.min(MOST_MM, Math.max(0, mm)) }));
  const cut = () => {
    const found = scoreCuts(task, chosen);
    if (!found.ok || scored) return;
    const { value } = found;
    sitting.keep({
      what: task.aim,
      level,
      next: levelAfter(level, value.score),
      score: value.score,
      seconds: watch.seconds(),
      misses: value.misses,
    });
    setScored(value);
    setRound([...round, value.score]);
  };
  const next = () => {
    if (!scored) return;
    const nextLevel = levelAfter(level, scored.score);
    setIndex(index + 1);
    setLevel(nextLevel);
    setTask(cutTask(sitting.seedOf(index + 1), nextLevel));
    setChosen(NOTHING);
    setScored(undefined);
    if (over) setRound([]);
    watch.begin();
  };
  useShortcuts({ Enter: () => (scored ? next() : cut()) });
  const before = predictTrim(task.question.foot, NO_CUT);
  const planned = cutFoot(task.foot, task.plan.cuts);
  const plannedFoot = scored && planned.ok ? planned.value.foot : undefined;
  const shown = scored?.foot ?? task.foot;
  const ghost = scored?.foot ? task.foot : undefined;
  return (
    <div className="page practice-room">
      <RoomHead room="cut" level={level} now={`Foot ${round.length + (scored ? 0 : 1)} of this round`} />
      <div className="cut-room">
        <div className="cut-drawings">
          <figure>
            <SideView
              foot={shown}
              ghost={ghost}
              planned={plannedFoot}
              wording={wording}
              guess={false}
              labels={!scored && !narrow}
              title="From the outside"
            />
            <figcaption>From the outside</figcaption>
          </figure>
          <figure>
            <RearView
              foot={shown}
              ghost={ghost}
              planned={plannedFoot}
              wording={wording}
              guess={false}
              title="From behind"
            />
            <figcaption>From behind</figcaption>
          </figure>
          {scored && (
            <p className="quiet cut-key">Filled: as you cut it. Dashed: before. Dotted: as planned.</p>
          )}
          {before.ok && <CutNumbers task={task} before={before.value} chosen={chosen} scored={scored} />}
        </div>
        <div className="cut-side">
          <section className="marking-step" aria-label="The trim">
            {scored ? (
              <>
                {over ? (
                  <>
                    <p className="marking-next ember">Too much is off. The round ends here.</p>
                    <ul className="cut-over">
                      {scored.over.map(({ of, mm }) => (
                        <li key={of}>
                          {wording.inOwnWords(of)}:{" "}
                          {of === "Toe length"
                            ? `${wording.cut(mm)} shorter than this horse’s toe may be`
                            : `${wording.cut(mm)} into the live sole`}
                        </li>
                      ))}
                    </ul>
                    <p>Horn that is off does not go back.</p>
                  </>
                ) : null}
                <ScoreLine score={scored.score} level={level} next={levelAfter(level, scored.score)} />
                {scored.lost && <p>{lostSaid(scored.lost, scored.after, task, wording)}</p>}
                <p className="quiet">{wrongsSaid(task.wrong)}</p>
                <Button type="primary" onClick={next}>
                  {over ? "A new round" : "Next foot"}
                </Button>
              </>
            ) : (
              <>
                <p className="quiet">
                  {wording.limb(task.foot.limb)}, shod · aim: {task.aim.toLowerCase()}, even sole
                </p>
                <p className="marking-next">How much comes off, and where?</p>
              </>
            )}
          </section>
          {!scored && (
            <div className="cut-fields">
              {PRACTICE_CUTS.map((name) => (
                <div key={name} className="cut-field">
                  <span>
                    {wording.inOwnWords(CUT_NAMES[name])}
                    <span className="quiet cut-above">
                      <Fractions text={wording.cut(task.question.above[name])} /> above the live sole
                    </span>
                  </span>
                  <button
                    type="button"
                    aria-label={`Less off ${wording.inOwnWords(CUT_NAMES[name]).toLowerCase()}`}
                    onClick={() => set(name, chosen[name] - CUT_STEP_MM)}
                  >
                    −
                  </button>
                  <b>
                    <Fractions text={wording.cut(chosen[name])} />
                  </b>
                  <button
                    type="button"
                    aria-label={`More off ${wording.inOwnWords(CUT_NAMES[name]).toLowerCase()}`}
                    onClick={() => set(name, chosen[name] + CUT_STEP_MM)}
                  >
                    +
                  </button>
                  {!narrow && (
                    <Slider
                      ariaLabelForHandle={`Off ${wording.inOwnWords(CUT_NAMES[name]).toLowerCase()}, mm`}
                      min={0}
                      max={MOST_MM}
                      step={CUT_STEP_MM}
                      value={chosen[name]}
                      tooltip={{ open: false }}
                      onChange={(mm) => set(name, mm)}
                    />
                  )}
                </div>
              ))}
              <Button type="primary" size="large" onClick={cut}>
                Cut
              </Button>
            </div>
          )}
        </div>
      </div>
    </div>
  );
}

/** On what most was lost, against what the plan leaves. */
function lostSaid(
  lost: NonNullable<ScoredCuts["lost"]>,
  after: PredictedFoot,
  { plan }: CutTask,
  wording: Wording,
): string {
  const { predicted, targetRoll } = plan;
  const angles = (mine: number, best: number) =>
    `${wording.angle(mine)}, where the plan leaves ${wording.angle(best)}`;
  switch (lost) {
    case "axis":
      return `Most was lost on the axis: ${angles(after.axis, predicted.axis)}.`;
    case "level":
      return `Most was lost side to side: off level by ${angles(after.roll - targetRoll, predicted.roll - targetRoll)}.`;
    case "halves":
      return `Most was lost on the halves: ${halves(after)}, where the plan leaves ${halves(predicted)}.`;
  }
}

const halves = ({ front, support }: PredictedFoot): string => halvesInWords(halvesFrom(front, support));

interface CutNumbersProps {
  task: CutTask;
  before: PredictedFoot;
  chosen: Chosen;
  scored: ScoredCuts | undefined;
}

/** What was measured of the foot; after the cut, what it came to beside the plan. */
function CutNumbers({ task, before, chosen, scored }: CutNumbersProps) {
  const wording = useWording();
  const { above, foot } = task.question;
  const { plan } = task;
  const length = (mm: number) => wording.length(mm);
  const state = ({ axis, front, support, toeLength, roll }: PredictedFoot): string[] => [
    wording.angle(axis),
    halvesInWords(halvesFrom(front, support)),
    length(toeLength),
    wording.angle(roll - plan.targetRoll),
  ];
  const names = ["Axis", "Front : support", "Toe length", "Off level, side to side"];
  const [was, mine, best] = [state(before), scored && state(scored.after), state(plan.predicted)];
  return (
    <table className="marking-numbers" aria-label="Numbers of this foot">
      <thead className={scored ? undefined : "visually-hidden"}>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Measure</span>
          </th>
          <th scope="col">{scored ? "before" : "now"}</th>
          {scored && <th scope="col">yours</th>}
          {scored && <th scope="col">the plan</th>}
        </tr>
      </thead>
      <tbody>
        {!scored && (
          <tr>
            <th scope="row">Dorsal, pastern</th>
            <td>
              {wording.angle(foot.dorsalAngle)}, {wording.angle(foot.pasternAngle)}
            </td>
          </tr>
        )}
        {names.map((name, at) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>
              <Fractions text={was[at] ?? ""} />
            </td>
            {mine && (
              <td className="ledger-now">
                <Fractions text={mine[at] ?? ""} />
              </td>
            )}
            {scored && (
              <td>
                <Fractions text={best[at] ?? ""} />
              </td>
            )}
          </tr>
        ))}
        {scored &&
          PRACTICE_CUTS.map((name) => (
            <tr key={name}>
              <th scope="row">Off the {wording.inOwnWords(CUT_NAMES[name]).toLowerCase()}</th>
              <td>
                <Fractions text={`of ${wording.cut(above[name])}`} />
              </td>
              <td className="ledger-now">
                <Fractions text={wording.cut(chosen[name])} />
              </td>
              <td>
                <Fractions text={wording.cut(plan.cuts[name])} />
              </td>
            </tr>
          ))}
      </tbody>
    </table>
  );
}
