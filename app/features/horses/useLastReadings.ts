import { useEffect, useState } from "react";
import { readLastReadings } from "~app/data/queries";
import type { RosterRow } from "~core/cycle/dayPlan";
import type { Reading } from "~core/foot/records/reading";

/** The readings of the rows that are drawn: those that the page came with, and more as more rows are shown. */
export function useLastReadings(rows: readonly RosterRow[], first: readonly Reading[]): readonly Reading[] {
  const [more, setMore] = useState<{
    since: readonly Reading[];
    asked: Set<string>;
    readings: readonly Reading[];
  }>({
    since: first,
    asked: new Set(),
    readings: [],
  });
  const known = more.since === first ? more : { since: first, asked: new Set<string>(), readings: [] };
  const readings = known.readings.length === 0 ? first : [...first, ...known.readings];
  const has = new Set([...readings.map(({ visitId }) => visitId), ...known.asked]);
  const missing = rows.filter(({ last }) => last && !has.has(last.id));
  const wanted = missing.map(({ last }) => last?.id ?? "").join(" ");
  useEffect(() => {
    if (wanted === "") return;
    void readLastReadings(missing).then((found) =>
      setMore((now) => ({
        since: first,
        asked: new Set([...(now.since === first ? now.asked : []), ...wanted.split(" ")]),
        readings: [...(now.since === first ? now.readings : []), ...found],
      })),
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `wanted` says what is missing
  }, [wanted, first]);
  return readings;
}
