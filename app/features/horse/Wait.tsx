import { Slider } from "antd";
import { useState } from "react";
import { SideView } from "~app/drawing/SideView";
import { useSettings, useWording } from "~app/ui/useWording";
import { noiseOf } from "~core/foot/records/pairs";
import type { CycleState } from "~core/cycle/dueWords";
import { footHistory, outlookAfter, type FootOutlook } from "~core/cycle/horseDue";
import type { Limb } from "~core/foot/limb";
import { baseFoot, footAfter } from "~core/visit/feetOfHorse";
import { halvesInWords, halvesOf } from "~core/foot/parametric/halves";
import type { Horse } from "~core/record/horse";
import type { Reading } from "~core/foot/records/reading";
import { counted } from "~core/units/counted";

interface WaitProps {
  horse: Horse;
  readings: readonly Reading[];
  outlooks: readonly FootOutlook[];
  cycle: CycleState;
  /** The foot that set the due day, where one did. */
  first: Limb | undefined;
}

/** What if it waits? For the owner: the feet some weeks past the due day, in numbers and drawn. */
export function Wait({ horse, readings, outlooks, cycle, first }: WaitProps) {
  const wording = useWording();
  const noise = noiseOf(useSettings());
  const [weeks, setWeeks] = useState(2);
  const measured = outlooks.filter((outlook) => outlook.question);
  const [chosen, setChosen] = useState(first);
  const shown = measured.find(({ limb }) => limb === chosen) ?? measured[0];
  if (!shown) return null;
  const day = cycle.of + weeks * 7;
  const words = weeks === 0 ? "until the due day" : `${counted(weeks, "week")} past the due day`;
  const foot = baseFoot(horse, shown.limb, footHistory(readings, shown.limb).at(-1));
  const state = outlookAfter(shown, day, noise);
  const after = state && footAfter(foot, state);
  return (
    <section className="wait" aria-label="If it waits">
      <h2>If it waits {words}</h2>
      <Slider min={0} max={6} value={weeks} onChange={setWeeks} ariaLabelForHandle="Weeks past the due day" />
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Foot</span>
            </th>
            <th scope="col">toe, forecast</th>
            <th scope="col">axis, forecast</th>
          </tr>
        </thead>
        <tbody>
          {measured.map((outlook) => {
            const then = outlookAfter(outlook, day, noise);
            if (!then) return null;
            return (
              <tr key={outlook.limb}>
                <th scope="row">
                  <button
                    type="button"
                    className="wait-foot"
                    aria-pressed={outlook === shown}
                    aria-label={`${outlook.limb}: draw the ${wording.limb(outlook.limb)}`}
                    onClick={() => setChosen(outlook.limb)}
                  >
                    {outlook.limb}
                  </button>
                </th>
                <td>
                  <b>{wording.length(then.toeLength.mean)}</b>{" "}
                  <span className="quiet">
                    ± {wording.length((then.toeLength.high - then.toeLength.low) / 2)}
                  </span>
                </td>
                <td>
                  <b>{wording.angle(then.axis.mean)}</b>{" "}
                  <span className="quiet">± {wording.angle((then.axis.high - then.axis.low) / 2)}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {after?.ok ? (
        <figure className="wait-drawn">
          <SideView
            foot={after.value}
            ghost={foot}
            wording={wording}
            guess={false}
            labels={false}
            title={`The ${wording.limb(shown.limb)} from the side if it waits ${words}, an estimate; dashed as it was left`}
          />
          <figcaption>
            <b>{wording.limb(shown.limb)}</b>, expected; dashed as it was left. Foot before the plumb line and
            behind it <b>{halvesInWords(halvesOf(foot))}</b>, then{" "}
            <b>{halvesInWords(halvesOf(after.value))}</b>.
          </figcaption>
        </figure>
      ) : (
        after && <p className="quiet">{after.issues[0]?.message}</p>
      )}
      <p className="quiet">
        Numbers: central 80 % of a forecast from this horse’s own growth; drawn is its middle, an estimate.
      </p>
    </section>
  );
}
