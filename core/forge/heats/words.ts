import { STEEL_COLOURS, type HeatColour } from "../../constants/colours";
import type { Material } from "../../shoe/specification";
import type { Wording } from "../../foot/wording";
import type { HeatTrouble, Operation } from "./operation";

/** The colour steel has to show to be at least this hot: the first that reaches it. */
export function colourFor(startC: number): HeatColour {
  const colours = STEEL_COLOURS.value;
  return colours.find(({ toC }) => toC >= startC) ?? (colours.at(-1) as HeatColour);
}

/** What to look for before the first blow. */
export const lookFor = (startC: number, material: Material): string =>
  material === "aluminium"
    ? "No colour: a pine stick leaves a brown streak, about 400 °C"
    : `${colourFor(startC).name}, about ${Math.round(startC / 10) * 10} °C in shade`;

/** What is wrong with a plan, for a person, with what to do. */
export function troubleInWords(
  trouble: HeatTrouble,
  operations: readonly Operation[],
  wording: Wording,
): string {
  const name = (id: string) => operations.find((op) => op.id === id)?.words ?? id;
  const what = `“${name(trouble.op)}”`;
  const words = {
    missing: `${what} is in no heat.`,
    before: `${what} comes before “${name(trouble.kind === "before" ? trouble.needs : "")}”, which it needs.`,
    apart: `${what} is at another end of the shoe than the rest of this heat: give it a heat of its own.`,
    "too-cold": `${what} finds the steel too cold after what comes before it: begin a new heat there.`,
    "cold-in-fire": `${what} ${operations.find(({ id }) => id === trouble.op)?.heat ? "needs heat" : "is done cold"}.`,
  }[trouble.kind];
  return wording.inOwnWords(words);
}
