import { useEffect, useState, type RefObject } from "react";

/** The width that a chart's holder has for it, px; it follows the holder. */
export function useChartWidth(svg: RefObject<SVGSVGElement | null>): number {
  const [width, setWidth] = useState(640);
  useEffect(() => {
    const holder = svg.current?.parentElement;
    if (!holder) return;
    const watch = new ResizeObserver(() => setWidth(holder.clientWidth));
    watch.observe(holder);
    return () => watch.disconnect();
  }, [svg]);
  return width;
}
