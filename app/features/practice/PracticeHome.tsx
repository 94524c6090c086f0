import { Button } from "antd";
import { Link } from "react-router";
import { PracticeChart } from "~app/charts/practice/PracticeChart";
import { practiceModel } from "~app/charts/practice/model";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { levelIn } from "~core/practice/level";
import { overall, progressOf, standings, weakest, type SkillStanding } from "~core/practice/progress";
import { PRACTICE_ROOMS, ROOM_FACTS, type PracticeRoom, type Try } from "~core/practice/tryRecord";
import { missText } from "./missText";
import { LevelLine } from "./RoomHead";

/** Every room: where one stands in it, what got better, what is weakest. */
export function PracticeHome({ tries }: { tries: readonly Try[] }) {
  return (
    <div className="page practice-home">
      <header className="page-head">
        <div>
          <h1>Practice</h1>
          <p className="quiet">
            Made-up feet without end, their truth known. It follows you: harder when it goes well. Scores are
            yours alone.
          </p>
        </div>
      </header>
      <ul className="practice-rooms">
        {PRACTICE_ROOMS.map((room) => (
          <RoomRow key={room} room={room} tries={tries} />
        ))}
      </ul>
    </div>
  );
}

function RoomRow({ room, tries }: { room: PracticeRoom; tries: readonly Try[] }) {
  const { name, does } = ROOM_FACTS[room];
  const mine = tries.filter((one) => one.room === room);
  const level = levelIn(tries, room);
  const progress = progressOf(tries, room);
  return (
    <li className="practice-row">
      <div className="practice-what">
        <h2>{name}</h2>
        <p>{does}</p>
        <p className="practice-stand">
          <LevelLine level={level} />{" "}
          <span className="quiet">
            level {level} ·{" "}
            {mine.length === 0 ? "not tried yet" : `${mine.length} ${room === "read" ? "minutes" : "done"}`}
          </span>
        </p>
      </div>
      <div className="practice-graph">
        {progress.length > 1 ? (
          <>
            <PracticeChart
              model={practiceModel(progress)}
              title={`${name}: scores of ${progress.length} tries, the latest ${Math.round(progress.at(-1)?.score ?? 0)} of 100`}
            />
            <p className="quiet practice-legend">dots: scores · line: mean of five · dashes: level</p>
          </>
        ) : (
          progress.length === 1 && <p className="quiet">One try: the next begins the chart.</p>
        )}
      </div>
      <Standing all={standings(tries, room)} whole={overall(tries, room)} />
      <Link to={`/practice/${room}`} className="practice-go" tabIndex={-1}>
        <Button type="primary">{room === "read" ? "One minute" : name}</Button>
      </Link>
    </li>
  );
}

/** What got better beyond its scatter, and what is weakest. */
function Standing({ all, whole }: { all: readonly SkillStanding[]; whole: SkillStanding | undefined }) {
  const wording = useWording();
  const name = ({ what, of }: SkillStanding) =>
    wording.inOwnWords(what === "" ? of : `${of} (${what.toLowerCase()})`);
  const size = ({ unit }: SkillStanding, value: number) =>
    unit === "wrong"
      ? `${Math.round(value * 100)} % wrong`
      : unit === "deg"
        ? wording.angle(value)
        : missText(value, wording);
  const gain = (one: SkillStanding) => ((one.before ?? 0) - one.now) / (one.before || 1);
  const better = [...(whole ? [whole] : []), ...all]
    .filter(({ change }) => change === "better")
    .sort((a, b) => Number(b === whole) - Number(a === whole) || gain(b) - gain(a));
  const worse = [...(whole ? [whole] : []), ...all].filter(({ change }) => change === "worse");
  const weak = weakest(all);
  if (!weak && better.length === 0) return <div />;
  return (
    <div className="practice-standing">
      {better.slice(0, 2).map((one) => (
        <p key={`${one.what}${one.of}`}>
          <b className="verdigris">Better:</b>{" "}
          <Fractions text={`${name(one)}, ${size(one, one.before ?? 0)} → ${size(one, one.now)}`} />
        </p>
      ))}
      {worse.slice(0, 1).map((one) => (
        <p key={`${one.what}${one.of}`}>
          <b className="ember">Worse:</b>{" "}
          <Fractions text={`${name(one)}, ${size(one, one.before ?? 0)} → ${size(one, one.now)}`} />
        </p>
      ))}
      {weak && (
        <p>
          <b>Weakest:</b> <Fractions text={`${name(weak)}, ${size(weak, weak.now)}`} />
          <span className="quiet"> in {weak.n}</span>
        </p>
      )}
      <details>
        <summary className="quiet">All of them</summary>
        <table className="marking-numbers" aria-label="Every miss, lately">
          <tbody>
            {[...all]
              .sort((a, b) => b.now - a.now)
              .map((one) => (
                <tr key={`${one.what}${one.of}`}>
                  <th scope="row">{name(one)}</th>
                  <td>
                    <Fractions text={size(one, one.now)} />
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}
