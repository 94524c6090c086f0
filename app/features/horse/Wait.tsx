import { Slider } from "antd";
import { useState } from "react";
import { useSettings, useWording } from "~app/ui/useWording";
import { noiseOf } from "~core/repeatability/pairs";
import type { CycleState } from "~core/cycle/dueWords";
import { outlookAfter, type FootOutlook } from "~core/cycle/horseDue";

/** What if it waits? For the owner: the feet some weeks past the due day, with the forecast's spread. */
export function Wait({ outlooks, cycle }: { outlooks: readonly FootOutlook[]; cycle: CycleState }) {
  const wording = useWording();
  const noise = noiseOf(useSettings());
  const [weeks, setWeeks] = useState(2);
  const measured = outlooks.filter((outlook) => outlook.question);
  if (measured.length === 0) return null;
  return (
    <div className="wait">
      <p className="strong">
        If it waits{" "}
        {weeks === 0 ? "until the due day" : `${weeks} ${weeks === 1 ? "week" : "weeks"} past the due day`}
      </p>
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
            const state = outlookAfter(outlook, cycle.of + weeks * 7, noise);
            if (!state) return null;
            const half = (state.toeLength.high - state.toeLength.low) / 2;
            return (
              <tr key={outlook.limb}>
                <th scope="row">{outlook.limb}</th>
                <td>
                  <b>{wording.length(state.toeLength.mean)}</b>{" "}
                  <span className="quiet">± {wording.length(half)}</span>
                </td>
                <td>
                  <b>{wording.angle(state.axis.mean)}</b>{" "}
                  <span className="quiet">± {wording.angle((state.axis.high - state.axis.low) / 2)}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="quiet">Central 80 % of a forecast from this horse’s own growth.</p>
    </div>
  );
}
