import { useCallback, useEffect, useRef, useState } from "react";
import { session } from "~app/data/session";
import { sameValue } from "~core/record/edit";

interface Live<T> {
  value: T;
  /** What the store holds as far as this screen knows: what the next edit starts from. */
  sent: T;
}

/** Longest wait for a kept value to come back from the store before the store is believed, ms. */
const WAIT_MS = 3000;

/**
 * A value that is moved by hand: shown at once, kept when it comes to rest. Quick steps one after the other (arrow
 * keys) are kept as one edit that starts from what was last sent, so that they never run over themselves. It is let go
 * of only when the store shows the same; one that could not be kept stays on the screen.
 */
export function useLive<T>(stored: T, keep: (was: T, now: T) => Promise<unknown>, restMs = 120) {
  const [live, setLive] = useState<Live<T> | undefined>(undefined);
  const latest = useRef({ live, stored, keep });
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    latest.current = { ...latest.current, stored, keep };
  });
  const put = useCallback((next: Live<T> | undefined) => {
    latest.current = { ...latest.current, live: next };
    setLive(next);
  }, []);
  const arrived = live !== undefined && sameValue(live.value, live.sent) && sameValue(live.value, stored);
  useEffect(() => {
    if (!arrived) return undefined;
    const soon = setTimeout(() => put(undefined));
    return () => clearTimeout(soon);
  }, [arrived, put]);
  const settle = useCallback(() => {
    clearTimeout(timer.current);
    const now = latest.current.live;
    if (!now || sameValue(now.value, now.sent)) return;
    const sent: Live<T> = { value: now.value, sent: now.value };
    const kept = latest.current.keep(now.sent, now.value);
    put(sent);
    void kept.then(() => {
      setTimeout(() => {
        if (latest.current.live === sent && session.saveState().kind !== "failed") put(undefined);
      }, WAIT_MS);
    });
  }, [put]);
  useEffect(() => settle, [settle]);
  /** Shows the value; `rest` keeps it once it has stood still for a moment. */
  const move = useCallback(
    (change: (value: T) => T, rest: boolean) => {
      const { live: now, stored: base } = latest.current;
      put({ value: change(now?.value ?? base), sent: now?.sent ?? base });
      clearTimeout(timer.current);
      if (rest) timer.current = setTimeout(settle, restMs);
    },
    [put, settle, restMs],
  );
  return { value: live?.value ?? stored, held: live !== undefined, move, settle };
}
