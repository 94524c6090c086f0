import { Button } from "antd";
import { useEffect, useRef, useState } from "react";

/** Rows that are drawn at first: a screen full of them. */
export const FIRST_ROWS = 12;
/** Rows that each look at the end of the list adds: most rounds stand whole after the first. */
const MORE_ROWS = 36;
/** More rows are drawn as soon as the list ends less than so far below the screen. */
const AHEAD = "1500px";

/**
 * How many rows of a long list are drawn: more come as its end comes near, or by the button. `more` stands
 * after the last row and is nothing where the whole list is shown.
 */
export function useShown(count: number): { shown: number; more: React.ReactNode } {
  const [shown, setShown] = useState(FIRST_ROWS);
  const end = useRef<HTMLDivElement>(null);
  const hasMore = shown < count;
  useEffect(() => {
    const element = end.current;
    if (!element) return undefined;
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) setShown((now) => now + MORE_ROWS);
      },
      { rootMargin: AHEAD },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [hasMore, shown]);
  return {
    shown,
    more: hasMore && (
      <div ref={end} className="show-more">
        <Button onClick={() => setShown(count)}>Show all {count}</Button>
      </div>
    ),
  };
}
