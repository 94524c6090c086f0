import { Button } from "antd";
import { useState } from "react";
import type { MergeLook as Look } from "~app/data/mergeStore";
import { momentOf } from "~app/ui/days";
import type { Tally } from "~core/merge/merge";
import type { Pick } from "~core/merge/place";
import { TABLE_WORDS, type SaidClash } from "~core/merge/words";
import { TABLE_NAMES } from "~core/record/tables";

/** Clashes that are shown one by one; of more the later value is taken, as it says. */
const MOST_SHOWN = 200;

/** What putting two devices' files together would do: rows by kind, and each place that both changed, with both values. */
export function MergeLook({
  look,
  onDecide,
  onLeave,
}: {
  look: Look;
  onDecide: (picks: Record<string, Pick>) => void;
  onLeave: () => void;
}) {
  const [picks, setPicks] = useState<Record<string, Pick>>({});
  const { from, into, tally, clashes, twins, again, nothing } = look;
  if (nothing)
    return (
      <div className="merge-look">
        <p className="strong">Nothing in it is new here.</p>
        <Button onClick={onLeave}>Good</Button>
      </div>
    );
  const other = from === into ? `${from} (the file)` : from;
  const all = (which: Pick) => setPicks(Object.fromEntries(clashes.map(({ key }) => [key, which] as const)));
  return (
    <div className="merge-look">
      <TallyTable tally={tally} other={other} />
      {twins.length > 0 && (
        <p className="brass">
          A visit from each for one horse: {some(twins)}. Both stay; of planned ones “To set right” makes one
          afterwards.
        </p>
      )}
      {again.length > 0 && (
        <p className="brass">
          Typed on both, it seems: {some(again)}. Both come to stand here; “To set right” makes one of them
          afterwards.
        </p>
      )}
      {clashes.length > 0 && (
        <section aria-label="Changed on both">
          <h3>{clashes.length === 1 ? "One place was" : `${clashes.length} places were`} changed on both</h3>
          <p className="quiet">
            The later one is chosen. What you do not take is set aside with its day and stays readable.
          </p>
          {clashes.length > 3 && (
            <div className="file-acts">
              <Button onClick={() => setPicks({})}>The later of each</Button>
              <Button onClick={() => all("here")}>All from here</Button>
              <Button onClick={() => all("there")}>All from {other}</Button>
            </div>
          )}
          <ul className="clashes">
            {clashes.slice(0, MOST_SHOWN).map((clash) => (
              <ClashRow
                key={clash.key}
                clash={clash}
                picked={picks[clash.key] ?? clash.usual}
                other={other}
                onPick={(which) => setPicks({ ...picks, [clash.key]: which })}
              />
            ))}
          </ul>
          {clashes.length > MOST_SHOWN && (
            <p className="quiet">and {clashes.length - MOST_SHOWN} more: the later of each.</p>
          )}
        </section>
      )}
      <div className="file-acts">
        <Button type="primary" onClick={() => onDecide(picks)}>
          Put together
        </Button>
        <Button onClick={onLeave}>Leave things as they are</Button>
      </div>
    </div>
  );
}

/** The first five of a list, and how many more there are. */
const some = (names: readonly string[]): string =>
  `${names.slice(0, 5).join("; ")}${names.length > 5 ? ` and ${names.length - 5} more` : ""}`;

const COLUMNS: readonly { name: (other: string) => string; of: (tally: Tally) => number }[] = [
  { name: (other) => `New from ${other}`, of: ({ newThere }) => newThere },
  { name: (other) => `Changed on ${other}`, of: ({ changedThere }) => changedThere },
  { name: (other) => `Taken away on ${other}`, of: ({ goneThere }) => goneThere },
  { name: () => "Only here", of: ({ newHere }) => newHere },
  { name: () => "Changed here", of: ({ changedHere }) => changedHere },
  { name: () => "Taken away here", of: ({ goneHere }) => goneHere },
  { name: () => "Stays: more hangs on it", of: ({ kept }) => kept },
];

/** Rows by kind and by what happened to them; columns and kinds without any are left out. */
function TallyTable({ tally, other }: { tally: Look["tally"]; other: string }) {
  const tables = TABLE_NAMES.filter((name) => tally[name]);
  const columns = COLUMNS.filter(({ of }) => tables.some((name) => of(tally[name] as Tally) > 0));
  if (columns.length === 0) return null;
  return (
    <div className="tally">
      <table aria-label="What is new, changed and taken away">
        <thead>
          <tr>
            <th />
            {columns.map(({ name }) => (
              <th key={name(other)} scope="col">
                {name(other)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tables.map((table) => (
            <tr key={table}>
              <th scope="row">{TABLE_WORDS[table][1]}</th>
              {columns.map(({ name, of }) => {
                const count = of(tally[table] as Tally);
                return (
                  <td key={name(other)} className={count === 0 ? "quiet" : "strong"}>
                    {count === 0 ? "·" : count}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function ClashRow({
  clash,
  picked,
  other,
  onPick,
}: {
  clash: SaidClash;
  picked: Pick;
  other: string;
  onPick: (which: Pick) => void;
}) {
  const { key, of, what, usual } = clash;
  const names: Record<Pick, string> = { here: "here", there: other };
  return (
    <li>
      <fieldset>
        <legend>
          {of}: <span className="strong">{what}</span>
        </legend>
        <div className="clash-values">
          {(["here", "there"] as const).map((which) => {
            const { value, at } = clash[which];
            return (
              <label key={which} className={picked === which ? "clash-value clash-taken" : "clash-value"}>
                <input type="radio" name={key} checked={picked === which} onChange={() => onPick(which)} />
                <span className="clash-said">{value}</span>
                <span className="quiet">
                  {names[which]}
                  {at === undefined ? ", before its days were noted" : `, ${momentOf(at)}`}
                  {usual === which && at !== undefined && " · later"}
                </span>
              </label>
            );
          })}
        </div>
      </fieldset>
    </li>
  );
}
