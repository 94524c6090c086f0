import { Button } from "antd";
import { useEffect, useState } from "react";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useWording } from "~app/ui/useWording";
import { levelAfterAnswer } from "~core/practice/level";
import {
  READ_FACTS,
  READ_QUESTIONS,
  readTask,
  ROUND_SECONDS,
  scoreAnswers,
  type Answer,
  type ReadTask,
} from "~core/practice/readRoom";
import { standings } from "~core/practice/progress";
import type { Try } from "~core/practice/tryRecord";
import { RoomHead } from "./RoomHead";
import { useSitting, useStopwatch } from "./useSitting";
import { picturesWait, usePracticePictures } from "./usePracticePictures";
import { WornShoe } from "./WornShoe";

interface Round {
  index: number;
  task: ReadTask;
  answers: readonly (Answer & { why: string })[];
  over: boolean;
}

const TICK_MS = 250;

/** A round of one minute: look, answer, next. */
export function ReadRoom({ tries }: { tries: readonly Try[] }) {
  const sitting = useSitting("read", tries);
  const watch = useStopwatch();
  const wording = useWording();
  const [first] = useState(() => readTask(sitting.seedOf(0), sitting.level));
  const [round, setRound] = useState<Round>();
  const [left, setLeft] = useState(ROUND_SECONDS);
  const going = round !== undefined && !round.over;
  const task = round?.task ?? first;
  const nextAfter = (right: boolean): ReadTask =>
    readTask(sitting.seedOf((round?.index ?? 0) + 1), levelAfterAnswer(task.level, right));
  const pictures = [task, ...(going ? [nextAfter(true), nextAfter(false)] : [])].flatMap(({ picture }) =>
    picture ? [picture] : [],
  );
  const { urlOf, failed } = usePracticePictures(pictures);

  const end = (now: Round) => {
    if (now.answers.length > 0) {
      const { score, misses } = scoreAnswers(now.answers);
      sitting.keep({
        what: "One minute",
        level: now.answers[0]?.level ?? 1,
        next: now.task.level,
        score,
        seconds: Math.min(ROUND_SECONDS, watch.seconds()),
        misses,
      });
    }
    setRound({ ...now, over: true });
  };
  useEffect(() => {
    if (!going) return undefined;
    const timer = setInterval(() => {
      const rest = ROUND_SECONDS - watch.seconds();
      setLeft(Math.max(0, rest));
      if (rest <= 0 && round) end(round);
    }, TICK_MS);
    return () => clearInterval(timer);
  });
  const begin = () => {
    watch.begin();
    setLeft(ROUND_SECONDS);
    const again = round ? readTask(sitting.seedOf(round.index + 1), sitting.level) : first;
    setRound({ index: (round?.index ?? -1) + 1, task: again, answers: [], over: false });
  };
  const answer = (chosen: number) => {
    if (!round || !going || chosen >= task.answers.length) return;
    const right = chosen === task.right;
    const { text, mm, deg } = task.why;
    const size =
      mm !== undefined ? `, by ${wording.cut(mm)}` : deg !== undefined ? `, by ${wording.angle(deg)}` : "";
    // A size stands after the first sentence, before what is said besides.
    const [said = "", ...more] = text.split(/(?<=\w)(?=[.:] )/);
    const why = wording.inOwnWords(`${said}${size}${more.join("")}.`);
    setRound({
      index: round.index + 1,
      task: nextAfter(right),
      answers: [...round.answers, { question: task.question, level: task.level, right, why }],
      over: false,
    });
  };
  useShortcuts({
    Enter: () => {
      if (!going) begin();
    },
    ...Object.fromEntries(["1", "2", "3", "4"].map((key, index) => [key, () => answer(index)])),
  });
  const latest = round?.answers.at(-1);
  const url = task.picture && urlOf(task.picture);
  return (
    <div className="page practice-room">
      <RoomHead room="read" level={going ? task.level : sitting.level}>
        {going && <RoundClock left={left} answered={round.answers.length} onStop={() => end(round)} />}
      </RoomHead>
      {going ? (
        <div className="read-room">
          <div className="read-picture">
            {task.worn ? (
              <WornShoe worn={task.worn} limb={task.limb} />
            ) : url ? (
              <ReadPicture task={task} url={url} />
            ) : (
              <div className="practice-waits" role="status">
                {picturesWait(failed)}
              </div>
            )}
          </div>
          <section className="read-ask" aria-label="Question">
            <p className="quiet">
              {READ_FACTS[task.question].name}, {wording.limb(task.limb)}
            </p>
            <h2 aria-live="polite">{READ_FACTS[task.question].ask}</h2>
            <div className="read-answers" role="group" aria-label="Answers">
              {task.answers.map((one, index) => (
                <button key={one} type="button" className="read-answer" onClick={() => answer(index)}>
                  <kbd>{index + 1}</kbd> {wording.inOwnWords(one)}
                </button>
              ))}
            </div>
            <p className={`read-last${latest && !latest.right ? " ember" : ""}`} role="status">
              {latest && (
                <>
                  <b>{latest.right ? "Right." : "No."}</b> {latest.why}
                </>
              )}
            </p>
          </section>
        </div>
      ) : (
        <div className="read-rest">
          <div>
            {round ? (
              <RoundOver round={round} />
            ) : (
              <p>
                {ROUND_SECONDS} seconds. Each right answer makes the next question harder, each wrong one
                easier.
              </p>
            )}
            <Button type="primary" size="large" onClick={begin}>
              {round ? "Another minute" : "Start the minute"}
            </Button>
            <p className="quiet">
              Answer with 1 to 4, or tap. What is shown is made up: no real foot, no real shoe.
            </p>
          </div>
          <AskedSoFar tries={tries} />
        </div>
      )}
    </div>
  );
}

