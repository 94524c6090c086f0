import { sentenceCase, type Wording } from "../foot/wording";
import type { GroundNumbers, StoodShoe } from "./compare";

/** One number of all shoes, in words of the user; "–" where there is none, or it is not shown on firm ground. */
export interface GroundRow {
  name: string;
  values: string[];
}

const signedDeg = (value: number): string => `${value.toFixed(1)}°`.replace("-", "−").replace("−0.0", "0.0");
const percent = (part: number): string => `${Math.round(100 * part)} %`;

/** The numbers behind the maps. On firm ground those that hang on levelness are left out. */
export function groundRows(
  shoes: readonly (StoodShoe | undefined)[],
  soft: boolean,
  wording: Wording,
): GroundRow[] {
  const first = shoes[0]?.answer;
  const row = (name: string, value: (answer: GroundNumbers) => string): GroundRow => ({
    name,
    values: shoes.map((shoe) => (shoe?.answer ? value(shoe.answer) : "–")),
  });
  const kPa = (value: number) => `${Math.round(value)}`;
  return [
    ...(soft
      ? [
          row("Sinks", ({ sink }) => wording.length(sink)),
          row("Pitch, + steeper", ({ pitch }) => signedDeg(pitch)),
          row(`Roll, + ${wording.side("lateral")} lower`, ({ roll }) => signedDeg(roll)),
        ]
      : []),
    row("Lever in front", ({ lever }) => wording.length(lever.front)),
    row("Support behind", ({ lever }) => wording.length(lever.support)),
    row("Pull at breakover, A = 1", ({ lever }) =>
      first && first.lever.front > 0 ? (lever.front / first.lever.front).toFixed(2) : "–",
    ),
    ...(soft
      ? [
          row("Toe third carries", ({ share }) => percent(share.toe)),
          row("Middle third", ({ share }) => percent(share.middle)),
          row("Heel third", ({ share }) => percent(share.heel)),
          row(`${sentenceCase(wording.side("medial"))} half`, ({ share }) => percent(share.medial)),
          row("Frog carries", ({ hoof }) => percent(hoof.frog)),
          row("Sole carries", ({ share }) => percent(share.sole)),
          row("Highest on the ground, kPa", ({ peak }) => kPa(peak)),
          row("Highest on the hoof’s heels, kPa", ({ hoof }) => kPa(hoof.heelPeak)),
        ]
      : [
          row("Frog carries, by its shoe", ({ hoof, share }) => percent(Math.max(0, hoof.frog - share.frog))),
        ]),
  ];
}

/** How the first shoe stands, line by line: what the others are held against. */
export function standsInWords(answer: GroundNumbers, soft: boolean, wording: Wording): string[] {
  const { sink, pitch, roll, share, hoof, lever } = answer;
  const halves = Math.round((100 * lever.front) / (lever.front + lever.support));
  const levers = `Front : support ${halves} : ${100 - halves}, ${wording.length(lever.front)} to breakover`;
  if (!soft) return [levers];
  const tilt =
    Math.abs(roll) < 0.1
      ? ""
      : `, ${Math.abs(roll).toFixed(1)}° lower to ${wording.side(roll > 0 ? "lateral" : "medial")}`;
  return [
    `Sinks ${wording.length(sink)}, ${Math.abs(pitch).toFixed(1)}° ${pitch < 0 ? "shallower" : "steeper"}${tilt}`,
    levers,
    `Frog carries ${percent(hoof.frog)}, sole ${percent(share.sole)}`,
    `Toe ${percent(share.toe)}, middle ${percent(share.middle)}, heel ${percent(share.heel)}`,
  ];
}
