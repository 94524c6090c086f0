import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { nailTable } from "~core/shoe/nailTable";
import { NAIL_SECTORS } from "~core/visit/nailFree";
import { wallMap } from "~core/visit/wallMap";
import type { ShoeViewProps } from "./shoeView";

/** Nails: where they stand, how they lean, how long they have to be, and which of the table that is. */
export function NailPanel({ context, shoeing }: ShoeViewProps) {
  const { file } = context;
  const wording = useWording();
  const { bench, shoe, record } = shoeing;
  const table = nailTable(bench.fit, shoe.toShoe.drawn, file.nailSizes);
  const skip = record?.skip ?? {};
  const relieved = shoe.nailFree.filter((one) => one.relieve);
  const map = wallMap(shoe.facts, shoe.nailFree);
  const moved = bench.fit.nails.warnings
    .filter(({ code }) => code === "moved" || code === "no-wall")
    .map(({ message }) => wording.inOwnWords(message));
  return (
    <section className="nail-panel" aria-label="Nails">
      <h2>Nails</h2>
      <p>
        <Fractions text={wording.inOwnWords(table.says(wording))} />
      </p>
      <table className="plan-table nail-table">
        <thead>
          <tr>
            <th scope="col">Nail</th>
            <th scope="col">from toe</th>
            <th scope="col">in from edge</th>
            <th scope="col">leans in</th>
            <th scope="col">length</th>
          </tr>
        </thead>
        <tbody>
          {table.rows.map(({ side, number, nail, lean, needed }) => (
            <tr key={`${side}${number}`}>
              <th scope="row">
                {wording.side(side)} {number}
              </th>
              <td>
                <Fractions text={wording.length(nail.s)} />
              </td>
              <td>
                <Fractions text={wording.cut(nail.inset)} />
              </td>
              <td>{wording.angle(lean)}</td>
              <td>
                <Fractions text={wording.length(needed)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {relieved.length > 0 && (
        <p>
          Relieve the foot side over{" "}
          {relieved.map(({ name, side, why }) => `the ${wording.side(side)} ${name} (${why})`).join(", ")}:
          that wall bears nothing until it has grown out.
        </p>
      )}
      <details className="skip-sectors" open={shoe.nailFree.length > 0}>
        <summary>Where the wall is sound</summary>
        <table className="plan-table wall-map">
          <thead>
            <tr>
              <th scope="col">Wall</th>
              <th scope="col">horn</th>
              <th scope="col">takes</th>
              <th scope="col">leave out</th>
            </tr>
          </thead>
          <tbody>
            {map.map(({ side, name, hornMm, takes, why }) => {
              const id = `${side}-${name}`;
              const stretch = NAIL_SECTORS.find((one) => one.name === name);
              return (
                <tr key={id} data-takes={takes}>
                  <th scope="row">
                    {name}, {wording.side(side)}
                  </th>
                  <td>{hornMm === undefined ? "–" : <Fractions text={wording.cut(hornMm)} />}</td>
                  <td>
                    {takes}
                    {why && <span className="quiet"> ({why}, until it has grown out)</span>}
                  </td>
                  <td>
                    <input
                      type="checkbox"
                      aria-label={`${name}, ${wording.side(side)}`}
                      checked={id in skip || why !== undefined}
                      disabled={why !== undefined}
                      onChange={() =>
                        stretch &&
                        void shoeing.keepAt(
                          ["skip", id],
                          id in skip ? undefined : { side, from: stretch.from, to: stretch.to },
                          "wall without nails",
                        )
                      }
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {moved.map((line) => (
          <p key={line}>{line}</p>
        ))}
        <p className="quiet">
          Nails go to the nearest sound wall by themselves; their holes move on the pattern and on the bar
          too.
        </p>
      </details>
    </section>
  );
}
