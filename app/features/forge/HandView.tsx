import { TextButton } from "~app/ui/TextButton";
import { useMemo } from "react";
import { MissesChart } from "~app/charts/misses/MissesChart";
import { missesModel } from "~app/charts/misses/model";
import { Fractions } from "~app/ui/Fractions";
import { shortDay } from "~app/ui/days";
import { SortedTable } from "~app/ui/SortedTable";
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
        <SortedTable
          rowKey="id"
          dataSource={rows}
          columns={[
            {
              title: "Shoe",
              render: (_, row) => (
                <>
                  <b>{shortDay(row.date)}</b>{" "}
                  <span className="quiet">
                    <Fractions
                      text={`${row.type} ${wording.cut(row.width)} × ${wording.cut(row.thickness)}`}
                    />
                    {row.name && `, ${row.name}`}
                  </span>
                </>
              ),
              sorter: (a, b) => a.date.localeCompare(b.date),
            },
            {
              title: "Steel",
              align: "right",
              render: (_, row) => <Fractions text={wording.length(row.stock)} />,
              sorter: (a, b) => a.stock - b.stock,
            },
            {
              title: "Came out",
              align: "right",
              render: (_, row) => (
                <Fractions text={`${wording.length(row.shoeWidth)} × ${wording.length(row.shoeLength)}`} />
              ),
              sorter: (a, b) => a.shoeLength - b.shoeLength,
            },
            {
              title: "Miss",
              align: "right",
              render: (_, row) => <Fractions text={signed(missOf(row))} />,
              sorter: (a, b) => Math.abs(missOf(a)) - Math.abs(missOf(b)),
            },
            {
              title: "Heats",
              align: "right",
              render: (_, row) => (row.heats ? `${row.heats.taken} of ${row.heats.planned}` : "–"),
              sorter: (a, b) => (a.heats?.taken ?? 0) - (b.heats?.taken ?? 0),
            },
            {
              key: "out",
              render: (_, row) => (
                <TextButton
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
                </TextButton>
              ),
            },
          ]}
        />
      </section>
    </div>
  );
}
