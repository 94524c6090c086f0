import { axisChangeNoise } from "../foot/axis";
import type { FootFacts, FootState } from "../foot/findings/facts";
import type { Wording } from "../foot/wording";
import { changeSince } from "../repeatability/change";

/** One line of the ledger: a reading with its aim and its change beyond the noise, in words. */
export interface LedgerRow {
  name: string;
  /** "–" where it was not measured. */
  now: string;
  aim: string;
  /** "no change" within the noise; empty where there is nothing to hold it against. */
  since: string;
}

interface Reading {
  name: string;
  of: (state: FootState) => number | undefined;
  /** Smallest real change. */
  noise: number;
  show: (value: number) => string;
  aim?: string | undefined;
  signed?: boolean;
  /** It stands in the ledger whether it was measured or not. */
  always?: boolean;
}

const axisOf = ({ measures: { dorsalAngle, pasternAngle } }: FootState) =>
  dorsalAngle === undefined || pasternAngle === undefined ? undefined : dorsalAngle - pasternAngle;
const heelsOf = ({ measures: { heelHeightLateral, heelHeightMedial } }: FootState) =>
  heelHeightLateral === undefined || heelHeightMedial === undefined
    ? undefined
    : heelHeightLateral - heelHeightMedial;

/** The readings of a foot in the order of the hand; those of the fast lane always, the others where they were taken. */
export function ledgerRows(facts: FootFacts, dorsalAimDeg: number | undefined): LedgerRow[] {
  const { noise, wording, last, measures, survey, target } = facts;
  const [angle, length] = [noise.angleDeg, noise.lengthMm];
  const ofTwo = Math.SQRT2 * length;
  const side = (name: string) => wording.inOwnWords(name);
  const readings: Reading[] = [
    {
      name: "Axis",
      of: axisOf,
      noise: axisChangeNoise(angle),
      show: wording.angle,
      aim: "0°",
      signed: true,
      always: true,
    },
    {
      name: "Dorsal angle",
      of: (state) => state.measures.dorsalAngle,
      noise: angle,
      show: wording.angle,
      aim: dorsalAimDeg === undefined ? undefined : wording.angle(dorsalAimDeg),
      always: true,
    },
    {
      name: "Toe length",
      of: (state) => state.measures.toeLength,
      noise: length,
      show: wording.length,
      aim: wording.length(target.toeLengthMm),
      always: true,
    },
    {
      name: side("Heels, lateral minus medial"),
      of: heelsOf,
      noise: ofTwo,
      show: wording.length,
      aim: "0",
      signed: true,
      always: true,
    },
    {
      name: "Heel angle",
      of: (state) => state.side.heelAngle,
      noise: angle,
      show: wording.angle,
      aim: measures.dorsalAngle === undefined ? undefined : wording.angle(measures.dorsalAngle),
    },
    { name: "Hairline angle", of: (state) => state.side.hairlineAngle, noise: angle, show: wording.angle },
    {
      name: "Dish",
      of: (state) => state.side.dish,
      noise: Math.SQRT2 * angle,
      show: wording.angle,
      aim: "0°",
    },
    {
      name: "Pastern line from the toe",
      of: (state) => state.side.pasternLineFromToe,
      noise: length,
      show: wording.length,
      signed: true,
    },
    {
      name: side("Hairline tilt, + lateral"),
      of: (state) => state.rear.hairlineTilt,
      noise: angle,
      show: wording.angle,
      aim: "0°",
      signed: true,
    },
    {
      name: side("Lean of the limb, + lateral"),
      of: (state) => state.rear.limbDeviation,
      noise: angle,
      show: wording.angle,
      signed: true,
    },
    {
      name: "Front half",
      of: (state) => state.survey.front,
      noise: ofTwo,
      show: wording.length,
      aim: survey.support === undefined ? undefined : wording.length(survey.support),
    },
    {
      name: side("Heels ahead, medial"),
      of: (state) => state.survey.heelForward.medial,
      noise: length,
      show: wording.length,
      aim: "0",
    },
    {
      name: side("Heels ahead, lateral"),
      of: (state) => state.survey.heelForward.lateral,
      noise: length,
      show: wording.length,
      aim: "0",
    },
  ];
  return readings.flatMap(({ name, of, noise: within, show, aim = "", signed = false, always = false }) => {
    const now = of(facts);
    if (now === undefined) return always ? [{ name, now: "–", aim: "", since: "" }] : [];
    return [
      {
        name,
        now: `${signed && now > 0 ? "+" : ""}${show(now)}`,
        aim,
        since: changeInWords(now, last && of(last), within, show),
      },
    ];
  });
}

function changeInWords(
  now: number,
  was: number | undefined,
  smallestChange: number,
  show: Wording["length"],
): string {
  if (was === undefined) return "";
  const { real, difference } = changeSince(now, was, smallestChange);
  return real ? `${difference > 0 ? "+" : ""}${show(difference)}` : "no change";
}
