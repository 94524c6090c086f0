import { useEffect, useRef, useState } from "react";

/** After so long without a footfall the tapping is over, ms. */
const OVER_MS = 3000;
const MS_PER_S = 1000;

/** Footfalls that are tapped along: times in seconds from the first. */
export interface Taps {
  tapping: boolean;
  times: readonly number[];
  start: () => void;
  /** A press on the screen, at the event's own time. */
  tap: (timeStamp: number) => void;
  stop: () => void;
}

/** Taps by the space bar or the screen, by the time of the press itself; it ends when the feet have stopped. */
export function useTaps(onDone: (times: number[]) => void): Taps {
  const [tapping, setTapping] = useState(false);
  const [times, setTimes] = useState<readonly number[]>([]);
  const stamps = useRef<number[]>([]);
  const done = useRef(onDone);
  useEffect(() => {
    done.current = onDone;
  });
  const tap = (timeStamp: number) => {
    const first = stamps.current[0] ?? timeStamp;
    stamps.current.push(timeStamp);
    setTimes(stamps.current.map((stamp) => (stamp - first) / MS_PER_S));
  };
  const stop = () => {
    const [first = 0] = stamps.current;
    setTapping(false);
    done.current(stamps.current.map((stamp) => (stamp - first) / MS_PER_S));
  };
  const current = useRef({ tap, stop });
  useEffect(() => {
    current.current = { tap, stop };
  });
  useEffect(() => {
    if (!tapping) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "Escape") return current.current.stop();
      if (event.key !== " ") return;
      // The bar belongs to the feet: no button is pressed by it, the page does not roll.
      event.preventDefault();
      if (!event.repeat) current.current.tap(event.timeStamp);
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [tapping]);
  useEffect(() => {
    if (!tapping || times.length === 0) return;
    const timer = setTimeout(() => current.current.stop(), OVER_MS);
    return () => clearTimeout(timer);
  }, [tapping, times]);
  return {
    tapping,
    times,
    start: () => {
      stamps.current = [];
      setTimes([]);
      setTapping(true);
    },
    tap,
    stop,
  };
}
