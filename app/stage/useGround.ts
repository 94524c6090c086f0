import { useEffect, useRef, useState } from "react";
import { aroundInWorker, standingWorker } from "~app/workers/ground";
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

/**
 * Shoes on the ground, worked out off the main thread: a coarse picture at once for whatever is asked last, then the fine one.
 * While a hand drags only the coarse one is worked out, for the newest place of the hand.
 */
export function useGround(question: GroundQuestion | undefined): {
  stood: Stood | undefined;
  broke: boolean;
} {
  const [stood, setStood] = useState<Stood | undefined>(undefined);
  const [broke, setBroke] = useState(false);
  const worker = useRef<ReturnType<typeof standingWorker> | undefined>(undefined);
  const asked = useRef<GroundQuestion | undefined>(undefined);
  const busy = useRef(false);
  useEffect(() => {
    const own = standingWorker();
    worker.current = own;
    return () => {
      own.end();
      worker.current = undefined;
      busy.current = false;
    };
  }, []);
  useEffect(() => {
    asked.current = question;
    const settle = async () => {
      const own = worker.current;
      if (!own || busy.current) return;
      busy.current = true;
      let settled: GroundQuestion | undefined;
      while (asked.current !== undefined && asked.current !== settled && worker.current === own) {
        const now = asked.current;
        const from = performance.now();
        for (const gridMm of [COARSE_MM, FINE_MM]) {
          const shoes = await own.remote.stand(now, gridMm);
          if (worker.current !== own || asked.current !== now) break;
          setStood({ question: now, shoes, gridMm, ms: performance.now() - from });
          if (gridMm === FINE_MM) settled = now;
        }
      }
      busy.current = false;
    };
    void settle().catch(() => {
      busy.current = false;
      setBroke(true);
    });
  }, [question]);
  return { stood, broke };
}

/** The same shoes over all grounds and with what nobody measured changed; undefined until it is worked out. */
export function useAround(
  question: GroundQuestion | undefined,
): { sensitivity: Sensitivity[]; sweep: SweptShoe[] } | undefined {
  const [around, setAround] = useState<{
    question: GroundQuestion;
    found: { sensitivity: Sensitivity[]; sweep: SweptShoe[] };
  }>();
  useEffect(() => {
    if (!question) return;
    const { answer, cancel } = aroundInWorker(question);
    answer.then((found) => setAround({ question, found })).catch(() => undefined);
    return cancel;
  }, [question]);
  return around?.question === question ? around?.found : undefined;
}
