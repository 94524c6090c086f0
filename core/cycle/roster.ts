import type { Case } from "../case/caseRecord";
import { inCare, type Horse } from "../record/horse";
import { yardNotKnown } from "../record/orphans";
import type { ShoeRecord } from "../shoe/shoeRecord";
import type { Visit } from "../record/visit";
import type { Yard } from "../record/yard";
import type { RosterRow } from "./dayPlan";
import { hasBarOrPad, toeOnlyMinutes } from "./jobMinutes";
import { learnedMinutes } from "./learnedMinutes";

/** Of two that a horse has pending the one that was begun comes first, else the sooner: none hides behind another. */
const comesBefore = ({ status }: Visit, other: Visit | undefined): boolean =>
  other === undefined || (status === "open" && other.status === "planned");

/**
 * Every horse with its yard, its last signed visit, the one that is to come, and its usual minutes (longer
 * where its last shoes have a bar or a pad); by yard and name.
 * A horse that is no longer on the round is left out; one whose yard is not there stands under a stand-in.
 */
export function roster(
  horses: readonly Horse[],
  yards: readonly Yard[],
  visits: readonly Visit[],
  shoes: readonly Pick<ShoeRecord, "visitId" | "spec">[] = [],
  cases: readonly Case[] = [],
): RosterRow[] {
  const yardById = new Map(yards.map((yard) => [yard.id, yard]));
  const last = new Map<string, Visit>();
  const coming = new Map<string, Visit>();
  const inOrder = [...visits].sort(
    (a, b) => a.date.localeCompare(b.date) || (a.at ?? "").localeCompare(b.at ?? ""),
  );
  for (const visit of inOrder) {
    const { horseId, status } = visit;
    if (status === "signed") last.set(horseId, visit);
    else if (comesBefore(visit, coming.get(horseId))) coming.set(horseId, visit);
  }
  const extra = new Set(shoes.flatMap(({ visitId, spec }) => (spec && hasBarOrPad(spec) ? [visitId] : [])));
  const minutes = learnedMinutes(
    horses,
    visits,
    new Set([...last].flatMap(([horse, visit]) => (extra.has(visit.id) ? [horse] : []))),
  );
  const rows = horses.flatMap((horse) => {
    if (horse.left) return [];
    const yard = yardById.get(horse.yardId) ?? yardNotKnown(horse.yardId);
    const lastVisit = last.get(horse.id);
    const comingVisit = coming.get(horse.id);
    const row: RosterRow = {
      horse: inCare(horse, cases),
      yard,
      minutes: comingVisit?.job ? toeOnlyMinutes(horse) : (minutes.get(horse.id) ?? 0),
    };
    if (lastVisit) row.last = lastVisit;
    if (comingVisit) row.coming = comingVisit;
    return [row];
  });
  return rows.sort(
    (a, b) => a.yard.name.localeCompare(b.yard.name) || a.horse.name.localeCompare(b.horse.name),
  );
}
