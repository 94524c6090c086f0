import { minutesInWords } from "../cycle/dayPlan";
import { minutesOf } from "./drive";
import type { MoveCost } from "./moveCosts";
import type { RoundsPlan } from "./question";
import { counted } from "../units/counted";

const horses = (count: number): string => counted(count, "horse");
const days = (count: number): string => counted(count, "day");

/** How good a plan is, in plain words. */
export function planInWords({
  gap,
  bound,
  left,
  days: planned,
}: Pick<RoundsPlan, "gap" | "bound" | "left" | "days">): string {
  const drive = planned.reduce((sum, day) => sum + day.drive, 0);
  const good =
    gap <= 0
      ? "No plan is better"
      : bound <= 0
        ? "How good it is was not proven"
        : gap < 0.005
          ? "Within half a hundredth of the best possible"
          : `Within ${Math.ceil(gap * 100)} % of the best possible`;
  const out = left.length > 0 ? `; ${horses(left.length)} found no day` : "";
  return `${good}: ${minutesInWords(Math.round(drive))} on the road${out}.`;
}

/** What a move costs, in as few words as stand in a column's head. */
export function moveInWords({ date, drive, late, over }: MoveCost): string {
  if (date === undefined) return "No day";
  const road = Math.round(drive);
  const parts = [
    road === 0 ? "same road" : `${road > 0 ? "+" : "−"}${minutesInWords(Math.abs(road))} road`,
    late > 0 ? `${days(late)} later` : late < 0 ? `${days(-late)} less late` : "",
    over > 0.5 ? `${minutesInWords(Math.ceil(over))} too long` : "",
  ];
  return parts.filter((part) => part !== "").join(", ");
}

/** What a plan that leaves horses out would need. */
export function missingInWords(minutes: number): string {
  return `They need about ${minutesInWords(Math.round(minutes))} of work: free a day, or lengthen one.`;
}

/** A vet and a farrier who are this near in time meet, minutes. */
const MEET = 15;

/** Whether the vet is met, HH:MM each, and by how much not. */
export function vetInWords(vetAt: string, begins: string): { met: boolean; words: string } {
  const apart = minutesOf(begins) - minutesOf(vetAt);
  if (Math.abs(apart) <= MEET)
    return { met: true, words: `The vet comes at ${vetAt}, you begin at ${begins}` };
  const long = minutesInWords(Math.abs(apart));
  return {
    met: false,
    words: `The vet comes at ${vetAt}, you begin at ${begins}: ${long} ${apart > 0 ? "later" : "earlier"}`,
  };
}

/** Names as they are said: `Ash, Birch and Cedar`. */
export const listed = (names: readonly string[]): string =>
  names.length <= 1 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1) ?? ""}`;
