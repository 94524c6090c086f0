import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { StoodShoe } from "~core/ground/compare";
import { groundRows } from "~core/ground/groundRows";
import type { GroundChoice } from "~core/visit/groundShoes";

interface NumbersTableProps {
  shown: readonly GroundChoice[];
  letters: readonly string[];
  answers: ReadonlyMap<string, StoodShoe>;
  soft: boolean;
}

/** Every number behind the maps. */
export function NumbersTable({ shown, letters, answers, soft }: NumbersTableProps) {
  const wording = useWording();
  const columns = shown.map(({ id }) => answers.get(id));
  return (
    <section className="ground-numbers" aria-label="Numbers">
      <h2>In numbers</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">What</span>
            </th>
            {shown.map(({ id, name }, at) => (
              <th key={id} scope="col" title={name}>
                {letters[at]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {groundRows(columns, soft, wording).map(({ name, values }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {values.map((value, at) => (
                <td key={shown[at]?.id}>
                  <Fractions text={value} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
