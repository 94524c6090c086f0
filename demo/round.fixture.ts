import { visitFoot, type FootRecords, type VisitFoot } from "~core/visit/visitFoot";
import { LIMBS, type Limb } from "~core/foot/limb";
import { wordingFor } from "~core/foot/wording";
import { inCare } from "~core/record/horse";
import { makeDemoRound } from "./generate";

/** The demo round that the specifications speak of. */
export const round = makeDemoRound("2026-11-23", 7);
export const wording = wordingFor({
  unit: "mm",
  fraction: 16,
  leftRight: "left-right",
  side: "inside-outside",
});

/** Everything that is kept of one horse's feet. */
export function recordsOf(horseId: string): FootRecords {
  const own = <T extends { horseId: string }>(rows: readonly T[]) =>
    rows.filter((row) => row.horseId === horseId);
  return {
    readings: own(round.readings),
    trims: own(round.trims),
    watchings: own(round.watchings),
    looks: own(round.looks),
    shoes: own(round.shoes),
    photos: [],
  };
}

/** A horse of the round by its name, its last signed visit, and its feet as they stood there. */
export function lastVisit(name: string) {
  const found = round.horses.find((one) => one.name === name);
  const horse = found && inCare(found, round.cases);
  const visit = round.visits.findLast(({ horseId, status }) => horseId === horse?.id && status === "signed");
  if (!horse || !visit) throw new Error(`no visit to ${name}`);
  const records = recordsOf(horse.id);
  const feet = Object.fromEntries(LIMBS.map((one) => [one, visitFoot(visit, one, records)])) as Record<
    Limb,
    VisitFoot
  >;
  return { horse, visit, feet };
}
