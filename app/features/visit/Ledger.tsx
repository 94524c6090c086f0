import { axisChangeNoise } from "~core/foot/axis";
import type { FootMeaning } from "~core/foot/meaning";
import type { FootValues, Measure } from "~core/foot/measures";
import { halvesInWords, halvesOf } from "~core/foot/parametric/halves";
import type { FootParameters } from "~core/foot/parametric/parameters";
import type { ToeYardstick } from "~core/foot/toeYardstick";
import { changeSince } from "~core/repeatability/change";
import type { Noise } from "~core/repeatability/repeatability";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { Statements } from "./Statements";

interface LedgerProps {
  values: FootValues;
  compared: FootValues;
  comparedName: string;
  meaning: FootMeaning;
  foot: FootParameters;
  ghost: FootParameters | undefined;
  noise: Noise;
  target: ToeYardstick;
}

/** The readings with their aim and their change, then what they mean. */
export function Ledger({ values, compared, comparedName, meaning, foot, ghost, noise, target }: LedgerProps) {
  const wording = useWording();
  const get = (from: FootValues, measure: Measure) => from[measure]?.value;
  const difference = (from: FootValues, a: Measure, b: Measure) => {
    const [first, second] = [get(from, a), get(from, b)];
    return first === undefined || second === undefined ? undefined : first - second;
  };
  const signed = (show: (value: number) => string) => (value: number) =>
    `${value > 0 ? "+" : ""}${show(value)}`;
  const rows = [
    row(
      "Axis",
      difference(values, "dorsalAngle", "pasternAngle"),
      difference(compared, "dorsalAngle", "pasternAngle"),
      axisChangeNoise(noise.angleDeg),
      signed(wording.angle),
      "0°",
    ),
    row(
      "Dorsal angle",
      get(values, "dorsalAngle"),
      get(compared, "dorsalAngle"),
      noise.angleDeg,
      wording.angle,
      get(values, "pasternAngle") === undefined ? "" : wording.angle(get(values, "pasternAngle") ?? 0),
    ),
    row(
      "Toe length",
      get(values, "toeLength"),
      get(compared, "toeLength"),
      noise.lengthMm,
      wording.length,
      wording.length(target.toeLengthMm),
    ),
    row(
      `Heels, ${wording.side("lateral")} minus ${wording.side("medial")}`,
      difference(values, "heelHeightLateral", "heelHeightMedial"),
      difference(compared, "heelHeightLateral", "heelHeightMedial"),
      Math.SQRT2 * noise.lengthMm,
      signed(wording.length),
      "0",
    ),
  ];
  return (
    <section className="ledger" aria-label="Readings">
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
          {rows.map(({ name, now, aim, change }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="ledger-now">
                <Fractions text={now} />
              </td>
              <td className="quiet">
                <Fractions text={aim} />
              </td>
              <td>
                <Fractions text={change} />
              </td>
            </tr>
          ))}
          <tr>
            <th scope="row">
              Front : support <span className="quiet">est.</span>
            </th>
            <td className="ledger-now">{halvesInWords(halvesOf(foot))}</td>
            <td className="quiet">50 : 50</td>
            <td>{ghost ? halvesInWords(halvesOf(ghost)) : ""}</td>
          </tr>
        </tbody>
      </table>
      <Statements statements={meaning.statements} />
    </section>
  );
}

function row(
  name: string,
  now: number | undefined,
  before: number | undefined,
  noise: number,
  show: (value: number) => string,
  aim: string,
) {
  const change = now !== undefined && before !== undefined ? changeSince(now, before, noise) : undefined;
  const moved =
    change &&
    (change.real
      ? `${change.difference > 0 ? "+" : ""}${show(change.difference).replace(/^\+/, "")}`
      : "no change");
  return {
    name,
    now: now === undefined ? "–" : show(now),
    aim: now === undefined ? "" : aim,
    change: moved ?? "",
  };
}
