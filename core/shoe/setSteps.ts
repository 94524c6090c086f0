import { WEAR_SECTOR_NAMES, WEAR_SECTORS, type WearSector } from "../foot/wear";

/** What a hot fit or a cold try left at one place. */
export const PRINTS = ["wall", "gap", "sole", "frog", "clip"] as const;
export type Print = (typeof PRINTS)[number];
export type PrintBySector = Partial<Record<WearSector, Print | undefined>>;

/** The steps of setting a shoe, in the order of the work; the finish is looked at last. */
export const SET_STEPS = {
  tack: "Tack with two nails",
  look: "Foot down: look, adjust",
  drive: "Drive the rest, into sound wall only",
  wring: "Each point wrung off at once",
  clench: "Burr off, clenches even and smooth",
  edges: "Nothing sharp, clips snug, heels clear",
  stand: "Foot down and level, horse stands on it",
  moves: "Seen to walk off sound",
  picture: "After-picture taken",
} as const;
export type SetStep = keyof typeof SET_STEPS;
export const SET_STEP_NAMES = Object.keys(SET_STEPS) as [SetStep, ...SetStep[]];

/** From this many hot fits on it is said what they cost. */
export const MANY_FITS = 3;

/**
 * What to change before the next try, from a print read by sector: steel at a gap down or wall up to it, relief where
 * sole touched, room at the frog, a clip let in. A place that was floated in the trim is to show a gap. Empty where
 * wall touched everywhere that was looked at.
 */
export function printInWords(print: PrintBySector, floated: readonly WearSector[] = []): string[] {
  const named = (sectors: readonly WearSector[]) =>
    sectors.map((sector) => WEAR_SECTOR_NAMES[sector].toLowerCase()).join("; ");
  const at = (state: Print) =>
    named(
      WEAR_SECTORS.filter(
        (sector) => print[sector] === state && !(state === "gap" && floated.includes(sector)),
      ),
    );
  const [gap, sole, frog, clip] = [at("gap"), at("sole"), at("frog"), at("clip")];
  const lines: string[] = [];
  const bears = named(floated.filter((sector) => print[sector] === "wall" || print[sector] === "sole"));
  if (bears)
    lines.push(`It bears at ${bears}, which was floated: take the wall there down, or relieve the shoe.`);
  if (gap)
    lines.push(`Gap at ${gap}: level the shoe there, or the foot; never bend the shoe up to a hollow.`);
  if (sole)
    lines.push(`Sole touched at ${sole}: relieve the shoe, or recess a little sole where there is enough.`);
  if (frog) lines.push(`Frog touched at ${frog}: open the heels there, unless the frog is meant to bear.`);
  if (clip) lines.push(`Clip stood off at ${clip}: let it in or bring it closer before the next try.`);
  return lines;
}

/** True where wall touched everywhere, but for the places that were floated. */
export const isFullPrint = (print: PrintBySector, floated: readonly WearSector[] = []): boolean =>
  WEAR_SECTORS.every((sector) => print[sector] === (floated.includes(sector) ? "gap" : "wall"));

export const hotFitsInWords = (count: number): string =>
  count === 0
    ? "No hot fit noted."
    : count < MANY_FITS
      ? `${count} hot ${count === 1 ? "fit" : "fits"}.`
      : `${count} hot fits: each one burns wall away that the next cycle wants. Measure before the next try.`;
