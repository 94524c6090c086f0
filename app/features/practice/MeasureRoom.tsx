import { Button } from "antd";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { PicturePane } from "~app/drawing/PicturePane";
import { pairEdit, pairsSaid } from "~app/stage/pairEdit";
import { todayHere } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { PickOne } from "~app/ui/PickOne";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useSettings, useWording } from "~app/ui/useWording";
import { pairsOf, pairsOfReadings } from "~core/foot/records/pairs";
import { distance, type ImagePoint, type Vector } from "~core/geometry/vector";
import { levelAfter } from "~core/practice/level";
import { measureTask, scoreMarks, taskName, twinTask, type MeasureTask } from "~core/practice/measureRoom";
import { pictureTruth } from "~core/practice/picture";
import { standings, weakest } from "~core/practice/progress";
import type { Try } from "~core/practice/tryRecord";
import { MEASURED_VIEWS, PHOTO_VIEW_FACTS, photoMarkFacts, type MeasuredView } from "~core/photo/views";
import { MarkScore } from "./MarkScore";
import { missText } from "./missText";
import { RoomHead } from "./RoomHead";
import { useSitting, useStopwatch } from "./useSitting";
import { picturesWait, usePracticePictures } from "./usePracticePictures";
import type { ScoredMarks } from "~core/practice/measureRoom";

/** Every so many feet one comes again, unannounced: how steady the hand is. */
const TWIN_EVERY = 4;
const TWIN_BACK = 3;
/** One step of an arrow key on the foot, mm. */
const STEP_MM = 0.1;

interface Done {
  task: MeasureTask;
  scored: ScoredMarks;
}

const viewsOf = (asked: string | null): readonly MeasuredView[] =>
  MEASURED_VIEWS.includes(asked as MeasuredView) ? [asked as MeasuredView] : ["side", "sole", "rear"];

/** Marks placed on a simulated picture and held against the truth, foot after foot. */
export function MeasureRoom({ tries }: { tries: readonly Try[] }) {
  const [search, setSearch] = useSearchParams();
  const sitting = useSitting("measure", tries);
  const watch = useStopwatch();
  const wording = useWording();
  const views = viewsOf(search.get("view"));
  const taskAt = (index: number, level: number, done: readonly Done[]): MeasureTask => {
    const view = views[index % views.length] ?? "side";
    const first = done[index - TWIN_BACK];
    return index % TWIN_EVERY === TWIN_EVERY - 1 && first && first.task.picture.view === view
      ? twinTask(first.task, sitting.seedOf(index))
      : measureTask(sitting.seedOf(index), level, view);
  };
  const [task, setTask] = useState(() => taskAt(0, sitting.level, []));
  const [points, setPoints] = useState<Partial<Record<string, ImagePoint>>>({});
  const [selected, setSelected] = useState<string>();
  const [done, setDone] = useState<readonly Done[]>([]);
  const last = done.at(-1);
  const scored = last?.task === task ? last.scored : undefined;
  const next = scored ? taskAt(done.length, levelAfter(task.level, scored.score), done) : undefined;
  const { urlOf, failed } = usePracticePictures([task.picture, ...(next ? [next.picture] : [])]);
  const url = urlOf(task.picture);

  const { picture, marks } = task;
  const { view } = picture;
  const factsOf = (mark: string) => {
    const facts = photoMarkFacts(view, mark);
    return { name: wording.inOwnWords(facts.name), find: wording.inOwnWords(facts.find) };
  };
  const wanted = scored ? undefined : marks.find((mark) => !points[mark]);
  const placed = marks.filter((mark) => points[mark]);
  const { scale } = pictureTruth(picture);
  const pxPerMm = scale.kind === "card" ? distance(scale.corners[0], scale.corners[1]) / scale.widthMm : 1;
  const put = (mark: string, at: Vector) => setPoints((now) => ({ ...now, [mark]: at }));

  const score = () => {
    const found = scoreMarks(task, points);
    if (!found.ok || scored) return;
    const { value } = found;
    sitting.keep({
      what: taskName(task),
      level: task.level,
      next: levelAfter(task.level, value.score),
      score: value.score,
      seconds: watch.seconds(),
      misses: value.misses,
    });
    setSelected(undefined);
    setDone([...done, { task, scored: value }]);
  };
  const begin = (task: MeasureTask) => {
    setTask(task);
    setPoints({});
    setSelected(undefined);
    watch.begin();
  };
  const takeBack = () => {
    const mark = placed.at(-1);
    if (!mark || scored) return;
    setPoints(({ [mark]: _taken, ...rest }) => rest);
    setSelected(undefined);
  };
  useShortcuts({
    Enter: () => (next ? begin(next) : score()),
    Backspace: takeBack,
  });
  const twin = scored && task.twin ? done[done.length - 1 - TWIN_BACK] : undefined;
  return (
    <div className="page practice-room">
      <RoomHead
        room="measure"
        level={task.level}
        now={`Foot ${done.length + (scored ? 0 : 1)} of this sitting`}
      >
        <PickOne
          label="View"
          options={[
            { value: "any", label: "Every view" },
            ...MEASURED_VIEWS.map((one) => ({ value: one as string, label: PHOTO_VIEW_FACTS[one].name })),
          ]}
          value={views.length > 1 ? "any" : (views[0] ?? "any")}
          onPick={(chosen) => {
            setSearch((now) => {
              const search = new URLSearchParams(now);
              search.set("view", chosen);
              return search;
            });
            const [first = "side"] = viewsOf(chosen);
            setDone([]);
            begin(measureTask(sitting.seedOf(0), sitting.level, first));
          }}
        />
      </RoomHead>
      <div className="marking">
        <div className="marking-picture">
          {url ? (
            <PicturePane
              key={picture.seed}
              url={url}
              width={picture.shot.width}
              height={picture.shot.height}
              name={`A simulated ${wording.limb(picture.foot.limb)}, ${PHOTO_VIEW_FACTS[view].name.toLowerCase()}`}
              handles={
                scored
                  ? []
                  : placed.map((mark) => ({
                      name: mark,
                      label: factsOf(mark).name,
                      at: points[mark] as Vector,
                      known: true,
                    }))
              }
              card={scale.kind === "card" ? scale.corners : []}
              over={
                scored &&
                ((thick) => <Truth marks={marks} points={points} truth={scored.truth} thick={thick} />)
              }
              selected={selected}
              armed={wanted}
              step={STEP_MM * pxPerMm}
              onPlace={(at) => {
                if (!wanted) return;
                put(wanted, at);
                setSelected(wanted);
              }}
              onSelect={setSelected}
              onMove={put}
              onDrop={put}
            />
          ) : (
            <div className="practice-waits" role="status">
              {picturesWait(failed)}
            </div>
          )}
        </div>
        <aside className="marking-side">
          <section
            className={scored ? "marking-step marking-scored" : "marking-step"}
            aria-label={scored ? "Score" : "Next mark"}
            aria-live="polite"
          >
            {wanted ? (
              <>
                <p className="quiet">
                  {placed.length + 1} of {marks.length} · {wording.limb(picture.foot.limb)} · tap it on the
                  picture
                </p>
                <p className="marking-next">{factsOf(wanted).name}</p>
                <p>{factsOf(wanted).find}</p>
                {placed.length > 0 && <TextButton onClick={takeBack}>Take the last one back</TextButton>}
              </>
            ) : scored && next ? (
              <MarkScore scored={scored} task={task} onNext={() => begin(next)} />
            ) : (
              <>
                <p className="marking-next">All placed. Drag any of them, or use the arrow keys.</p>
                <Button type="primary" onClick={score}>
                  Hold it against the truth
                </Button>
              </>
            )}
          </section>
          {twin && scored && <Twin first={twin} second={{ task, scored }} />}
          {!scored && (
            <p className="quiet">
              The scale comes from the card, its corners are found for you. Ground, wall and pastern only have
              to lie on their line.
            </p>
          )}
          <SittingSoFar done={done} tries={tries} />
        </aside>
      </div>
    </div>
  );
}

