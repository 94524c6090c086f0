import { pathThrough } from "../drawing/path";
import { shortDay } from "./days";
import { Fractions } from "./Fractions";
import { useSettings, useWording } from "./useWording";
import { footHistory, leftWith, type FootOutlook } from "~core/cycle/horseDue";
import type { Vector } from "~core/geometry/vector";
import { lateralOnScreen, LIMBS, SIDES, type Limb } from "~core/foot/limb";
import { readAxis } from "~core/foot/axis";
import { standingFindings } from "~core/visit/standing";
import type { FootRecords } from "~core/visit/visitFoot";
import { baseFoot } from "~core/visit/feetOfHorse";
import { soleFigure } from "~core/foot/parametric/figure";
import { corYOf } from "~core/foot/parametric/parameters";
import type { Horse } from "~core/record/horse";
import type { Visit } from "~core/record/visit";
import { noiseOf } from "~core/foot/records/pairs";
import "../drawing/drawing.css";
import "./footBoard.css";

interface FootBoardProps {
  horse: Horse;
  /** Records of the visits that count. */
  records: FootRecords;
  outlooks: readonly FootOutlook[];
  last: Visit | undefined;
}

/** The four feet as seen from above, head up, as the last visit left them, to one scale. */
export function FootBoard({ horse, records, outlooks, last }: FootBoardProps) {
  return (
    <section className="foot-board" aria-label="Four feet, as seen from above, head up">
      <p className="quiet foot-board-key">
        From above, head up{last ? `, as left ${shortDay(last.date)}` : ""}
      </p>
      <div className="foot-board-grid">
        {LIMBS.map((limb) => (
          <BoardFoot
            key={limb}
            horse={horse}
            limb={limb}
            records={records}
            last={last}
            outlook={outlooks.find((one) => one.limb === limb)}
            first={last?.next?.limb === limb}
          />
        ))}
      </div>
    </section>
  );
}

interface BoardFootProps {
  horse: Horse;
  limb: Limb;
  records: FootRecords;
  last: Visit | undefined;
  outlook: FootOutlook | undefined;
  /** The foot that comes due first. */
  first: boolean;
}

/** How far the open back of the foot reaches towards the centre of rotation. Drawing only. */
const NOTCH_PART = 0.3;
const VIEW = { half: 92, ahead: 165, behind: 34 };

function BoardFoot({ horse, limb, records, last, outlook, first }: BoardFootProps) {
  const settings = useSettings();
  const wording = useWording();
  const history = footHistory(records.readings, limb);
  const values = leftWith(history.at(-1));
  const foot = baseFoot(horse, limb, history.at(-1));
  const measured = Object.keys(values).length > 0;
  const { dorsalAngle, pasternAngle } = values;
  const axis =
    dorsalAngle &&
    pasternAngle &&
    readAxis(dorsalAngle.value, pasternAngle.value, noiseOf(settings).angleDeg);
  const findings = last ? standingFindings(horse, limb, last, records, settings, wording) : [];
  const worst = findings.find(({ level, subject }) => level !== "steady" && subject !== "axis");
  const lateral = lateralOnScreen(limb, "above");
  const figure = soleFigure(foot);
  const seen = ([x, y]: Vector): Vector => [lateral * x, -y];
  return (
    <article className="board-foot" data-limb={limb}>
      <svg
        className={`drawing${measured ? "" : " drawing-guess"}`}
        viewBox={`${-VIEW.half} ${-VIEW.ahead} ${2 * VIEW.half} ${VIEW.ahead + VIEW.behind}`}
        role="img"
        aria-label={`Outline of the ${wording.limb(limb)} from above`}
      >
        <path className="bulbs" d={pathThrough(figure.bulbs.map(seen), "smoothClosed")} />
        <path
          className="horn"
          d={`${pathThrough(figure.outline.map(seen), "smooth")} L0,${-corYOf(foot) * NOTCH_PART} Z`}
        />
        {SIDES.map((side) => (
          <text
            key={side}
            className="side-letter"
            textAnchor="middle"
            x={(side === "lateral" ? lateral : -lateral) * 80}
            y={-48}
            style={{ fontSize: 15 }}
          >
            {side === "lateral" ? "L" : "M"}
          </text>
        ))}
      </svg>
      <div>
        <h3>
          {limb} <span className="quiet">{wording.limb(limb)}</span>
        </h3>
        {measured ? (
          <>
            <p>
              <b>
                <Fractions text={values.toeLength ? wording.length(values.toeLength.value) : "–"} />
              </b>{" "}
              <span className="quiet">toe</span>{" "}
              <b>{values.dorsalAngle ? wording.angle(values.dorsalAngle.value) : "–"}</b>{" "}
              <span className="quiet">dorsal</span>
            </p>
            <p className={axis && axis.level !== "steady" ? "ember" : ""}>
              {axis
                ? axis.word === "straight"
                  ? "axis straight"
                  : `${axis.word} ${wording.angle(Math.abs(axis.axisDeg))}`
                : "axis not measured"}
            </p>
            <p className={first ? "brass strong" : "quiet"}>
              {outlook?.due ? `due ${shortDay(outlook.due.due)}, ${outlook.due.reason}` : "due by the cap"}
            </p>
            {worst && (
              <p className="board-said">
                <Fractions text={worst.text} />
              </p>
            )}
          </>
        ) : (
          <p className="quiet">Not measured yet.</p>
        )}
      </div>
    </article>
  );
}
