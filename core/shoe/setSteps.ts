import { WEAR_SECTORS, type WearSector } from "../foot/wear";
import { sectorInWords } from "./specWords";
import { counted } from "../units/counted";

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

/** How a plate, a frog pad or a compound met the frog. */
export const PLATE_PRINTS = ["meets", "stands off", "presses"] as const;
export type PlatePrint = (typeof PLATE_PRINTS)[number];

/** What a shoe wants to touch and what not: places that are to show a gap, and whether it is to meet the frog. */
export interface WantedPrint {
  gaps?: readonly WearSector[];
  plate?: boolean;
  /** How its plate met the frog, where that was looked at. */
  met?: PlatePrint | undefined;
}

/**
 * What to change before the next try, from a print read by sector: steel at a gap down or wall up to it, relief where
 * sole touched, room at the frog, a clip let in; a plate that does not meet the frog as it should. A place that is to bear
 * nothing shows a gap. Empty where everything touched as this shoe wants it.
 */
export function printInWords(
  print: PrintBySector,
  { gaps = [], plate = false, met }: WantedPrint = {},
): string[] {
  const named = (sectors: readonly WearSector[]) => sectors.map(sectorInWords).join("; ");
  const at = (state: Print) =>
    named(
      WEAR_SECTORS.filter((sector) => print[sector] === state && !(state === "gap" && gaps.includes(sector))),
    );
  const [gap, sole, frog, clip] = [at("gap"), at("sole"), at("frog"), at("clip")];
  const lines: string[] = [];
  const bears = named(gaps.filter((sector) => print[sector] === "wall" || print[sector] === "sole"));
  if (bears)
    lines.push(
      `It bears at ${bears}, which is to bear nothing: take the wall there down, or relieve the shoe.`,
    );
  if (gap)
    lines.push(`Gap at ${gap}: level the shoe there, or the foot; never bend the shoe up to a hollow.`);
  if (sole)
    lines.push(`Sole touched at ${sole}: relieve the shoe, or recess a little sole where there is enough.`);
  if (frog && !plate) lines.push(`Frog touched at ${frog}: open the heels there.`);
  if (clip) lines.push(`Clip stood off at ${clip}: let it in or bring it closer before the next try.`);
  if (plate && met === "stands off")
    lines.push("The plate stands off the frog: it carries nothing. Bring it down to meet it.");
  if (plate && met === "presses")
    lines.push("The plate presses on the frog: it is met, never pushed. Lower the plate.");
  return lines;
}

/** True where everything touched as this shoe wants it. */
export const isFullPrint = (
  print: PrintBySector,
  { gaps = [], plate = false, met }: WantedPrint = {},
): boolean =>
  WEAR_SECTORS.every((sector) => print[sector] === (gaps.includes(sector) ? "gap" : "wall")) &&
  (!plate || met === "meets");

export const hotFitsInWords = (count: number): string =>
  count === 0
    ? "No hot fit noted."
    : count < MANY_FITS
      ? `${counted(count, "hot fit")}.`
      : `${count} hot fits: each one burns wall away that the next cycle wants. Measure before the next try.`;
