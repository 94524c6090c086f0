import { useCallback, useEffect, useRef, useState } from "react";
import { storageTrouble } from "~app/data/trouble";

/** Work that goes on in a worker and can be called off. */
export interface Started<T> {
  answer: Promise<T>;
  cancel: () => void;
}

/** One piece of long work at a time: how far it is, what went wrong, and the way to call it off. Leaving the page does too. */
export function useWork() {
  const [part, setPart] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const running = useRef<Started<unknown> | undefined>(undefined);
  const cancel = useCallback(() => {
    running.current?.cancel();
    running.current = undefined;
    setPart(undefined);
  }, []);
  useEffect(() => () => running.current?.cancel(), []);
  const run = useCallback(
    async <T>(start: (report: (part: number) => void) => Started<T>): Promise<T | undefined> => {
      setTrouble(undefined);
      setPart(0);
      const one = start((done) => {
        if (running.current === one) setPart(done);
      });
      running.current = one;
      try {
        return await one.answer;
      } catch (error) {
        setTrouble(storageTrouble(error));
        return undefined;
      } finally {
        if (running.current === one) {
          running.current = undefined;
          setPart(undefined);
        }
      }
    },
    [],
  );
  return { part, trouble, run, cancel };
}