/** What is asked, and how often each was right of late. */
function AskedSoFar({ tries }: { tries: readonly Try[] }) {
  const all = standings(tries, "read");
  return (
    <section aria-label="What is asked" className="read-asked">
      <h2>What is asked</h2>
      <ul>
        {READ_QUESTIONS.map((question) => {
          const { name, ask } = READ_FACTS[question];
          const standing = all.find(({ of }) => of === name);
          const right = standing && 1 - standing.now;
          return (
            <li key={question}>
              <b>{ask}</b>
              <span className="quiet">
                {right === undefined ? "not asked yet" : `${Math.round(100 * right)} % right of late`}
              </span>
              <span className="practice-bar" style={{ "--part": right ?? 0 } as React.CSSProperties} />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function RoundClock({ left, answered, onStop }: { left: number; answered: number; onStop: () => void }) {
  return (
    <span className="read-time">
      <span className="read-clock" style={{ "--part": left / ROUND_SECONDS } as React.CSSProperties} />
      <span role="timer">
        {Math.ceil(left)} s · {answered} answered
      </span>
      <Button onClick={onStop}>Stop here</Button>
    </span>
  );
}

function ReadPicture({ task, url }: { task: ReadTask; url: string }) {
  const { width, height } = task.picture?.shot ?? { width: 4, height: 3 };
  return (
    <svg
      className="read-svg"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`A simulated foot: ${READ_FACTS[task.question].name.toLowerCase()}`}
    >
      <image href={url} width={width} height={height} />
      {task.lines?.map(({ letter, ends: [a, b] }, index) => {
        // The card lies to the right of a sole; letters of lines that lie close stand beside each other.
        const [left, right] = a[0] < b[0] ? [a, b] : [b, a];
        const out = width / 90 + (index % 2) * (width / 24);
        return (
          <g key={letter} className="read-line" style={{ strokeWidth: width / 420 }}>
            <line x1={left[0] - out} y1={left[1]} x2={right[0]} y2={right[1]} />
            <text
              x={left[0] - out - width / 200}
              y={left[1] + width / 110}
              textAnchor="end"
              style={{ fontSize: width / 32 }}
            >
              {letter}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** A minute that is over: how many, how many right, by question, and what was wrong. */
function RoundOver({ round }: { round: Round }) {
  const { answers } = round;
  const right = answers.filter((one) => one.right).length;
  if (answers.length === 0) return <p>Nothing was answered, so nothing is kept.</p>;
  return (
    <section aria-label="This minute">
      <p className="score-line">
        <b>
          {right} of {answers.length}
        </b>{" "}
        <span className="quiet">right. You went on at level {round.task.level}.</span>
      </p>
      <table className="marking-numbers">
        <tbody>
          {READ_QUESTIONS.map((question) => {
            const mine = answers.filter((one) => one.question === question);
            return mine.length === 0 ? null : (
              <tr key={question}>
                <th scope="row">{READ_FACTS[question].name}</th>
                <td>
                  {mine.filter((one) => one.right).length} of {mine.length}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <ul className="read-wrong">
        {answers
          .filter((one) => !one.right)
          .slice(-4)
          .map((one, index) => (
            <li key={index}>
              {READ_FACTS[one.question].name}: {one.why}
            </li>
          ))}
      </ul>
    </section>
  );
}
