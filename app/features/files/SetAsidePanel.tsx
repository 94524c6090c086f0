import { momentOf } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { placeName } from "~core/merge/words";
import { sayValue } from "~core/record/sayValue";
import type { LeftValue, SetAside } from "~core/record/setAside";
import { stepsTo } from "~core/record/places";
import { TABLE_NAMES, type TableName } from "~core/record/tables";

/** What merges did not take: each value with what it belonged to, the device and the day. */
export function SetAsidePanel({ merges }: { merges: readonly SetAside[] }) {
  if (merges.length === 0) return null;
  return (
    <section className="file-section" aria-label="Set aside">
      <h2>Set aside</h2>
      <p className="quiet">Values that were not taken when two devices’ files were put together.</p>
      {[...merges]
        .sort((a, b) => (a.at > b.at ? -1 : 1))
        .map(({ id, at, from, into, values }) => (
          <details key={id} className="set-aside">
            <summary>
              {momentOf(Date.parse(at))}: {from} into {into}, {Object.keys(values).length} set aside
            </summary>
            <ul className="people-list">
              {Object.entries(values).map(([key, left]) => (
                <li key={key}>
                  <LeftLine left={left} />
                </li>
              ))}
            </ul>
          </details>
        ))}
    </section>
  );
}

function LeftLine({ left: { table, place, of, json, device, at } }: { left: LeftValue }) {
  const wording = useWording();
  const known = TABLE_NAMES.find((name) => name === table) as TableName | undefined;
  let said = json === "" ? "taken away" : json.slice(0, 200);
  if (known && place !== undefined && json !== "")
    try {
      said = sayValue(known, stepsTo(known, place), JSON.parse(json), wording);
    } catch {
      // It was cut off for its length: it is told as it is.
    }
  return (
    <>
      {of}: {known && place !== undefined && `${placeName(known, place, wording)} `}
      <span className="strong">{said}</span>{" "}
      <span className="quiet">
        {device}
        {at && `, ${momentOf(Date.parse(at))}`}
      </span>
    </>
  );
}
