import { Button } from "antd";
import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useNarrow } from "~app/ui/useNarrow";
import { useWording } from "~app/ui/useWording";
import { jobPattern } from "~core/forge/anvil/job";
import type { BarMark } from "~core/forge/marks";
import { partsInWords } from "~core/forge/outlineParts";
import { SIDES } from "~core/foot/limb";
import { sentenceCase, type Wording } from "~core/foot/wording";
import { BarDrawing, letterOf } from "./BarDrawing";
import type { ForgeContext } from "./forgeContext";
import { madeAgainst, madePlaces } from "~core/forge/madeShoe";
import { MadeShoe } from "./MadeShoe";
import { ShoeDrawing } from "./ShoeDrawing";

/** The straight bar with every mark on it, beside the shoe that it becomes: one shows its place on the other. */
export function MarksView(context: ForgeContext) {
  const { job, steelOf, today, show, anvil } = context;
  const wording = useWording();
  const narrow = useNarrow();
  const [chosen, setChosen] = useState<string>();
  const { bar } = steelOf;
  if (!bar.ok)
    return (
      <p className="ember" role="alert">
        {bar.issues[0]?.message}
      </p>
    );
  const { marks, turning, surplus, parts, upsetGain, crease } = bar.value;
  const sides = SIDES.map((side) => sentenceCase(wording.side(side))) as [string, string];
  const length = (mm: number) => <Fractions text={wording.length(mm)} />;
  const fine = (mm: number) => <Fractions text={wording.cut(mm)} />;
  const shown = marks.find(({ id }) => id === chosen);
  const short = SIDES.filter((side) => surplus[side] < -0.5);
  return (
    <div className="forge-marks">
      <section className="bar-sheet sheet" aria-label="The bar" onPointerLeave={() => setChosen(undefined)}>
        <p className="bar-head">
          <span>
            Bar {length(bar.value.length)}, outer edge {narrow ? "left" : "up"}
          </span>
          <span className="quiet">
            {sides[0]} {narrow ? "end up" : "end left"}
          </span>
        </p>
        <BarDrawing
          bar={bar.value}
          wording={wording}
          standing={narrow}
          chosen={chosen}
          onChoose={setChosen}
          title={`The bar, ${wording.length(bar.value.length)}, with its marks`}
        />
      </section>
      <section className="marks-shoe" aria-label="The finished shoe">
        <ShoeDrawing
          pattern={jobPattern(job, today, wording)}
          title="The finished shoe with the bar’s marks, from below"
          marks={marks}
          made={madeAgainst(job.fit, anvil.forging.made ?? {}, wording)}
          places={madePlaces(job.fit)}
          chosen={chosen}
          onChoose={setChosen}
          sides={sides}
        />
        {shown ? (
          <p className="mark-shown">
            <b>{letterOf(shown)}</b> {markName(shown, wording)}: {fine(Math.abs(shown.fromCentre))} from the
            centre
          </p>
        ) : (
          <p className="quiet">Tap a mark on the bar, the shoe or the list: the others show it.</p>
        )}
      </section>
      <section className="marks-list" aria-label="Marks">
        <table>
          <thead>
            <tr>
              <th scope="col">Mark</th>
              <th scope="col">From the centre</th>
              <th scope="col">From the {wording.side("medial")} end</th>
            </tr>
          </thead>
          <tbody>
            {marks.map((mark) => (
              <tr key={mark.id} data-chosen={chosen === mark.id}>
                <th scope="row">
                  <button
                    type="button"
                    className="mark-button"
                    aria-pressed={chosen === mark.id}
                    onClick={() => setChosen(mark.id)}
                    onFocus={() => setChosen(mark.id)}
                  >
                    <b>{letterOf(mark)}</b> {markName(mark, wording)}
                  </button>
                </th>
                <td>{mark.kind === "centre" ? "–" : fine(Math.abs(mark.fromCentre))}</td>
                <td>{fine(mark.at)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <MadeShoe {...context} />
      <section className="marks-checks" aria-label="To check">
        <h2>Check while you forge</h2>
        <ul>
          {short.map((side) => (
            <li key={side} className="ember">
              The {wording.side(side)} branch is {length(-surplus[side])} short on this bar: cut it longer.
            </li>
          ))}
          <li>
            Both ends from the centre mark: {fine(bar.value.centre)} {wording.side("medial")},{" "}
            {fine(bar.value.length - bar.value.centre)} {wording.side("lateral")}.
          </li>
          {SIDES.map((side) => (
            <li key={side}>
              {sentenceCase(wording.side(side))} branch, straight across from the middle of the toe:{" "}
              {length(turning[side].before)} before its quarter is turned, {length(turning[side].after)}{" "}
              after. The turn takes {length(turning[side].takes)}.
            </li>
          ))}
          {crease && (
            <li>
              Dividers for the crease: {length(crease.lateral.insetToe)} in from the outer edge at the toe,{" "}
              {length(crease.lateral.insetHeel)} at the last nail.
            </li>
          )}
          {upsetGain > 0 && (
            <li>Upsetting widens the web of the toe by about {length(upsetGain)}: an estimate.</li>
          )}
          <li>
            Steel over at the heels: {length(Math.max(0, surplus.medial))} {wording.side("medial")},{" "}
            {length(Math.max(0, surplus.lateral))} {wording.side("lateral")}.
          </li>
        </ul>
        <h2>The outline in parts</h2>
        <ul>
          {partsInWords(parts, wording).map((line) => (
            <li key={line}>
              <Fractions text={line} />
            </li>
          ))}
        </ul>
        <div className="trim-actions">
          <Button type="primary" size="large" onClick={() => show("pattern")}>
            Pattern
          </Button>
          <Button size="large" onClick={() => show("heats")}>
            Heats
          </Button>
        </div>
      </section>
    </div>
  );
}

function markName(mark: BarMark, wording: Wording): string {
  const side = mark.side ? wording.side(mark.side) : "";
  return {
    centre: "centre, middle of the toe",
    clip: side ? `${mark.id.includes("quarter") ? "quarter, " : ""}${side}` : "at the toe",
    "toe bend": `toe bend ends, ${side}`,
    nail: `nail ${side}`,
    quarter: `quarter, ${side}`,
    heel: `heel, ${side}`,
    end: "end",
  }[mark.kind];
}
