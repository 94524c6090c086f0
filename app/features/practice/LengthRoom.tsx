import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import { pathThrough } from "~app/drawing/path";
import { Fractions } from "~app/ui/Fractions";
import { NumberInput } from "~app/ui/NumberInput";
import { NumberPad } from "~app/ui/NumberPad";
import { useEdits } from "~app/ui/useEdits";
import { useNarrow } from "~app/ui/useNarrow";
import { useShortcuts } from "~app/ui/useShortcuts";
import { useSettings, useWording } from "~app/ui/useWording";
import { stockInWords } from "~core/forge/fitStock";
import { lateralOnScreen } from "~core/foot/limb";
import type { Vector } from "~core/geometry/vector";
import { typedNumber } from "~core/instrument/typedNumber";
import { lengthTask, scoreLength, type LengthTask, type ScoredLength } from "~core/practice/lengthRoom";
import { levelAfter } from "~core/practice/level";
import type { Try } from "~core/practice/tryRecord";
import { unitToggle } from "~core/record/unitToggle";
import { padText } from "~core/units/padText";
import { RoomHead, ScoreLine } from "./RoomHead";
import { useSitting, useStopwatch } from "./useSitting";

/** Given a foot and a bar: how much steel? Then the answer both ways. */
export function LengthRoom({ tries }: { tries: readonly Try[] }) {
  const sitting = useSitting("length", tries);
  const watch = useStopwatch();
  const wording = useWording();
  const settings = useSettings();
  const narrow = useNarrow();
  const { save } = useEdits();
  const input = useRef<HTMLElement>(null);
  const [index, setIndex] = useState(0);
  const [level, setLevel] = useState(sitting.level);
  const [task, setTask] = useState<LengthTask>(() => lengthTask(sitting.seedOf(0), sitting.level));
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState<string>();
  const [scored, setScored] = useState<ScoredLength & { said: number }>();
  useEffect(() => {
    input.current?.querySelector("input")?.focus();
  }, [index]);
  const say = () => {
    if (scored) return;
    const read = typedNumber("length", text, wording.unit);
    if (text.trim() === "" || !read.ok) {
      setWrong(
        read.ok || text.trim() === ""
          ? "Say a length: how much steel would you cut?"
          : read.issues[0]?.message,
      );
      return;
    }
    const found = scoreLength(task, read.value);
    sitting.keep({
      what: `${task.section.width} × ${task.section.thickness}`,
      level,
      next: levelAfter(level, found.score),
      score: found.score,
      seconds: watch.seconds(),
      misses: found.misses,
    });
    setScored({ ...found, said: read.value });
  };
  const next = () => {
    if (!scored) return;
    const nextLevel = levelAfter(level, scored.score);
    setIndex(index + 1);
    setLevel(nextLevel);
    setTask(lengthTask(sitting.seedOf(index + 1), nextLevel));
    setText("");
    setWrong(undefined);
    setScored(undefined);
    watch.begin();
  };
  useShortcuts({ Enter: () => (scored ? next() : say()) });
  const type = (now: string) => {
    setText(now);
    setWrong(undefined);
  };
  const { section, width, length, creased } = task;
  return (
    <div className="page practice-room">
      <RoomHead room="length" level={level} now={`Shoe ${index + 1} of this sitting`} />
      <div className="length-room">
        <AskedShoe task={task} />
        <div className="cut-side">
          <section className="marking-step" aria-label="The stock">
            <p className="quiet">
              {wording.limb(task.limb)}, {creased ? "both branches creased" : "plain stamped"}
            </p>
            <p className="marking-next">
              <Fractions text={`${wording.length(width)} wide, ${wording.length(length)} long`} />
            </p>
            <p>
              of{" "}
              <b>
                <Fractions text={`${wording.length(section.width)} × ${wording.length(section.thickness)}`} />
              </b>{" "}
              bar
            </p>
          </section>
          {scored ? (
            <section aria-label="The answer" className="length-answer">
              <ScoreLine score={scored.score} level={level} next={levelAfter(level, scored.score)} />
              <p className="marking-next">
                <Fractions
                  text={
                    scored.off === 0
                      ? `${wording.length(scored.said)} is right.`
                      : `${wording.length(scored.said)} is ${wording.length(Math.abs(scored.off))} too ${scored.off < 0 ? "short" : "long"}.`
                  }
                />
              </p>
              {stockInWords(task.stock, wording).map((line) => (
                <p key={line}>
                  <Fractions text={line} />
                </p>
              ))}
              <Reckoning task={task} />
              <Button type="primary" onClick={next}>
                Next shoe
              </Button>
            </section>
          ) : (
            <section ref={input} className="length-say" aria-label="Your answer">
              <label htmlFor="said-length">Stock to cut, {wording.unit}</label>
              <NumberInput
                id="said-length"
                view={{ text, typed: text !== "", issue: wrong }}
                saidBy="said-length-wrong"
                inputMode={narrow ? "none" : "decimal"}
                onType={type}
                onEnter={say}
              />
              {!narrow && (
                <Button type="primary" onClick={say}>
                  That much
                </Button>
              )}
              <p id="said-length-wrong" className="ember" role={wrong ? "alert" : undefined}>
                {wrong}
              </p>
              {narrow && (
                <NumberPad
                  kind="length"
                  unit={wording.unit}
                  onKey={(key) => type(padText(text, key))}
                  onUnit={() => {
                    type("");
                    void save(unitToggle(settings));
                  }}
                  onSame={undefined}
                  onNext={say}
                />
              )}
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

/** Both sums, term by term. */
function Reckoning({ task }: { task: LengthTask }) {
  const wording = useWording();
  const { rule, outline, shared } = task.stock;
  const rows: [string, number | undefined, number | undefined][] = [
    ["Width and length", rule.sum, undefined],
    ["For the bend of the toe", rule.toeAllowance, undefined],
    ["Middle of the web, heel to heel", undefined, outline?.centreLine],
    ["Swallowed by the bump", shared.bump, shared.bump],
    ["Gained by creasing", -shared.stretch, -shared.stretch],
    ["In all", rule.total, outline?.total],
  ];
  const show = (mm: number | undefined) =>
    mm === undefined ? "" : `${mm < 0 ? "−" : ""}${wording.length(Math.abs(mm))}`;
  return (
    <table className="marking-numbers" aria-label="Both ways">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">What</span>
          </th>
          <th scope="col">by rule</th>
          <th scope="col">by outline</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, byRule, byOutline]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>
              <Fractions text={show(byRule)} />
            </td>
            <td>
              <Fractions text={show(byOutline)} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const MARGIN_MM = 16;

/** The shoe as it is asked for, to scale: across and along it. */
function AskedShoe({ task }: { task: LengthTask }) {
  const { outside } = task.fit.solid;
  const lateral = lateralOnScreen(task.limb, "below");
  const at = ([x, y]: Vector): Vector => [lateral * x, -y];
  const edge = outside.map(at);
  const xs = edge.map(([x]) => x);
  const ys = edge.map(([, y]) => y);
  const [left, top] = [Math.min(...xs) - MARGIN_MM, Math.min(...ys) - MARGIN_MM];
  const [width, height] = [Math.max(...xs) + MARGIN_MM - left, Math.max(...ys) + MARGIN_MM - top];
  return (
    <svg
      className="asked-shoe"
      viewBox={`${left} ${top} ${width} ${height}`}
      role="img"
      aria-label="The shoe as it is to be, to scale"
    >
      <path className="asked-edge" d={pathThrough(edge, "closed")} />
      <line
        className="asked-size"
        x1={Math.min(...xs)}
        x2={Math.max(...xs)}
        y1={top + height - 6}
        y2={top + height - 6}
      />
      <line
        className="asked-size"
        x1={left + width - 6}
        x2={left + width - 6}
        y1={Math.min(...ys)}
        y2={Math.max(...ys)}
      />
    </svg>
  );
}
