import { SIDES, type Side } from "../foot/limb";
import type { Wording } from "../foot/wording";
import type { ClipPlaceName } from "./specification";

/** What is done to a bought shoe, in the order of the anvil. */
export const ALTERATION_KINDS = [
  "take out the edge",
  "square",
  "widen",
  "set down",
  "open",
  "close",
  "heel",
  "cut",
  "bar",
  "edge",
  "clip",
  "clip off",
] as const;
export type AlterationKind = (typeof ALTERATION_KINDS)[number];

export interface Alteration {
  kind: AlterationKind;
  side?: Side;
  /** How much, mm, where it is a length. */
  mm?: number;
  clip?: ClipPlaceName;
  /** What it is made into: a toe, an edge, an end, a bar. */
  into?: string;
}

/** Worked cold, filed, ground or cut off. */
const COLD: readonly AlterationKind[] = ["cut", "clip off"];
export const isCold = ({ kind, into }: Alteration): boolean =>
  COLD.includes(kind) || (kind === "edge" && into === "eased");

/** The order of the anvil; both sides of one thing together, medial first. */
export const inAnvilOrder = (list: readonly Alteration[]): Alteration[] =>
  [...list].sort(
    (a, b) =>
      ALTERATION_KINDS.indexOf(a.kind) - ALTERATION_KINDS.indexOf(b.kind) ||
      SIDES.indexOf(a.side ?? "medial") - SIDES.indexOf(b.side ?? "medial"),
  );

/** One alteration as it is said at the anvil, with medial and lateral in it. */
export function alterationInWords(
  { kind, side, mm = 0, clip = "toe", into = "" }: Alteration,
  wording: Pick<Wording, "cut">,
): string {
  const by = wording.cut(mm);
  switch (kind) {
    case "take out the edge":
      return `take out the ${into} toe`;
    case "square":
      return into === "round" ? "round the toe" : `make the toe ${into}`;
    case "widen":
      return `widen the ${side} web ${by} by creasing`;
    case "set down":
      return `set down the ${side} inner web ${by}`;
    case "open":
      return `open ${by}`;
    case "close":
      return `close ${by}`;
    case "heel":
      return into === "tucked" ? `tuck the ${side} heel` : `shape the ${side} heel ${into}`;
    case "cut":
      return `shorten the ${side} heel ${by}`;
    case "bar":
      return `weld in a ${into}`;
    case "edge":
      return into === "eased"
        ? "ease the toe"
        : into === "rockered"
          ? `rocker the toe ${by} back`
          : `roll the toe ${by} back`;
    case "clip":
      return `draw the ${clip.split(" ").reverse().join(" ")} clip`;
    case "clip off":
      return `take off the ${clip.split(" ").reverse().join(" ")} clip`;
  }
}
