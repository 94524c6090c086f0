import type { Horse } from "../record/horse";
import type { Visit } from "../record/visit";
import { jobMinutes } from "./jobMinutes";

/** Cycles of its own that weigh as much as the usual minutes. Source: assumption, as for the hand at the forge. */
const WEIGHT_OF_USUAL = 3;
/** A visit shorter or longer than this was not timed: begun and signed at the desk, or left open over lunch. */
const [SHORTEST, LONGEST] = [5, 300];

/** Minutes from starting a visit to signing it on the same day; undefined where that says nothing. */
export function visitMinutes({ startedAt, signedAt, status, job }: Visit): number | undefined {
  // A visit for the toes alone says nothing of how long a horse takes.
  if (job !== undefined || status !== "signed" || startedAt === undefined || signedAt === undefined)
    return undefined;
  const minutes = (Date.parse(signedAt) - Date.parse(startedAt)) / 60_000;
  return minutes >= SHORTEST && minutes <= LONGEST ? minutes : undefined;
}

/**
 * Minutes for each horse, from the visits' own clocks: those of its kind of job drawn towards the trade's, its own drawn
 * towards those of its kind, each as far as there are few of them (n / (n + 3)). Horses with a bar or
 * a pad (`extra`) are a kind of their own. Whole minutes.
 */
export function learnedMinutes(
  horses: readonly Horse[],
  visits: readonly Visit[],
  extra: ReadonlySet<string> = new Set(),
): Map<string, number> {
  const timed = new Map<string, number[]>();
  for (const visit of visits) {
    const minutes = visitMinutes(visit);
    if (minutes !== undefined) timed.set(visit.horseId, [...(timed.get(visit.horseId) ?? []), minutes]);
  }
  const keyOf = ({ id, finish, habits }: Horse) => `${finish} ${habits !== ""} ${extra.has(id)}`;
  const ofKind = (key: string) =>
    horses.filter((horse) => keyOf(horse) === key).flatMap(({ id }) => timed.get(id) ?? []);
  const usual = new Map<string, number>();
  return new Map(
    horses.map((horse) => {
      const key = keyOf(horse);
      const kind = usual.get(key) ?? drawn(ofKind(key), jobMinutes(horse, extra.has(horse.id)));
      usual.set(key, kind);
      return [horse.id, Math.round(drawn(timed.get(horse.id) ?? [], kind))];
    }),
  );
}

const drawn = (own: readonly number[], usual: number): number =>
  (own.reduce((sum, minutes) => sum + minutes, 0) + WEIGHT_OF_USUAL * usual) / (own.length + WEIGHT_OF_USUAL);
