import { useLayoutEffect, useRef, useState } from "react";
import { standingWorker } from "~app/workers/ground";
import type { GroundQuestion, Sensitivity, StoodShoe, SweptShoe } from "~core/ground/compare";

/** Cells of the first picture and of the one it settles to, mm. */
const COARSE_MM = 5;
const FINE_MM = 2;

/** What was worked out last, and for which question. */
export interface Stood {
  question: GroundQuestion;
  shoes: StoodShoe[];
  gridMm: number;
  /** Since it was asked, ms. */
  ms: number;
}

/** The same shoes over all grounds, and how far what nobody measured changes the answer. */
export interface Around {
  question: GroundQuestion;
  sensitivity: Sensitivity[];
  sweep: SweptShoe[];
}

/**
 * Shoes on the ground, worked out off the main thread: a coarse picture at once for whatever is asked last, then the fine one,
 * then what lies around it. While a hand drags only the coarse one is worked out, for the newest place of the hand.
 */
export function useGround(question: GroundQuestion): {
  stood: Stood | undefined;
  around: Around | undefined;
  broke: boolean;
} {
  const [stood, setStood] = useState<Stood | undefined>(undefined);
  const [around, setAround] = useState<Around | undefined>(undefined);
  const [broke, setBroke] = useState(false);
  const worker = useRef<ReturnType<typeof standingWorker> | undefined>(undefined);
  const asked = useRef(question);
  const busy = useRef(false);
  useLayoutEffect(() => {
    const own = standingWorker();
    worker.current = own;
    return () => {
      own.end();
      worker.current = undefined;
      busy.current = false;
    };
  }, []);
  // Before the page is painted: the worker has begun by then.
  useLayoutEffect(() => {
    asked.current = question;
    const settle = async () => {
      const own = worker.current;
      if (!own || busy.current) return;
      busy.current = true;
      let settled: GroundQuestion | undefined;
      while (asked.current !== settled) {
        const now = asked.current;
        const stale = () => worker.current !== own || asked.current !== now;
        const from = performance.now();
        for (const gridMm of [COARSE_MM, FINE_MM]) {
          const shoes = await own.remote.stand(now, gridMm);
          if (stale()) break;
          setStood({ question: now, shoes, gridMm, ms: performance.now() - from });
        }
        if (worker.current !== own) return;
        if (stale()) continue;
        settled = now;
        const found = await own.remote.around(now);
        if (!stale()) setAround({ question: now, ...found });
      }
      busy.current = false;
    };
    settle().catch(() => {
      busy.current = false;
      setBroke(true);
    });
  }, [question]);
  return { stood, around: around?.question === question ? around : undefined, broke };
}
