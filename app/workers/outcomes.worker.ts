import { expose } from "comlink";
import { openDatabase } from "~app/data/database";
import { outcomesOf, type Outcome, type OutcomeRecords } from "~core/outcome/outcomes";
import type { Noise } from "~core/repeatability/repeatability";
import { SHOE_RULES } from "~core/shoe/advice/advise";
import { kindOfRule } from "~core/shoe/advice/likeness";
import type { Base } from "~core/shoe/advice/rule";
import type { ShoeFacts } from "~core/shoe/facts";
import type { ShoeRecord } from "~core/shoe/shoeRecord";

/** One reason at one shoe, whose own outcomes are asked for. */
export interface OutcomeAsked {
  rule: string;
  base: Base;
}

/** Horses that are looked at for one kind of shoe, the latest first: more would say little more and take long. */
const MOST_HORSES = 60;

const outcomesWorker = {
  /** What became of the user's own feet in shoes of the kind that each reason speaks for, in the order asked. */
  outcomes: async (
    name: string,
    asked: OutcomeAsked[],
    facts: ShoeFacts,
    noise: Noise,
  ): Promise<(Outcome | undefined)[]> => {
    const db = openDatabase(name);
    try {
      const kinds = asked.map(({ rule, base }) => {
        const found = SHOE_RULES.find(({ id }) => id === rule);
        return found && kindOfRule(found, facts, base);
      });
      // Newest first, so that the horses that are taken are those whose feet are best known.
      const horses = new Map<string, ShoeRecord[]>();
      const wanted = kinds.map(() => new Set<string>());
      await db.shoes
        .orderBy("date")
        .reverse()
        .each((shoe) => {
          const { spec, horseId } = shoe;
          horses.set(horseId, [...(horses.get(horseId) ?? []), shoe]);
          if (spec)
            kinds.forEach((like, index) => {
              const set = wanted[index];
              if (like?.(spec) && set && set.size < MOST_HORSES) set.add(horseId);
            });
        });
      const ids = [...new Set(wanted.flatMap((set) => [...set]))];
      const [readings, watchings, looks] = await Promise.all([
        db.readings.where("horseId").anyOf(ids).toArray(),
        db.watchings.where("horseId").anyOf(ids).toArray(),
        db.looks.where("horseId").anyOf(ids).toArray(),
      ]);
      const recordsOf = (horseId: string): OutcomeRecords => {
        const own = <T extends { horseId: string }>(rows: readonly T[]) =>
          rows.filter((one) => one.horseId === horseId);
        return {
          shoes: horses.get(horseId) ?? [],
          readings: own(readings),
          watchings: own(watchings),
          looks: own(looks),
        };
      };
      const all = new Map(ids.map((id) => [id, recordsOf(id)]));
      return kinds.map((like, index) =>
        like
          ? outcomesOf(
              [...(wanted[index] ?? [])].flatMap((id) => all.get(id) ?? []),
              like,
              noise,
            )
          : undefined,
      );
    } finally {
      db.close();
    }
  },
};
export type OutcomesWorker = typeof outcomesWorker;

expose(outcomesWorker);
