import { useWording } from "~app/ui/useWording";
import type { FilmNumber } from "~core/radiograph/filmNumbers";

/** A number with what a pixel of hand does to it, and what is usual. */
export function FilmNumbers({
  numbers,
  marked,
}: {
  numbers: readonly FilmNumber[];
  marked: readonly string[];
}) {
  const wording = useWording();
  return (
    <section className="film-numbers" aria-label="What the radiograph measures" data-worked-out>
      {marked.map((says) => (
        <p key={says} className="brass strong">
          {says}
        </p>
      ))}
      <table>
        <thead>
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">Value</th>
            <th scope="col">± a pixel</th>
          </tr>
        </thead>
        <tbody>
          {numbers.map(({ id, name, unit, value, band, usual, outside }) => (
            <tr key={id} className={outside ? "film-outside" : undefined}>
              <th scope="row">
                {wording.inOwnWords(name)}
                {(outside ?? usual) && (
                  <span className={outside ? "film-said ember" : "film-said quiet"}>
                    {outside ? `${outside}${usual ? ` Usual: ${usual}.` : ""}` : `usual: ${usual}`}
                  </span>
                )}
              </th>
              <td>{shownValue(value, unit)}</td>
              <td className="quiet">{shownValue(band, unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Films are read in mm and degrees whatever the hand uses: it is what vets write. */
export const shownValue = (value: number, unit: FilmNumber["unit"]): string =>
  `${value.toFixed(unit === "" ? 2 : 1)}${unit === "deg" ? "°" : unit === "mm" ? " mm" : ""}`;
