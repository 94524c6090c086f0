import { useMemo } from "react";
import { MissesChart } from "~app/charts/misses/MissesChart";
import { missesModel } from "~app/charts/misses/model";
import { Fractions } from "~app/ui/Fractions";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { jobHand } from "~core/forge/anvil/job";
import { missOf } from "~core/forge/hand";
import type { ForgeContext } from "./forgeContext";

/** The user's own log: what each shoe took beyond what was computed, and how the misses get smaller. */
export function HandView({ job, forged, steelOf }: ForgeContext) {
  const wording = useWording();
  const { save } = useEdits();
  const model = useMemo(() => missesModel(jobHand(job, forged)), [job, forged]);
  const signed = (mm: number) => `${mm < -0.5 ? "−" : mm > 0.5 ? "+" : ""}${wording.length(Math.abs(mm))}`;
  const rows = [...forged].sort((a, b) => b.date.localeCompare(a.date));
  if (forged.length === 0)
    return (
      <div className="empty">
        <p>
          Nothing is logged yet. When a shoe is forged, log what it took and what it came out as: three taps
          under Steel. From the first one on your own hand is in the answer.
        </p>
      </div>
    );
  const { mm, shoes } = steelOf.hand;
  return (
    <div className="forge-hand">
      <section aria-label="Shoes like the one on the anvil">
        <h2>
          Like the one on the anvil: {job.spec.type},{" "}
          <Fractions text={`${wording.cut(job.spec.width)} × ${wording.cut(job.spec.thickness)}`} />
        </h2>
        {shoes === 0 ? (
          <p>None like it is logged: rule and outline stand as they are.</p>
        ) : (
          <>
            <p>
              {shoes} logged. Your hand takes <b>{<Fractions text={signed(mm)} />}</b> beyond rule and
              outline.{" "}
              <span className="quiet">
                The mean of the misses, held back while they are few: {shoes} of {shoes + 3} parts of it.
              </span>
            </p>
            <MissesChart model={model} show={signed} shortDay={shortDay} />
            <p className="quiet">
              Full: what was left of the miss against what was said to cut then. Hollow: against rule and
              outline alone.
              {model.smaller &&
                ` On average ${wording.length(model.smaller.first)} over the first third, ${wording.length(model.smaller.last)} over the last.`}
            </p>
          </>
        )}
      </section>
      <section aria-label="The log">
        <h2>The log</h2>
        <table className="hand-table">
          <thead>
            <tr>
              <th scope="col">Shoe</th>
              <th scope="col">Steel</th>
              <th scope="col">Came out</th>
              <th scope="col">Miss</th>
              <th scope="col">Heats</th>
              <th scope="col">
                <span className="visually-hidden">Take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <th scope="row">
                  {shortDay(row.date)}
                  <span className="quiet">
                    {" "}
                    <Fractions
                      text={`${row.type} ${wording.cut(row.width)} × ${wording.cut(row.thickness)}`}
                    />
                    {row.name && `, ${row.name}`}
                  </span>
                </th>
                <td>
                  <Fractions text={wording.length(row.stock)} />
                </td>
                <td>
                  <Fractions text={`${wording.length(row.shoeWidth)} × ${wording.length(row.shoeLength)}`} />
                </td>
                <td>
                  <Fractions text={signed(missOf(row))} />
                </td>
                <td>{row.heats ? `${row.heats.taken} of ${row.heats.planned}` : "–"}</td>
                <td>
                  <button
                    type="button"
                    className="text-button"
                    aria-label={`Take out the shoe of ${shortDay(row.date)}`}
                    onClick={() =>
                      void save({
                        table: "forged",
                        id: row.id,
                        path: [],
                        was: row,
                        now: undefined,
                        label: "a logged shoe",
                      })
                    }
                  >
                    take out
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
