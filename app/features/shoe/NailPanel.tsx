import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { SIDES } from "~core/foot/limb";
import { nailTable } from "~core/shoe/nailTable";
import { NAIL_SECTORS } from "~core/visit/nailFree";
import type { ShoeViewProps } from "./shoeView";

/** Nails: where they stand, how they lean, how long they have to be, and which of the table that is. */
export function NailPanel({ context, shoeing }: ShoeViewProps) {
  const { file } = context;
  const wording = useWording();
  const { bench, shoe, record } = shoeing;
  const table = nailTable(bench.fit, shoe.toShoe.drawn, file.nailSizes);
  const skip = record?.skip ?? {};
  const relieved = shoe.nailFree.filter((one) => one.relieve);
  const sectors = SIDES.flatMap((side) =>
    NAIL_SECTORS.map(({ name, from, to }) => ({
      id: `${side}-${name}`,
      side,
      name,
      from,
      to,
      why: shoe.nailFree.find((one) => one.side === side && one.name === name)?.why,
    })),
  );
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
        <summary>Wall that takes no nail</summary>
        <div>
          {sectors.map(({ id, side, name, from, to, why }) => (
            <label key={id} className="spec-check">
              <input
                type="checkbox"
                checked={id in skip || why !== undefined}
                disabled={why !== undefined}
                onChange={() =>
                  void shoeing.keepAt(
                    ["skip", id],
                    id in skip ? undefined : { side, from, to },
                    "wall without nails",
                  )
                }
              />
              <span>
                {name}, {wording.side(side)}
                {why && <span className="quiet"> ({why}, until it has grown out)</span>}
              </span>
            </label>
          ))}
        </div>
      </details>
    </section>
  );
}
