import { Button } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { levelAfter } from "~core/practice/level";
import type { MeasureTask, ScoredMarks } from "~core/practice/measureRoom";
import { wrongsSaid } from "~core/practice/practiceFoot";
import { missText } from "./missText";
import { ScoreLine } from "./RoomHead";

/** A bar as long as its column is this much, mm. */
const FULL_BAR_MM = 10;

interface MarkScoreProps {
  scored: ScoredMarks;
  task: MeasureTask;
  onNext: () => void;
}

/** What the marks came to: the score, each mark's miss, worst first, and what it did to the reading. */
export function MarkScore({ scored, task, onNext }: MarkScoreProps) {
  const wording = useWording();
  const misses = [...scored.misses].sort((a, b) => b.off - a.off);
  const show = (value: number, unit: "°" | "mm") =>
    unit === "°" ? wording.angle(value) : wording.length(value);
  return (
    <>
      <ScoreLine score={scored.score} level={task.level} next={levelAfter(task.level, scored.score)} />
      {scored.sidesChanged && (
        <p className="ember strong">
          {wording.inOwnWords("You changed medial and lateral over: every pair lies on the other side.")}
        </p>
      )}
      <p>{wrongsSaid(task.wrong)}</p>
      <Button type="primary" onClick={onNext}>
        Next foot
      </Button>
      {scored.numbers.length > 0 && (
        <table className="marking-numbers" aria-label="What your marks say">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">Measure</span>
              </th>
              <th scope="col">yours</th>
              <th scope="col">true</th>
            </tr>
          </thead>
          <tbody>
            {scored.numbers.map(({ name, unit, said, truth }) => (
              <tr key={name}>
                <th scope="row">{wording.inOwnWords(name)}</th>
                <td className="ledger-now">
                  <Fractions text={show(said, unit)} />
                </td>
                <td>
                  <Fractions text={show(truth, unit)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ol className="practice-misses" aria-label="How far each mark was off">
        {misses.map(({ of, off }) => (
          <li key={of}>
            <span>{wording.inOwnWords(of)}</span>
            <span
              className="practice-bar"
              style={{ "--part": Math.min(1, off / FULL_BAR_MM) } as React.CSSProperties}
            />
            <span className="practice-off">
              <Fractions text={missText(off, wording)} />
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
