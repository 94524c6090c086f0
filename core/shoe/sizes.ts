import type { HeadPattern, Specification } from "./specification";
import type { Fit } from "./fit";
import type { Wording } from "../foot/wording";

/** A ready-made shoe of the user's own table. Lengths mm. */
export interface ShoeSize {
  name: string;
  feet: "fore" | "hind" | "either";
  /** Across the widest part, and from toe to the ends of the branches. */
  width: number;
  length: number;
  /** Of the bar before it was turned: how much steel there is. */
  straight: number;
  sectionWidth: number;
  sectionThickness: number;
  pattern: HeadPattern;
}

/** What is wanted of a ready-made shoe. */
export interface SizeWanted {
  fore: boolean;
  width: number;
  /** Each branch from the toe back, mm. */
  medial: number;
  lateral: number;
  /** Steel in the shoe as it is drawn, mm. */
  straight: number;
  roll: number;
  section: { width: number; thickness: number };
  pattern: HeadPattern;
}

export const wantedOf = (fit: Fit, fore: boolean): SizeWanted => ({
  fore,
  width: fit.width,
  medial: fit.toeY - fit.endY.medial,
  lateral: fit.toeY - fit.endY.lateral,
  straight: fit.centreLine,
  roll: fit.roll,
  section: { width: fit.question.spec.width, thickness: fit.question.spec.thickness },
  pattern: fit.question.spec.pattern,
});

/** What is to be done to a shoe of the table so that it fits; mm, never negative. */
export interface Reshaping {
  open: number;
  close: number;
  shortenMedial: number;
  shortenLateral: number;
  roll: number;
  /** Missing at the longer branch: steel cannot be added. */
  short: number;
}

export interface SizeChoice {
  size: ShoeSize;
  reshaping: Reshaping;
  /** Millimetres of reshaping, weighed: what the list is ordered by. */
  cost: number;
}

/** How dear a millimetre is: opening and closing bends the whole shoe, cutting a heel is quick, short is no shoe. */
const COST = { bend: 1, cut: 0.4, short: 12, section: 1.5, pattern: 4 };

/** The shoes of a table that want least reshaping, the best first; feet of the other end are left out. */
export function chooseSizes(table: readonly ShoeSize[], wanted: SizeWanted, most = 3): SizeChoice[] {
  const best: SizeChoice[] = [];
  for (const size of table) {
    if (size.feet !== "either" && (size.feet === "fore") !== wanted.fore) continue;
    const choice = reshape(size, wanted);
    if (best.length === most && choice.cost >= (best[most - 1]?.cost ?? 0)) continue;
    const place = best.findIndex(({ cost }) => choice.cost < cost);
    best.splice(place === -1 ? best.length : place, 0, choice);
    best.length = Math.min(best.length, most);
  }
  return best;
}

function reshape(size: ShoeSize, wanted: SizeWanted): SizeChoice {
  const wider = wanted.width - size.width;
  // Opening the heels by a millimetre takes half of it off the length.
  const length = size.length - Math.max(0, wider) / 2;
  const over = { medial: length - wanted.medial, lateral: length - wanted.lateral };
  const reshaping: Reshaping = {
    open: Math.max(0, wider),
    close: Math.max(0, -wider),
    shortenMedial: Math.max(0, over.medial),
    shortenLateral: Math.max(0, over.lateral),
    roll: wanted.roll,
    short: Math.max(0, -over.medial, -over.lateral, wanted.straight - size.straight),
  };
  const cost =
    COST.bend * Math.abs(wider) +
    COST.cut * (reshaping.shortenMedial + reshaping.shortenLateral) +
    COST.short * reshaping.short +
    COST.section *
      (Math.abs(size.sectionWidth - wanted.section.width) +
        Math.abs(size.sectionThickness - wanted.section.thickness)) +
    (size.pattern === wanted.pattern ? 0 : COST.pattern);
  return { size, reshaping, cost };
}

/** Less than this is no change, mm. */
const LEAST_MM = 0.5;

/** What to do to the shoe, in the order of the work; empty where it goes on as it is. */
export function reshapingInWords(
  { reshaping, size }: SizeChoice,
  spec: Specification,
  wording: Wording,
): string[] {
  const said: [number, string][] = [
    [reshaping.open, "open"],
    [reshaping.close, "close"],
    [reshaping.shortenMedial, "shorten the medial heel"],
    [reshaping.shortenLateral, "shorten the lateral heel"],
  ];
  const lines = said
    .filter(([mm]) => mm >= LEAST_MM)
    .map(([mm, words]) => `${wording.inOwnWords(words)} ${wording.cut(mm)}`);
  if (reshaping.roll >= LEAST_MM) lines.push(`roll the toe ${wording.cut(reshaping.roll)} back`);
  if (reshaping.short >= LEAST_MM)
    lines.push(`it is ${wording.cut(reshaping.short)} too short: take the next size`);
  if (Math.abs(size.sectionWidth - spec.width) >= LEAST_MM)
    lines.push(`web ${wording.cut(size.sectionWidth)}, ${wording.cut(spec.width)} were wanted`);
  if (size.pattern !== spec.pattern) lines.push(`its holes take ${size.pattern} heads`);
  return lines;
}

/** A neutral table to begin with: even steps of width, no maker's numbers. */
export const EXAMPLE_SIZES: readonly ShoeSize[] = (["fore", "hind"] as const).flatMap((feet) =>
  Array.from({ length: 15 }, (_, index): ShoeSize => {
    const width = 96 + 6 * index;
    const length = Math.round(width * (feet === "fore" ? 1.05 : 1.1));
    const sectionWidth = width < 116 ? 19 : width < 152 ? 22 : 28;
    return {
      name: `${feet} ${width}`,
      feet,
      width,
      length,
      straight: Math.round(2 * length + 0.62 * width),
      sectionWidth,
      sectionThickness: width < 116 ? 8 : width < 152 ? 10 : 12,
      pattern: width < 152 ? "slim" : "heavy",
    };
  }),
);
