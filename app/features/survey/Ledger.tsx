import { axisChangeNoise } from "~core/foot/axis";
import type { FootFacts } from "~core/foot/findings/facts";
import type { Finding } from "~core/foot/findings/rule";
import { halvesInWords, halvesOf } from "~core/foot/parametric/halves";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { type FrontAim, type SideAim } from "~core/balance/lenses";
import { LENS_FACTS } from "~core/foot/lens";
import { changeSince } from "~core/repeatability/change";
import { FindingList } from "~app/ui/FindingList";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";

interface LedgerProps {
  facts: FootFacts;
  findings: readonly Finding[];
  foot: FootParameters;
  ghost: FootParameters | undefined;
  comparedName: string;
  aims: readonly FrontAim[];
  sideways: SideAim;
  /** Where the lenses are chosen. */
  chooser: React.ReactNode;
}

interface Row {
  name: string;
  now: number | undefined;
  was: number | undefined;
  noise: number;
  show: (value: number) => string;
  /** The aim and the lens it belongs to. */
  aim?: string | undefined;
  /** Distance from the aim. */
  off?: number | undefined;
  signed?: boolean;
}

/** The readings with their aim, what is missing to it, and their change beyond the noise; then what they mean. */
export function Ledger({ facts, findings, foot, ghost, comparedName, aims, sideways, chooser }: LedgerProps) {
  const wording = useWording();
  const { measures, survey, side, last, noise } = facts;
  const axis = (of: FootFacts["measures"] | undefined) =>
    of?.dorsalAngle === undefined || of.pasternAngle === undefined
      ? undefined
      : of.dorsalAngle - of.pasternAngle;
  const heels = (of: FootFacts["measures"] | undefined) =>
    of?.heelHeightLateral === undefined || of.heelHeightMedial === undefined
      ? undefined
      : of.heelHeightLateral - of.heelHeightMedial;
  const dorsalAim = aims.find((aim) => aim.dorsalAngleDeg !== undefined)?.dorsalAngleDeg;
  const rows: Row[] = [
    {
      name: "Axis",
      now: axis(measures),
      was: axis(last?.measures),
      noise: axisChangeNoise(noise.angleDeg),
      show: wording.angle,
      aim: "0°",
      off: axis(measures),
      signed: true,
    },
    {
      name: "Dorsal angle",
      now: measures.dorsalAngle,
      was: last?.measures.dorsalAngle,
      noise: noise.angleDeg,
      show: wording.angle,
      aim: dorsalAim === undefined ? undefined : wording.angle(dorsalAim),
    },
    {
      name: "Toe length",
      now: measures.toeLength,
      was: last?.measures.toeLength,
      noise: noise.lengthMm,
      show: wording.length,
      aim: wording.length(facts.target.toeLengthMm),
    },
    {
      name: `Heels, ${wording.side("lateral")} minus ${wording.side("medial")}`,
      now: heels(measures),
      was: heels(last?.measures),
      noise: Math.SQRT2 * noise.lengthMm,
      show: wording.length,
      aim: "0",
      signed: true,
    },
    {
      name: "Heel angle",
      now: side.heelAngle,
      was: last?.side.heelAngle,
      noise: noise.angleDeg,
      show: wording.angle,
      aim: measures.dorsalAngle === undefined ? undefined : wording.angle(measures.dorsalAngle),
    },
    {
      name: "Hairline angle",
      now: side.hairlineAngle,
      was: last?.side.hairlineAngle,
      noise: noise.angleDeg,
      show: wording.angle,
    },
    {
      name: "Dish",
      now: side.dish,
      was: last?.side.dish,
      noise: noise.angleDeg,
      show: wording.angle,
      aim: "0°",
    },
    {
      name: "Front half",
      now: survey.front,
      was: last?.survey.front,
      noise: Math.SQRT2 * noise.lengthMm,
      show: wording.length,
      aim: survey.support === undefined ? undefined : wording.length(survey.support),
    },
    {
      name: `Heels ahead, ${wording.side("medial")}`,
      now: survey.heelForward.medial,
      was: last?.survey.heelForward.medial,
      noise: noise.lengthMm,
      show: wording.length,
      aim: "0",
    },
    {
      name: `Heels ahead, ${wording.side("lateral")}`,
      now: survey.heelForward.lateral,
      was: last?.survey.heelForward.lateral,
      noise: noise.lengthMm,
      show: wording.length,
      aim: "0",
    },
  ];
  const shown = rows.filter(({ now }, index) => index < 4 || now !== undefined);
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
            {shown.map(({ name, now, was, noise: within, show, aim, signed }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className="ledger-now">
                  <Fractions text={now === undefined ? "–" : `${signed && now > 0 ? "+" : ""}${show(now)}`} />
                </td>
                <td className="quiet">
                  <Fractions text={now === undefined ? "" : (aim ?? "")} />
                </td>
                <td>
                  <Fractions text={changeWords(now, was, within, show)} />
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
          {aims.map((aim, index) => (
            <li key={aim.lens} className={index === 1 ? "lens-said-second" : ""}>
              <b>{LENS_FACTS[aim.lens].name}</b>{" "}
              {aim.off ? (
                <Fractions
                  text={`${aim.off.words} ${aim.off.unit === "°" ? wording.angle(aim.off.value) : wording.length(Math.abs(aim.off.value))}${aim.off.unit === "mm" && aim.off.value < 0 ? " under" : ""}`}
                />
              ) : (
                <span className="quiet">needs {aim.wants}</span>
              )}
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

function changeWords(
  now: number | undefined,
  was: number | undefined,
  noise: number,
  show: (value: number) => string,
): string {
  if (now === undefined || was === undefined) return "";
  const { real, difference } = changeSince(now, was, noise);
  return real ? `${difference > 0 ? "+" : ""}${show(difference)}` : "no change";
}
