import { Link } from "react-router";
import { LEVELS } from "~core/practice/level";
import { ROOM_FACTS, type PracticeRoom } from "~core/practice/tryRecord";

/** The nine levels as knots on a line, the bob at the one where the user stands. */
export function LevelLine({ level }: { level: number }) {
  return (
    <span className="level-line" role="img" aria-label={`Level ${level} of ${LEVELS}`}>
      {Array.from({ length: LEVELS }, (_, index) => (
        <span key={index} data-at={index + 1 === level} data-below={index + 1 < level} />
      ))}
    </span>
  );
}

interface RoomHeadProps {
  room: PracticeRoom;
  level: number;
  /** What is being done: "Foot 3". */
  now?: string | undefined;
  children?: React.ReactNode;
}

/** Name of the room, where one stands, and the way out. */
export function RoomHead({ room, level, now, children }: RoomHeadProps) {
  return (
    <header className="room-head">
      <Link className="link" to="/practice">
        ‹ Practice
      </Link>
      <h1>{ROOM_FACTS[room].name}</h1>
      {now && <span className="quiet">{now}</span>}
      <span className="room-level">
        <LevelLine level={level} /> <span className="quiet">level {level}</span>
      </span>
      {children}
    </header>
  );
}

/** A score and where it leads. */
export function ScoreLine({ score, level, next }: { score: number; level: number; next: number }) {
  const leads =
    next > level
      ? `Level ${next} comes next.`
      : next < level
        ? `Level ${next} comes next, easier.`
        : `Level ${level} again.`;
  return (
    <p className="score-line">
      <b>{Math.round(score)}</b> <span className="quiet">of 100. {leads}</span>
    </p>
  );
}