/** The scores of this sitting, and what is weakest over the latest. */
function SittingSoFar({ done, tries }: { done: readonly Done[]; tries: readonly Try[] }) {
  const wording = useWording();
  const weak = weakest(standings(tries, "measure"));
  if (done.length === 0 && !weak) return null;
  return (
    <section className="sitting-so-far" aria-label="So far">
      {done.length > 0 && (
        <>
          <h2>This sitting</h2>
          <ol>
            {done.map(({ task, scored }, index) => (
              <li key={index}>
                <b>{Math.round(scored.score)}</b>{" "}
                <span className="quiet">
                  {PHOTO_VIEW_FACTS[task.picture.view].name.toLowerCase()}, level {task.level}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
      {weak && (
        <p>
          <b>Weakest:</b> {wording.inOwnWords(weak.of)} ({weak.what.toLowerCase()}),{" "}
          <Fractions text={missText(weak.now, wording)} />
        </p>
      )}
    </section>
  );
}

/** Where each mark was placed, where it truly lies, and the way between. */
function Truth({
  marks,
  points,
  truth,
  thick,
}: {
  marks: readonly string[];
  points: Partial<Record<string, ImagePoint>>;
  truth: Record<string, ImagePoint>;
  thick: number;
}) {
  return (
    <g className="practice-truth" style={{ strokeWidth: thick * 1.6 }}>
      {marks.map((mark) => {
        const [at, to] = [points[mark], truth[mark]];
        if (!at || !to) return null;
        return (
          <g key={mark}>
            <line className="truth-way" x1={at[0]} y1={at[1]} x2={to[0]} y2={to[1]} />
            <circle className="truth-placed" cx={at[0]} cy={at[1]} r={thick * 3} />
            <circle className="truth-true" cx={to[0]} cy={to[1]} r={thick * 5} />
          </g>
        );
      })}
    </g>
  );
}

/** The same foot, measured twice without knowing it: pairs for the noise of this hand. */
function Twin({ first, second }: { first: Done; second: Done }) {
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const [kept, setKept] = useState(false);
  const pairs = pairsOfReadings(todayHere(), first.scored.values, second.scored.values);
  const show = (measure: string, value: number) =>
    /Angle$/.test(measure) ? wording.angle(value) : wording.length(value);
  if (pairs.length === 0)
    return <p className="quiet">This foot came {TWIN_BACK} feet ago already, from elsewhere.</p>;
  return (
    <section className="practice-twin" aria-label="The same foot twice">
      <h2>You have measured this foot before, {TWIN_BACK} feet ago</h2>
      <table className="marking-numbers">
        <tbody>
          {pairs.map(({ measure, a, b }) => (
            <tr key={measure}>
              <th scope="row">{wording.measure(measure as Parameters<typeof wording.measure>[0])}</th>
              <td>
                <Fractions text={show(measure, a)} />
              </td>
              <td>
                <Fractions text={show(measure, b)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {kept ? (
        <p className="quiet" role="status">
          Kept. {pairsSaid(settings.pairs, "angle", pairsOf(settings.pairs, "angle").length)}
        </p>
      ) : (
        <Button
          onClick={() => {
            setKept(true);
            void save(pairEdit(settings, pairs, "pairs of practice"));
          }}
        >
          Count them as my own noise
        </Button>
      )}
    </section>
  );
}
