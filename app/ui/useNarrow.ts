import { useSyncExternalStore } from "react";

const NARROW = "(max-width: 760px)";

const subscribe = (listener: () => void): (() => void) => {
  const query = matchMedia(NARROW);
  query.addEventListener("change", listener);
  return () => query.removeEventListener("change", listener);
};

/** True on a phone: one column, the number pad instead of a keyboard. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => matchMedia(NARROW).matches,
    () => false,
  );
