import { Segmented } from "antd";
import { useLayoutEffect, useRef, useState } from "react";
import { useNarrow } from "~app/ui/useNarrow";

interface ColumnsProps {
  letters: readonly string[];
  /** Said of the whole for tests and for who measures: the grid that is shown, mm, and how long it took, ms. */
  settled: { gridMm: number; ms: number } | undefined;
  children: React.ReactNode[];
}

/** Shoes side by side; on a phone one shoe a page, turned by a swipe or by its letter. */
export function Columns({ letters, settled, children }: ColumnsProps) {
  const narrow = useNarrow();
  const row = useRef<HTMLDivElement>(null);
  const [shown, setShown] = useState(0);
  const [height, setHeight] = useState<number | undefined>(undefined);
  const at = Math.min(shown, children.length - 1);
  // A page is as high as its own shoe asks, not as the longest of them.
  useLayoutEffect(() => {
    const page = row.current?.children[at];
    if (!narrow || !page) return setHeight(undefined);
    const watch = new ResizeObserver(() => setHeight(page.clientHeight));
    watch.observe(page);
    return () => watch.disconnect();
  }, [narrow, at, children.length]);
  const goTo = (page: number) => {
    const to = row.current?.children[page];
    if (to instanceof HTMLElement) row.current?.scrollTo({ left: to.offsetLeft - row.current.offsetLeft });
    setShown(page);
  };
  return (
    <>
      {narrow && children.length > 1 && (
        <Segmented
          block
          className="ground-pages"
          aria-label="Shoe"
          options={children.map((_, page) => ({ value: page, label: letters[page] }))}
          value={at}
          onChange={goTo}
        />
      )}
      <div
        ref={row}
        className="ground-columns"
        data-worked-out
        data-count={children.length}
        role="group"
        aria-label="Shoes side by side"
        data-grid={settled?.gridMm}
        data-ms={settled && Math.round(settled.ms)}
        style={height === undefined ? undefined : { height }}
        onScroll={(event) => {
          const { scrollLeft, clientWidth } = event.currentTarget;
          if (narrow && clientWidth > 0) setShown(Math.round(scrollLeft / clientWidth));
        }}
      >
        {children}
      </div>
    </>
  );
}
