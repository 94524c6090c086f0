import { shorterCap } from "../constants/due";
import type { HornState } from "../foot/horn";

/** What the owner tells and the eye sees on arrival, each a tap. */
export const ARRIVAL_TAPS = {
  diet: ["as before", "richer", "restricted"],
  metabolic: ["none known", "known illness"],
  drugs: ["none told", "pain relief", "sedated"],
  fitness: ["fit", "unfit"],
  fatigue: ["fresh", "tired"],
  journey: ["none", "long"],
} as const;
export type ArrivalTap = keyof typeof ARRIVAL_TAPS;
export const ARRIVAL_TAP_NAMES = Object.keys(ARRIVAL_TAPS) as [ArrivalTap, ...ArrivalTap[]];

export const ARRIVAL_LABELS: Record<ArrivalTap, string> = {
  diet: "Feed",
  metabolic: "Metabolic illness",
  drugs: "Drugs, as told",
  fitness: "Fitness",
  fatigue: "Today",
  journey: "Journey behind it",
};

/** What was tapped; what was not asked is missing. */
export type Arrival = { [Tap in ArrivalTap]?: (typeof ARRIVAL_TAPS)[Tap][number] | undefined };

/** What a tap moves: the window, a caution that stands at the visit, or a mark on what is watched and read. */
export interface ArrivalEffect {
  tap: ArrivalTap | "horn";
  moves: "window" | "caution" | "mark";
  says: string;
}

/** Weeks by which a known metabolic illness shortens the interval. Assumption, because such feet change between visits. */
const METABOLIC_WEEKS = 1;

/** Everything that follows from the taps of an arrival, how dry the feet have stood first, then as they are asked. */
export function arrivalEffects(arrival: Arrival = {}, horn?: HornState): ArrivalEffect[] {
  const effects: ArrivalEffect[] = [];
  const put = (tap: ArrivalEffect["tap"], moves: ArrivalEffect["moves"], says: string) =>
    effects.push({ tap, moves, says });
  if (horn === "wet")
    put("horn", "mark", "A wet, swollen foot reads larger than it is: today’s readings are marked so.");
  if (horn === "dry")
    put(
      "horn",
      "caution",
      "Dry horn splits: finer nails, pitched with care; look at every old crack; keep to the date.",
    );
  if (arrival.diet === "richer")
    put(
      "diet",
      "caution",
      "Richer feed: feel pulse and warmth of every foot; look at the white line and the newest ring. Doubt is the vet’s.",
    );
  if (arrival.diet === "restricted")
    put(
      "diet",
      "caution",
      "Restricted feed: ask why; if for its weight or its feet, feel pulse and warmth. Horn grows slower on it.",
    );
  if (arrival.metabolic === "known illness") {
    put("metabolic", "window", "Known metabolic illness: the interval is a week shorter.");
    put(
      "metabolic",
      "caution",
      "Known metabolic illness: a warm foot, a strong pulse or a wide white line is the vet’s, today.",
    );
  }
  if (arrival.drugs === "pain relief")
    put("drugs", "mark", "On pain relief, as told: how it moves today says nothing of how it would without.");
  if (arrival.drugs === "sedated")
    put(
      "drugs",
      "mark",
      "Sedated: stance, landing and axis are not its own today. Watch it again another day.",
    );
  if (arrival.fitness === "unfit")
    put("fitness", "caution", "Unfit: bring a change in over two visits, and short spells on one limb.");
  if (arrival.fatigue === "tired")
    put(
      "fatigue",
      "mark",
      "Tired: landing and stance are read with doubt; watch it again rested before the balance is changed.",
    );
  if (arrival.journey === "long")
    put(
      "journey",
      "mark",
      "A long journey behind it: limbs may be filled and the stance stiff; read it with doubt.",
    );
  return effects;
}

/** The cap of the interval, weeks, as the arrival leaves it. */
export const capAfterArrival = (capWeeks: number, arrival: Arrival | undefined): number =>
  arrival?.metabolic === "known illness" ? shorterCap(capWeeks, METABOLIC_WEEKS) : capWeeks;
