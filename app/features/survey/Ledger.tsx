import type { FootFacts } from "~core/foot/findings/facts";
import type { Finding } from "~core/foot/findings/rule";
import { halvesInWords, halvesOf } from "~core/foot/parametric/halves";
import type { FootParameters } from "~core/foot/parametric/parameters";
import type { SideAim } from "~core/balance/lenses";
import { LENS_FACTS } from "~core/foot/lens";
import type { BenchAim } from "~core/visit/footBench";
import { ledgerRows } from "~core/visit/ledger";
import { FindingList } from "~app/ui/FindingList";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";

interface LedgerProps {
  facts: FootFacts;
  findings: readonly Finding[];
  foot: FootParameters;
  ghost: FootParameters | undefined;
  comparedName: string;
  aims: readonly BenchAim[];
  sideways: SideAim;
  /** Where the lenses are chosen. */
  chooser: React.ReactNode;
}

/** The readings with their aim, what is missing to it, and their change beyond the noise; then what they mean. */
export function Ledger({ facts, findings, foot, ghost, comparedName, aims, sideways, chooser }: LedgerProps) {
  const wording = useWording();
  const { survey } = facts;
  const rows = ledgerRows(
    facts,
    aims.find(({ dorsalAngleDeg }) => dorsalAngleDeg !== undefined)?.dorsalAngleDeg,
  );
  const surveyed = survey.front !== undefined && survey.support !== undefined;
  return (
    <section className="ledger ledger-columns" aria-label="Readings">
      <div>
        <table>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">Measure</span>
              </th>
              <th scope="col">now</th>
              <th scope="col">aim</th>
              <th scope="col">since {comparedName}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, now, aim, since }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className="ledger-now">
                  <Fractions text={now} />
                </td>
                <td className="quiet">
                  <Fractions text={aim} />
                </td>
                <td>
                  <Fractions text={since} />
                </td>
              </tr>
            ))}
            <tr>
              <th scope="row">Front : support {!surveyed && <span className="quiet">est.</span>}</th>
              <td className="ledger-now">{halvesInWords(halvesOf(foot))}</td>
              <td className="quiet">50 : 50</td>
              <td>{ghost ? halvesInWords(halvesOf(ghost)) : ""}</td>
            </tr>
          </tbody>
        </table>
        {chooser}
        <ul className="lens-said" aria-label="Lenses">
          {aims.map(({ lens, name, second, said, estimated, wants }) => (
            <li key={lens} className={second ? "lens-said-second" : ""}>
              <b>{name}</b>{" "}
              {said === undefined ? <span className="quiet">needs {wants}</span> : <Fractions text={said} />}
              {estimated && <span className="quiet"> est.</span>}
            </li>
          ))}
          <li>
            <b>{LENS_FACTS[sideways.lens].name}</b>{" "}
            {sideways.rollDeg === undefined ? (
              <span className="quiet">needs {sideways.wants}</span>
            ) : Math.abs(sideways.rollDeg) < 0.5 ? (
              "level"
            ) : (
              `lower the ${wording.side(sideways.rollDeg > 0 ? "lateral" : "medial")} side by ${wording.angle(Math.abs(sideways.rollDeg))}`
            )}
          </li>
        </ul>
      </div>
      <FindingList findings={findings} />
    </section>
  );
}
