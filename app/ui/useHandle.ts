import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { session } from "~app/data/session";

/**
 * A value that a hand moves on a drawing: live while it is held, kept when it is let go. Between the two nothing is held
 * here: the overlay shows what was kept. Leaving the screen, or the page, lets go.
 *
 * `keep` gets the moved value and sends its edit; `flushSync` is false where the screen is going anyway.
 */
export function useHandle<T>(stored: T, keep: (now: T, flushSync: boolean) => unknown) {
  const [live, setLive] = useState<{ value: T } | undefined>(undefined);
  const latest = useRef<{ live: { value: T } | undefined; stored: T; keep: typeof keep; letGo?: () => void }>(
    {
      live,
      stored,
      keep,
    },
  );
  // In the same commit: a press that comes right after it must not meet what stood there before.
  useLayoutEffect(() => {
    latest.current = { ...latest.current, stored, keep };
  });
  const put = useCallback((next: { value: T } | undefined) => {
    const { letGo } = latest.current;
    if (!next) letGo?.();
    latest.current = {
      ...latest.current,
      live: next,
      ...(next && !letGo && { letGo: session.hold() }),
    };
    if (!next) delete latest.current.letGo;
    setLive(next);
  }, []);
  const drop = useCallback(
    (flushSync: boolean) => {
      const held = latest.current.live;
      if (!held) return;
      void latest.current.keep(held.value, flushSync);
      put(undefined);
    },
    [put],
  );
  useEffect(() => {
    const leave = () => drop(false);
    addEventListener("pagehide", leave);
    return () => {
      removeEventListener("pagehide", leave);
      drop(false);
    };
  }, [drop]);
  /** Moves the value; `rest` says that it was let go and is to be kept. */
  const move = useCallback(
    (change: (value: T) => T, rest: boolean) => {
      const { live: now, stored: base } = latest.current;
      put({ value: change(now ? now.value : base) });
      if (rest) drop(true);
    },
    [put, drop],
  );
  return { value: live ? live.value : stored, held: live !== undefined, move };
}
