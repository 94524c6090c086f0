import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import type { FootValues } from "~core/foot/measures";
import { CUTS, type Trim } from "~core/trim/trimRecord";
import { noiseOf } from "~core/foot/records/pairs";
import type { Walls } from "~core/foot/survey/walls";
import { FLARE_NAMES } from "~core/trim/flares";
import { flaresAgainstDone, plannedAgainstDone, plannedDoneInWords, type DoneMeasure } from "~core/trim/done";
import { cutsInWords } from "~core/trim/planWords";
import { NO_CUT } from "~core/foot/parametric/predict";
import { OwnHand } from "~app/stage/OwnHand";

const NAMES: Record<DoneMeasure, string> = {
  toeLength: "Toe length",
  heelMedial: "Heel, medial",
  heelLateral: "Heel, lateral",
  dorsalAngle: "Dorsal angle",
};

/** After the trim: what the plan should have left, what was measured, and the habit of the hand behind it. */
export function PlannedDone({
  trim,
  after,
  walls,
}: {
  trim: Trim | undefined;
  after: FootValues;
  walls: { before: Walls; after: Walls };
}) {
  const wording = useWording();
  const settings = useSettings();
  const plan = trim?.plan;
  if (!plan?.agreed) return null;
  const rows = plannedAgainstDone(plan, after, noiseOf(settings));
  const flares = flaresAgainstDone(plan, walls, noiseOf(settings));
  const noted = CUTS.some((cut) => trim?.cuts[cut] !== undefined);
  return (
    <section className="planned-done" aria-label="Planned against done">
      <h3>Planned against done</h3>
      <p className="quiet">
        <Fractions text={`Planned: ${cutsInWords(plan.cuts, wording)}.`} />{" "}
        {noted && (
          <Fractions text={`Noted as taken: ${cutsInWords({ ...NO_CUT, ...trim?.cuts }, wording)}.`} />
        )}
      </p>
      {rows.length === 0 ? (
        <p className="quiet">Measure this foot again to hold it against its plan.</p>
      ) : (
        <>
          <table className="plan-table">
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">Measure</span>
                </th>
                <th scope="col" className="verdigris">
                  planned
                </th>
                <th scope="col">measured</th>
                <th scope="col">off by</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ measure, planned, measured, difference, real }) => {
                const show = measure === "dorsalAngle" ? wording.angle : wording.length;
                return (
                  <tr key={measure}>
                    <th scope="row">{wording.inOwnWords(NAMES[measure])}</th>
                    <td>
                      <Fractions text={show(planned)} />
                    </td>
                    <td className="plan-now">
                      <Fractions text={show(measured)} />
                    </td>
                    <td className={real ? "ember" : "quiet"}>
                      <Fractions
                        text={real ? `${difference > 0 ? "+" : ""}${show(difference)}` : "within noise"}
                      />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {plannedDoneInWords(rows, wording).map((line) => (
            <p key={line}>
              <Fractions text={line} />
            </p>
          ))}
        </>
      )}
      {flares.map(({ place, planned, measured, real, difference }) => (
        <p key={place}>
          <Fractions
            text={`Wall at the ${wording.inOwnWords(FLARE_NAMES[place])}: planned ${wording.cut(planned)}, measured ${wording.cut(measured)}${real ? `, ${difference > 0 ? "less" : "more"} dressed than planned` : ", as planned within noise"}.`}
          />
        </p>
      ))}
      <OwnHand />
    </section>
  );
}
