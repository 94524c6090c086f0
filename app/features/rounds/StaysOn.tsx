import { useMemo } from "react";
import { Fractions } from "~app/ui/Fractions";
import { SortedTable } from "~app/ui/SortedTable";
import { useWording } from "~app/ui/useWording";
import type { RosterRow } from "~core/cycle/dayPlan";
import type { Call } from "~core/record/call";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { whatStaysOn } from "~core/visit/staying";

interface StaysOnProps {
  calls: Call[];
  /** Those set within a year; undefined until they are read. */
  shoes: ShoeRecord[] | undefined;
  rows: RosterRow[];
}

/** What stays on, on whom: shoes of one specification, set and lost. */
export function StaysOn({ calls, shoes, rows }: StaysOnProps) {
  const wording = useWording();
  const all = useMemo(() => shoes && whatStaysOn(shoes, calls, wording), [shoes, calls, wording]);
  const lost = all?.filter((row) => row.lost > 0);
  const nameOf = (id: string) => rows.find(({ horse }) => horse.id === id)?.horse.name ?? "a horse that left";
  return (
    <section aria-label="What stays on">
      <h2>What stays on, on whom</h2>
      {!all || !lost ? (
        <p className="quiet">A year of shoes is read.</p>
      ) : lost.length === 0 ? (
        <p className="quiet">
          {all.reduce((sum, row) => sum + row.set, 0)} shoes were set, none is noted as lost.
        </p>
      ) : (
        <SortedTable
          rowKey={({ end, words }) => end + words}
          dataSource={lost}
          columns={[
            {
              title: "Shoe",
              render: (_, { end, words }) => (
                <>
                  {end}: <Fractions text={words} />
                </>
              ),
              sorter: (a, b) => (a.end + a.words).localeCompare(b.end + b.words),
            },
            { title: "set", dataIndex: "set", align: "right", sorter: (a, b) => a.set - b.set },
            {
              title: "lost",
              align: "right",
              render: (_, row) => <b>{row.lost}</b>,
              sorter: (a, b) => a.lost - b.lost,
            },
            {
              title: "days on",
              align: "right",
              render: (_, { daysOn }) => (daysOn === undefined ? "–" : Math.round(daysOn)),
              sorter: (a, b) => (a.daysOn ?? 0) - (b.daysOn ?? 0),
            },
            { title: "by", render: (_, { horses }) => horses.map(nameOf).join(", ") },
          ]}
        />
      )}
    </section>
  );
}
