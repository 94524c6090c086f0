import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { todayHere } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { levelIn } from "~core/practice/level";
import { keptTry, type PracticeRoom, type Try } from "~core/practice/tryRecord";

/** Seeds of one sitting lie this far apart, so that no foot comes twice by chance. */
const APART = 7919;
const MOST_SEED = 1e9;

/** A round of practice in one room: which feet come, at which level, and how a scored one is kept. */
export interface Sitting {
  level: number;
  seedOf: (index: number) => number;
  keep: (done: Pick<Try, "what" | "level" | "next" | "score" | "seconds" | "misses">) => void;
}

/** The seed may stand in the address: then two people practise on the same feet. */
export function useSitting(room: PracticeRoom, tries: readonly Try[]): Sitting {
  const [search] = useSearchParams();
  const asked = Number(search.get("seed") ?? Number.NaN);
  const [chance] = useState(() => Math.floor(Math.random() * MOST_SEED));
  const seed = Number.isInteger(asked) && asked > 0 && asked < MOST_SEED ? asked : chance;
  const { save } = useEdits();
  return {
    level: levelIn(tries, room),
    seedOf: (index) => seed + APART * index,
    keep: (done) => {
      const id = crypto.randomUUID();
      const now = keptTry({ id, date: todayHere(), at: new Date().toISOString(), room, ...done });
      void save({ table: "tries", id, path: [], was: undefined, now, label: "practice" });
    },
  };
}

/** Seconds since something began, by a clock that does not jump. */
export function useStopwatch(): { seconds: () => number; begin: () => void } {
  const from = useRef(0);
  useEffect(() => {
    from.current = performance.now();
  }, []);
  return {
    seconds: () => (performance.now() - from.current) / 1000,
    begin: () => {
      from.current = performance.now();
    },
  };
}
