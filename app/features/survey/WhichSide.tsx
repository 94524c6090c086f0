import { useWording } from "~app/ui/useWording";
import { Fractions } from "~app/ui/Fractions";
import type { WitnessName } from "~core/foot/highSide";
import { sentenceCase } from "~core/foot/wording";
import { highSideOfFoot } from "~core/visit/highSideOfFoot";
import type { VisitFacts } from "~core/visit/findings";
import "./whichSide.css";

const WITNESS_WORDS: Record<WitnessName, string> = {
  wallAbove: "Wall above the live sole",
  heelHeight: "Heel heights",
  hairlineTilt: "Tilt of the hairline",
  heelForward: "Heel further forward",
  barBend: "Bend of the bars",
  toeQuarterLength: "Length of the toe quarters",
};
/** Half of what the row shows, mm, where no witness reaches further. */
const REACH_MM = 10;

/** Which heel side stands higher: a row a witness, its value and band about level, the verdict at the foot. */
export function WhichSide({ facts }: { facts: VisitFacts }) {
  const wording = useWording();
  const { verdict, high, agree, signs, settle } = highSideOfFoot(facts);
  if (!verdict && signs.length === 0) return null;
  const reach = Math.max(REACH_MM, ...(verdict?.witnesses.map(({ d, sd }) => Math.abs(d) + 1.96 * sd) ?? []));
  const at = (mm: number): string => `${50 + (50 * mm) / reach}%`;
  const size = (mm: number): string =>
    Math.abs(mm) < 0.5
      ? "level"
      : `${wording.cut(Math.abs(mm))} ${wording.side(mm > 0 ? "lateral" : "medial")}`;
  const row = (name: string, d: number, sd: number, verdictRow = false) => (
    <tr key={name} className={verdictRow ? "which-verdict" : ""}>
      <th scope="row">{name}</th>
      <td className="which-value">
        <Fractions text={size(d)} />
      </td>
      <td className="which-band">
        <span className="which-line" aria-hidden>
          <i
            className="which-spread"
            style={{ left: at(d - 1.96 * sd), right: `calc(100% - ${at(d + 1.96 * sd)})` }}
          />
          <i className="which-dot" style={{ left: at(d) }} />
        </span>
        <span className="visually-hidden">± {wording.cut(1.96 * sd)}</span>
      </td>
    </tr>
  );
  return (
    <section className="which-side" aria-label="Which side is high">
      <h3>
        {!verdict
          ? "Which side is high: not measured yet"
          : high
            ? `The ${wording.side(high)} stands higher: ${wording.cut(Math.abs(verdict.mean))}, ± ${wording.cut(1.96 * verdict.sd)}`
            : `Neither side is surely higher (${size(verdict.mean)}, ± ${wording.cut(1.96 * verdict.sd)})`}
      </h3>
      {verdict && (
        <table>
          <thead className="visually-hidden">
            <tr>
              <th scope="col">Witness</th>
              <th scope="col">Higher by</th>
              <th scope="col">
                {wording.side("medial")} to {wording.side("lateral")}
              </th>
            </tr>
          </thead>
          <tbody>
            {verdict.witnesses.map(({ name, d, sd }) => row(WITNESS_WORDS[name], d, sd))}
            {verdict.n > 1 && row("Together", verdict.mean, verdict.sd, true)}
          </tbody>
          <tfoot>
            <tr>
              <td colSpan={2} />
              <td className="which-ends quiet">
                <span>{wording.side("medial")}</span>
                <span>{wording.side("lateral")}</span>
              </td>
            </tr>
          </tfoot>
        </table>
      )}
      {!agree && (
        <p className="ember">
          The witnesses contradict one another: measure the two furthest apart again before cutting.
        </p>
      )}
      {signs.length > 0 && (
        <ul className="which-signs">
          {signs.map(({ name, says, side }) => (
            <li key={name}>
              <b>{name}</b> {wording.inOwnWords(says)}{" "}
              <span className="quiet">
                {high === undefined ? `(${wording.side(side)})` : side === high ? "(for)" : "(against)"}
              </span>
            </li>
          ))}
        </ul>
      )}
      {settle && (
        <p className="quiet">
          {sentenceCase(WITNESS_WORDS[settle].toLowerCase())}, both sides, would tell most.
        </p>
      )}
    </section>
  );
}
